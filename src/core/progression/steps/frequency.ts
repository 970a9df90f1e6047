import type { MeasureName } from '../../course';
import { timesOf } from '../../course';
import type { Dose } from '../../dose';
import type { Exercise } from '../../exercise';
import { exactly } from '../../units';

/** The measures that a school or a way back can raise. */
export type GrownMeasure = Exclude<MeasureName, 'work'>;

/**
 * Once more a day, where the exercise's method says that a second and a third session are added as it
 * settles.
 *
 * @returns null where it says nothing, at its end, or where it is done by the clock or when needed
 * @example nextTimes(parse('x10 hold 5s'), nodAndHold) // x10 hold 5s 2/day
 */
export function nextTimes(dose: Dose, { growth }: Pick<Exercise, 'growth'>): Dose | null {
  const end = growth?.timesADay ?? 1;
  if (dose.times !== undefined && dose.times.kind !== 'per day') return null;
  const { most } = timesOf(dose);
  return most < end ? { ...dose, times: { kind: 'per day', times: exactly(most + 1) } } : null;
}
