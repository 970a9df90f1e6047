import { type SchoolChoice } from '../school';
import { type SessionLog, presentOf } from '../course';
import {
  type Dose,
  formatDose,
  heldSeconds,
  holdOf,
  isUntilFormFails,
  repsOf,
  setsOf,
  repsOfSet,
} from '../dose';
import type { Exercise } from '../exercise';
import { type Chance, happens } from '../statistics';
import type { BandCurve } from '../load';
import {
  GOOD_SESSIONS,
  LEAST_RUNG_DAYS,
  type LivedDay,
  type Move,
  NOTHING_DECIDED,
  type Rungs,
  type TakenStep,
  isGrowth,
  liveCourse,
} from '../progression';
import { isDueOn } from '../schedule';
import type { PrecautionId } from '../screen';
import { type LocalDate, addDays, daysBetween, itemAt } from '../units';
import { PATIENTS, type PatientKind, type RehearsedPatient } from './kinds';

/** One week of a rehearsed course. */
export type RehearsedWeek = {
  readonly week: number;
  readonly dose: string;
  readonly exercise: string;
  /** Steps of the stairs above the first. */
  readonly rung: number;
  /** What one session asks: seconds held, or repetitions where nothing is held. */
  readonly work: number;
  readonly load: number | null;
  readonly sessions: number;
  /** Mean over the week's sessions, 0–10; null without one. */
  readonly effort: number | null;
  readonly pain: number | null;
};

export type RehearsedCourse<Kind extends PatientKind = PatientKind> = {
  readonly kind: Kind;
  readonly weeks: readonly RehearsedWeek[];
  /** What was proposed and taken on the way, with its day. */
  readonly moves: readonly { readonly day: number; readonly move: Move; readonly why: string }[];
  /** Why it stands where it ends, where nothing has grown for the last weeks; null while it grows. */
  readonly stalls: string | null;
};

/** A course with the steps themselves, and how the line stood on every morning. */
export type WholeCourse<Kind extends PatientKind = PatientKind> = RehearsedCourse<Kind> & {
  readonly taken: readonly TakenStep[];
  readonly days: readonly LivedDay[];
};

export type RehearsalFacts = {
  readonly exercise: Exercise;
  readonly dose: Dose;
  readonly school: SchoolChoice;
  /** The open step above in the same stairs; null on the last. */
  readonly nextRung: (exercise: Exercise) => Exercise | null;
  readonly previousRung?: (exercise: Exercise) => Exercise | null;
  readonly goodSessions?: number;
  readonly leastRungDays?: number;
  readonly precautions?: readonly PrecautionId[];
  readonly owned?: readonly number[];
  readonly ownedUnit?: 'kg' | 'lb' | undefined;
  readonly bands?: readonly BandCurve[];
};

/** A date for counting days only. */
export const FIRST = '2026-01-05' as LocalDate;
/** Each step of the stairs asks so much more than the one below. Ours, no source. */
const RUNG_DEMAND = 1.25;
/** The start is felt as 5 of 10. */
const START_EFFORT = 5;
/** A course that has not grown for so many weeks has stalled. */
const STALL_WEEKS = 4;

/**
 * Runs a school forward over one made-up patient, taking every proposal on its morning: what course the
 * school is likely to take, not what this patient will do.
 *
 * @param chance seeded by the caller: the same seed gives the same course
 */
export function rehearse<Kind extends PatientKind>(
  facts: RehearsalFacts,
  kind: Kind,
  weeks: number,
  chance: Chance,
): RehearsedCourse<Kind> {
  const { moves, weeks: course, stalls } = rehearseWhole(facts, kind, weeks, chance);
  return { kind, moves, weeks: course, stalls };
}

