import { type SQL, and, asc, eq, getTableColumns, inArray, sql } from 'drizzle-orm';
import type { SQLiteColumn, SQLiteTable } from 'drizzle-orm/sqlite-core';
import type { ClinicId, PatientId } from '@/core/units';
import { read } from '../door';
import * as schema from '../schema';
import { readBody } from '../visit/entries';
import { LEFT_OUT } from './row-schema';
import { RECORD_TABLES, RECORD_TABLE_NAMES, type RecordRows, type RecordTable } from './tables';

/** Rows read at once. */
const PAGE = 1000;
/** So many rows a record may have in one table: far above years of sessions several times a day. */
export const MOST_RECORD_ROWS = 300_000;

type Columns = Readonly<Record<string, SQLiteColumn>>;

/** Which rows of a table are the patient's. */
function ofPatient(table: RecordTable, clinicId: ClinicId, patientId: PatientId): SQL | undefined {
  const columns: Columns = getTableColumns(RECORD_TABLES[table]);
  const owner = table === 'patient' ? columns.id : columns.patientId;
  const clinic = columns.clinicId;
  if (!clinic) throw new Error(`${table} has no clinic`);
  if (owner) return and(eq(clinic, clinicId), eq(owner, patientId));
  // The lines of a programme name their patient by way of it.
  return and(
    eq(schema.programmeLine.clinicId, clinicId),
    inArray(
      schema.programmeLine.programmeId,
      sql`(SELECT id FROM programme WHERE clinic_id = ${clinicId} AND patient_id = ${patientId})`,
    ),
  );
}

/**
 * Every row of one table that is the patient's, in the order they were written.
 *
 * @throws Unreadable where a stored value is not what its column promises; RangeError above `MOST_RECORD_ROWS`
 */
async function rowsOf(table: RecordTable, clinicId: ClinicId, patientId: PatientId) {
  const from: SQLiteTable = RECORD_TABLES[table];
  const where = ofPatient(table, clinicId, patientId);
  const rows: Record<string, unknown>[] = [];
  for (let after = -1; ;) {
    const page = await read((db) =>
      db
        .select({ row: from, at: sql<number>`rowid` })
        .from(from)
        .where(and(where, sql`rowid > ${after}`))
        .orderBy(sql`rowid`)
        .limit(PAGE),
    );
    rows.push(...page.map(({ row }) => row as Record<string, unknown>));
    if (rows.length > MOST_RECORD_ROWS) throw new RangeError(`more rows than a file may have`);
    const last = page.at(-1);
    if (!last || page.length < PAGE) return rows;
    after = last.at;
  }
}

/** What the clinic keeps of a patient, as it is stored: all of it, or some tables. No rows where there is nobody. */
export async function recordRows<Table extends RecordTable = RecordTable>(
  clinicId: ClinicId,
  patientId: PatientId,
  names: readonly Table[] = RECORD_TABLE_NAMES as Table[],
): Promise<Pick<RecordRows, Table>> {
  const tables: Partial<Record<RecordTable, unknown[]>> = {};
  for (const table of names) tables[table] = await rowsOf(table, clinicId, patientId);
  return tables as unknown as Pick<RecordRows, Table>;
}

/** A row as the file holds it: see `rowSchema`. */
export function rowInFile(table: RecordTable, row: Record<string, unknown>) {
  const kept = Object.fromEntries(Object.entries(row).filter(([name]) => !LEFT_OUT.has(name)));
  if (table !== 'fileEntry' || typeof kept.body !== 'string') return kept;
  const { kind, id } = row as (typeof schema.fileEntry)['$inferSelect'];
  return { ...kept, body: readBody(kind, kept.body, id) };
}

/** The photos of a patient whose bytes are there, in the order they were taken. */
export function photosOfRecord(clinicId: ClinicId, patientId: PatientId) {
  const { photo, photoBytes } = schema;
  return read((db) =>
    db
      .select({ id: photo.id, takenOn: photo.takenOn })
      .from(photo)
      .innerJoin(
        photoBytes,
        and(eq(photoBytes.clinicId, photo.clinicId), eq(photoBytes.photoId, sql`photo.id`)),
      )
      .where(and(eq(photo.clinicId, clinicId), eq(photo.patientId, patientId)))
      .orderBy(asc(photo.takenOn), asc(photo.id))
      .limit(MOST_RECORD_PHOTOS),
  );
}
/** Photos of one patient that a file holds at most. */
export const MOST_RECORD_PHOTOS = 1000;
