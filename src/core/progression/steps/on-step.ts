import { type SchoolChoice } from '../../school';
import { asksAtLeast, compared, moreIn } from '../../course';
import { type Dose, type Head, holdOf, doseOf, restAsGap, withoutIdleGap } from '../../dose';
import type { Exercise } from '../../exercise';
import { type Seconds, exactly } from '../../units';
import { withHold } from './holds';
import { fewerInEach } from './take-off';

/**
 * Where another step of the stairs begins: its own dose under the same school, on the same days until
 * the same end; no longer held and no more of it than the step before, since the step itself is the
 * one thing that changes, and once a day unless its own dose says otherwise.
 */
export function startOnStep(dose: Dose, exercise: Exercise, school: SchoolChoice | null): Dose {
  const own = school ? exercise.doses[school.id] : undefined;
  const { days, until, fromDay, side } = dose;
  const start = doseOf(own ?? exercise.usualDose);
  return noMoreThan(
    {
      ...start,
      ...(days && { days }),
      ...(until && { until }),
      ...(fromDay !== undefined && { fromDay }),
      // One side of the patient, where the new step has sides too.
      ...(side && start.side && { side }),
    },
    dose,
  );
}

/**
 * A dose that is held no longer, and for no more seconds in all, than another one; where nothing is
 * held, with no more repetitions.
 *
 * @param everyMeasure no harder, and with no more repetitions also where it is held: what a step back must be
 */
export function noMoreThan(dose: Dose, limit: Dose, everyMeasure = false): Dose {
  const less = clippedTimes(clippedHold(dose, limit), limit);
  return clippedVolume(everyMeasure ? clippedEffort(less, limit) : less, limit, everyMeasure);
}

function clippedHold(dose: Dose, limit: Dose): Dose {
  const [hold, most] = [holdOf(dose), holdOf(limit)];
  if (!hold || !most || (hold.most <= most.most && hold.least <= most.least)) return dose;
  const less = (a: Seconds, b: Seconds) => (a < b ? a : b);
  return withHold(dose, { least: less(hold.least, most.least), most: less(hold.most, most.most) });
}

/** No harder either, where both say how hard in the same way. */
function clippedEffort(dose: Dose, limit: Dose): Dose {
  const [mine, most] = [dose.effort, limit.effort];
  return mine && most && mine.kind === most.kind && moreIn(dose, limit).includes('effort')
    ? { ...dose, effort: most }
    : dose;
}

function clippedTimes(dose: Dose, limit: Dose): Dose {
  return dose.times?.kind === 'per day' && (compared(dose, limit, 'times')?.most ?? 0) > 0
    ? { ...dose, times: { kind: 'per day', times: exactly(1) } }
    : dose;
}

/** Fewer sets, then fewer repetitions, until it is no more. */
function clippedVolume(dose: Dose, limit: Dose, everyMeasure: boolean): Dose {
  const isMore = (one: Dose) =>
    moreIn(one, limit).some(
      (measure) =>
        measure === 'work' || (measure === 'volume' && (everyMeasure || holdOf(one) === null)),
    );
  let now = dose;
  while (isMore(now)) {
    const head = smaller(now.head);
    if (head === null) break;
    now = restAsGap({ ...now, head });
  }
  return now === dose ? now : withoutIdleGap(now);
}

function smaller(head: Head): Head | null {
  const one = (range: { least: number; most: number }) =>
    exactly(range.least < range.most ? range.least : range.most - 1);
  if (head.kind === 'bouts')
    return head.bouts.most > 1 ? { ...head, bouts: one(head.bouts) } : null;
  if (head.kind === 'pyramid') {
    const reps = fewerInEach(head.reps);
    return reps && { ...head, reps };
  }
  if (head.sets.most > 1) return { ...head, sets: one(head.sets) };
  return head.reps.most > 1 ? { ...head, reps: one(head.reps) } : null;
}

/** A smaller start: half as many, where what the step begins with was too much. */
export function halfOf(dose: Dose): Dose | null {
  const { head } = dose;
  if (dose.load && dose.load.perSet.length > 1) return null;
  const half = (most: number) => exactly(Math.max(1, Math.floor(most / 2)));
  const smallerHead: Head | null =
    head.kind === 'bouts'
      ? { ...head, bouts: half(head.bouts.most) }
      : head.kind === 'sets'
        ? head.sets.most > 1
          ? { ...head, sets: half(head.sets.most) }
          : { ...head, reps: half(head.reps.most) }
        : null;
  if (smallerHead === null) return null;
  const found = withoutIdleGap(restAsGap({ ...dose, head: smallerHead }));
  return asksAtLeast(found, dose) ? null : found;
}
