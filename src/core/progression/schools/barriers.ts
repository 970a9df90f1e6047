import { longHeld } from './held';
import { NO_BOUNDS, type School, TRADE } from './school';

/** Thirty seconds at each sense of pull; the barriers move outward by themselves. */
export const BARRIERS: School = {
  id: 'barriers',
  name: 'Barriers',
  says: 'Thirty seconds at the first sense of pull, thirty at the next, thirty at the third; no bouncing.',
  source: TRADE,
  fits: ({ mode, purpose }) => mode === 'held' && purpose === 'lengthen',
  reads: ({ stations }) => stations?.kind === 'barriers',
  start: () => '30s at 3 barriers daily',
  phases: [],
  ready: longHeld,
  next: () => ({ kind: 'stays', why: 'The barriers move outward by themselves.' }),
  back: ['stations', 'hold', 'days', 'times'],
  bounds: { ...NO_BOUNDS, hold: { most: 30, bouts: true } },
  pace: 'good days',
};
