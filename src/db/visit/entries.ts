import { and, desc, eq, inArray, isNotNull, sql } from 'drizzle-orm';
import { type Statement, builder, read } from '../door';
import { fileEntry } from '../schema';

export type FileEntryRow = typeof fileEntry.$inferSelect;

/** Named by hand: an inner select's columns lose their table otherwise. */
const notSuperseded = sql`NOT EXISTS (SELECT 1 FROM file_entry AS later
  WHERE later.clinic_id = file_entry.clinic_id AND later.supersedes = file_entry.id)`;

/** A patient's entries of these kinds that count now, newest first. */
export function entriesOf(
  clinicId: string,
  patientId: string,
  kinds: readonly FileEntryRow['kind'][],
  limit = 200,
): Promise<FileEntryRow[]> {
  return read((db) =>
    db
      .select()
      .from(fileEntry)
      .where(
        and(
          eq(fileEntry.clinicId, clinicId),
          eq(fileEntry.patientId, patientId),
          inArray(fileEntry.kind, [...kinds]),
          isNotNull(fileEntry.body),
          notSuperseded,
        ),
      )
      .orderBy(desc(fileEntry.localDate), desc(fileEntry.createdAt), desc(sql`rowid`))
      .limit(limit),
  );
}

export async function entryById(clinicId: string, id: string): Promise<FileEntryRow | null> {
  const rows = await read((db) =>
    db
      .select()
      .from(fileEntry)
      .where(and(eq(fileEntry.clinicId, clinicId), eq(fileEntry.id, id)))
      .limit(1),
  );
  return rows[0] ?? null;
}

export function insertEntry(row: FileEntryRow): Statement {
  return builder().insert(fileEntry).values(row);
}

/** A guard's condition: the newest consent that counts allows photos. */
export function photosConsented(clinicId: string, patientId: string) {
  return sql`SELECT coalesce((SELECT json_extract(e.body, '$.photos') FROM file_entry AS e
    WHERE e.clinic_id = ${clinicId} AND e.patient_id = ${patientId} AND e.kind = 'consent'
      AND e.body IS NOT NULL AND NOT EXISTS (SELECT 1 FROM file_entry AS later
        WHERE later.clinic_id = e.clinic_id AND later.supersedes = e.id)
    ORDER BY e.local_date DESC, e.created_at DESC, e.rowid DESC LIMIT 1), 0)`;
}
