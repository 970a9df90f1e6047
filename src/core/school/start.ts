import { type Dose, doseOf } from '../dose';
import type { Exercise, SchoolId } from '../exercise';
import { SCHOOLS } from './schools';
import type { SchoolSettings } from './settings';

/** The schools this exercise can be dosed by, in the order of the table. */
export function schoolsFor(exercise: Exercise): SchoolId[] {
  return (Object.keys(SCHOOLS) as SchoolId[]).filter(
    (id) => exercise.doses[id] !== undefined || SCHOOLS[id].fits(exercise),
  );
}

/** Where a school starts an exercise. */
export function startDose(id: SchoolId, exercise: Exercise, settings: SchoolSettings): Dose {
  const own = settings.tenRepMaximum === null && settings.holds.length === 0;
  const line = own ? exercise.doses[id] : undefined;
  return doseOf(line ?? SCHOOLS[id].start(settings));
}
