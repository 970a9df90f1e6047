import { createHash } from 'node:crypto';
import { isStop } from '@/core/adherence';
import { keptUnder, sessionBegan } from '@/core/history';
import { type Instant, dateIn } from '@/core/schedule';
import { type LocalDate, addDays } from '@/core/units';
import {
  type SessionEventRow,
  type Statement,
  insertAlert,
  insertConflict,
  insertPause,
  pausesOf,
} from '@/db';
import { canonical } from '../canonical';
import { zoneOf } from '../programme-facts';
import type { KnownEvents } from './known';
import type { ComingEvent, Post, Teller } from './teller';

/** A post's events sorted by what is there already. */
export type SortedOut = {
  /** To be stored. */
  readonly fresh: readonly SessionEventRow[];
  /** Ids that are there with other content, with what keeps theirs for a person to look at. */
  readonly conflicts: readonly string[];
  readonly aside: readonly Statement[];
};

/** The hash of what an event says, whatever the order of its keys. */
export function hashOf(event: ComingEvent): string {
  return createHash('sha256').update(canonical(event)).digest('base64url');
}

/** Each event once, however often and in whatever order it comes. */
export function sortOut(
  { teller, coming }: Post,
  known: KnownEvents,
  receivedAt: Instant,
): SortedOut {
  const { patient } = teller;
  const hashes = new Map(known.hashes.get(patient.id));
  const dates = datesOf({ teller, coming }, known, receivedAt);
  const fresh: SessionEventRow[] = [];
  const aside: Statement[] = [];
  const conflicts: string[] = [];
  for (const event of coming.events) {
    const payloadHash = hashOf(event);
    const there = hashes.get(event.id);
    if (there === undefined) {
      hashes.set(event.id, payloadHash);
      const happenedOn = dates.get(event.sessionId) ?? dateIn(zoneOf(patient), receivedAt);
      fresh.push(rowOf(teller, event, payloadHash, coming.sentAt, receivedAt, happenedOn));
    } else if (there !== payloadHash) {
      conflicts.push(event.id);
      aside.push(...setAside(teller, event, payloadHash, receivedAt));
    }
  }
  return { fresh, conflicts, aside };
}

/** The local date of each session. Once taken in, a session keeps its date. */
function datesOf(
  { teller: { patient, written }, coming: { events, sentAt } }: Post,
  known: KnownEvents,
  receivedAt: Instant,
): Map<string, LocalDate> {
  const sessionIds = [...new Set(events.map((event) => event.sessionId))];
  if (written) return new Map(sessionIds.map((id) => [id, written.on]));
  const dates = new Map(known.dates.get(patient.id));
  for (const sessionId of sessionIds) {
    if (dates.has(sessionId)) continue;
    const newest = events
      .filter((event) => event.sessionId === sessionId)
      .reduce((a, b) => (b.offsetMs > a.offsetMs ? b : a));
    const began = sessionBegan(newest, sentAt, receivedAt);
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
export async function stopRule(
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
