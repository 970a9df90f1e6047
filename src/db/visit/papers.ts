import { and, desc, eq, isNull, sql } from 'drizzle-orm';
import type { Instant } from '@/core/schedule';
import type { ClinicId, PatientId } from '@/core/units';
import { LIST_BOUNDS } from '../bounds';
import { type Statement, builder, read, readOne } from '../door';
import { paper, paperBytes } from '../schema';
import { episodeOf } from './place';

export type PaperRow = typeof paper.$inferSelect;

const isPaper = (clinicId: ClinicId, id: string) =>
  and(eq(paper.clinicId, clinicId), eq(paper.id, id));

/** Files a paper in the patient's open episode, or the newest. */
export function insertPaper(row: Omit<PaperRow, 'episodeId'>, bytes: Buffer): Statement[] {
  return [
    builder()
      .insert(paper)
      .values({ ...row, episodeId: episodeOf(row) }),
    builder().insert(paperBytes).values({ clinicId: row.clinicId, paperId: row.id, bytes }),
  ];
}

/** A patient's papers that were not deleted, the newest first. */
export function papersOf(clinicId: ClinicId, patientId: PatientId): Promise<PaperRow[]> {
  return read((db) =>
    db
      .select()
      .from(paper)
      .where(
        and(eq(paper.clinicId, clinicId), eq(paper.patientId, patientId), isNull(paper.deletedAt)),
      )
      .orderBy(desc(paper.receivedOn), desc(paper.createdAt))
      .limit(LIST_BOUNDS.papers),
  );
}

export function paperById(clinicId: ClinicId, id: string): Promise<PaperRow | null> {
  return readOne((db) => db.select().from(paper).where(isPaper(clinicId, id)));
}

export async function paperBytesOf(clinicId: ClinicId, paperId: string): Promise<Buffer | null> {
  const row = await readOne((db) =>
    db
      .select({ bytes: paperBytes.bytes })
      .from(paperBytes)
      .where(and(eq(paperBytes.clinicId, clinicId), eq(paperBytes.paperId, paperId))),
  );
  return row?.bytes ?? null;
}

/** The first who read it stays told. */
export function markPaperRead(clinicId: ClinicId, id: string, by: string, at: Instant): Statement {
  return builder()
    .update(paper)
    .set({ readBy: by, readAt: at })
    .where(and(isPaper(clinicId, id), isNull(paper.readAt)));
}

/** Deletes a paper for good and leaves a tombstone: its bytes are overwritten before their row goes. */
export function deletePaper(clinicId: ClinicId, id: string, by: string, at: Instant): Statement[] {
  const its = and(eq(paperBytes.clinicId, clinicId), eq(paperBytes.paperId, id));
  return [
    builder()
      .update(paperBytes)
      .set({ bytes: sql`zeroblob(length(${paperBytes.bytes}))` })
      .where(its),
    builder().delete(paperBytes).where(its),
    builder()
      .update(paper)
      .set({ deletedBy: by, deletedAt: at })
      .where(and(isPaper(clinicId, id), isNull(paper.deletedAt))),
  ];
}

/** A guard's condition: the patient has fewer papers than so many. */
export function fewerPapers(clinicId: ClinicId, patientId: PatientId, most: number) {
  return sql`SELECT count(*) < ${most} FROM ${paper} WHERE ${paper.clinicId} = ${clinicId}
    AND ${paper.patientId} = ${patientId} AND ${paper.deletedAt} IS NULL`;
}
