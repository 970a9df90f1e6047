import { SCHOOLS } from '../../school';
import { longHeld, longerHold } from './held';
import { type SchoolRule } from './school';

/** From one minute towards five; between them by half as much again. */
const STATIONS_S = [60, 120, 180, 240, 300] as const;

/** One unbroken hold at a feeling that stays the same. */
export const PAIN_RELIEF: SchoolRule = {
  ...SCHOOLS['pain-relief'],
  ready: longHeld,
  next: (standing) =>
    longerHold(standing, STATIONS_S) ?? {
      kind: 'stays',
      why: 'Five minutes is as long as it gets.',
    },
  back: ['hold', 'effort', 'days', 'times'],
};
