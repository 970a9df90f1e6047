import { Unreadable } from '@/db';

/** What could be read of each, and what of whom could not. */
export type EachReadable<Id extends string, T> = {
  readonly found: ReadonlyMap<Id, T>;
  readonly unread: ReadonlyMap<Id, Unreadable>;
};

/**
 * Reads something of many records, so that one that cannot be read keeps nobody else from theirs: all at
 * once, and only where that fails by halves, down to the one.
 *
 * @param load reads it of these; who has none may be missing
 */
export async function eachReadable<Id extends string, T>(
  ids: readonly Id[],
  load: (ids: readonly Id[]) => Promise<ReadonlyMap<Id, T>>,
): Promise<EachReadable<Id, T>> {
  try {
    return { found: await load(ids), unread: new Map() };
  } catch (error) {
    if (!(error instanceof Unreadable)) throw error;
    const [only, ...others] = ids;
    if (only === undefined) return { found: new Map(), unread: new Map() };
    if (others.length === 0) return { found: new Map(), unread: new Map([[only, error]]) };
    const middle = Math.floor(ids.length / 2);
    const first = await eachReadable(ids.slice(0, middle), load);
    const second = await eachReadable(ids.slice(middle), load);
    return {
      found: new Map([...first.found, ...second.found]),
      unread: new Map([...first.unread, ...second.unread]),
    };
  }
}
