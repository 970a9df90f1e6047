import type { BoutMode } from '../dose';
import {
  type ScheduledLine,
  type WakingHours,
  type Zone,
  calendarDays,
  isDueOn,
  sessionsOn,
  timesPerDay,
  versionOn,
} from '../schedule';
import { type LocalDate, addDays } from '../units';
import { type LineLog, lineLogs } from './line-log';
import {
  type DayAdherence,
  type DoneLine,
  type DueLine,
  type LineTarget,
  type SessionSummary,
  SESSION_DONE_FROM,
  dayAdherence,
  lineTarget,
  shareBeyondMost,
  shareDone,
} from '../adherence';

/** A line of a version with what one occurrence of it asks. */
export type ProgrammeLine = ScheduledLine & {
  readonly mode: BoutMode;
  readonly position: string;
  /** What was counted the last time in a set done until form fails. */
  readonly lastMax?: number | null;
  readonly target: LineTarget;
};

export type ProgrammeVersion = {
  readonly number: number;
  readonly effectiveFrom: LocalDate;
  readonly reviewOn: LocalDate | null;
  readonly rounds: number;
  readonly lines: readonly ProgrammeLine[];
};

/** Adds its target to a line. */
export function withTarget(line: Omit<ProgrammeLine, 'target'>, rounds: number): ProgrammeLine {
  return { ...line, target: lineTarget(line, rounds) };
}

/** First and last paused day, both included; an open pause has no last day. */
export type Pause = { readonly from: LocalDate; readonly to: LocalDate | null };

export function isPausedOn(pauses: readonly Pause[], date: LocalDate): boolean {
  return pauses.some((pause) => pause.from <= date && (pause.to === null || date <= pause.to));
}

/** What was done on one day, in the small shape that long lists read. */
export type DayDone = {
  readonly lines: readonly DoneLine[];
  readonly sessions: readonly SessionDone[];
};

export type SessionDone = {
  readonly id: string;
  readonly key: string;
  /** Share of this session's dose, 0–1. */
  readonly share: number;
  readonly state: SessionSummary['state'];
  /** The version it was played from. */
  readonly version: number;
  /** Minute of the patient's wall clock at which it began. */
  readonly minute: number;
  /** Told after it, 0–10. */
  readonly pain: number | null;
  readonly effort: number | null;
  readonly lines: readonly LineLog[];
};

export const NOTHING_DONE: DayDone = { lines: [], sessions: [] };

/** Sessions of a day that count as done. */
export function sessionsDone(done: DayDone): number {
  return done.sessions.filter((session) => session.share >= SESSION_DONE_FROM).length;
}

/** A session's summary with the version it was played from. */
export type PlayedSession = {
  readonly summary: SessionSummary;
  readonly key: string;
  readonly version: ProgrammeVersion;
  /** Minute of the patient's wall clock at which it began. */
  readonly minute: number;
};

/** Folds the sessions of one day into shares by line and by session. */
export function foldDay(
  date: LocalDate,
  sessions: readonly PlayedSession[],
  waking: WakingHours,
): DayDone {
  const lines = new Map<string, { shares: number[]; beyondMost: number }>();
  const folded: SessionDone[] = [];
  for (const { summary, key, version, minute } of sessions) {
    const planned = plannedLines(version, date, key, waking);
    let weight = 0;
    let credited = 0;
    for (const line of version.lines) {
      const done = summary.lines.find(({ lineage }) => lineage === line.lineage);
      const reps = done?.reps ?? [];
      const told = done?.told ?? null;
      const share = told ?? shareDone(line.target, reps);
      if (planned.has(line.lineage)) {
        weight += line.target.weight;
        credited += line.target.weight * Math.min(1, share);
      }
      if (reps.length === 0 && told === null) continue;
      const known = lines.get(line.lineage) ?? { shares: [], beyondMost: 0 };
      known.shares.push(share);
      known.beyondMost += shareBeyondMost(line.target, reps);
      lines.set(line.lineage, known);
    }
    folded.push({
      id: summary.sessionId,
      key,
      share: weight === 0 ? 0 : credited / weight,
      state: summary.state,
      version: version.number,
      minute,
      pain: summary.pain,
      effort: summary.effort,
      lines: lineLogs(summary, version.lines),
    });
  }
  return { lines: [...lines].map(([lineage, done]) => ({ lineage, ...done })), sessions: folded };
}

/** The lines a session of this key holds on the date; all of them for a session beyond the plan. */
export function plannedLines(
  version: ProgrammeVersion,
  date: LocalDate,
  key: string,
  waking: WakingHours,
) {
  const { sessions } = sessionsOn(date, version.lines, waking, version.reviewOn);
  const planned = sessions.find((session) => session.key === key)?.lines ?? version.lines;
  return new Set(planned.map((line) => line.lineage));
}

export type HistoryFacts = {
  readonly zone: Zone;
  readonly waking: WakingHours;
  readonly today: LocalDate;
  readonly versions: readonly ProgrammeVersion[];
  readonly pauses: readonly Pause[];
  readonly done: ReadonlyMap<LocalDate, DayDone>;
  /** Lineages that are counted where not all are, as those of one complaint of two; left out: all. */
  readonly counted?: ReadonlySet<string>;
};

/** Whether a line is counted at all. */
const isCounted = (counted: ReadonlySet<string> | undefined, { lineage }: ProgrammeLine) =>
  counted === undefined || counted.has(lineage);

