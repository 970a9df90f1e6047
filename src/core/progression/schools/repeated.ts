import { NO_BOUNDS, READY, type School, TRADE } from './school';

/** Only the direction that draws symptoms in, often in the day; in stages. */
export const REPEATED: School = {
  id: 'repeated',
  name: 'Repeated movements',
  says: 'Only the direction that draws symptoms in, often in the day; in stages.',
  source: TRADE,
  fits: ({ family }) => family === 'Bending back' || family === 'Bending forward',
  reads: () => true,
  start: () => 'x10 1-8/day daily',
  phases: [],
  ready: () => READY,
  next: () => ({ kind: 'next rung', why: 'Symptoms drawn in and staying there: the next stage.' }),
  back: ['volume', 'hold', 'times', 'days'],
  bounds: NO_BOUNDS,
  pace: 'symptoms',
};
