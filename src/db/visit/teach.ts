import { LIST_BOUNDS } from '../bounds';
import { and, desc, eq } from 'drizzle-orm';
import type { ClinicId, MemberId, PatientId } from '@/core/units';
import { type Statement, builder, read, readOne } from '../door';
import { teachBack, visitDraft, visitNote } from '../schema';
import { type Placed, placed } from './place';

export type TeachBackRow = typeof teachBack.$inferSelect;
export type VisitNoteRow = typeof visitNote.$inferSelect;
export type VisitDraftKind = (typeof visitDraft.$inferSelect)['kind'];

/** A patient's signed teachings, newest first. */
export function teachBacksOf(
  clinicId: ClinicId,
  patientId: PatientId,
  limit: number = LIST_BOUNDS.teachings,
): Promise<TeachBackRow[]> {
  return read((db) =>
    db
      .select()
      .from(teachBack)
      .where(and(eq(teachBack.clinicId, clinicId), eq(teachBack.patientId, patientId)))
      .orderBy(desc(teachBack.createdAt))
      .limit(limit),
  );
}

export function insertTeachBack(row: Placed<TeachBackRow>): Statement[] {
  return placed(row, row.localDate, (columns) =>
    builder()
      .insert(teachBack)
      .values({ ...row, ...columns }),
  );
}

/** A patient's signed notes, newest first. */
export function visitNotesOf(
  clinicId: ClinicId,
  patientId: PatientId,
  limit: number = LIST_BOUNDS.notes,
): Promise<VisitNoteRow[]> {
  return read((db) =>
    db
      .select()
      .from(visitNote)
      .where(and(eq(visitNote.clinicId, clinicId), eq(visitNote.patientId, patientId)))
      .orderBy(desc(visitNote.createdAt))
      .limit(limit),
  );
}

export function insertVisitNote(row: Placed<VisitNoteRow>): Statement[] {
  return placed(row, row.localDate, (columns) =>
    builder()
      .insert(visitNote)
      .values({ ...row, ...columns }),
  );
}

type DraftKey = {
  readonly clinicId: ClinicId;
  readonly patientId: PatientId;
  readonly memberId: MemberId;
  readonly kind: VisitDraftKind;
};

const isDraft = ({ clinicId, patientId, memberId, kind }: DraftKey) =>
  and(
    eq(visitDraft.clinicId, clinicId),
    eq(visitDraft.patientId, patientId),
    eq(visitDraft.memberId, memberId),
    eq(visitDraft.kind, kind),
  );

/** A member's own unsigned draft; null when there is none. */
export async function visitDraftOf(key: DraftKey): Promise<string | null> {
  const row = await readOne((db) =>
    db.select({ body: visitDraft.body }).from(visitDraft).where(isDraft(key)),
  );
  return row?.body ?? null;
}

export function putVisitDraft(row: typeof visitDraft.$inferInsert): Statement {
  const { body, updatedAt } = row;
  return builder()
    .insert(visitDraft)
    .values(row)
    .onConflictDoUpdate({
      target: [visitDraft.clinicId, visitDraft.patientId, visitDraft.memberId, visitDraft.kind],
      set: { body, updatedAt },
    });
}

export function forgetVisitDraft(key: DraftKey): Statement {
  return builder().delete(visitDraft).where(isDraft(key));
}
