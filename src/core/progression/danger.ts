import { NO_SETTINGS, TRADE } from '../school';
import {
  type Happening,
  type HappeningKind,
  HAPPENINGS,
  asksLess,
  daysOf,
  hasPassed,
  moreIn,
  presentOf,
  worthOf,
} from '../course';
import { type Dose, without } from '../dose';
import type { Exercise } from '../exercise';
import { daysBetween, textOrder } from '../units';
import { type LimbWord, type Step, type StepFacts, saidChange } from './facts';
import { ownedFor } from './owned';
import { stationsFor } from './steps/holds';
import { SCHOOL_RULES } from './schools';
import { noMoreThan, startOnStep } from './steps/on-step';
import { type Takeable, takeOff, withDayBetween } from './steps/take-off';

const THOMEE = 'Traffic light during exercise (Thomeé 1997; from memory).';

/** What a limb can do that comes before every gain, in words. */
const LIMB_ALARMS = {
  spreading: 'Symptoms spread down the limb',
  'deficit grows': 'Weakness or numbness grows',
} as const;

/** What speaks against every gain in a limb; null where nothing does. */
export function limbAlarm(limb: LimbWord | null): string | null {
  return limb === 'spreading' || limb === 'deficit grows' ? LIMB_ALARMS[limb] : null;
}

/** What is done about each kind of happening. */
const ANSWERS: Readonly<Record<HappeningKind, 'stop' | 'back' | 'rest'>> = {
  stopped: 'stop',
  'red light': 'back',
  'second flare': 'back',
  'amber, not settled': 'back',
  flare: 'rest',
  'sore again': 'rest',
  'left out for pain': 'back',
};

/** What is taken off a line without a school. */
const WITHOUT_SCHOOL: readonly Takeable[] = [
  'load',
  'band',
  'hold',
  'volume',
  'stations',
  'effort',
  'days',
  'times',
];

/** More days of a week than these have room for a day in between. */
const EVERY_OTHER_DAY = 3.5;

/**
 * Eased off so often within so many days, and still not borne: it is not the dose, and is looked at.
 * Common practice, no source.
 */
export const EASED_OFF = { times: 3, days: 14 } as const;

/** How often proposals eased the line off lately. */
function timesEased({ course, today }: StepFacts): number {
  return course.filter((one, at) => {
    const before = course[at - 1];
    return (
      before !== undefined &&
      one.by === 'a proposal' &&
      daysBetween(one.from, today) <= EASED_OFF.days &&
      (one.exercise.id === before.exercise.id
        ? asksLess(one.dose, before.dose)
        : one.exercise.rung < before.exercise.rung)
    );
  }).length;
}

type Found = Omit<Step, 'source' | 'choices' | 'asks'>;

/**
 * What a limb's change, or something that went wrong and nobody has decided on, asks for; before every
 * school. A limb is looked at before any session; of several happenings the gravest comes first, then
 * the newest.
 *
 * @returns null where nothing stands
 */
export function dangerStep(facts: StepFacts, happenings: readonly Happening[]): Step | null {
  const limb = limbStep(facts);
  if (limb) return whole(limb, TRADE);
  const open = happenings
    .filter((one) => isOpen(facts, one))
    // Of one day's the last that was told.
    .reverse()
    .sort(
      (a, b) =>
        HAPPENINGS.indexOf(a.kind) - HAPPENINGS.indexOf(b.kind) || textOrder(b.date, a.date),
    );
  const [gravest] = open;
  return gravest
    ? whole(
        answer(facts, gravest),
        gravest.kind === 'red light' || gravest.kind === 'amber, not settled' ? THOMEE : TRADE,
      )
    : null;
}

const whole = (found: Found, source: string): Step => ({
  ...found,
  source,
  choices: [],
  asks: null,
});

function limbStep({ limb, limbSince, school, exercise, decided }: StepFacts): Found | null {
  const alarm = limbAlarm(limb);
  const event = `limb ${limb ?? ''} since ${limbSince ?? 'the start'}`;
  if (alarm === null || decided.events.has(event)) return null;
  const why =
    school?.id === 'repeated'
      ? `${alarm}: only the direction that draws symptoms in is repeated.`
      : exercise.purpose === 'glide'
        ? `${alarm}: examine the nerve before glides go on.`
        : null;
  return why === null ? null : { move: 'stop', dose: null, exercise: null, why, event };
}

/**
 * Whether something that went wrong still asks for an answer: nobody has decided on it, the line asks
 * no less than it did then, and it has not passed by as many borne days as growth asks for. A stop
 * stands until somebody lets the programme go on.
 */
function isOpen({ course, decided, goodSessions }: StepFacts, happening: Happening): boolean {
  if (decided.events.has(happening.event)) return false;
  if (happening.kind === 'stopped') return happening.stands;
  // Once the line has asked less since then, it is answered, also when it has grown again.
  const { exercise, dose } = happening.stretch;
  const answered = course
    .slice(course.indexOf(happening.stretch) + 1)
    .some((later) =>
      later.exercise.id === exercise.id
        ? asksLess(later.dose, dose)
        : later.exercise.ladder !== exercise.ladder || later.exercise.rung < exercise.rung,
    );
  if (answered) return false;
  return !hasPassed(course, happening.date, goodSessions);
}

