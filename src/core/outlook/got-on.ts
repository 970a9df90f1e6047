import { type Worth, isUnsettled, lightOf, worthOf } from '../course';
import type { Exercise } from '../exercise';
import { type Share, shareInterval } from '../statistics';
import { addDays } from '../units';
import type { CourseRecord } from './course-of';
import { sessionsOf } from './sessions-of';

/** Days of sessions that are looked at. */
export const GOT_ON_DAYS = 84;
/** Of fewer patients nothing is said: a reader could tell who they are. */
export const FEWEST_PATIENTS = 5;

/** Where an exercise stands with a patient now. */
type Now = 'has it' | 'a harder step' | 'an easier step' | 'no more';

/** How one patient got on with one exercise. */
export type OneGotOn = {
  readonly now: Now;
  readonly sessions: Readonly<Record<Worth, number>>;
  readonly leftForPain: number;
  /** Sessions whose pain was told, and those of them over the traffic light's acceptable. */
  readonly pains: number;
  readonly red: number;
  /** Next mornings told, and those of them with trouble. */
  readonly mornings: number;
  readonly troubled: number;
  /** Sessions with it that were ended for a symptom, of this exercise or another. */
  readonly stopped: number;
};

type ById = (id: string) => Exercise | null;

/**
 * How a patient got on with an exercise in the last weeks, whatever its dose.
 *
 * @returns null where no version of theirs has it
 */
export function oneGotOn(
  record: Pick<CourseRecord, 'facts' | 'reports'>,
  exerciseId: string,
  byId: ById,
): OneGotOn | null {
  const { versions, today } = record.facts;
  const had = versions.flatMap(({ number, lines }) =>
    lines.flatMap((line) => (line.exerciseId === exerciseId ? [{ number, line }] : [])),
  );
  const newest = versions.at(-1);
  if (had.length === 0 || !newest) return null;
  const since = addDays(today, -GOT_ON_DAYS);
  const of = sessionsOf(record);
  const found = had.flatMap(({ number, line }) =>
    of(number, line.lineage)
      .filter(({ date }) => date >= since)
      .map((log) => ({ log, worth: worthOf(log, line.dose) })),
  );
  const count = (is: (one: (typeof found)[number]) => boolean) => found.filter(is).length;
  const worth = (wanted: Worth) => count((one) => one.worth === wanted);
  return {
    now: standing(
      newest.lines.map((line) => line.exerciseId),
      exerciseId,
      byId,
    ),
    sessions: {
      good: worth('good'),
      untold: worth('untold'),
      'not good': worth('not good'),
      'left out': worth('left out'),
    },
    leftForPain: count(({ log }) => log.skipped === 'pain' && log.share < 1),
    pains: count(({ log }) => log.pain !== null),
    red: count(({ log }) => log.pain !== null && lightOf(log.pain) === 'red'),
    mornings: count(({ log }) => log.nextMorning !== null),
    troubled: count(({ log }) => isUnsettled(log)),
    stopped: count(({ log }) => log.stopped !== 'no'),
  };
}

/** Whether the newest version has it, or another step of its stairs in its place. */
function standing(newest: readonly string[], exerciseId: string, byId: ById): Now {
  if (newest.includes(exerciseId)) return 'has it';
  const { ladder = null, rung = 0 } = byId(exerciseId) ?? {};
  const rungs = newest.flatMap((id) => {
    const other = byId(id);
    return ladder !== null && other?.ladder === ladder ? [other.rung] : [];
  });
  if (rungs.some((other) => other > rung)) return 'a harder step';
  return rungs.length > 0 ? 'an easier step' : 'no more';
}

/** How a clinic's patients got on with an exercise, together. */
export type GotOn =
  | { readonly kind: 'too few' }
  | {
      readonly kind: 'counted';
      readonly patients: number;
      readonly now: Readonly<Record<Now, number>>;
      readonly sessions: number;
      readonly untold: number;
      readonly leftOut: number;
      readonly leftForPain: number;
      /** Of the sessions that can be judged. */
      readonly good: (Share & { readonly of: number }) | null;
      /** Of the sessions whose pain was told. */
      readonly red: (Share & { readonly of: number }) | null;
      /** Of the mornings that were told. */
      readonly troubled: (Share & { readonly of: number }) | null;
      readonly stopped: number;
    };

/**
 * All patients together, in the order of nothing. It claims no cause: whoever has an exercise was given
 * it for a reason.
 */
export function gotOn(ones: readonly OneGotOn[]): GotOn {
  if (ones.length < FEWEST_PATIENTS) return { kind: 'too few' };
  const sum = (of: (one: OneGotOn) => number) => ones.reduce((total, one) => total + of(one), 0);
  const now = (where: Now) => ones.filter((one) => one.now === where).length;
  const worth = (wanted: Worth) => sum(({ sessions }) => sessions[wanted]);
  const share = (counted: number, of: number) => {
    const found = shareInterval(counted, of);
    return found && { ...found, of };
  };
  const [good, notGood, untold, leftOut] = [
    worth('good'),
    worth('not good'),
    worth('untold'),
    worth('left out'),
  ];
  return {
    kind: 'counted',
    patients: ones.length,
    now: {
      'has it': now('has it'),
      'a harder step': now('a harder step'),
      'an easier step': now('an easier step'),
      'no more': now('no more'),
    },
    sessions: good + notGood + untold,
    untold,
    leftOut,
    leftForPain: sum((one) => one.leftForPain),
    good: share(good, good + notGood),
    red: share(
      sum((one) => one.red),
      sum((one) => one.pains),
    ),
    troubled: share(
      sum((one) => one.troubled),
      sum((one) => one.mornings),
    ),
    stopped: sum((one) => one.stopped),
  };
}
