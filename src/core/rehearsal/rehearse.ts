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
import type { Chance } from '../follow';
import {
  GOOD_SESSIONS,
  type Move,
  type SchoolChoice,
  type SessionLog,
  daysAWeek,
  nextStep,
} from '../progression';
import { isDueOn } from '../schedule';
import { type LocalDate, addDays } from '../units';
import { REHEARSED, type RehearsedKind } from './kinds';

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

export type RehearsedCourse = {
  readonly kind: RehearsedKind;
  readonly weeks: readonly RehearsedWeek[];
  /** What was proposed and taken on the way, with its day. */
  readonly moves: readonly { readonly day: number; readonly move: Move; readonly why: string }[];
};

export type RehearsalFacts = {
  readonly exercise: Exercise;
  readonly dose: Dose;
  readonly school: SchoolChoice;
  /** The open step above in the same stairs; null on the last. */
  readonly nextRung: (exercise: Exercise) => Exercise | null;
  readonly goodSessions?: number;
};

/** A date for counting days only. */
const FIRST = '2026-01-05' as LocalDate;
/** Each step of the stairs asks so much more than the one below. Ours, no source. */
const RUNG_DEMAND = 1.25;
/** The start is felt as 5 of 10. */
const START_EFFORT = 5;

/**
 * Runs a school forward over one made-up patient, taking every proposal at once: what course the
 * school is likely to take, not what this patient will do.
 *
 * @param chance seeded by the caller: the same seed gives the same course
 */
export function rehearse(
  facts: RehearsalFacts,
  kind: RehearsedKind,
  weeks: number,
  chance: Chance,
): RehearsedCourse {
  const patient = REHEARSED[kind];
  let { exercise, dose } = facts;
  let rung = 0;
  let logs: SessionLog[] = [];
  let capacity = demandOf(dose, 0) * (10 / START_EFFORT);
  const moves: RehearsedCourse['moves'][number][] = [];
  const course: RehearsedWeek[] = [];
  for (let week = 1; week <= weeks; week += 1) {
    const felt: { effort: number; pain: number }[] = [];
    for (let day = (week - 1) * 7; day < week * 7; day += 1) {
      const date = addDays(FIRST, day);
      if (!isDue(dose, date) || chance.fraction() > patient.begins) continue;
      const ratio = demandOf(dose, rung) / capacity;
      const effort = Math.min(10, Math.max(0, Math.round(10 * ratio + 0.6 * chance.normal())));
      const strain = Math.max(0, ratio - START_EFFORT / 10);
      const pain = Math.round(
        Math.min(10, Math.max(0, patient.pain + 5 * strain + 0.7 * chance.normal())),
      );
      const flared = chance.fraction() < patient.sore * (1 + 4 * strain);
      const log = logOf(dose, date, ratio, effort, pain, flared, chance);
      logs.push(log);
      felt.push({ effort, pain });
      capacity *= 1 + patient.gain * Math.min(1, log.share);
      const step = nextStep({
        exercise,
        dose,
        school: facts.school,
        logs,
        goodSessions: facts.goodSessions ?? GOOD_SESSIONS,
        precautions: [],
        above: facts.nextRung(exercise),
        below: null,
        owned: [],
        faults: 0,
        limb: facts.school.id === 'repeated' ? 'drawing in' : null,
      });
      if (step.move === 'stay' || step.dose === null) continue;
      moves.push({ day, move: step.move, why: step.why });
      if (step.exercise) rung += step.move === 'advance rung' ? 1 : -1;
      exercise = step.exercise ?? exercise;
      dose = step.dose;
      logs = [];
    }
    const mean = (values: readonly number[]) =>
      values.length === 0 ? null : values.reduce((sum, value) => sum + value, 0) / values.length;
    course.push({
      week,
      dose: formatDose(dose),
      exercise: exercise.name,
      rung,
      work: workOfDose(dose),
      load: loadOf(dose),
      sessions: felt.length,
      effort: mean(felt.map(({ effort }) => effort)),
      pain: mean(felt.map(({ pain }) => pain)),
    });
  }
  return { kind, weeks: course, moves };
}

function isDue(dose: Dose, date: LocalDate): boolean {
  const endless: Dose = { ...dose };
  delete (endless as { until?: unknown }).until;
  delete (endless as { fromDay?: unknown }).fromDay;
  return daysAWeek(dose) > 0 && isDueOn({ lineage: '', anchor: FIRST, dose: endless }, date);
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
  effort: number,
  pain: number,
  flared: boolean,
  chance: Chance,
): SessionLog {
  const { head } = dose;
  const share = ratio <= 0.9 ? 1 : Math.max(0.4, 0.9 / ratio);
  const room = Math.max(0, 1 - ratio);
  const sets = Array.from({ length: setsOf(head).least }, (_, set) => {
    const { least, most } = repsOfSet(head, set);
    // Who has strength in hand does more of a range, or of "as many as possible".
    const more = Math.round(room * 2 * Math.max(most - least, 6) + chance.normal());
    if (isUntilFormFails(head, set)) return Math.max(1, MAX_WELL_CHOSEN + more);
    const open = most > least || (dose.load?.kind === 'weight' && set === 3);
    return open ? Math.max(1, Math.min(most > least ? most : 99, least + more)) : least;
  });
  const counted = sets.flatMap((reps, set) =>
    isUntilFormFails(head, set) ? [{ set: set + 1, reps, load: null }] : [],
  );
  return {
    date,
    share,
    sets,
    ...(counted.length > 0 ? { counted } : {}),
    hold: holdOf(dose)?.least ?? null,
    effort,
    pain,
    nextMorning: flared ? (chance.fraction() < 0.2 ? 'flare' : 'still sore') : 'settled',
    skipped: null,
    stopped: 'no',
  };
}
