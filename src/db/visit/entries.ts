import { LIST_BOUNDS } from '../bounds';
import { and, desc, eq, isNotNull, sql } from 'drizzle-orm';
import { FILE_BODIES, type FileBodies, type FileEntryKind } from '@/core/records';
import type { ClinicId, PatientId } from '@/core/units';
import { among, listed } from '../among';
import { type Statement, builder, prepared, readOne } from '../door';
import { fileEntry } from '../schema';
import { Unreadable } from '../unreadable';
import { type Placed, placed } from './place';

type Stored = typeof fileEntry.$inferSelect;

/** An entry of one kind; the body is null where it takes an earlier one out. */
type EntryOf<Kind extends FileEntryKind> = Omit<Stored, 'kind' | 'body'> & {
  readonly kind: Kind;
  readonly body: FileBodies[Kind] | null;
};
/** An entry of the file, told apart by its kind. */
export type FileEntryRow = { readonly [Kind in FileEntryKind]: EntryOf<Kind> }[FileEntryKind];

/**
 * The body of an entry, as its kind promises.
 *
 * @throws Unreadable when it is not
 */
export function readBody<Kind extends FileEntryKind>(
  kind: Kind,
  body: string,
  id: string | null,
): FileBodies[Kind] {
  const read = FILE_BODIES[kind].safeParse(parsed(body));
  if (!read.success) throw new Unreadable(`an entry of the file (${kind})`, id);
  // Checked by the schema of this very kind, which the compiler cannot follow.
  return read.data as FileBodies[Kind];
}

function parsed(text: string): unknown {
  try {
    return JSON.parse(text) as unknown;
  } catch {
    return undefined;
  }
}

function rowOf(row: Stored): FileEntryRow {
  const body = row.body === null ? null : readBody(row.kind, row.body, row.id);
  return { ...row, body } as FileEntryRow;
}

/** An entry that counts now. Named by hand: an inner select's columns lose their table otherwise. */
export const notSuperseded = sql`NOT EXISTS (SELECT 1 FROM file_entry AS later
  WHERE later.clinic_id = file_entry.clinic_id AND later.supersedes = file_entry.id)`;

/** A patient's entries of these kinds that count now, newest first. */
export async function entriesOf<Kind extends FileEntryKind>(
  clinicId: ClinicId,
  patientId: PatientId,
  kinds: readonly Kind[],
  limit: number = LIST_BOUNDS.entries,
): Promise<Extract<FileEntryRow, { kind: Kind }>[]> {
  const rows = await ofKinds({ clinicId, patientId, kinds: listed(kinds), limit });
  return rows.map((row) => rowOf(row) as Extract<FileEntryRow, { kind: Kind }>);
}

const ofKinds = prepared<
  {
    readonly clinicId: ClinicId;
    readonly patientId: PatientId;
    readonly kinds: string;
    readonly limit: number;
  },
  Stored
>((db) =>
  db
    .select()
    .from(fileEntry)
    .where(
      and(
        eq(fileEntry.clinicId, sql.placeholder('clinicId')),
        eq(fileEntry.patientId, sql.placeholder('patientId')),
        among(fileEntry.kind, sql.placeholder('kinds')),
        isNotNull(fileEntry.body),
        notSuperseded,
      ),
    )
    .orderBy(desc(fileEntry.localDate), desc(fileEntry.createdAt), desc(sql`rowid`))
    .limit(sql.placeholder('limit'))
    .prepare(),
);

export async function entryById(clinicId: ClinicId, id: string): Promise<FileEntryRow | null> {
  const row = await readOne((db) =>
    db
      .select()
      .from(fileEntry)
      .where(and(eq(fileEntry.clinicId, clinicId), eq(fileEntry.id, id))),
  );
  return row ? rowOf(row) : null;
}

export function insertEntry(row: Placed<FileEntryRow>): Statement[] {
  const body = row.body === null ? null : JSON.stringify(row.body);
  return placed(
    row,
    row.localDate,
    (columns) =>
      builder()
        .insert(fileEntry)
        .values({ ...row, body, ...columns }),
    row.kind === 'screened-on-paper',
  );
}

/**
 * A guard's condition: what an entry supersedes was not superseded by another; an entry that supersedes
 * nothing is the first of its kind.
 */
export function nothingNewer({
  clinicId,
  patientId,
  kind,
  id,
  supersedes,
}: {
  readonly clinicId: ClinicId;
  readonly patientId: PatientId;
  readonly kind: FileEntryRow['kind'];
  /** The entry itself, where it is sent again. */
  readonly id: string;
  readonly supersedes: string | null;
}) {
  return supersedes === null
    ? sql`SELECT count(*) = 0 FROM file_entry AS e
        WHERE e.clinic_id = ${clinicId} AND e.patient_id = ${patientId} AND e.kind = ${kind}
          AND e.id <> ${id} AND e.body IS NOT NULL AND NOT EXISTS (SELECT 1 FROM file_entry AS later
            WHERE later.clinic_id = e.clinic_id AND later.patient_id = e.patient_id
              AND later.kind = e.kind AND later.supersedes = e.id)`
    : sql`SELECT count(*) = 0 FROM file_entry AS e
        WHERE e.clinic_id = ${clinicId} AND e.patient_id = ${patientId} AND e.kind = ${kind}
          AND e.supersedes = ${supersedes} AND e.id <> ${id}`;
}

/** A guard's condition: the newest consent that counts allows photos. */
export function photosConsented(clinicId: ClinicId, patientId: PatientId) {
  return sql`SELECT coalesce((SELECT json_extract(e.body, '$.photos') FROM file_entry AS e
    WHERE e.clinic_id = ${clinicId} AND e.patient_id = ${patientId} AND e.kind = 'consent'
      AND e.body IS NOT NULL AND NOT EXISTS (SELECT 1 FROM file_entry AS later
        WHERE later.clinic_id = e.clinic_id AND later.supersedes = e.id)
    ORDER BY e.local_date DESC, e.created_at DESC, e.rowid DESC LIMIT 1), 0)`;
}
