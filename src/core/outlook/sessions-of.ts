import type { SessionLog } from '../course';
import type { DayDone } from '../history';
import type { SentVersion } from '../programme';
import { type LocalDate, addDays } from '../units';
import type { FollowRecord } from './record';

/** The sessions of a line as a version had it, oldest first. */
export type SessionsOf = (version: number, lineage: string) => readonly SessionLog[];

/** Always the same, so that it can be told from a list that is another. */
const NONE: readonly SessionLog[] = [];

/** By version and lineage. */
type Lists = Map<number, Map<string, readonly SessionLog[]>>;
type Days = ReadonlyMap<LocalDate, DayOfLogs>;

/** The sessions of a record as they were read last: an event changes one day of them. */
const known = new WeakMap<readonly SentVersion[], { readonly days: Days; readonly lists: Lists }>();

/**
 * A record's sessions by the version they were played from: read once for all its lines. A list in which
 * nothing changed since the record was read last is the very same list.
 */
export function sessionsOf({
  facts,
  reports,
}: Pick<FollowRecord, 'facts' | 'reports'>): SessionsOf {
  const stopStands = facts.pauses.some(({ to }) => to === null);
  const before = known.get(facts.versions);
  const days = new Map<LocalDate, DayOfLogs>();
  for (const date of [...facts.done.keys()].sort()) {
    const done = facts.done.get(date);
    if (!done) continue;
    const nextMorning = reports.get(addDays(date, 1))?.soreness ?? null;
    const day = before?.days.get(date);
    days.set(
      date,
      day?.done === done && day.nextMorning === nextMorning && day.stopStands === stopStands
        ? day
        : dayOfLogs({ date, done, nextMorning, stopStands }, day?.logs ?? []),
    );
  }
  const lists = before ? listsAfter(before.lists, before.days, days) : listsOf(days);
  known.set(facts.versions, { days, lists });
  return (version, lineage) => lists.get(version)?.get(lineage) ?? NONE;
}

function listsOf(days: Days): Lists {
  const lists = new Map<number, Map<string, SessionLog[]>>();
  for (const { logs } of days.values())
    for (const { version, lineage, log } of logs) {
      const ofVersion = lists.get(version) ?? new Map<string, SessionLog[]>();
      lists.set(version, ofVersion);
      const list = ofVersion.get(lineage) ?? [];
      if (list.length === 0) ofVersion.set(lineage, list);
      list.push(log);
    }
  return lists;
}

/** The lists once days have changed: those whose logs are others are made anew, and nothing else is. */
function listsAfter(before: Lists, was: Days, now: Days): Lists {
  const places = [
    ...[...now].flatMap(([date, day]) => {
      const of = was.get(date);
      return of === day ? [] : placesChanged(of?.logs ?? [], day.logs);
    }),
    ...[...was].flatMap(([date, day]) => (now.has(date) ? [] : placesChanged(day.logs, []))),
  ];
  const lists: Lists = new Map(before);
  for (const place of places) {
    const logs = [...now.values()].flatMap((day) => logsAt(place, day.logs));
    lists.set(place.version, new Map(lists.get(place.version)).set(place.lineage, logs));
  }
  return lists;
}

type Place = Pick<LogOfLine, 'version' | 'lineage'>;

const logsAt = ({ version, lineage }: Place, logs: readonly LogOfLine[]): SessionLog[] =>
  logs.flatMap((one) => (one.version === version && one.lineage === lineage ? [one.log] : []));

/** Where one day's logs are not the very logs of before, in their order. */
function placesChanged(was: readonly LogOfLine[], now: readonly LogOfLine[]): Place[] {
  const isSame = ({ version, lineage, log }: LogOfLine, at: number) => {
    const before = was[at];
    return before?.log === log && before.version === version && before.lineage === lineage;
  };
  if (was.length === now.length && now.every(isSame)) return [];
  return [...was, ...now].filter((place) => !areSameLogs(logsAt(place, was), logsAt(place, now)));
}

/** The very same logs in the same order. */
export function areSameLogs(a: readonly SessionLog[], b: readonly SessionLog[]): boolean {
  return a === b || (a.length === b.length && a.every((log, at) => log === b[at]));
}

/** What one line of one session says, and of which version it was played. */
type LogOfLine = { readonly version: number; readonly lineage: string; readonly log: SessionLog };

/** The logs of a day, with what they were read from. */
type DayOfLogs = {
  readonly done: DayDone;
  readonly nextMorning: SessionLog['nextMorning'];
  readonly stopStands: boolean;
  readonly logs: readonly LogOfLine[];
};

/** @param before logs of this day as they were read last: one that says the same stays the very same */
function dayOfLogs(
  day: Omit<DayOfLogs, 'logs'> & { readonly date: LocalDate },
  before: readonly LogOfLine[],
): DayOfLogs {
  const { date, done, nextMorning, stopStands } = day;
  const logs = done.sessions.flatMap((session) =>
    session.lines.map(({ lineage, share, sets, counted, hold, skipped }): LogOfLine => {
      const log: SessionLog = {
        id: session.id,
        date,
        share,
        sets,
        counted,
        hold,
        effort: session.effort,
        pain: session.pain,
        nextMorning,
        skipped,
        stopped:
          session.state !== 'stopped for a symptom' ? 'no' : stopStands ? 'stands' : 'let go on',
      };
      const { version } = session;
      const known = before.find(
        (one) => one.log.id === session.id && one.lineage === lineage && one.version === version,
      );
      const isSame = known !== undefined && JSON.stringify(known.log) === JSON.stringify(log);
      return { version, lineage, log: isSame ? known.log : log };
    }),
  );
  return { done, nextMorning, stopStands, logs };
}
