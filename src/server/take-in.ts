import { createHash } from 'node:crypto';
import { isStop } from '@/core/adherence';
import { foldEvents, keptUnder, sessionBegan, sessionsDone } from '@/core/history';
import type { DeviceEvent, EventsPosted, StoredEventBody, ToldHow } from '@/core/records';
import { type Instant, dateIn } from '@/core/schedule';
import { type LocalDate, type MemberId, addDays } from '@/core/units';
import {
  type Actor,
  type DayDoneRow,
  GuardRefused,
  LIST_BOUNDS,
  type Patient,
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
import { canonical } from './canonical';
import { now } from './clock';
import { countSent } from './patient/quota';
import { Problem } from './problem';
import { type SentVersion, sentVersion } from '@/core/programme';
import { wakingOf, zoneOf } from './programme-facts';

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
export async function takeIn(here: PatientHere, posted: EventsPosted): Promise<TakenIn> {
  countSent(here.id, JSON.stringify(posted.events).length, now());
  return takeInFrom(
    {
      patient: here.patient,
      access: () => stillHolds(here),
      actor: actorOf(here),
      verb: 'sent session events',
      written: null,
    },
    posted,
  );
}

/** Whoever tells: a patient's device, or a member who writes down what a patient told. */
export type Teller = {
  readonly patient: Patient;
  /** The guard that stands first in the write. */
  readonly access: () => Statement;
  readonly actor: Actor;
  readonly verb: string;
  /** By whom, how and of which day it was written down; null where a device tells. */
  readonly written: { readonly by: MemberId; readonly how: ToldHow; readonly on: LocalDate } | null;
};

/** An event as it comes in: a device's, or one that only the clinic writes. */
export type ComingEvent = Omit<DeviceEvent, 'body'> & { readonly body: StoredEventBody };

/** Takes in what is told under the same rules, whoever tells it. */
export async function takeInFrom(
  teller: Teller,
  posted: { readonly sentAt: number; readonly events: readonly ComingEvent[] },
): Promise<TakenIn> {
  for (let attempt = 1; ; attempt += 1) {
    try {
      return await takeInOnce(teller, posted);
    } catch (error) {
      if (!(error instanceof GuardRefused && error.guard === 'day') || attempt === TRIES)
        throw error;
    }
  }
}

type Coming = { readonly sentAt: number; readonly events: readonly ComingEvent[] };

async function takeInOnce(here: Teller, posted: Coming): Promise<TakenIn> {
  const { clinicId, id: patientId } = here.patient;
  const receivedAt = now();
  const conflicts: string[] = [];
  let tooMany = false;
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
        const happenedOn = dates.get(event.sessionId) ?? dateIn(zoneOf(here.patient), receivedAt);
        fresh.push(rowOf(here, event, payloadHash, posted.sentAt, receivedAt, happenedOn));
      } else if (there !== payloadHash) {
        conflicts.push(event.id);
        aside.push(...setAside(here, event, payloadHash, receivedAt));
      }
    }
    if (fresh.length === 0 && aside.length === 0) return [];
    const days = await folds(here, fresh);
    tooMany = days === null;
    if (days === null) return [];
    return [
      here.access(),
      ...aside,
      ...(fresh.length > 0 ? [insertEvents(fresh)] : []),
      ...days,
      ...(await stopRule(here, fresh, receivedAt)),
      audit({
        clinicId,
        at: receivedAt,
        actor: here.actor,
        verb: here.verb,
        subject: { kind: 'patient', id: patientId },
      }),
    ];
  });
  if (tooMany)
    throw new Problem(
      413,
      'More was sent for one day than a day can hold. What was there before is kept; call your clinic about the rest.',
    );
  const inConflict = new Set(conflicts);
  return {
    stored: posted.events.map((event) => event.id).filter((id) => !inConflict.has(id)),
    conflicts,
  };
}

