/** Stands in a row where a stored value could not be read, until the door has found it. */
export type Marked = { readonly [MARK]: string };
const MARK = Symbol('unreadable');

/** True for what stands in the place of a value that could not be read. */
export function isMarked(value: unknown): value is Marked {
  return typeof value === 'object' && value !== null && MARK in value;
}

let marks = 0;

/** @param what the record in a clinician's words */
export function markUnreadable(what: string): Marked {
  marks += 1;
  return { [MARK]: what };
}

/** So many values could not be read since the process began. */
export function marksSoFar(): number {
  return marks;
}

/**
 * A stored value that is not what its column promises: written by another program, cut short, or of
 * a release this one does not know. Nothing is shown in its place and nothing is written over it.
 */
export class Unreadable extends Error {
  override readonly name = 'Unreadable';
  /** One sentence for a clinician, with what to do. */
  readonly say: string;

  /**
   * @param what the record in a clinician's words, such as "a measurement"
   * @param id its id, for whoever looks after the server; null where the row has none
   */
  constructor(
    readonly what: string,
    readonly id: string | null,
  ) {
    super(`${what} cannot be read`);
    this.say = `Part of this record cannot be read: ${what}${id === null ? '' : ` (${id})`}. It is kept as it is. Ask whoever looks after the server to restore it; until then this page cannot be shown.`;
  }
}

/** Throws for the first marked value in these rows, however they are nested by a join. */
export function refuseMarked(rows: unknown): void {
  const found = findMark(rows, null);
  if (found) throw new Unreadable(found.what, found.id);
}

function findMark(
  value: unknown,
  id: string | null,
): { readonly what: string; readonly id: string | null } | null {
  if (value === null || typeof value !== 'object') return null;
  if (MARK in value) return { what: (value as Marked)[MARK], id };
  if (Array.isArray(value)) {
    for (const one of value) {
      const found = findMark(one, id);
      if (found) return found;
    }
    return null;
  }
  const own = (value as { id?: unknown }).id;
  for (const part of Object.values(value)) {
    const found = findMark(part, typeof own === 'string' ? own : id);
    if (found) return found;
  }
  return null;
}
