import { createHash } from 'node:crypto';
import { type SessionEventBody, foldSession } from '@/core/adherence';
import {
  type DayDone,
  type DayReport,
  type PlayedSession,
  RECALLED_AFTER_HOURS,
  dayOfEvent,
  foldDay,
  foldReport,
  sessionsDone,
} from '@/core/history';
import type { DeviceEvent, EventsPosted } from '@/core/records';
import { type Instant, type WallMinute, dateIn, instantAt, minuteIn } from '@/core/schedule';
import { isStop } from '@/core/symptoms';
import { type LocalDate, addDays } from '@/core/units';
import {
  GuardRefused,
  type SessionEventRow,
  audit,
  datesOfSessions,
  eventsById,
  eventsOfDay,
  eventsOnDayAre,
  guard,
  insertAlert,
  insertConflict,
  insertEvents,
  insertPause,
  pausesOf,
  putDayDone,
  type Statement,
  versionsOf,
  write,
} from '@/db';
import { type PatientHere, actorOf, stillHolds } from './access';
import { now } from './clock';
import { type SentVersion, sentVersion, wakingOf, zoneOf } from './programme-facts';

/** The key of what is told of a day rather than of a session. */
export const DAY_KEY = 'day';

export type TakenIn = {
  /** Ids that are stored now, whether by this post or an earlier one. */
  readonly stored: readonly string[];
  /** Ids that were there with other content; theirs is kept aside for a person to look at. */
  readonly conflicts: readonly string[];
};

/** How often the fold is tried again when another process stored events of the same day meanwhile. */
const TRIES = 5;

/**
 * Takes in what a patient's device posts: each event once, however often and in whatever order it
 * arrives, also against a version that has since changed. The day's fold is stored with it.
 */
export async function takeIn(patient: PatientHere, posted: EventsPosted): Promise<TakenIn> {
  for (let attempt = 1; ; attempt += 1) {
    try {
      return await takeInOnce(patient, posted);
    } catch (error) {
      if (!(error instanceof GuardRefused && error.guard === 'day') || attempt === TRIES)
        throw error;
    }
  }
}

async function takeInOnce(here: PatientHere, posted: EventsPosted): Promise<TakenIn> {
  const { clinicId, id: patientId } = here;
  const receivedAt = now();
  const conflicts: string[] = [];
  await write(async () => {
    conflicts.length = 0;
    const known = new Map(
      (
        await eventsById(
          clinicId,
          patientId,
          posted.events.map((event) => event.id),
        )
      ).map((row) => [row.id, row.payloadHash]),
    );
    const dates = await datesOf(here, posted, receivedAt);
    const fresh: SessionEventRow[] = [];
    const aside: Statement[] = [];
    for (const event of posted.events) {
      const payloadHash = hashOf(event);
      const there = known.get(event.id);
      if (there === undefined) {
        known.set(event.id, payloadHash);
        fresh.push(rowOf(here, event, payloadHash, posted.sentAt, receivedAt, dates));
      } else if (there !== payloadHash) {
        conflicts.push(event.id);
        aside.push(...setAside(here, event, payloadHash, receivedAt));
      }
    }
    if (fresh.length === 0 && aside.length === 0) return [];
    return [
      stillHolds(here),
      ...aside,
      ...(fresh.length > 0 ? [insertEvents(fresh)] : []),
      ...(await folds(here, fresh)),
      ...(await stopRule(here, fresh, receivedAt)),
      audit({
        clinicId,
        at: receivedAt,
        actor: actorOf(here),
        verb: 'sent session events',
        subject: { kind: 'patient', id: patientId },
      }),
    ];
  });
  const inConflict = new Set(conflicts);
  return {
    stored: posted.events.map((event) => event.id).filter((id) => !inConflict.has(id)),
    conflicts,
  };
}

/** The hash of what an event says, whatever the order of its keys. */
export function hashOf(event: DeviceEvent): string {
  return createHash('sha256').update(canonical(event)).digest('base64url');
}

