import { type Dose, blocksOf, repsOf, sidesOf } from '../dose';

/** In a dose of one block a rest means a gap: written so, that reading it back gives the same. */
export function restAsGap(dose: Dose): Dose {
  if (dose.rest === undefined || blocksOf(dose).most > 1) return dose;
  const { rest, ...bare } = dose;
  const single = repsOf(dose).most / sidesOf(dose) <= 1;
  return dose.gap !== undefined || single ? bare : { ...bare, gap: rest };
}