/** Adherence day by day from `from` to `to`, both included, on the days the zone had. */
export function adherenceHistory(
  facts: HistoryFacts,
  from: LocalDate,
  to: LocalDate,
): DayAdherence[] {
  const { counted } = facts;
  const start = firstDay(
    facts.versions.filter(({ lines }) => lines.some((line) => isCounted(counted, line))),
  );
  const askedOn = askedIn(facts);
  const known = keptDays(facts);
  return calendarDays(facts.zone, from, to).map((date) => {
    const done = facts.done.get(date) ?? NOTHING_DONE;
    const paused = isPausedOn(facts.pauses, date);
    const is = date < facts.today ? 'over' : date === facts.today ? 'today' : 'to come';
    const before = known?.get(date);
    if (before?.done === done && before.paused === paused && before.is === is) return before.day;
    const { keys, due } = askedOn(date);
    const day = dayAdherence({
      date,
      today: facts.today,
      start,
      paused,
      due,
      done: done.lines,
      sessionsDue: keys.size,
      sessionsDone: done.sessions.filter(
        ({ key, share }) => share >= SESSION_DONE_FROM && (keys.size === 0 || keys.has(key)),
      ).length,
    });
    known?.set(date, { done, paused, is, day });
    return day;
  });
}

/** A day's adherence, with what it was found of beside versions and waking hours. */
type KeptDay = {
  readonly done: DayDone;
  readonly paused: boolean;
  readonly is: 'over' | 'today' | 'to come';
  readonly day: DayAdherence;
};
type KeptDays = Map<LocalDate, KeptDay>;

/** The days of these versions as they were found last, for these waking hours: an event changes one of them. */
const daysKept = new WeakMap<
  readonly ProgrammeVersion[],
  { waking: WakingHours; days: KeptDays }
>();

/** @returns null where only some lines are counted: nothing of that is kept */
function keptDays({ versions, waking, counted }: HistoryFacts): KeptDays | null {
  if (counted) return null;
  const known = daysKept.get(versions);
  if (known?.waking === waking) return known.days;
  const days: KeptDays = new Map();
  daysKept.set(versions, { waking, days });
  return days;
}

/** What a day asks: its sessions by key, and its lines. */
type Asked = { readonly keys: ReadonlySet<string>; readonly due: readonly DueLine[] };
const NOTHING_ASKED: Asked = { keys: new Set(), due: [] };

type AskedBy = Map<string, Asked>;

/** What the days of a version ask of all its lines, by which of them are due; for these waking hours. */
const askedOf = new WeakMap<ProgrammeVersion, { waking: WakingHours; by: AskedBy }>();

function askedByDue(version: ProgrammeVersion, waking: WakingHours): AskedBy {
  const known = askedOf.get(version);
  if (known?.waking === waking) return known.by;
  const by: AskedBy = new Map();
  askedOf.set(version, { waking, by });
  return by;
}

/**
 * What each day asks. Days on which the same lines of a version are due ask the same, so that a year
 * of them is reckoned a few times, and kept: a row is made anew with every event of its patient.
 */
function askedIn({ versions, waking, counted }: HistoryFacts): (date: LocalDate) => Asked {
  const ofSome = new Map<ProgrammeVersion, AskedBy>();
  return (date) => {
    const version = versionOn(versions, date);
    if (version === null) return NOTHING_ASKED;
    const known = counted
      ? (ofSome.get(version) ?? new Map<string, Asked>())
      : askedByDue(version, waking);
    if (counted) ofSome.set(version, known);
    const lines = version.lines.map((line) => (isDueOn(line, date, version.reviewOn) ? '1' : '0'));
    const which = lines.join('');
    const before = known.get(which);
    if (before) return before;
    const asked = {
      keys: sessionKeysOn(version, date, waking, counted),
      due: dueLines(version, date, waking, counted),
    };
    known.set(which, asked);
    return asked;
  };
}

/**
 * The sessions of a date by key; a posture beat through the day is a moment, not a session.
 *
 * @param counted only sessions that hold one of these lines; left out: all
 */
export function sessionKeysOn(
  version: ProgrammeVersion,
  date: LocalDate,
  waking: WakingHours,
  counted?: ReadonlySet<string>,
): ReadonlySet<string> {
  const all = sessionsOn(date, version.lines, waking, version.reviewOn).sessions;
  const sessions = all.filter(({ lines }) => lines.some((line) => isCounted(counted, line)));
  const own = sessions.filter(({ slot }) => slot.kind !== 'at');
  // Where a day has beats only, they are what there is to do.
  return new Set((own.length > 0 ? own : sessions).map(({ key }) => key));
}

function dueLines(
  version: ProgrammeVersion,
  date: LocalDate,
  waking: WakingHours,
  counted: ReadonlySet<string> | undefined,
): DueLine[] {
  return version.lines
    .filter((line) => isCounted(counted, line) && isDueOn(line, date, version.reviewOn))
    .map((line) => {
      const times = timesPerDay(line.dose.times, waking);
      return {
        lineage: line.lineage,
        due: times.least,
        allowed: times.most,
        weight: line.target.weight,
      };
    });
}

/** The first date anything was prescribed for; null when nothing was. */
export function firstDay(versions: readonly ProgrammeVersion[]): LocalDate | null {
  const dates = versions.map((version) => version.effectiveFrom).sort();
  return dates[0] ?? null;
}

/** The last `count` days up to and including today, as dates from first to last. */
export function lastDays(today: LocalDate, count: number): { from: LocalDate; to: LocalDate } {
  return { from: addDays(today, 1 - count), to: today };
}
