import { LIST_BOUNDS } from './bounds';
import type { Instant } from '@/core/schedule';
import { group } from 'd3';
import { and, asc, desc, eq, getTableColumns, sql } from 'drizzle-orm';
import type { LocalDate, ClinicId, ExerciseId, PatientId } from '@/core/units';
import { type OfPatients, aboutThese, ofPatients } from './among';
import { type Statement, builder, prepared, read, readOne } from './door';
import { rowsInText } from './rows-in-text';
import { type Placed, episodeOf, placed } from './visit/place';
import { pause, programme, programmeLine, programmeVersion, sessionEvent } from './schema';

export type VersionRow = typeof programmeVersion.$inferSelect;
export type LineRow = typeof programmeLine.$inferSelect;
export type VersionWithLines = { readonly version: VersionRow; readonly lines: readonly LineRow[] };

/** Every version of these patients' programmes with its lines, oldest first, by patient. */
export async function versionsOf(
  clinicId: ClinicId,
  patientIds: readonly string[],
): Promise<Map<string, VersionWithLines[]>> {
  if (patientIds.length === 0) return new Map();
  const rows = await versions(ofPatients(clinicId, patientIds));
  const byPatient = new Map<string, VersionWithLines[]>();
  for (const [patientId, own] of group(rows, (row) => row.patientId))
    byPatient.set(
      patientId,
      own.slice(-LIST_BOUNDS.versions).map(({ lines, ...version }) => ({
        version,
        lines: lines
          .map((line) => ({ ...line, episodeId: line.episodeId ?? version.episodeId }))
          .sort((a, b) => a.place - b.place),
      })),
    );
  return byPatient;
}

const linesOfVersion = rowsInText(
  programmeLine,
  sql`clinic_id = programme_version.clinic_id AND programme_id = programme_version.programme_id AND number = programme_version.number`,
);

const versions = prepared<OfPatients, VersionRow & { readonly lines: LineRow[] }>((db) =>
  db
    .select({ ...getTableColumns(programmeVersion), lines: linesOfVersion })
    .from(programmeVersion)
    .where(aboutThese(programmeVersion))
    .orderBy(asc(programmeVersion.patientId), asc(programmeVersion.number))
    .prepare(),
);

/** How many of the clinic's patients have this exercise in their newest version. */
export async function runningWith(clinicId: ClinicId, exerciseId: ExerciseId): Promise<number> {
  const newest = sql`(SELECT max(${programmeVersion.number}) FROM ${programmeVersion}
    WHERE ${programmeVersion.clinicId} = ${clinicId} AND ${programmeVersion.programmeId} = ${programmeLine.programmeId})`;
  const rows = await read((db) =>
    db
      .select({ count: sql<number>`count(DISTINCT ${programmeLine.programmeId})` })
      .from(programmeLine)
      .where(
        and(
          eq(programmeLine.clinicId, clinicId),
          eq(programmeLine.exerciseId, exerciseId),
          sql`${programmeLine.number} = ${newest}`,
        ),
      ),
  );
  return rows[0]?.count ?? 0;
}

/** The clinic's patients who were given an exercise, in whatever version; those given it last come first. */
export async function patientsGiven(
  clinicId: ClinicId,
  exerciseId: ExerciseId,
): Promise<PatientId[]> {
  const last = sql<number>`max(${programmeVersion.createdAt})`;
  const rows = await read((db) =>
    db
      .select({ patientId: programmeVersion.patientId, last })
      .from(programmeLine)
      // A cross join keeps the written order: the lines with this exercise, then whose they are.
      .crossJoin(programmeVersion)
      .where(
        and(
          eq(programmeLine.clinicId, clinicId),
          eq(programmeLine.exerciseId, exerciseId),
          eq(programmeVersion.clinicId, programmeLine.clinicId),
          eq(programmeVersion.programmeId, programmeLine.programmeId),
          eq(programmeVersion.number, programmeLine.number),
        ),
      )
      .groupBy(programmeVersion.patientId)
      .orderBy(desc(last))
      .limit(LIST_BOUNDS.patientsWithExercise),
  );
  return rows.map(({ patientId }) => patientId);
}

