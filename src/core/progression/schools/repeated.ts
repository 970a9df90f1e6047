import { SCHOOLS } from '../../school';
import { READY, type SchoolRule } from './school';

/** Only the direction that draws symptoms in, often in the day; in stages. */
export const REPEATED: SchoolRule = {
  ...SCHOOLS.repeated,
  ready: () => READY,
  next: () => ({ kind: 'next rung', why: 'Symptoms drawn in and staying there: the next stage.' }),
  back: ['volume', 'hold', 'times', 'days'],
};
