import { DESCENDING_LONGEST_S, SCHOOLS } from '../../school';
import { everySetDone, longHeld, longerHold } from './held';
import { type SchoolRule, thenOften } from './school';

/** Six, then four, then two of a hold. */
export const DESCENDING_SETS: SchoolRule = {
  ...SCHOOLS['descending-sets'],
  ready: (dose, log) => {
    const sets = everySetDone(dose, log);
    return sets.ready ? longHeld(dose, log) : sets;
  },
  next: (standing) =>
    longerHold(standing, [10, DESCENDING_LONGEST_S]) ??
    thenOften(standing, 'Fifteen seconds held throughout: the next step.'),
  back: ['hold', 'volume', 'days', 'times'],
};
