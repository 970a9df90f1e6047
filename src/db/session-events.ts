import { LIST_BOUNDS } from './bounds';
import { type Placeholder, inArray, type SQL, and, asc, eq, gte, lte, or, sql } from 'drizzle-orm';
import type { SQLiteColumn } from 'drizzle-orm/sqlite-core';
import type { LocalDate, ClinicId, PatientId } from '@/core/units';
import { among } from './among';
import { type Statement, allOf, builder, read } from './door';
import { episodeOf } from './visit/place';
import { alert, dayDone, logConflict, sessionEvent } from './schema';

export type SessionEventRow = Omit<typeof sessionEvent.$inferSelect, 'episodeId'>;
export type DayDoneRow = typeof dayDone.$inferSelect;

/** A patient's day. */
export type DayOf = { readonly patientId: PatientId; readonly date: LocalDate };

/** The events of one day of one patient, in the order they happened. */
export function eventsOfDay(
  clinicId: ClinicId,
  patientId: PatientId,
  date: LocalDate,
): Promise<SessionEventRow[]> {
  return eventsOfDays(clinicId, [{ patientId, values: [date] }]);
}

/** Of one patient, the rows that are asked for: days, sessions or events. */
export type AskedOf<T> = { readonly patientId: PatientId; readonly values: readonly T[] };

/**
 * Rows of each patient whose column is one of the patient's values. Each patient is a term of its own,
 * since an index is searched to its last column only then; over pairs it would be read for the whole clinic.
 */
function ofEach<T extends string>(
  clinicId: ClinicId,
  column: SQLiteColumn,
  asked: readonly AskedOf<T>[],
): SQL | undefined {
  return or(
    ...asked.map(({ patientId, values }) =>
      and(
        eq(sessionEvent.clinicId, clinicId),
        eq(sessionEvent.patientId, patientId),
        inArray(column, [...values]),
      ),
    ),
  );
}

/** The events of some days of some patients, in the order they happened; of each at most what a day is read with. */
export function eventsOfDays(
  clinicId: ClinicId,
  days: readonly AskedOf<LocalDate>[],
): Promise<SessionEventRow[]> {
  const count = days.reduce((sum, { values }) => sum + values.length, 0);
  return read((db) =>
    db
      .select()
      .from(sessionEvent)
      .where(ofEach(clinicId, sessionEvent.localDate, days))
      .orderBy(asc(sessionEvent.deviceAt), asc(sessionEvent.id))
      .limit(LIST_BOUNDS.eventsOfADay * count),
  );
}

/** The day each of these sessions was first taken in under. */
export function datesOfSessions(clinicId: ClinicId, sessions: readonly AskedOf<string>[]) {
  const { patientId, sessionId, localDate } = sessionEvent;
  return read((db) =>
    db
      .selectDistinct({ patientId, sessionId, localDate })
      .from(sessionEvent)
      .where(ofEach(clinicId, sessionId, sessions)),
  );
}

/** Stored events of these patients with these ids. */
export function eventsById(clinicId: ClinicId, ids: readonly AskedOf<string>[]) {
  const { patientId, id, payloadHash } = sessionEvent;
  return read((db) =>
    db
      .select({ patientId, id, payloadHash })
      .from(sessionEvent)
      .where(ofEach(clinicId, id, ids)),
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

/** A guard's condition: exactly so many events of each of these days are stored. */
export function eventsOnDaysAre(
  clinicId: ClinicId,
  days: readonly (DayOf & { readonly events: number })[],
) {
  return allOf(
    days.map(
      ({ patientId, date, events }) =>
        sql`SELECT count(*) = ${events} FROM ${sessionEvent} WHERE ${sessionEvent.clinicId} = ${clinicId}
    AND ${sessionEvent.patientId} = ${patientId} AND ${sessionEvent.localDate} = ${date}`,
    ),
  );
}

/** Keeps the folds of these days, in the place of those before. */
export function putDaysDone(rows: readonly DayDoneRow[]): Statement {
  return builder()
    .insert(dayDone)
    .values([...rows])
    .onConflictDoUpdate({
      target: [dayDone.clinicId, dayDone.patientId, dayDone.localDate],
      set: {
        done: sql`excluded.done`,
        sessionsDone: sql`excluded.sessions_done`,
        pain: sql`excluded.pain`,
        report: sql`excluded.report`,
        events: sql`excluded.events`,
      },
    });
}

/** The folded days of these patients from `from` to `to`, both included. */
export const onDays = (
  clinicId: ClinicId | Placeholder,
  patientIds: readonly string[] | Placeholder,
  from: LocalDate | Placeholder,
  to: LocalDate | Placeholder,
) =>
  and(
    eq(dayDone.clinicId, clinicId),
    among(dayDone.patientId, patientIds),
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

/** A folded day and the pain that was told of it. */
export type DayOfPain = {
  readonly patientId: PatientId;
  readonly localDate: LocalDate;
  readonly pain: number | null;
};

/** The newest folded day of each of these patients; with pains, the newest of which one was told. */
export function newestDaysOf(
  clinicId: ClinicId,
  patientIds: readonly string[],
  which: 'all' | 'with pains' = 'all',
): Promise<DayOfPain[]> {
  if (patientIds.length === 0) return Promise.resolve([]);
  return read((db) =>
    db
      .select({ patientId: dayDone.patientId, localDate: dayDone.localDate, pain: dayDone.pain })
      .from(dayDone)
      .where(
        sql`${dayDone.clinicId} = ${clinicId} AND (${dayDone.patientId}, ${dayDone.localDate}) IN (
          SELECT ${dayDone.patientId}, max(${dayDone.localDate}) FROM ${dayDone}
          WHERE ${dayDone.clinicId} = ${clinicId} AND ${among(dayDone.patientId, patientIds)} ${which === 'with pains' ? sql`AND ${dayDone.pain} IS NOT NULL` : sql``}
          GROUP BY ${dayDone.patientId})`,
      ),
  );
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
