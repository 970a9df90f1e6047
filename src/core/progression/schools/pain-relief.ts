import { holdOf, repsOf, sidesOf } from '../../dose';
import { longHeld, longerHold } from './held';
import { NO_BOUNDS, type School, TRADE } from './school';

/** From one minute towards five; between them by half as much again. */
const STATIONS_S = [60, 120, 180, 240, 300] as const;

/** One unbroken hold at a feeling that stays the same. */
export const PAIN_RELIEF: School = {
  id: 'pain-relief',
  name: 'Pain-relief hold',
  says: 'One unbroken hold at 30–50 % effort (best 40–50 %), from one minute towards five. Holds that unbroken length is what counts: three minutes does twice what one does, five twice what three do.',
  source: `${TRADE} Under 25 % does little, over 80 % threatens. Endurance models disagree with the longer holds: see the note beside the line.`,
  fits: ({ mode, needs }) => mode === 'held' && needs.effort,
  // One unbroken hold is what it is about.
  reads: (dose) => holdOf(dose) !== null && repsOf(dose).most / sidesOf(dose) === 1,
  start: () => 'x1 hold 1min 40-50% daily',
  phases: [],
  ready: longHeld,
  next: (standing) =>
    longerHold(standing, STATIONS_S) ?? {
      kind: 'stays',
      why: 'Five minutes is as long as it gets.',
    },
  back: ['hold', 'effort', 'days', 'times'],
  bounds: { ...NO_BOUNDS, hold: { most: 300, bouts: true }, effortPercent: 80 },
  pace: 'good days',
};
