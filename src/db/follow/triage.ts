import { LIST_BOUNDS } from '../bounds';
import type { Instant } from '@/core/schedule';
import { and, asc, eq, gt, inArray, isNull, lt, lte, sql } from 'drizzle-orm';
import type { ClinicId, MemberId, PatientId } from '@/core/units';
import { among } from '../among';
import { type Statement, builder, read } from '../door';
import { alert, auditEvent, patient, triageMark, triageRow } from '../schema';

export type TriageRow = typeof triageRow.$inferSelect;
export type TriageMarkRow = typeof triageMark.$inferSelect;

/** Ids of the clinic's patients who have no row at all, by the two tables' keys alone. */
export async function patientsWithoutRow(clinicId: ClinicId, most: number): Promise<PatientId[]> {
  const rows = await read((db) =>
    db.select({ id: patient.id }).from(patient).where(hasNoRow(clinicId)).limit(most),
  );
  return rows.map(({ id }) => id);
}

/**
 * Ids of the clinic's patients without a row that still holds: those who have none, then those whose row
 * is past its time, by the index of times.
 */
export async function patientsWithoutTriage(
  clinicId: ClinicId,
  at: Instant,
  most: number,
): Promise<PatientId[]> {
  const missing = await patientsWithoutRow(clinicId, most);
  if (missing.length === most) return missing;
  const stale = await read((db) =>
    db
      .select({ id: triageRow.patientId })
      .from(triageRow)
      .where(and(eq(triageRow.clinicId, clinicId), lte(triageRow.staleAt, at)))
      .limit(most - missing.length),
  );
  return [...missing, ...stale.map(({ id }) => id)];
}

function hasNoRow(clinicId: ClinicId) {
  return and(
    eq(patient.clinicId, clinicId),
    isNull(patient.archivedAt),
    sql`NOT EXISTS (SELECT 1 FROM ${triageRow} WHERE ${triageRow.clinicId} = ${patient.clinicId}
      AND ${triageRow.patientId} = ${patient.id})`,
  );
}

/** Those who have no row at all and of whom an alert is open, by id: what is new of them must not wait. */
export async function alarmedWithoutRow(clinicId: ClinicId, most: number): Promise<PatientId[]> {
  const rows = await read((db) =>
    db
      .selectDistinct({ id: alert.patientId })
      .from(alert)
      .innerJoin(
        patient,
        and(eq(patient.clinicId, alert.clinicId), eq(patient.id, alert.patientId)),
      )
      .where(and(hasNoRow(clinicId), eq(alert.clinicId, clinicId), isNull(alert.acknowledgedAt)))
      .limit(most),
  );
  return rows.map(({ id }) => id);
}

/** The newest thing written of a clinic, by anybody. */
export async function newestAudit(clinicId: ClinicId): Promise<number> {
  const rows = await read((db) =>
    db
      .select({ id: sql<number>`coalesce(max(${auditEvent.id}), 0)` })
      .from(auditEvent)
      .where(eq(auditEvent.clinicId, clinicId)),
  );
  return rows[0]?.id ?? 0;
}

/**
 * A guard's condition: nothing has been written of these patients since, nor of anything of the clinic
 * that is no patient's, such as its limits.
 */
export function nothingWrittenOf(clinicId: ClinicId, patientIds: readonly string[], audit: number) {
  return sql`SELECT NOT EXISTS (SELECT 1 FROM ${auditEvent} WHERE ${auditEvent.id} > ${audit}
    AND ${auditEvent.clinicId} = ${clinicId}
    AND (${auditEvent.subjectKind} <> 'patient' OR ${among(auditEvent.subjectId, patientIds)}))`;
}

/** How many of the clinic's patients have no row at all, and how many one that is past its time. */
export async function waitingTriage(
  clinicId: ClinicId,
  at: Instant,
): Promise<{ readonly missing: number; readonly stale: number }> {
  const [stale, missing] = await Promise.all([
    read((db) =>
      db
        .select({ n: sql<number>`count(*)` })
        .from(triageRow)
        .where(and(eq(triageRow.clinicId, clinicId), lte(triageRow.staleAt, at))),
    ),
    read((db) =>
      db
        .select({ n: sql<number>`count(*)` })
        .from(patient)
        .where(hasNoRow(clinicId)),
    ),
  ]);
  return { missing: missing[0]?.n ?? 0, stale: stale[0]?.n ?? 0 };
}

/** How many of the clinic's patients have no row that still holds. */
export async function countWithoutTriage(clinicId: ClinicId, at: Instant): Promise<number> {
  const { missing, stale } = await waitingTriage(clinicId, at);
  return missing + stale;
}

export function putTriageRows(rows: readonly TriageRow[]): Statement {
  return builder()
    .insert(triageRow)
    .values([...rows])
    .onConflictDoUpdate({
      target: [triageRow.clinicId, triageRow.patientId],
      set: {
        forDate: sql`excluded.for_date`,
        staleAt: sql`excluded.stale_at`,
        level: sql`excluded.level`,
        urgency: sql`excluded.urgency`,
        aside: sql`excluded.aside`,
        practitionerId: sql`excluded.practitioner_id`,
        name: sql`excluded.name`,
        body: sql`excluded.body`,
      },
    });
}

