import { NO_BOUNDS, READY, type School, TRADE, thenOften } from './school';

/** Gravity out, gravity in, added resistance, added movement: each step by itself. */
export const CLIMB: School = {
  id: 'climb',
  name: 'Climb the stairs',
  says: 'Gravity out, gravity in, added resistance, added movement, the tuck kept; each step by itself.',
  source: TRADE,
  fits: () => true,
  reads: () => true,
  start: () => 'x10 gap 2s daily',
  phases: [],
  ready: () => READY,
  next: (standing) => thenOften(standing, 'Done properly: the next step of the stairs.'),
  back: ['volume', 'hold', 'load', 'band', 'effort', 'days', 'times'],
  bounds: NO_BOUNDS,
  pace: 'good days',
};