function answer(facts: StepFacts, happening: Happening): Found {
  const { say, event } = happening;
  const { dose } = presentOf(facts.course);
  const eased = timesEased(facts);
  if (eased >= EASED_OFF.times && happening.kind !== 'stopped')
    return {
      move: 'stop',
      dose: null,
      exercise: null,
      why: `${say}, though it was eased off ${eased} times in ${EASED_OFF.days} days: it is not the dose alone. Leave it out until it has been looked at.`,
      event,
    };
  switch (ANSWERS[happening.kind]) {
    case 'stop':
      return {
        move: 'stop',
        dose: null,
        exercise: null,
        why: `${say}: examine before it goes on.`,
        event,
      };
    case 'back':
      return back(facts, say, event);
    case 'rest': {
      // A day in between has been tried where there is one: then it is too much.
      const rested = daysOf(dose) > EVERY_OTHER_DAY ? withDayBetween(dose) : null;
      return rested
        ? rest(rested, `${say}: a day in between, ${saidChange(dose, rested)}.`, event)
        : back(facts, say, event);
    }
  }
}

const rest = (dose: Dose | null, why: string, event: string): Found => ({
  move: 'rest day',
  dose,
  exercise: null,
  why,
  event,
});

/** A step back: what grew last is undone; else a notch less by the school's order; else the step below. */
function back(facts: StepFacts, because: string, event: string): Found {
  const { course, exercise, school, rungs } = facts;
  const { dose } = presentOf(course);
  const to = (less: Dose, other: Exercise | null, how: string): Found => ({
    move: 'step back',
    dose: less,
    exercise: other,
    why: `${because}: ${how}.`,
    event,
  });
  const isNoMore = (less: Dose) => moreIn(less, dose).length === 0;
  const undone = lastBorne(facts);
  if (undone) return to(undone, null, `back to what was borne, ${saidChange(dose, undone)}`);
  const below = rungs.below(exercise);
  const came = below && cameFrom(facts, below);
  if (below && came && isNoMore(came))
    return to(came, below, `back down the stairs, ${below.name}`);
  const order = school ? SCHOOL_RULES[school.id].back : WITHOUT_SCHOOL;
  const { holds } = school?.settings ?? NO_SETTINGS;
  const stations = stationsFor(dose, exercise, holds);
  const less = takeOff(dose, order, { stations, ...ownedFor(dose, facts) });
  // A rarer day is the last thing: a step of the stairs comes before it.
  if (less && less.measure !== 'days' && less.measure !== 'times')
    return to(less.dose, null, saidChange(dose, less.dose));
  if (below) {
    const start = noMoreThan(knownOn(facts, below) ?? startOnStep(dose, below, school), dose, true);
    if (isNoMore(start)) return to(start, below, `one step down the stairs, ${below.name}`);
  }
  if (less) return to(less.dose, null, saidChange(dose, less.dose));
  return rest(
    null,
    `${because}: nothing is left to take off. Leave out the next session, and look at it together.`,
    event,
  );
}

/** The dose before the present one, where a proposal made the present one of it and it was borne. */
function lastBorne({ course, exercise }: StepFacts): Dose | null {
  const present = presentOf(course);
  const before = course[course.length - 2];
  if (!before || present.by !== 'a proposal' || before.exercise.id !== exercise.id) return null;
  const borne = before.sessions.some((log) => worthOf(log, before.dose) === 'good');
  return borne && asksLess(before.dose, present.dose) ? withEndOf(before.dose, present.dose) : null;
}

/** What was done on the step below, where the last thing that changed was the step up from it. */
function cameFrom({ course }: StepFacts, below: Exercise): Dose | null {
  const present = presentOf(course);
  const before = course[course.length - 2];
  if (!before || present.by !== 'a proposal' || before.exercise.id !== below.id) return null;
  return noMoreThan(withEndOf(before.dose, present.dose), present.dose, true);
}

/** The last dose of another step that was borne. */
function knownOn({ course }: StepFacts, other: Exercise): Dose | null {
  const found = course.findLast(
    (one) =>
      one.exercise.id === other.id && one.sessions.some((log) => worthOf(log, one.dose) === 'good'),
  );
  return found ? withEndOf(found.dose, presentOf(course).dose) : null;
}

/** An earlier dose that ends, and rests, as the present one does. */
function withEndOf(earlier: Dose, present: Dose): Dose {
  const { until, fromDay, days } = present;
  const rarer = days && daysOf(present) < daysOf(earlier) ? days : earlier.days;
  return {
    ...without(earlier, 'until', 'fromDay', 'days'),
    ...(rarer && { days: rarer }),
    ...(until && { until }),
    ...(fromDay !== undefined && { fromDay }),
  };
}