export type TriageQuery = {
  readonly clinicId: ClinicId;
  /** Null for those put aside, whatever their level. */
  readonly level: number | null;
  readonly search: string;
  /** Whose patients; null for everybody's. */
  readonly practitioners: readonly MemberId[] | null;
  readonly page: number;
  /** So many of the page's rows at the most; all of them where it is left out. */
  readonly most?: number;
};

type TriageFilter = Omit<TriageQuery, 'page' | 'most'>;

function triaged({ clinicId, level, search, practitioners }: TriageFilter) {
  const pattern = `%${search.replace(/[\\%_]/g, (c) => `\\${c}`)}%`;
  return and(
    eq(triageRow.clinicId, clinicId),
    eq(triageRow.aside, level === null),
    level === null ? undefined : eq(triageRow.level, level),
    practitioners === null ? undefined : inArray(triageRow.practitionerId, [...practitioners]),
    search === '' ? undefined : sql`${triageRow.name} LIKE ${pattern} ESCAPE '\\'`,
  );
}

/** One page of a level, the most urgent first, then by name. */
export function triageRowsOf(query: TriageQuery): Promise<TriageRow[]> {
  return read((db) =>
    db
      .select()
      .from(triageRow)
      .where(triaged(query))
      .orderBy(asc(triageRow.level), asc(triageRow.urgency), asc(triageRow.name))
      .limit(Math.min(query.most ?? Infinity, LIST_BOUNDS.triagePage))
      .offset((query.page - 1) * LIST_BOUNDS.triagePage),
  );
}

/** Patients who have a row, by id, from one id on. */
export async function triagedFrom(
  clinicId: ClinicId,
  after: PatientId | '',
  most: number,
): Promise<PatientId[]> {
  const rows = await read((db) =>
    db
      .select({ id: triageRow.patientId })
      .from(triageRow)
      .where(and(eq(triageRow.clinicId, clinicId), gt(triageRow.patientId, after as PatientId)))
      .orderBy(asc(triageRow.patientId))
      .limit(most),
  );
  return rows.map(({ id }) => id);
}

/** The rows of these patients. */
export async function triageRowsById(
  clinicId: ClinicId,
  ids: readonly PatientId[],
): Promise<ReadonlyMap<PatientId, TriageRow>> {
  const rows = await read((db) =>
    db
      .select()
      .from(triageRow)
      .where(and(eq(triageRow.clinicId, clinicId), among(triageRow.patientId, ids)))
      .limit(LIST_BOUNDS.idsAtOnce),
  );
  return new Map(rows.map((row) => [row.patientId, row]));
}

/** Lets go of these patients' rows, which are made of the record and made again. */
export function dropTriageRows(clinicId: ClinicId, ids: readonly PatientId[]): Statement {
  return builder()
    .delete(triageRow)
    .where(and(eq(triageRow.clinicId, clinicId), among(triageRow.patientId, ids)));
}

export async function countTriageRows(query: TriageFilter): Promise<number> {
  const rows = await read((db) =>
    db
      .select({ n: sql<number>`count(*)` })
      .from(triageRow)
      .where(triaged(query)),
  );
  return rows[0]?.n ?? 0;
}

/** How many of each practitioner stand in each level. */
export function triageCounts(clinicId: ClinicId) {
  return read((db) =>
    db
      .select({
        practitionerId: triageRow.practitionerId,
        level: triageRow.level,
        aside: triageRow.aside,
        count: sql<number>`count(*)`,
      })
      .from(triageRow)
      .where(eq(triageRow.clinicId, clinicId))
      .groupBy(triageRow.practitionerId, triageRow.level, triageRow.aside),
  );
}

/** The newest mark of each of these patients. */
export async function newestMarksOf(clinicId: ClinicId, patientIds: readonly string[]) {
  const rows = await read((db) =>
    db
      .select()
      .from(triageMark)
      .where(and(eq(triageMark.clinicId, clinicId), among(triageMark.patientId, patientIds)))
      .orderBy(asc(triageMark.createdAt), asc(sql`rowid`))
      .limit(LIST_BOUNDS.newestOfEach),
  );
  return new Map(rows.map((row) => [row.patientId, row]));
}

export function insertTriageMark(row: TriageMarkRow): Statement {
  return builder().insert(triageMark).values(row);
}

/** Marks every alert of the clinic that has been open since before an instant as the lead's. */
export function escalateAlerts(clinicId: ClinicId, openSince: Instant, at: Instant): Statement {
  return builder()
    .update(alert)
    .set({ escalatedAt: at })
    .where(
      and(
        eq(alert.clinicId, clinicId),
        isNull(alert.acknowledgedAt),
        isNull(alert.escalatedAt),
        lt(alert.createdAt, openSince),
      ),
    );
}

/** Alerts that have been open since before an instant and are not the lead's yet, the oldest first. */
export function alertsToEscalate(
  clinicId: ClinicId,
  openSince: Instant,
): Promise<{ id: string; patientId: PatientId }[]> {
  return read((db) =>
    db
      .select({ id: alert.id, patientId: alert.patientId })
      .from(alert)
      .where(
        and(
          eq(alert.clinicId, clinicId),
          isNull(alert.acknowledgedAt),
          isNull(alert.escalatedAt),
          lt(alert.createdAt, openSince),
        ),
      )
      .orderBy(asc(alert.createdAt))
      .limit(LIST_BOUNDS.openAlerts),
  );
}
