import { holdOf } from '../../dose';
import { everySetDone, longHeld, longerHold } from './held';
import { NO_BOUNDS, type School, TRADE, thenOften } from './school';

const LONGEST_S = 15;

/** Six, then four, then two of a hold. */
export const DESCENDING_SETS: School = {
  id: 'descending-sets',
  name: 'Descending sets',
  says: 'Six, then four, then two of a 10–15 s hold, 20–30 s between.',
  source: TRADE,
  fits: ({ mode }) => mode === 'held',
  reads: (dose) => holdOf(dose) !== null && dose.head.kind === 'pyramid',
  start: () => '6-4-2 hold 10s rest 20-30s daily',
  phases: [],
  ready: (dose, log) => {
    const sets = everySetDone(dose, log);
    return sets.ready ? longHeld(dose, log) : sets;
  },
  next: (standing) =>
    longerHold(standing, [10, LONGEST_S]) ??
    thenOften(standing, 'Fifteen seconds held throughout: the next step.'),
  back: ['hold', 'volume', 'days', 'times'],
  bounds: { ...NO_BOUNDS, hold: { most: LONGEST_S, bouts: true } },
  pace: 'good days',
};
