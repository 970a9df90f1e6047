import {
  type Course,
  type MeasureName,
  type Stretch,
  compared,
  moreIn,
  presentOf,
} from '../../course';
import { type Dose, type Head, holdOf, without, restAsGap } from '../../dose';
import { type Seconds, exactly, isExact } from '../../units';
import { towards, withHold } from './holds';
import { isReadable } from './take-off';

/**
 * What is given back in which order after a reduction: how much first, how often last. The work is
 * what the others come to.
 */
const ORDER: readonly Exclude<MeasureName, 'work'>[] = [
  'hold',
  'volume',
  'stations',
  'load',
  'band',
  'effort',
  'days',
  'times',
];

/** A measure that was taken off and can be given back by one bounded step. */
export type GivenBack = {
  readonly measure: Exclude<MeasureName, 'work'>;
  readonly dose: Dose;
  /** The dose it was once. */
  readonly was: Dose;
};

type PyramidReps = Extract<Head, { kind: 'pyramid' }>['reps'];

/** Repetitions come back by half as much again at once, or by one. */
const MORE = 1.5;

/**
 * Ways back up, one measure each: whatever the present exercise was once asked since a clinician last
 * wrote it, and is not asked any more. What a clinician took off stays off. A step of the stairs that
 * was begun smaller than its own dose grows to that.
 *
 * @param own the present exercise's own dose under its school
 * @returns none where nothing was taken off
 */
export function givenBack(course: Course, own: Dose): GivenBack[] {
  const present = presentOf(course);
  const [first, ...rest] = sinceTheirWord(course);
  const begunByStep = first?.by === 'a proposal';
  const before = [
    ...(first ? [first, ...rest] : []).map(({ dose }) => dose),
    ...(begunByStep ? [own] : []),
  ];
  return ORDER.flatMap((measure): GivenBack[] => {
    const was = nextAbove(before, present.dose, measure);
    if (was === null) return [];
    const dose = raised(present.dose, was, measure);
    return dose !== null && moreIn(dose, present.dose).includes(measure) && isReadable(dose)
      ? [{ measure, dose, was }]
      : [];
  });
}

/** Doses of the present exercise from a clinician's last word on, on its way through other steps too. */
function sinceTheirWord(course: Course): Stretch[] {
  const { exercise } = presentOf(course);
  const from = course.findLastIndex(
    (one) => one.by === 'a clinician' && one.exercise.id === exercise.id,
  );
  return course.slice(Math.max(0, from)).filter((one) => one.exercise.id === exercise.id);
}

/** The least of the doses that ask more than the present one in a measure: one notch at a time. */
function nextAbove(doses: readonly Dose[], present: Dose, measure: MeasureName): Dose | null {
  return doses
    .filter((one) => moreIn(one, present).includes(measure))
    .reduce<Dose | null>((least, one) => {
      if (least === null) return one;
      const than = compared(one, least, measure);
      return than !== null && (than.most < 0 || (than.most === 0 && than.least < 0)) ? one : least;
    }, null);
}

/** The present dose with one measure a bounded step nearer to what it was. */
function raised(dose: Dose, was: Dose, measure: Exclude<MeasureName, 'work'>): Dose | null {
  switch (measure) {
    case 'hold':
      return raisedHold(dose, was);
    case 'volume':
      return raisedVolume(dose, was);
    case 'stations':
      return was.stations ? { ...dose, stations: was.stations } : null;
    case 'load':
      return was.load ? { ...dose, load: was.load } : null;
    case 'band':
      return was.band ? { ...dose, band: was.band } : null;
    case 'effort':
      return was.effort ? { ...dose, effort: was.effort } : null;
    case 'times':
      return raisedTimes(dose, was);
    case 'days':
      return raisedDays(dose, was);
  }
}

/** A range that was written is widened again, an exact hold grows towards what it was. */
function raisedHold(dose: Dose, was: Dose): Dose | null {
  const [hold, target] = [holdOf(dose), holdOf(was)];
  if (!hold || !target) return null;
  const to = (least: number, most: number) =>
    withHold(dose, { least: least as Seconds, most: most as Seconds });
  if (!isExact(target)) {
    if (hold.most < target.least && !isExact(hold))
      return to(towards(hold.least, hold.most), hold.most);
    if (hold.most < target.least) {
      const next = towards(hold.most, target.least);
      return to(next, next);
    }
    if (hold.most < target.most) return to(hold.least, towards(hold.most, target.most));
    return to(towards(hold.least, target.least), hold.most);
  }
  if (!isExact(hold)) return to(towards(hold.least, hold.most), hold.most);
  const next = towards(hold.most, target.most);
  return next > hold.most ? to(next, next) : null;
}

function raisedVolume(dose: Dose, was: Dose): Dose | null {
  const [head, target] = [dose.head, was.head];
  if (head.kind === 'bouts' && target.kind === 'bouts')
    return { ...dose, ...gapOf(was), head: { ...head, bouts: oneMore(head.bouts, target.bouts) } };
  if (head.kind === 'pyramid' && target.kind === 'pyramid')
    return { ...dose, head: { ...head, reps: oneMoreInEach(head.reps, target.reps) } };
  if (head.kind !== 'sets' || target.kind !== 'sets') return null;
  if (head.reps.most < target.reps.most) {
    const most = Math.max(head.reps.most + 1, Math.floor(head.reps.most * MORE));
    const reps = most >= target.reps.most ? target.reps : exactly(most);
    return { ...dose, head: { ...head, reps } as Head };
  }
  const { rest } = was;
  const sets = oneMore(head.sets, target.sets);
  return restAsGap({ ...dose, ...(rest && { rest }), head: { ...head, sets } });
}

/** Of one bout a pause was left out with it. */
const gapOf = ({ gap }: Dose) => (gap ? { gap } : {});

/** One repetition more in every set that had more. */
function oneMoreInEach(now: PyramidReps, was: PyramidReps): PyramidReps {
  return now.map((reps, set) => {
    const target = was[set];
    return typeof reps === 'number' && typeof target === 'number' && reps < target
      ? reps + 1
      : reps;
  });
}

const oneMore = (now: { least: number; most: number }, was: { least: number; most: number }) =>
  now.most + 1 >= was.most ? was : exactly(now.most + 1);

function raisedTimes(dose: Dose, was: Dose): Dose | null {
  if (dose.times?.kind !== 'per day' && dose.times !== undefined) return null;
  if (was.times?.kind !== 'per day') return null;
  const most = (dose.times?.times.most ?? 1) + 1;
  const { least } = was.times.times;
  return { ...dose, times: { kind: 'per day', times: { least: Math.min(least, most), most } } };
}

/** Every third day becomes every other, that daily, or the named days it was. */
function raisedDays(dose: Dose, was: Dose): Dose | null {
  const { days } = dose;
  if (days?.kind === 'weekdays')
    return was.days?.kind === 'weekdays'
      ? {
          ...dose,
          days: { ...days, weekdays: was.days.weekdays.slice(0, days.weekdays.length + 1) },
        }
      : null;
  if (days?.kind !== 'every') return null;
  if (was.days?.kind === 'every' && was.days.n >= days.n - 1) return { ...dose, days: was.days };
  if (days.n > 2) return { ...dose, days: { kind: 'every', n: days.n - 1 } };
  return was.days ? { ...dose, days: was.days } : without(dose, 'days');
}
