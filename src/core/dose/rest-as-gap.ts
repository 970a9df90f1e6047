import type { Dose } from './model';
import { blocksOf, repsOf, sidesOf } from './volume';
import { without } from './without';

/** A dose that is done once has no pause between: written so. */
export function withoutIdleGap(dose: Dose): Dose {
  if (dose.gap === undefined || repsOf(dose).most > 1) return dose;
  return without(dose, 'gap');
}

/** In a dose of one block a rest means a gap: written so, that reading it back gives the same. */
export function restAsGap(dose: Dose): Dose {
  if (dose.rest === undefined || blocksOf(dose).most > 1) return dose;
  const { rest, ...bare } = dose;
  const single = repsOf(dose).most / sidesOf(dose) <= 1;
  return dose.gap !== undefined || single ? bare : { ...bare, gap: rest };
}