/** The same with everything that happened on the way. */
export function rehearseWhole<Kind extends PatientKind>(
  facts: RehearsalFacts,
  kind: Kind,
  weeks: number,
  chance: Chance,
): WholeCourse<Kind> {
  const patient: RehearsedPatient = PATIENTS[kind];
  const { exercise, school } = facts;
  const rungOf = ({ rung, ladder }: Pick<Exercise, 'rung' | 'ladder'>) =>
    ladder === null ? 0 : Math.max(0, rung - exercise.rung);
  const first = demandOf(facts.dose, 0);
  let capacity = first * (10 / START_EFFORT);
  const days: LivedDay[] = [];
  const logs: SessionLog[] = [];
  const lived = liveCourse(
    {
      exercise,
      from: FIRST,
      course: [
        {
          exercise,
          dose: facts.dose,
          school: school.id,
          from: FIRST,
          by: 'a clinician',
          sessions: [],
        },
      ],
    },
    {
      school,
      goodSessions: facts.goodSessions ?? GOOD_SESSIONS,
      leastRungDays: facts.leastRungDays ?? LEAST_RUNG_DAYS,
      precautions: facts.precautions ?? [],
      rungs: rungsOf(facts),
      owned: facts.owned ?? [],
      ownedUnit: facts.ownedUnit,
      bands: facts.bands ?? [],
      faults: 0,
      limb: school.id === 'repeated' ? 'drawing in' : null,
      limbSince: null,
      improvedOn: null,
      decided: NOTHING_DECIDED,
    },
    weeks * 7,
    (day) => {
      days.push(day);
      if (!isDue(day.dose, day.date) || !happens(chance, patient.begins)) return [];
      const demand = demandOf(day.dose, rungOf(day.exercise));
      const log = sessionOf(patient, day, demand / capacity, demand / first, chance);
      capacity *= 1 + patient.gain * Math.min(1, log.share);
      logs.push(log);
      return [log];
    },
  );
  const moves = lived.taken.map(({ date, step }) => ({
    day: daysBetween(FIRST, date),
    move: step.move,
    why: step.why,
  }));
  const grewLately = moves.some(
    ({ day, move }) => isGrowth({ move }) && day >= (weeks - STALL_WEEKS) * 7,
  );
  return {
    kind,
    moves,
    weeks: Array.from({ length: weeks }, (_, at) => weekOf(at + 1, days, logs, rungOf)),
    stalls: grewLately ? null : lived.last.why,
    taken: lived.taken,
    days: [...days, lastDay(lived, weeks)],
  };
}

const rungsOf = ({ nextRung, previousRung }: RehearsalFacts): Rungs => ({
  above: nextRung,
  below: previousRung ?? (() => null),
});

function lastDay(lived: ReturnType<typeof liveCourse>, weeks: number): LivedDay {
  const { course, exercise } = lived;
  return { date: addDays(FIRST, weeks * 7), exercise, course, dose: presentOf(course).dose };
}

function weekOf(
  week: number,
  days: readonly LivedDay[],
  logs: readonly SessionLog[],
  rungOf: (exercise: Exercise) => number,
): RehearsedWeek {
  const from = addDays(FIRST, (week - 1) * 7);
  const to = addDays(FIRST, week * 7);
  const within = logs.filter(({ date }) => date >= from && date < to);
  const last = itemAt(
    days.filter(({ date }) => date < to),
    -1,
  );
  const mean = (values: readonly number[]) =>
    values.length === 0 ? null : values.reduce((sum, value) => sum + value, 0) / values.length;
  return {
    week,
    dose: formatDose(last.dose),
    exercise: last.exercise.name,
    rung: rungOf(last.exercise),
    work: workOfDose(last.dose),
    load: loadOf(last.dose),
    sessions: within.length,
    effort: mean(within.flatMap(({ effort }) => effort ?? [])),
    pain: mean(within.flatMap(({ pain }) => pain ?? [])),
  };
}