function canonical(value: unknown): string {
  if (Array.isArray(value)) return `[${value.map(canonical).join(',')}]`;
  if (value !== null && typeof value === 'object') {
    const entries = Object.entries(value).sort(([a], [b]) => (a < b ? -1 : 1));
    return `{${entries.map(([key, item]) => `${JSON.stringify(key)}:${canonical(item)}`).join(',')}}`;
  }
  return JSON.stringify(value) ?? 'null';
}

/** Further off than this a device's clock is not believed at all, in milliseconds. */
const OLDEST_MS = 60 * 86_400_000;
const NEWEST_MS = 120_000;

/**
 * The local date of each session. The device's clock may be wrong: the difference to ours at
 * sending is taken off, and the session's start is reckoned back from its newest event by a clock
 * nobody can set. Once taken in, a session keeps its date.
 */
async function datesOf(
  here: PatientHere,
  posted: EventsPosted,
  receivedAt: Instant,
): Promise<Map<string, string>> {
  const sessionIds = [...new Set(posted.events.map((event) => event.sessionId))];
  const dates = await datesOfSessions(here.clinicId, here.id, sessionIds);
  const skew = receivedAt - posted.sentAt;
  for (const sessionId of sessionIds) {
    if (dates.has(sessionId)) continue;
    const newest = posted.events
      .filter((event) => event.sessionId === sessionId)
      .reduce((a, b) => (b.offsetMs > a.offsetMs ? b : a));
    const told = newest.deviceAt - newest.offsetMs + skew;
    const believable = told > receivedAt - OLDEST_MS && told < receivedAt + NEWEST_MS;
    const startedAt = believable ? told : receivedAt - newest.offsetMs;
    dates.set(sessionId, dateIn(zoneOf(here.patient), startedAt as Instant));
  }
  return dates;
}

function rowOf(
  here: PatientHere,
  event: DeviceEvent,
  payloadHash: string,
  sentAt: number,
  receivedAt: number,
  dates: ReadonlyMap<string, string>,
): SessionEventRow {
  const { id, sessionId, sessionKey, programmeId, version, deviceAt, offsetMs, body } = event;
  return {
    clinicId: here.clinicId,
    patientId: here.id,
    id,
    sessionId,
    sessionKey,
    programmeId,
    version,
    localDate: dayOf(body, dates.get(sessionId) ?? ''),
    body: JSON.stringify(body),
    payloadHash,
    deviceAt,
    skewMs: receivedAt - sentAt,
    offsetMs,
    receivedAt,
  };
}

/** A day's entry may be about a day before; further back than this it is put where it was made. */
const OLDEST_ENTRY_DAYS = 14;

function dayOf(body: DeviceEvent['body'], happenedOn: string): string {
  const date = dayOfEvent(body, happenedOn as LocalDate);
  const oldest = addDays(happenedOn as LocalDate, -OLDEST_ENTRY_DAYS);
  return date > happenedOn || date < oldest ? happenedOn : date;
}

function setAside(
  here: PatientHere,
  event: DeviceEvent,
  payloadHash: string,
  at: number,
): Statement[] {
  const { clinicId, id: patientId } = here;
  return [
    insertConflict({
      clinicId,
      patientId,
      id: event.id,
      payloadHash,
      payload: JSON.stringify(event),
      receivedAt: at,
    }),
    // One alert for one event, however often it comes.
    insertAlert({
      clinicId,
      id: `conflict ${event.id}`,
      patientId,
      kind: 'conflicting log',
      createdAt: at,
    }),
  ];
}

/** A stop for a symptom pauses the programme and tells the clinic. Nothing else changes by itself. */
async function stopRule(
  here: PatientHere,
  fresh: readonly SessionEventRow[],
  at: number,
): Promise<Statement[]> {
  const { clinicId, id: patientId } = here;
  const stop = fresh.find((row) => {
    const body = JSON.parse(row.body) as SessionEventBody;
    return (
      (body.type === 'stopped' && body.because === 'symptom') ||
      (body.type === 'report' && isStop(body.advice))
    );
  });
  if (!stop) return [];
  const open = (await pausesOf(clinicId, [patientId])).some((pause) => pause.toDate === null);
  // The day it happened on still counts for what was due; the pause begins on the next.
  const fromDate = addDays(stop.localDate as LocalDate, 1);
  return [
    insertAlert({
      clinicId,
      // A report and the stop that follows it are one alert.
      id: `stop ${stop.sessionId}`,
      patientId,
      kind: 'stopped for a symptom',
      createdAt: at,
    }),
    ...(open
      ? []
      : [
          insertPause({
            clinicId,
            id: `stop ${stop.sessionId}`,
            patientId,
            fromDate,
            cause: 'stop' as const,
            createdAt: at,
          }),
        ]),
  ];
}

