import { and, asc, desc, eq, inArray, sql } from 'drizzle-orm';
import type { SQLiteColumn, SQLiteTable } from 'drizzle-orm/sqlite-core';
import type { Instant } from '@/core/schedule';
import type { ClinicId, PatientId } from '@/core/units';
import { LIST_BOUNDS } from './bounds';
import { type Statement, builder, read, readOne } from './door';
import * as schema from './schema';

export type Erasure = typeof schema.erasure.$inferSelect;

type OfPatient = SQLiteTable & { clinicId: SQLiteColumn; patientId: SQLiteColumn };

/**
 * Every table that holds something of a patient, those first that refer to others. A test holds it
 * against the schema: a table that is added later and not named here fails it.
 */
export const TABLES_OF_PATIENT = [
  schema.triageRow,
  schema.recordChange,
  schema.episodeEvidence,
  schema.triageMark,
  schema.alert,
  schema.message,
  schema.mailStop,
  schema.pushSubscription,
  schema.calendarLink,
  schema.deskDraft,
  schema.visitDraft,
  schema.share,
  schema.dayDone,
  schema.sessionEvent,
  schema.logConflict,
  schema.pause,
  schema.teachBack,
  schema.visitNote,
  schema.proposalDecision,
  schema.outcomeLetter,
  schema.finding,
  schema.measurement,
  schema.paper,
  schema.photoMarking,
  schema.photo,
  schema.referralAnswer,
  schema.referral,
  schema.screeningDecision,
  schema.screening,
  schema.fileEntry,
  schema.programmeVersion,
  schema.programme,
  schema.visit,
  schema.episodeAtHand,
  schema.episode,
  schema.patientDevice,
  schema.patientLink,
  schema.patientCorrection,
  schema.patientDetails,
  schema.fileOpening,
] as const satisfies readonly OfPatient[];

type OfClinic = SQLiteTable & { clinicId: SQLiteColumn };

/** Deletes the rows that name a patient by way of another table's id. */
const byWay =
  (rows: OfClinic, of: SQLiteColumn, owner: 'photo' | 'paper' | 'programme') =>
  (clinicId: ClinicId, id: PatientId): Statement =>
    builder()
      .delete(rows)
      .where(
        and(
          eq(rows.clinicId, clinicId),
          inArray(
            of,
            sql`(SELECT id FROM ${sql.identifier(owner)} WHERE clinic_id = ${clinicId} AND patient_id = ${id})`,
          ),
        ),
      );

/** Those that name a patient by way of another table; they go before it. */
const BY_WAY: ReadonlyMap<SQLiteTable, ReturnType<typeof byWay>> = new Map<
  SQLiteTable,
  ReturnType<typeof byWay>
>([
  [schema.photo, byWay(schema.photoBytes, schema.photoBytes.photoId, 'photo')],
  [schema.paper, byWay(schema.paperBytes, schema.paperBytes.paperId, 'paper')],
  [
    schema.programmeVersion,
    byWay(schema.programmeLine, schema.programmeLine.programmeId, 'programme'),
  ],
]);

/**
 * Everything of a patient goes, and the tombstone is written: the statements of one batch, in their
 * order. Looks and audit events stay; they hold ids and verbs only.
 */
export function eraseStatements(row: Erasure): Statement[] {
  const { clinicId, patientId } = row;
  const { erasing, erasure, patient } = schema;
  const ofIt = (table: OfPatient) =>
    builder()
      .delete(table)
      .where(and(eq(table.clinicId, clinicId), eq(table.patientId, patientId)));
  return [
    builder().insert(erasing).values({ clinicId, patientId, open: -1 }),
    builder().insert(erasure).values(row),
    ...TABLES_OF_PATIENT.flatMap((table) => {
      const first = BY_WAY.get(table)?.(clinicId, patientId);
      return first ? [first, ofIt(table)] : [ofIt(table)];
    }),
    builder()
      .delete(patient)
      .where(and(eq(patient.clinicId, clinicId), eq(patient.id, patientId))),
    builder()
      .delete(erasing)
      .where(and(eq(erasing.clinicId, clinicId), eq(erasing.patientId, patientId))),
  ];
}