/** A session of this patient at so much of what they can do. */
function sessionOf(
  patient: RehearsedPatient,
  { date, dose }: LivedDay,
  ratio: number,
  timesFirst: number,
  chance: Chance,
): SessionLog {
  const { spell, provokedAt, overdoes } = patient;
  const day = daysBetween(FIRST, date);
  const isBad = spell !== null && day >= spell.from && day < spell.from + spell.days;
  const isProvoked = provokedAt !== null && timesFirst >= provokedAt;
  const asked = ratio * overdoes;
  const effort = Math.min(10, Math.max(0, Math.round(10 * asked + 0.6 * chance.normal())));
  const strain = Math.max(0, asked - START_EFFORT / 10);
  const hurts = patient.pain + 5 * strain + (isBad ? 3 : 0) + (isProvoked ? 2 : 0);
  const pain = Math.round(Math.min(10, Math.max(0, hurts + 0.7 * chance.normal())));
  const flared = happens(chance, patient.sore * (1 + 4 * strain) + (isBad ? 0.5 : 0));
  const tells = happens(chance, patient.tells);
  const morning = isProvoked
    ? 'flare'
    : flared
      ? happens(chance, 0.2)
        ? 'flare'
        : 'still sore'
      : pain > 2
        ? 'settled'
        : 'none';
  const log = logOf(dose, date, ratio, overdoes, chance);
  return tells
    ? { ...log, effort, pain, nextMorning: morning }
    : { ...log, effort: null, pain: null, nextMorning: null };
}

function isDue(dose: Dose, date: LocalDate): boolean {
  const endless: Dose = { ...dose };
  delete (endless as { until?: unknown }).until;
  delete (endless as { fromDay?: unknown }).fromDay;
  return isDueOn({ lineage: '', anchor: FIRST, dose: endless }, date);
}

/** Seconds held in a session, or repetitions where nothing is held; at the least. */
function workOfDose(dose: Dose): number {
  return heldSeconds(dose)?.least ?? repsOf(dose).least;
}

function loadOf({ load }: Dose): number | null {
  if (load?.kind !== 'weight') return null;
  return Math.max(...load.perSet.map((one) => (one === 'adj' ? 0 : one)));
}

/** What a session asks beside others of the same line: longer holds and heavier weights weigh more. */
function demandOf(dose: Dose, rung: number): number {
  const hold = holdOf(dose)?.least ?? 1;
  const load = loadOf(dose) ?? 1;
  return Math.sqrt(workOfDose(dose)) * Math.sqrt(hold) * load * RUNG_DEMAND ** rung;
}

/** What a set until form fails comes to at a well chosen load. Common practice, no source. */
const MAX_WELL_CHOSEN = 6;

function logOf(
  dose: Dose,
  date: LocalDate,
  ratio: number,
  overdoes: number,
  chance: Chance,
): Omit<SessionLog, 'effort' | 'pain' | 'nextMorning'> {
  const { head } = dose;
  const share = (ratio <= 0.9 ? 1 : Math.max(0.4, 0.9 / ratio)) * overdoes;
  const room = Math.max(0, 1 - ratio);
  const sets = Array.from({ length: setsOf(head).least }, (_, set) => {
    const { least, most } = repsOfSet(head, set);
    // Who has strength in hand does more of a range, or of "as many as possible".
    const more = Math.round(room * 2 * Math.max(most - least, 6) + chance.normal());
    if (isUntilFormFails(head, set)) return Math.max(1, MAX_WELL_CHOSEN + more);
    return most > least ? Math.max(1, Math.min(most, least + more)) : least;
  });
  const counted = sets.flatMap((reps, set) =>
    isUntilFormFails(head, set) ? [{ set: set + 1, reps, load: null }] : [],
  );
  return {
    id: `session of ${date}`,
    date,
    share,
    sets,
    ...(counted.length > 0 ? { counted } : {}),
    hold: holdOf(dose)?.least ?? null,
    skipped: null,
    stopped: 'no',
  };
}
