import { type DayAdherence, SESSION_DONE_FROM } from '../adherence';
import { versionOn } from '../schedule';
import { type LocalDate, addDays, itemAt, textOrder } from '../units';
import { type DayReport, worstPain } from './day-report';
import {
  type HistoryFacts,
  type ProgrammeLine,
  type ProgrammeVersion,
  adherenceHistory,
  firstDay,
  sessionKeysOn,
} from './history';

/** The window of "how many of how many", and how far back it looks, in days. */
const WINDOW = 14;
export const PROGRESS_DAYS = 84;

export type ProgressDay = {
  readonly date: LocalDate;
  readonly adherence: DayAdherence;
  /** Worst pain told of the day, 0–10. */
  readonly worst: number | null;
  /** Sessions done. */
  readonly done: number;
};

export type ActivityScores = {
  readonly activity: string;
  readonly from: number;
  readonly to: number;
  readonly scores: readonly { readonly date: LocalDate; readonly score: number }[];
};

/** A prescribed hold that has grown, in seconds. */
export type GrownHold = { readonly name: string; readonly from: number; readonly to: number };

/** How a pain goes, as it is told to a patient, in whole points from start to now. */
export type PainTold = {
  readonly said: 'down' | 'downALittle' | 'up' | 'upALittle' | 'back' | 'same' | 'unclear';
  readonly from: number;
  readonly to: number;
  /** The fitted course with its band, from the first day told to the last. */
  readonly fitted: readonly {
    readonly date: LocalDate;
    readonly value: number;
    readonly low: number;
    readonly high: number;
  }[];
};

/** The verdict on worst pains, one a day. */
export type PainOf = (
  told: readonly { readonly date: LocalDate; readonly value: number }[],
) => PainTold | null;

export type Progress = {
  readonly days: readonly ProgressDay[];
  readonly sessions: { readonly done: number; readonly due: number; readonly days: number } | null;
  /** How the worst pain goes; null while it is too early to say. */
  readonly pain: PainTold | null;
  readonly activities: readonly ActivityScores[];
  readonly holds: readonly GrownHold[];
};

export const NO_PROGRESS: Progress = {
  days: [],
  sessions: null,
  pain: null,
  activities: [],
  holds: [],
};

type NamedLine = ProgrammeLine & { readonly exercise: { readonly name: string } };
type NamedVersion = Omit<ProgrammeVersion, 'lines'> & { readonly lines: readonly NamedLine[] };
export type ProgressFacts = Omit<HistoryFacts, 'versions'> & {
  readonly versions: readonly NamedVersion[];
};

/**
 * How it is going, from the record: what was done and what was told, in numbers the patient can
 * check. A session still to come today is not missed.
 *
 * @param painOf the verdict that the clinician reads too
 * @example
 * progressOver(facts, reports, painForPatient).sessions // { done: 11, due: 14, days: 14 }
 */
export function progressOver(
  facts: ProgressFacts,
  reports: ReadonlyMap<LocalDate, DayReport>,
  painOf: PainOf,
): Progress {
  const { today } = facts;
  const start = firstDay(facts.versions);
  if (!start || start > today) return NO_PROGRESS;
  const earliest = addDays(today, -PROGRESS_DAYS);
  const days = adherenceHistory(facts, start > earliest ? start : earliest, today).map(
    (adherence): ProgressDay => {
      const report = reports.get(adherence.date);
      return {
        date: adherence.date,
        adherence,
        worst: report ? worstPain(report) : null,
        done: adherence.kind === 'due' ? adherence.sessionsDone : 0,
      };
    },
  );
  const told = days.flatMap(({ date, worst }) => (worst === null ? [] : [{ date, value: worst }]));
  return {
    days,
    sessions: sessionsOver(facts, days.slice(-WINDOW)),
    pain: painOf(told),
    activities: activitiesOf(reports),
    holds: grownHolds(facts.versions),
  };
}

/** Sessions done of those due in the window: each once, and none for a session beyond the plan. */
function sessionsOver(facts: ProgressFacts, window: readonly ProgressDay[]): Progress['sessions'] {
  let [done, due] = [0, 0];
  for (const { date, adherence } of window) {
    if (adherence.kind !== 'due') continue;
    const keys = sessionKeys(facts, date);
    const counted = (facts.done.get(date)?.sessions ?? []).filter(
      ({ key, share }) => keys.has(key) && share >= SESSION_DONE_FROM,
    );
    const once = new Set(counted.map(({ key }) => key)).size;
    done += once;
    due += adherence.isToday ? once : keys.size;
  }
  return due > 0 ? { done, due, days: window.length } : null;
}

function sessionKeys(facts: ProgressFacts, date: LocalDate): ReadonlySet<string> {
  const version = versionOn(facts.versions, date);
  return version ? sessionKeysOn(version, date, facts.waking) : new Set();
}

/** Each activity with its scores in the order of their days. */
function activitiesOf(reports: ReadonlyMap<LocalDate, DayReport>): ActivityScores[] {
  const scores = new Map<string, { date: LocalDate; score: number }[]>();
  for (const [date, { activities }] of [...reports].sort(([a], [b]) => textOrder(a, b)))
    for (const { activity, score } of activities)
      scores.set(activity, [...(scores.get(activity) ?? []), { date, score }]);
  return [...scores].map(([activity, all]) => ({
    activity,
    from: itemAt(all, 0).score,
    to: itemAt(all, -1).score,
    scores: all,
  }));
}

/** Holds that have grown from the first version that has the line to the newest. */
function grownHolds(versions: readonly NamedVersion[]): GrownHold[] {
  const first = new Map<string, number>();
  for (const { lines } of versions)
    for (const line of lines) {
      const held = heldSeconds(line);
      if (held !== null && !first.has(line.lineage)) first.set(line.lineage, held);
    }
  return (versions.at(-1)?.lines ?? []).flatMap((line) => {
    const [from, to] = [first.get(line.lineage), heldSeconds(line)];
    return from !== undefined && to !== null && to > from
      ? [{ name: line.exercise.name, from, to }]
      : [];
  });
}

function heldSeconds({ dose, mode }: NamedLine): number | null {
  if (dose.hold) return dose.hold.most;
  return dose.head.kind === 'bouts' && mode !== 'moved' ? dose.head.span.most : null;
}
