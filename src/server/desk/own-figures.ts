import { createHash } from 'node:crypto';
import { figureOf } from '@/catalogue/figures';
import type { Figure } from '@/core/figure';
import { type KeptFields, OwnFigure } from '@/core/records';
import type { SentLine } from '@/core/programme';
import type { ClinicId, ExerciseId } from '@/core/units';
import { ownFigures } from '@/db';
import { canonical } from '../canonical';

/** The id of a drawing of the clinic's own: told by what it shows, so that no two are mixed up. */
export function drawingIdOf(figure: Figure): string {
  const hash = createHash('sha256').update(canonical(figure)).digest('base64url');
  return `own-${hash.slice(0, 22)}`;
}

/** What is drawn: a shipped exercise by its id, one of the clinic's own by its drawing's. */
export type Drawn = { readonly exerciseId: ExerciseId; readonly drawing?: string | undefined };

/** Drawings never change, so those asked for before need not be read again. */
const known = new Map<string, Figure>();
/** Drawings that are kept ready at most. */
const MOST_KNOWN = 500;

async function byId(clinicId: ClinicId, ids: readonly string[]): Promise<Map<string, Figure>> {
  const key = (id: string) => `${clinicId} ${id}`;
  const found = new Map<string, Figure>();
  for (const id of ids) {
    const figure = known.get(key(id));
    if (figure) found.set(id, figure);
  }
  const missing = ids.filter((id) => !found.has(id));
  for (const { id, body } of missing.length > 0 ? await ownFigures(clinicId, missing) : []) {
    if (known.size >= MOST_KNOWN) known.clear();
    known.set(key(id), body);
    found.set(id, body);
  }
  return found;
}

/** How each of some exercises is drawn; null for one without a drawing. */
export async function figuresFor(
  clinicId: ClinicId,
  drawn: readonly Drawn[],
): Promise<(one: Drawn) => Figure | null> {
  const own = await byId(clinicId, [...new Set(drawn.flatMap(({ drawing }) => drawing ?? []))]);
  return ({ exerciseId, drawing }) =>
    drawing === undefined ? figureOf(exerciseId) : (own.get(drawing) ?? null);
}

/** One drawing of the clinic's own; null when the clinic has none of this id. */
export async function ownFigureOf(clinicId: ClinicId, drawing: string): Promise<Figure | null> {
  return (await byId(clinicId, [drawing])).get(drawing) ?? null;
}

/** How the lines of a programme are drawn, as they were sent. */
export function figuresOfLines(
  clinicId: ClinicId,
  lines: readonly SentLine[],
): Promise<(line: SentLine) => Figure | null> {
  const drawn = ({ exerciseId, exercise }: SentLine): Drawn => ({
    exerciseId,
    drawing: exercise.drawing,
  });
  return figuresFor(clinicId, lines.map(drawn)).then((figures) => (line) => figures(drawn(line)));
}

/** The drawing in a form that was left; null when it had none, or one that cannot be read. */
export function keptFigure(kept: KeptFields | null): Figure | null {
  try {
    return OwnFigure.nullable()
      .catch(null)
      .parse(JSON.parse(kept?.figure ?? 'null'));
  } catch {
    return null;
  }
}
