import { SCHOOLS } from '../../school';
import { READY, type SchoolRule, thenOften } from './school';

/** Gravity out, gravity in, added resistance, added movement: each step by itself. */
export const CLIMB: SchoolRule = {
  ...SCHOOLS.climb,
  ready: () => READY,
  next: (standing) => thenOften(standing, 'Done properly: the next step of the stairs.'),
  back: ['volume', 'hold', 'load', 'band', 'effort', 'days', 'times'],
};
