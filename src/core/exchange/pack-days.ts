import { SESSION_DONE_FROM } from '../adherence';
import { type DayDone, NOTHING_DONE } from '../history';
import type { SentLine, SentVersion } from '../programme';
import {
  type DaySession,
  type SessionSlot,
  type WakingHours,
  type WallMinute,
  type Zone,
  instantAt,
  sessionsOn,
  timesPerDay,
  versionOn,
} from '../schedule';
import { sessionSeconds, sessionTimeline } from '../timeline';
import { type LocalDate, addDays } from '../units';
import type { PackDay, PackSession } from './patient-pack';

/** A pause, as far as the patient is told of it. */
export type PackPause = {
  readonly cause: 'stop' | 'clinician' | 'patient';
  readonly fromDate: LocalDate;
  /** Null while it is open. */
  readonly toDate: LocalDate | null;
};

/** Why nothing is due, before it is said in the patient's language. */
export type Rest =
  | { readonly kind: 'no programme' }
  | { readonly kind: 'begins'; readonly on: LocalDate }
  | { readonly kind: 'rest day' };

/** A session of a pack before it has its name; a session when needed has no slot. */
export type PlainSession = Omit<PackSession, 'label'> & { readonly slot: SessionSlot | null };

/** A day of a pack before it has its words. */
export type PlainDay = Pick<PackDay, 'date' | 'until' | 'paused' | 'programme'> & {
  readonly sessions: readonly PlainSession[];
  readonly extra: PlainSession | null;
  readonly rest: Rest;
};

export type PackFacts = {
  readonly today: LocalDate;
  readonly zone: Zone;
  readonly waking: WakingHours;
  readonly versions: readonly SentVersion[];
  readonly pauses: readonly PackPause[];
  readonly done: ReadonlyMap<LocalDate, DayDone>;
};

const MIDNIGHT = 0 as WallMinute;

/** Today and so many more days live on the device. */
const DAYS_AHEAD = 7;

/**
 * Today and the week after it, with every line that they use; a session names its lines by their place
 * in that list.
 *
 * @param timesOn minutes of the wall clock at which a day's sessions are laid, by session key
 */
export function packDays(
  facts: PackFacts,
  timesOn: (date: LocalDate) => ReadonlyMap<string, number>,
): { readonly lines: readonly SentLine[]; readonly days: readonly [PlainDay, ...PlainDay[]] } {
  const lines: SentLine[] = [];
  const day = (ahead: number) => packDay(addDays(facts.today, ahead), facts, lines, timesOn);
  const first = day(0);
  return { lines, days: [first, ...Array.from({ length: DAYS_AHEAD }, (_, i) => day(i + 1))] };
}

/** One day; its lines are added to those the pack carries. */
function packDay(
  date: LocalDate,
  facts: PackFacts,
  used: SentLine[],
  timesOn: (date: LocalDate) => ReadonlyMap<string, number>,
): PlainDay {
  const { versions, waking, today } = facts;
  const paused = pausedOn(facts.pauses, date);
  const version = versionOn(versions, date);
  const day = version && sessionsOn(date, version.lines, waking, version.reviewOn);
  const due = new Set([
    ...(day?.sessions ?? []).flatMap((session) => session.lines),
    ...(day?.asNeeded ?? []),
  ]);
  for (const line of version?.lines ?? [])
    if (due.has(line) && !used.includes(line)) used.push(line);
  const times = timesOn(date);
  const over = date === today ? sessionsOver(facts.done.get(today) ?? NOTHING_DONE) : new Set();
  const plain = (
    { key, lines }: Pick<DaySession<SentLine>, 'key' | 'lines'>,
    slot: SessionSlot | null,
  ): PlainSession => ({
    key,
    slot,
    time: sessionSeconds(sessionTimeline(lines, version?.rounds ?? 1)),
    lines: lines.map((line) => used.indexOf(line)),
    done: over.has(key),
    at: times.get(key) ?? null,
  });
  const shown = paused === 'no' ? day : null;
  return {
    date,
    until: instantAt(facts.zone, addDays(date, 1), MIDNIGHT),
    paused,
    programme: version && {
      id: version.programmeId,
      version: version.number,
      rounds: version.rounds,
    },
    sessions: (shown?.sessions ?? []).map((session) => plain(session, session.slot)),
    extra:
      shown && shown.asNeeded.length > 0
        ? plain({ key: 'as-needed', lines: shown.asNeeded }, null)
        : null,
    rest: restOn(versions, date),
  };
}

function sessionsOver({ sessions }: DayDone): ReadonlySet<string> {
  return new Set(sessions.filter(({ share }) => share >= SESSION_DONE_FROM).map(({ key }) => key));
}

/** An open stop comes before every other pause, on every day. */
function pausedOn(pauses: readonly PackPause[], date: LocalDate): PackDay['paused'] {
  if (pauses.some(({ cause, toDate }) => cause === 'stop' && toDate === null))
    return 'after a stop';
  const pause = pauses.find(
    ({ fromDate, toDate }) => fromDate <= date && (toDate === null || date <= toDate),
  );
  if (!pause) return 'no';
  return pause.cause === 'patient' ? 'by you' : 'by the clinic';
}

function restOn(versions: readonly SentVersion[], date: LocalDate): Rest {
  if (versions.length === 0) return { kind: 'no programme' };
  const begun = versions.some(({ effectiveFrom }) => effectiveFrom <= date);
  const [next] = versions
    .map(({ effectiveFrom }) => effectiveFrom)
    .filter((from) => from > date)
    .sort();
  return !begun && next ? { kind: 'begins', on: next } : { kind: 'rest day' };
}

/** Share of what a line asks of the day that is done, 0–1; each session at most once in full. */
export function shareOfDay(line: SentLine, { done, today, waking }: PackFacts): number {
  const { lines } = done.get(today) ?? NOTHING_DONE;
  const shares = lines.find(({ lineage }) => lineage === line.lineage)?.shares ?? [];
  const due = Math.max(1, timesPerDay(line.dose.times, waking).least);
  const credited = shares.reduce((sum, share) => sum + Math.min(1, share), 0);
  return Math.min(1, credited / due);
}
