import { type SQL, and, asc, eq, gt, gte, lte, or, sql } from 'drizzle-orm';
import type { SQLiteColumn } from 'drizzle-orm/sqlite-core';
import type { ClinicId, LocalDate, PatientId } from '@/core/units';
import { LIST_BOUNDS } from '../bounds';
import { among } from '../among';
import { read, readOne } from '../door';
import { holdsWords } from '../people';
import type { Patient } from '../patients';
import { measurement, patient, programme, sessionEvent } from '../schema';

/** Days from and to, both included; null where there is no bound. */
export type DayRange = { readonly from: LocalDate | null; readonly to: LocalDate | null };
/** Where the page before ended: its last day and id. */
export type PageEnd = { readonly on: LocalDate; readonly id: string };
export type PageAsked = {
  readonly clinicId: ClinicId;
  readonly patientId: PatientId;
  readonly days: DayRange;
  readonly after: PageEnd | null;
  readonly limit: number;
};

/** What stands within the days and behind the page before, in the order of day and id. */
function inPage(
  day: SQLiteColumn,
  id: SQLiteColumn,
  { days, after }: Pick<PageAsked, 'days' | 'after'>,
): SQL | undefined {
  return and(
    days.from === null ? undefined : gte(day, days.from),
    days.to === null ? undefined : lte(day, days.to),
    after === null ? undefined : or(gt(day, after.on), and(eq(day, after.on), gt(id, after.id))),
  );
}

/** A patient's measurements by day and id; those that take another out have nothing to show. */
export function measurementsPage({ clinicId, patientId, days, after, limit }: PageAsked) {
  const { localDate, id } = measurement;
  return read((db) =>
    db
      .select()
      .from(measurement)
      .where(
        and(
          eq(measurement.clinicId, clinicId),
          eq(measurement.patientId, patientId),
          sql`${measurement.details} IS NOT NULL`,
          inPage(localDate, id, { days, after }),
        ),
      )
      .orderBy(asc(localDate), asc(id))
      .limit(limit),
  );
}

/** Which of these measurements were corrected or taken out later. */
export async function superseded(
  clinicId: ClinicId,
  ids: readonly string[],
): Promise<ReadonlySet<string>> {
  const rows = await read((db) =>
    db
      .select({ id: measurement.supersedes })
      .from(measurement)
      .where(and(eq(measurement.clinicId, clinicId), among(measurement.supersedes, ids)))
      .limit(LIST_BOUNDS.idsAtOnce),
  );
  return new Set(rows.flatMap(({ id }) => (id === null ? [] : [id])));
}

/** Told by a device, or written down as told and not taken back: as `standingEvents` has it. */
const notTakenBack = sql`(${sessionEvent.writtenBy} IS NULL OR NOT EXISTS (
  SELECT 1 FROM session_event AS back, json_each(back.body, '$.sessions') AS gone
  WHERE back.clinic_id = ${sessionEvent.clinicId} AND back.patient_id = ${sessionEvent.patientId}
    AND back.local_date = ${sessionEvent.localDate} AND back.written_by IS NOT NULL
    AND json_extract(back.body, '$.type') = 'taken back' AND gone.value = ${sessionEvent.sessionId}))`;

/** What a patient told of pain, mornings and activities, by day and id. */
export function toldPage({ clinicId, patientId, days, after, limit }: PageAsked) {
  const { localDate, id } = sessionEvent;
  return read((db) =>
    db
      .select()
      .from(sessionEvent)
      .where(
        and(
          eq(sessionEvent.clinicId, clinicId),
          eq(sessionEvent.patientId, patientId),
          sql`json_extract(${sessionEvent.body}, '$.type') IN ('check-in', 'daily', 'report', 'morning', 'weekly')`,
          notTakenBack,
          inPage(localDate, id, { days, after }),
        ),
      )
      .orderBy(asc(localDate), asc(id))
      .limit(limit),
  );
}

/** A patient's sessions by their day and id; `dayKey` is what is told of a day and is none. */
export function sessionsPage(
  { clinicId, patientId, days, after, limit }: PageAsked,
  dayKey: string,
): Promise<PageEnd[]> {
  const on = sql<LocalDate>`min(${sessionEvent.localDate})`;
  return read((db) =>
    db
      .select({ id: sessionEvent.sessionId, on })
      .from(sessionEvent)
      .where(
        and(
          eq(sessionEvent.clinicId, clinicId),
          eq(sessionEvent.patientId, patientId),
          sql`${sessionEvent.sessionKey} <> ${dayKey}`,
          notTakenBack,
          days.from === null ? undefined : gte(sessionEvent.localDate, days.from),
          days.to === null ? undefined : lte(sessionEvent.localDate, days.to),
          after === null ? undefined : gte(sessionEvent.localDate, after.on),
        ),
      )
      .groupBy(sessionEvent.sessionId)
      .having(
        after
          ? sql`${on} > ${after.on} OR (${on} = ${after.on} AND ${sessionEvent.sessionId} > ${after.id})`
          : sql`1`,
      )
      .orderBy(asc(on), asc(sessionEvent.sessionId))
      .limit(limit),
  );
}

/** Every event of some sessions, in the order they were taken in. */
export function eventsOfSessions(
  clinicId: ClinicId,
  patientId: PatientId,
  sessions: readonly string[],
) {
  return read((db) =>
    db
      .select()
      .from(sessionEvent)
      .where(
        and(
          eq(sessionEvent.clinicId, clinicId),
          eq(sessionEvent.patientId, patientId),
          among(sessionEvent.sessionId, sessions),
        ),
      )
      .orderBy(sql`rowid`)
      .limit(LIST_BOUNDS.eventsOfSessions),
  );
}

/** A clinic's patients by name and id, those whose text holds every word and who were born on that day. */
export function patientsPage(
  clinicId: ClinicId,
  {
    words,
    birthDate,
    after,
    limit,
  }: {
    readonly words: readonly string[];
    readonly birthDate: LocalDate | null;
    /** Id of the last patient of the page before. */
    readonly after: string | null;
    readonly limit: number;
  },
): Promise<Patient[]> {
  return read((db) =>
    db
      .select()
      .from(patient)
      .where(
        and(
          eq(patient.clinicId, clinicId),
          holdsWords(words),
          birthDate === null ? undefined : eq(patient.birthDate, birthDate),
          after === null ? undefined : gt(patient.id, after as PatientId),
        ),
      )
      .orderBy(asc(patient.id))
      .limit(limit),
  );
}

/** Whose programme this is; null where there is none. */
export async function patientOfProgramme(
  clinicId: ClinicId,
  id: string,
): Promise<PatientId | null> {
  const row = await readOne((db) =>
    db
      .select({ patientId: programme.patientId })
      .from(programme)
      .where(and(eq(programme.clinicId, clinicId), eq(programme.id, id))),
  );
  return row?.patientId ?? null;
}
