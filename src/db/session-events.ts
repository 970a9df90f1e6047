import { LIST_BOUNDS } from './bounds';
import { and, asc, eq, gte, inArray, lte, sql } from 'drizzle-orm';
import type { LocalDate, ClinicId, PatientId } from '@/core/units';
import { type Statement, builder, read } from './door';
import { episodeOf } from './visit/place';
import { alert, dayDone, logConflict, sessionEvent } from './schema';

export type SessionEventRow = Omit<typeof sessionEvent.$inferSelect, 'episodeId'>;
export type DayDoneRow = typeof dayDone.$inferSelect;

/** The most events of one day that are read; far beyond what a person can do. */

export function eventsOfDay(
  clinicId: ClinicId,
  patientId: PatientId,
  date: LocalDate,
): Promise<SessionEventRow[]> {
  return read((db) =>
    db
      .select()
      .from(sessionEvent)
      .where(
        and(
          eq(sessionEvent.clinicId, clinicId),
          eq(sessionEvent.patientId, patientId),
          eq(sessionEvent.localDate, date),
        ),
      )
      .orderBy(asc(sessionEvent.deviceAt), asc(sessionEvent.id))
      .limit(LIST_BOUNDS.eventsOfADay),
  );
}

/** The day each of these sessions was first taken in under. */
export async function datesOfSessions(
  clinicId: ClinicId,
  patientId: PatientId,
  sessionIds: readonly string[],
) {
  const rows = await read((db) =>
    db
      .selectDistinct({ sessionId: sessionEvent.sessionId, localDate: sessionEvent.localDate })
      .from(sessionEvent)
      .where(
        and(
          eq(sessionEvent.clinicId, clinicId),
          eq(sessionEvent.patientId, patientId),
          inArray(sessionEvent.sessionId, [...sessionIds]),
        ),
      ),
  );
  return new Map(rows.map((row) => [row.sessionId, row.localDate]));
}

/** Stored events with these ids. */
export function eventsById(clinicId: ClinicId, patientId: PatientId, ids: readonly string[]) {
  return read((db) =>
    db
      .select({ id: sessionEvent.id, payloadHash: sessionEvent.payloadHash })
      .from(sessionEvent)
      .where(
        and(
          eq(sessionEvent.clinicId, clinicId),
          eq(sessionEvent.patientId, patientId),
          inArray(sessionEvent.id, [...ids]),
        ),
      ),
  );
}

export function insertEvents(rows: readonly SessionEventRow[]): Statement {
  return builder()
    .insert(sessionEvent)
    .values(rows.map((row) => ({ ...row, episodeId: episodeOf(row) })))
    .onConflictDoNothing();
}

export function insertConflict(row: typeof logConflict.$inferInsert): Statement {
  return builder().insert(logConflict).values(row).onConflictDoNothing();
}

export function insertAlert(row: typeof alert.$inferInsert): Statement {
  return builder()
    .insert(alert)
    .values({ ...row, episodeId: episodeOf(row) })
    .onConflictDoNothing();
}

/** A guard's condition: exactly so many events of the day are stored. */
export function eventsOnDayAre(
  clinicId: ClinicId,
  patientId: PatientId,
  date: LocalDate,
  count: number,
) {
  return sql`SELECT count(*) = ${count} FROM ${sessionEvent} WHERE ${sessionEvent.clinicId} = ${clinicId}
    AND ${sessionEvent.patientId} = ${patientId} AND ${sessionEvent.localDate} = ${date}`;
}

export function putDayDone(row: DayDoneRow): Statement {
  const { done, sessionsDone, pain, report, events } = row;
  return builder()
    .insert(dayDone)
    .values(row)
    .onConflictDoUpdate({
      target: [dayDone.clinicId, dayDone.patientId, dayDone.localDate],
      set: { done, sessionsDone, pain, report, events },
    });
}

const onDays = (
  clinicId: ClinicId,
  patientIds: readonly string[],
  from: LocalDate,
  to: LocalDate,
) =>
  and(
    eq(dayDone.clinicId, clinicId),
    inArray(dayDone.patientId, [...patientIds]),
    gte(dayDone.localDate, from),
    lte(dayDone.localDate, to),
  );

/** The folded days of these patients from `from` to `to`, both included. */
export function daysDone(
  clinicId: ClinicId,
  patientIds: readonly string[],
  from: LocalDate,
  to: LocalDate,
) {
  return read((db) =>
    db
      .select()
      .from(dayDone)
      .where(onDays(clinicId, patientIds, from, to)),
  );
}

/** A folded day as progression, strips and lists read it. */
export type DayRead = Pick<DayDoneRow, 'patientId' | 'localDate' | 'done' | 'report'>;

/** The same with only what is reckoned with, since lists read them by the ten thousand. */
export function daysRead(
  clinicId: ClinicId,
  patientIds: readonly string[],
  from: LocalDate,
  to: LocalDate,
): Promise<DayRead[]> {
  const { patientId, localDate, done, report } = dayDone;
  return read((db) =>
    db
      .select({ patientId, localDate, done, report })
      .from(dayDone)
      .where(onDays(clinicId, patientIds, from, to)),
  );
}

/** The newest folded day with a session, and the newest pain, of each of these patients. */
export async function newestOf(clinicId: ClinicId, patientIds: readonly string[]) {
  const list = sql.join(
    patientIds.map((id) => sql`${id}`),
    sql`, `,
  );
  const newest = (column: 'session' | 'pain') =>
    read((db) =>
      db
        .select({ patientId: dayDone.patientId, localDate: dayDone.localDate, pain: dayDone.pain })
        .from(dayDone)
        .where(
          sql`${dayDone.clinicId} = ${clinicId} AND (${dayDone.patientId}, ${dayDone.localDate}) IN (
            SELECT patient_id, max(local_date) FROM day_done
            WHERE clinic_id = ${clinicId} AND patient_id IN (${list}) ${column === 'pain' ? sql`AND pain IS NOT NULL` : sql``}
            GROUP BY patient_id)`,
        ),
    );
  const [sessions, pains] = [await newest('session'), await newest('pain')];
  return {
    session: new Map(sessions.map((row) => [row.patientId, row.localDate])),
    pain: new Map(pains.map((row) => [row.patientId, { date: row.localDate, pain: row.pain }])),
  };
}

/** How many events each of a patient's days has, by date. */
export function eventDays(clinicId: ClinicId, patientId: PatientId) {
  return read((db) =>
    db
      .select({ date: sessionEvent.localDate, events: sql<number>`count(*)` })
      .from(sessionEvent)
      .where(and(eq(sessionEvent.clinicId, clinicId), eq(sessionEvent.patientId, patientId)))
      .groupBy(sessionEvent.localDate)
      .orderBy(asc(sessionEvent.localDate)),
  );
}