/** The hash of what an event says, whatever the order of its keys. */
export function hashOf(event: ComingEvent): string {
  return createHash('sha256').update(canonical(event)).digest('base64url');
}

/** The local date of each session. Once taken in, a session keeps its date. */
async function datesOf(
  { patient, written }: Teller,
  posted: Coming,
  receivedAt: Instant,
): Promise<Map<string, LocalDate>> {
  const sessionIds = [...new Set(posted.events.map((event) => event.sessionId))];
  if (written) return new Map(sessionIds.map((id) => [id, written.on]));
  const dates = await datesOfSessions(patient.clinicId, patient.id, sessionIds);
  for (const sessionId of sessionIds) {
    if (dates.has(sessionId)) continue;
    const newest = posted.events
      .filter((event) => event.sessionId === sessionId)
      .reduce((a, b) => (b.offsetMs > a.offsetMs ? b : a));
    const began = sessionBegan(newest, posted.sentAt, receivedAt);
    dates.set(sessionId, dateIn(zoneOf(patient), began));
  }
  return dates;
}

function rowOf(
  { patient, written }: Teller,
  event: ComingEvent,
  payloadHash: string,
  sentAt: number,
  receivedAt: Instant,
  happenedOn: LocalDate,
): SessionEventRow {
  const { id, sessionId, sessionKey, programmeId, version, deviceAt, offsetMs, body } = event;
  return {
    clinicId: patient.clinicId,
    patientId: patient.id,
    id,
    sessionId,
    sessionKey,
    programmeId,
    version,
    localDate: keptUnder(body, happenedOn),
    body,
    payloadHash,
    deviceAt,
    skewMs: receivedAt - sentAt,
    offsetMs,
    receivedAt,
    writtenBy: written?.by ?? null,
    writtenHow: written?.how ?? null,
  };
}

function setAside(
  { patient }: Teller,
  event: ComingEvent,
  payloadHash: string,
  at: Instant,
): Statement[] {
  const { clinicId, id: patientId } = patient;
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
  { patient }: Teller,
  fresh: readonly SessionEventRow[],
  at: Instant,
): Promise<Statement[]> {
  const { clinicId, id: patientId } = patient;
  const stop = fresh.find(({ body }) => isStop(body));
  if (!stop) return [];
  const open = (await pausesOf(clinicId, [patientId])).some((pause) => pause.toDate === null);
  // The day it happened on still counts for what was due; the pause begins on the next.
  const fromDate = addDays(stop.localDate, 1);
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

/** A day's row, folded from all its events. */
export function foldedDay(
  patient: Patient,
  date: LocalDate,
  rows: readonly SessionEventRow[],
  versions: readonly SentVersion[],
): DayDoneRow {
  const { done, pain, report } = foldEvents(date, rows, versions, {
    zone: zoneOf(patient),
    waking: wakingOf(patient),
  });
  return {
    clinicId: patient.clinicId,
    patientId: patient.id,
    localDate: date,
    done,
    sessionsDone: sessionsDone(done),
    pain,
    report,
    events: rows.length,
  };
}

/**
 * The folded days these events belong to, guarded against events stored meanwhile; null where a day
 * would hold more than can be read.
 */
async function folds(
  { patient }: Teller,
  fresh: readonly SessionEventRow[],
): Promise<Statement[] | null> {
  const { clinicId, id: patientId } = patient;
  const versions = ((await versionsOf(clinicId, [patientId])).get(patientId) ?? []).map(
    sentVersion,
  );
  const statements: Statement[] = [];
  for (const date of new Set(fresh.map((row) => row.localDate))) {
    const before = await eventsOfDay(clinicId, patientId, date);
    const rows = [...before, ...fresh.filter((row) => row.localDate === date)];
    if (rows.length > LIST_BOUNDS.eventsOfADay) return null;
    statements.push(
      guard('day', eventsOnDayAre(clinicId, patientId, date, rows.length)),
      putDayDone(foldedDay(patient, date, rows, versions)),
    );
  }
  return statements;
}
