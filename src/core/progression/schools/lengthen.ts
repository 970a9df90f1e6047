import { stationsFor } from '../steps/holds';
import { SCHOOLS } from '../../school';
import { longHeld, longerHold } from './held';
import { type SchoolRule, thenOften } from './school';

/** Same step, longer holds; then the next step. */
export const LENGTHEN: SchoolRule = {
  ...SCHOOLS.lengthen,
  ready: longHeld,
  next: (standing) => {
    const { dose, exercise, settings } = standing;
    const longer = longerHold(standing, stationsFor(dose, exercise, settings.holds));
    return longer ?? thenOften(standing, 'The longest hold is held: the next step.');
  },
  back: ['hold', 'volume', 'effort', 'days', 'times'],
};
