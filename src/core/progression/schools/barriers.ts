import { SCHOOLS } from '../../school';
import { longHeld } from './held';
import { type SchoolRule } from './school';

/** Thirty seconds at each sense of pull; the barriers move outward by themselves. */
export const BARRIERS: SchoolRule = {
  ...SCHOOLS.barriers,
  ready: longHeld,
  next: () => ({ kind: 'stays', why: 'The barriers move outward by themselves.' }),
  back: ['stations', 'hold', 'days', 'times'],
};