/** The folded days these events belong to, guarded against events stored meanwhile. */
async function folds(here: PatientHere, fresh: readonly SessionEventRow[]): Promise<Statement[]> {
  const { clinicId, id: patientId } = here;
  const versions = ((await versionsOf(clinicId, [patientId])).get(patientId) ?? []).map(
    sentVersion,
  );
  const statements: Statement[] = [];
  for (const date of new Set(fresh.map((row) => row.localDate))) {
    const before = await eventsOfDay(clinicId, patientId, date);
    const rows = [...before, ...fresh.filter((row) => row.localDate === date)];
    const { done, pain, report } = foldRows(here, date as LocalDate, rows, versions);
    statements.push(
      guard('day', eventsOnDayAre(clinicId, patientId, date, rows.length)),
      putDayDone({
        clinicId,
        patientId,
        localDate: date,
        done: JSON.stringify(done),
        sessionsDone: sessionsDone(done),
        pain,
        report: JSON.stringify(report),
        events: rows.length,
      }),
    );
  }
  return statements;
}

/** Folds a day's stored events: what was done, and the pain after the last session. */
export function foldRows(
  here: Pick<PatientHere, 'patient'>,
  date: LocalDate,
  rows: readonly SessionEventRow[],
  versions: readonly SentVersion[],
): { done: DayDone; pain: number | null; report: DayReport } {
  const bySession = new Map<string, SessionEventRow[]>();
  for (const row of rows.filter(({ sessionKey }) => sessionKey !== DAY_KEY))
    bySession.set(row.sessionId, [...(bySession.get(row.sessionId) ?? []), row]);
  const sessions: (PlayedSession & { at: number })[] = [];
  for (const [sessionId, events] of bySession) {
    const first = events[0];
    const version = versions.find((candidate) => candidate.number === first?.version);
    if (!first || !version) continue;
    const bodies = events.map((event) => JSON.parse(event.body) as SessionEventBody);
    const at = Math.max(...events.map((event) => event.deviceAt + event.skewMs));
    const began = Math.min(
      ...events.map(({ deviceAt, skewMs, offsetMs }) => deviceAt + skewMs - offsetMs),
    );
    sessions.push({
      summary: foldSession(sessionId, date, bodies),
      key: first.sessionKey,
      version,
      minute: minuteIn(zoneOf(here.patient), began as Instant),
      at,
    });
  }
  sessions.sort((a, b) => a.at - b.at || (a.summary.sessionId < b.summary.sessionId ? -1 : 1));
  const pains = sessions.map((session) => session.summary.pain).filter((pain) => pain !== null);
  return {
    done: foldDay(date, sessions, wakingOf(here.patient)),
    pain: pains.at(-1) ?? null,
    report: foldReport(told(here, date, rows)),
  };
}

/** Events in the order they happened, each with whether it was entered long after its day. */
function told(
  here: Pick<PatientHere, 'patient'>,
  date: LocalDate,
  rows: readonly SessionEventRow[],
) {
  const midnight = instantAt(zoneOf(here.patient), addDays(date, 1), 0 as WallMinute);
  const late = midnight + RECALLED_AFTER_HOURS * 3_600_000;
  const happened = (row: SessionEventRow) => row.deviceAt + row.skewMs;
  return [...rows]
    .sort((a, b) => happened(a) - happened(b) || a.offsetMs - b.offsetMs)
    .map((row) => ({
      body: JSON.parse(row.body) as SessionEventBody,
      recalled: happened(row) > late,
    }));
}
