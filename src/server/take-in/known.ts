import { type SentVersion, sentVersion } from '@/core/programme';
import type { ClinicId, LocalDate, PatientId } from '@/core/units';
import {
  type DayOf,
  type SessionEventRow,
  datesOfSessions,
  eventsById,
  eventsOfDays,
  versionsOf,
} from '@/db';
import { group } from 'd3';
import type { Post } from './teller';

/** What is stored of the events of some posts, by patient. */
export type KnownEvents = {
  /** The hash of what an event says, by its id. */
  readonly hashes: ReadonlyMap<PatientId, ReadonlyMap<string, string>>;
  /** The day of a session, by its id. */
  readonly dates: ReadonlyMap<PatientId, ReadonlyMap<string, LocalDate>>;
};

const unique = <T>(values: readonly T[]) => [...new Set(values)];

/** Rows of several patients as one map for each. */
function byPatient<Row extends { readonly patientId: PatientId }, V>(
  rows: readonly Row[],
  entry: (row: Row) => readonly [string, V],
): Map<PatientId, Map<string, V>> {
  return new Map(
    [...group(rows, ({ patientId }) => patientId)].map(([id, own]) => [
      id,
      new Map(own.map((row) => entry(row))),
    ]),
  );
}

/** What is there of these posts' events and sessions, in two questions whatever their number. */
export async function knownEvents(
  clinicId: ClinicId,
  posts: readonly Post[],
): Promise<KnownEvents> {
  const of = (key: 'id' | 'sessionId') =>
    posts.map(({ teller, coming }) => ({
      patientId: teller.patient.id,
      values: unique(coming.events.map((event) => event[key])),
    }));
  const [hashes, dates] = [
    await eventsById(clinicId, of('id')),
    await datesOfSessions(clinicId, of('sessionId')),
  ];
  return {
    hashes: byPatient(hashes, ({ id, payloadHash }) => [id, payloadHash]),
    dates: byPatient(dates, ({ sessionId, localDate }) => [sessionId, localDate]),
  };
}

/** What the folds of these days are made of, in two questions whatever their number. */
export async function knownDays(clinicId: ClinicId, days: readonly DayOf[]) {
  const patientIds = unique(days.map(({ patientId }) => patientId));
  const versions = await versionsOf(clinicId, patientIds);
  const asked = [...group(days, ({ patientId }) => patientId)].map(([patientId, own]) => ({
    patientId,
    values: own.map(({ date }) => date),
  }));
  const events = asked.length === 0 ? [] : await eventsOfDays(clinicId, asked);
  const eventsBy = group(
    events,
    ({ patientId }) => patientId,
    ({ localDate }) => localDate,
  );
  return {
    versions: (id: PatientId): SentVersion[] => (versions.get(id) ?? []).map(sentVersion),
    events: ({ patientId, date }: DayOf): readonly SessionEventRow[] =>
      eventsBy.get(patientId)?.get(date) ?? [],
  };
}
