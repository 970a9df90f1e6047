import { eq, and, getTableColumns, inArray } from 'drizzle-orm';
import type { SQLiteColumn } from 'drizzle-orm/sqlite-core';
import { getTableConfig } from 'drizzle-orm/sqlite-core';
import type { Instant } from '@/core/schedule';
import type { ClinicId, ExerciseId, MemberId, PhotoId } from '@/core/units';
import { LIST_BOUNDS } from '../bounds';
import { among } from '../among';
import { type Statement, builder, read } from '../door';
import * as schema from '../schema';
import type { RecordFile } from './file';
import { RECORD_TABLES, type RecordTable } from './tables';

/** Values one statement may carry; SQLite takes some 32,000. */
const MOST_VALUES = 3000;

/** What tells the rows of a table apart within one clinic, as one text. */
export function keyOf(table: RecordTable): (row: Readonly<Record<string, unknown>>) => string {
  const columns: Readonly<Record<string, SQLiteColumn>> = getTableColumns(RECORD_TABLES[table]);
  const [primary] = getTableConfig(RECORD_TABLES[table]).primaryKeys;
  const named = new Set((primary?.columns ?? []).map(({ name }) => name));
  const names = Object.entries(columns)
    .filter(([name, column]) => named.has(column.name) && name !== 'clinicId')
    .map(([name]) => name);
  return (row) => JSON.stringify(names.map((name) => row[name]));
}

/** Writes rows of a record's file into a clinic, in their order. */
export function insertRecordRows(
  clinicId: ClinicId,
  table: RecordTable,
  rows: readonly Readonly<Record<string, unknown>>[],
): Statement[] {
  const into = RECORD_TABLES[table];
  const atOnce = Math.max(1, Math.floor(MOST_VALUES / Object.keys(getTableColumns(into)).length));
  const statements: Statement[] = [];
  for (let from = 0; from < rows.length; from += atOnce) {
    const values = rows.slice(from, from + atOnce).map((row) => ({
      ...row,
      clinicId,
      ...(table === 'fileEntry' && row.body !== null ? { body: JSON.stringify(row.body) } : {}),
    }));
    // Each was checked against the schema of this very table (`rowSchema`).
    statements.push(
      builder()
        .insert(into)
        .values(values as never),
    );
  }
  return statements;
}

/** The bytes of a photo that came with a record. */
export function insertRecordPhoto(clinicId: ClinicId, photoId: PhotoId, bytes: Buffer): Statement {
  return builder().insert(schema.photoBytes).values({ clinicId, photoId, bytes });
}

/** The bytes of a paper that came with a record. */
export function insertRecordPaper(clinicId: ClinicId, paperId: string, bytes: Buffer): Statement {
  return builder().insert(schema.paperBytes).values({ clinicId, paperId, bytes });
}

/** Which of these members the clinic knows: its own, and those who wrote in records taken in before. */
export async function membersKnown(
  clinicId: ClinicId,
  ids: readonly string[],
): Promise<ReadonlySet<string>> {
  const { member } = schema;
  const known = new Set<string>();
  for (let from = 0; from < ids.length; from += LIST_BOUNDS.idsAtOnce) {
    const some = ids.slice(from, from + LIST_BOUNDS.idsAtOnce) as MemberId[];
    const rows = await read((db) =>
      db
        .select({ id: member.id })
        .from(member)
        .where(and(eq(member.clinicId, clinicId), among(member.id, some)))
        .limit(LIST_BOUNDS.idsAtOnce),
    );
    for (const { id } of rows) known.add(id);
  }
  return known;
}

/** Somebody who wrote in a record elsewhere: a name to show beside their words, who never signs in here. */
export function insertElsewhere(
  clinicId: ClinicId,
  { id, name }: RecordFile['members'][number],
  fromClinic: string,
  at: Instant,
): Statement {
  return builder()
    .insert(schema.member)
    .values({
      clinicId,
      id: id as MemberId,
      name,
      email: `${id}@elsewhere.invalid`,
      role: 'practitioner',
      passwordHash: '',
      active: false,
      fromClinic,
      createdAt: at,
    });
}

/** The exercises and drawings that came with a record; those that are there stay as they are. */
export function insertRecordExercises(
  clinicId: ClinicId,
  { exercises, drawings }: Pick<RecordFile, 'exercises' | 'drawings'>,
  authorId: MemberId,
  at: Instant,
): Statement[] {
  const { clinicExercise, ownFigure } = schema;
  return [
    ...exercises.map(({ id, body }) =>
      builder()
        .insert(clinicExercise)
        .values({
          clinicId,
          id: id as ExerciseId,
          body,
          authorId,
          updatedAt: at,
          // Known by its programmes, and offered only when somebody here offers it.
          retiredAt: at,
        })
        .onConflictDoNothing(),
    ),
    ...drawings.map(({ id, body }) =>
      builder()
        .insert(ownFigure)
        .values({ clinicId, id, body, authorId, createdAt: at })
        .onConflictDoNothing(),
    ),
  ];
}

/** Exercises of the clinic's own by their ids, also those it does not offer any more. */
export function exercisesNamed(clinicId: ClinicId, ids: readonly string[]) {
  const { clinicExercise } = schema;
  return read((db) =>
    db
      .select({ id: clinicExercise.id, body: clinicExercise.body })
      .from(clinicExercise)
      .where(
        and(
          eq(clinicExercise.clinicId, clinicId),
          inArray(clinicExercise.id, ids.slice(0, LIST_BOUNDS.idsAtOnce) as ExerciseId[]),
        ),
      )
      .limit(LIST_BOUNDS.idsAtOnce),
  );
}