/** The tombstone of an erased patient; null where nobody was erased. */
export function erasureOf(clinicId: ClinicId, patientId: string): Promise<Erasure | null> {
  const { erasure } = schema;
  return readOne((db) =>
    db
      .select()
      .from(erasure)
      .where(and(eq(erasure.clinicId, clinicId), eq(erasure.patientId, patientId as PatientId))),
  );
}

/** Every tombstone after so many of all clinics, in the order they were made. */
export function erasuresFrom(offset: number, limit: number): Promise<Erasure[]> {
  const { erasure } = schema;
  return read((db) =>
    db
      .select()
      .from(erasure)
      .orderBy(asc(erasure.at), asc(erasure.patientId))
      .limit(limit)
      .offset(offset),
  );
}

/** The tombstones of one clinic, the newest first. */
export function erasuresAt(clinicId: ClinicId): Promise<Erasure[]> {
  const { erasure } = schema;
  return read((db) =>
    db
      .select()
      .from(erasure)
      .where(eq(erasure.clinicId, clinicId))
      .orderBy(desc(erasure.at))
      .limit(LIST_BOUNDS.erasures),
  );
}

/** How many rows each of these tables holds of a patient. */
export async function rowsOfPatient(
  clinicId: ClinicId,
  patientId: PatientId,
  tables: readonly OfPatient[],
): Promise<number[]> {
  return Promise.all(
    tables.map(async (table) => {
      const row = await readOne((db) =>
        db
          .select({ count: sql<number>`count(*)` })
          .from(table)
          .where(and(eq(table.clinicId, clinicId), eq(table.patientId, patientId))),
      );
      return row?.count ?? 0;
    }),
  );
}

/** What counts as an entry of a record, with the moment it was written. */
const ENTRIES = [
  [schema.visit, schema.visit.createdAt],
  [schema.programmeVersion, schema.programmeVersion.createdAt],
  [schema.screening, schema.screening.createdAt],
  [schema.measurement, schema.measurement.createdAt],
  [schema.photo, schema.photo.createdAt],
  [schema.finding, schema.finding.createdAt],
  [schema.fileEntry, schema.fileEntry.createdAt],
  [schema.teachBack, schema.teachBack.createdAt],
  [schema.visitNote, schema.visitNote.createdAt],
  [schema.outcomeLetter, schema.outcomeLetter.createdAt],
  [schema.referralAnswer, schema.referralAnswer.createdAt],
  [schema.pause, schema.pause.createdAt],
  [schema.sessionEvent, schema.sessionEvent.receivedAt],
] as const satisfies readonly (readonly [OfPatient, SQLiteColumn])[];

/** Patients of whom nothing was written since before then, with when the last thing was, oldest first. */
export function longUntouched(clinicId: ClinicId, before: Instant) {
  const { patient } = schema;
  const newest = ENTRIES.map(
    ([table, at]) =>
      sql`coalesce((SELECT max(${at}) FROM ${table} WHERE ${table.clinicId} = ${patient.clinicId} AND ${table.patientId} = ${patient.id}), 0)`,
  );
  const last = sql<number>`max(${patient.createdAt}, ${sql.join(newest, sql`, `)})`;
  return read((db) =>
    db
      .select({ id: patient.id, name: patient.name, last: last.as('last') })
      .from(patient)
      .where(
        and(
          eq(patient.clinicId, clinicId),
          sql`${patient.createdAt} < ${before}`,
          sql`${last} < ${before}`,
        ),
      )
      .orderBy(sql`last`)
      .limit(LIST_BOUNDS.longUntouched),
  );
}
