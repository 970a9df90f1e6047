import { NO_BOUNDS, READY, type School, TRADE } from './school';

/** Short holds at half effort, a set at each angle; the maximum grows, the share stays. */
export const ANGLES: School = {
  id: 'angles',
  name: 'Joint angles',
  says: '5 × 5 s at half effort at each of three angles; one set is one angle; a minute’s rest; every other day.',
  source: TRADE,
  fits: ({ mode, family }) => mode === 'held' && family === 'Limb strength',
  reads: ({ stations }) => stations?.kind === 'angles' || stations?.kind === 'degrees',
  start: () => '5x5s at 3 angles rest 60s 50% every other day',
  phases: [],
  ready: () => READY,
  next: () => ({ kind: 'stays', why: 'Half of a maximum that grows: measure it again.' }),
  back: ['stations', 'effort', 'volume', 'hold', 'days', 'times'],
  bounds: { ...NO_BOUNDS, hold: { most: 5, bouts: true } },
  pace: 'good days',
};