/** A patient's programme; null before the first version. */
export async function programmeOf(clinicId: ClinicId, patientId: PatientId) {
  return readOne((db) =>
    db
      .select()
      .from(programme)
      .where(and(eq(programme.clinicId, clinicId), eq(programme.patientId, patientId))),
  );
}

export function insertProgramme(row: typeof programme.$inferInsert): Statement {
  return builder().insert(programme).values(row);
}

/** @param on the patient's day it was written on, which need not be the day it begins */
export function insertVersion(
  version: Placed<VersionRow>,
  lines: readonly LineRow[],
  on: LocalDate,
): Statement[] {
  return [
    ...placed(version, on, (columns) =>
      builder()
        .insert(programmeVersion)
        .values({ ...version, ...columns }),
    ),
    builder()
      .insert(programmeLine)
      .values([...lines]),
  ];
}

/** A guard's condition: the patient's newest version is still this one (0: none). */
export function newestVersionIs(clinicId: ClinicId, patientId: PatientId, number: number) {
  return sql`SELECT coalesce(max(${programmeVersion.number}), 0) = ${number} FROM ${programmeVersion}
    WHERE ${programmeVersion.clinicId} = ${clinicId} AND ${programmeVersion.patientId} = ${patientId}`;
}

/** A guard's condition: nothing was logged for this day. */
export function nothingLoggedOn(clinicId: ClinicId, patientId: PatientId, date: LocalDate) {
  return sql`SELECT count(*) = 0 FROM ${sessionEvent} WHERE ${sessionEvent.clinicId} = ${clinicId}
    AND ${sessionEvent.patientId} = ${patientId} AND ${sessionEvent.localDate} = ${date}`;
}

export async function hasLogOn(
  clinicId: ClinicId,
  patientId: PatientId,
  date: LocalDate,
): Promise<boolean> {
  const row = await readOne((db) =>
    db
      .select({ id: sessionEvent.id })
      .from(sessionEvent)
      .where(
        and(
          eq(sessionEvent.clinicId, clinicId),
          eq(sessionEvent.patientId, patientId),
          eq(sessionEvent.localDate, date),
        ),
      ),
  );
  return row !== null;
}

/** Pauses of these patients, oldest first. */
export function pausesOf(clinicId: ClinicId, patientIds: readonly string[]) {
  return pauses(ofPatients(clinicId, patientIds));
}

const pauses = prepared<OfPatients, typeof pause.$inferSelect>((db) =>
  db
    .select()
    .from(pause)
    .where(aboutThese(pause))
    .orderBy(asc(pause.fromDate), desc(pause.createdAt))
    .limit(LIST_BOUNDS.pauses)
    .prepare(),
);

/** A pause with a person's own words: another under its id is refused. */
export function insertOwnPause(row: typeof pause.$inferInsert): Statement {
  return builder()
    .insert(pause)
    .values({ ...row, episodeId: episodeOf(row) });
}

/** A pause that is there already stays as it is: what caused it may be told twice. */
export function insertPause(row: typeof pause.$inferInsert): Statement {
  return builder()
    .insert(pause)
    .values({ ...row, episodeId: episodeOf(row) })
    .onConflictDoNothing();
}

/** Ends a patient's open pauses; `lastDay` is the last paused day. */
export function endPausesOf(
  clinicId: ClinicId,
  patientId: PatientId,
  lastDay: LocalDate,
  by: string,
  at: Instant,
): Statement {
  return builder()
    .update(pause)
    .set({ toDate: lastDay, endedBy: by, endedAt: at })
    .where(
      and(
        eq(pause.clinicId, clinicId),
        eq(pause.patientId, patientId),
        sql`${pause.toDate} IS NULL`,
      ),
    );
}
