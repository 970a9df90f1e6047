import { SCHOOLS } from '../../school';
import { READY, type SchoolRule } from './school';

/** Short holds at half effort, a set at each angle; the maximum grows, the share stays. */
export const ANGLES: SchoolRule = {
  ...SCHOOLS.angles,
  ready: () => READY,
  next: () => ({ kind: 'stays', why: 'Half of a maximum that grows: measure it again.' }),
  back: ['stations', 'effort', 'volume', 'hold', 'days', 'times'],
};
