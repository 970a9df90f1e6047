import { holdOf } from '../../dose';
import { HOLD_LADDERS, stationsFor } from '../steps/holds';
import { longHeld, longerHold } from './held';
import { NO_BOUNDS, type School, TRADE, thenOften } from './school';

/** Same step, longer holds; then the next step. */
export const LENGTHEN: School = {
  id: 'lengthen',
  name: 'Lengthen the hold',
  says: 'Same step, longer holds (3 → 5 → 10, 10 → 30 → 60 or 30 → 60 s), at most half as much again or 5 s at once; then the next step.',
  source: TRADE,
  fits: (exercise) => exercise.mode !== 'moved',
  reads: (dose) => holdOf(dose) !== null,
  start: ({ holds }) => `x10 hold ${holds[0] ?? 3}s gap 3s daily`,
  phases: [],
  ready: longHeld,
  next: (standing) => {
    const { dose, exercise, settings } = standing;
    const longer = longerHold(standing, stationsFor(dose, exercise, settings.holds));
    return longer ?? thenOften(standing, 'The longest hold is held: the next step.');
  },
  back: ['hold', 'volume', 'effort', 'days', 'times'],
  // Bouts may be lain or stretched for longer; repetitions are not.
  bounds: { ...NO_BOUNDS, hold: { most: Math.max(...HOLD_LADDERS.flat()), bouts: false } },
  pace: 'good days',
};
