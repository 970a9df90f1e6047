import { LIST_BOUNDS } from './bounds';
import type { Instant } from '@/core/schedule';
import { and, asc, eq, gt, isNotNull, isNull, ne, sql } from 'drizzle-orm';
import type { ClinicId, ExerciseId, MemberId, PatientId } from '@/core/units';
import { among } from './among';
import { type Statement, builder, prepared, read, readOne } from './door';
import {
  clinicExercise,
  deskDraft,
  member,
  ownFigure,
  programmeTemplate,
  readyChoice,
} from './schema';

export type ClinicExerciseRow = typeof clinicExercise.$inferSelect;
export type TemplateRow = typeof programmeTemplate.$inferSelect;

/** The clinic's own exercises that are offered. */
export function clinicExercises(clinicId: ClinicId): Promise<ClinicExerciseRow[]> {
  return exercisesOffered({ clinicId });
}

const exercisesOffered = prepared<{ readonly clinicId: ClinicId }, ClinicExerciseRow>((db) =>
  db
    .select()
    .from(clinicExercise)
    .where(
      and(
        eq(clinicExercise.clinicId, sql.placeholder('clinicId')),
        isNull(clinicExercise.retiredAt),
      ),
    )
    .orderBy(asc(clinicExercise.id))
    .limit(LIST_BOUNDS.exercises)
    .prepare(),
);

/** Their ids alone, for where one of them cannot be read. */
export async function clinicExerciseIds(clinicId: ClinicId): Promise<ExerciseId[]> {
  const rows = await read((db) =>
    db
      .select({ id: clinicExercise.id })
      .from(clinicExercise)
      .where(and(eq(clinicExercise.clinicId, clinicId), isNull(clinicExercise.retiredAt)))
      .orderBy(asc(clinicExercise.id))
      .limit(LIST_BOUNDS.exercises),
  );
  return rows.map(({ id }) => id);
}

/** Some of them. */
export async function clinicExercisesById(
  clinicId: ClinicId,
  ids: readonly ExerciseId[],
): Promise<ReadonlyMap<ExerciseId, ClinicExerciseRow>> {
  const rows = await read((db) =>
    db
      .select()
      .from(clinicExercise)
      .where(and(eq(clinicExercise.clinicId, clinicId), among(clinicExercise.id, ids)))
      .limit(LIST_BOUNDS.exercises),
  );
  return new Map(rows.map((row) => [row.id, row]));
}

/** Drawings of the clinic's own, by their ids. */
export function ownFigures(clinicId: ClinicId, ids: readonly string[]) {
  return read((db) =>
    db
      .select({ id: ownFigure.id, body: ownFigure.body })
      .from(ownFigure)
      .where(and(eq(ownFigure.clinicId, clinicId), among(ownFigure.id, ids)))
      .limit(LIST_BOUNDS.exercises),
  );
}

/** Keeps a drawing; the same one is there only once. */
export function keepOwnFigure(row: typeof ownFigure.$inferInsert): Statement {
  return builder().insert(ownFigure).values(row).onConflictDoNothing();
}

/** Adds an exercise, or replaces its record; one that was retired is offered again. */
export function putClinicExercise(row: Omit<ClinicExerciseRow, 'retiredAt'>): Statement {
  const { body, authorId, updatedAt } = row;
  return builder()
    .insert(clinicExercise)
    .values(row)
    .onConflictDoUpdate({
      target: [clinicExercise.clinicId, clinicExercise.id],
      set: { body, authorId, updatedAt, retiredAt: null },
    });
}

export function retireClinicExercise(clinicId: ClinicId, id: string, at: Instant): Statement {
  return builder()
    .update(clinicExercise)
    .set({ retiredAt: at })
    .where(and(eq(clinicExercise.clinicId, clinicId), eq(clinicExercise.id, id)));
}

/** A guard's condition: the clinic offers this exercise. */
export function offersExercise(clinicId: ClinicId, id: string) {
  return sql`SELECT count(*) = 1 FROM ${clinicExercise} WHERE ${clinicExercise.clinicId} = ${clinicId}
    AND ${clinicExercise.id} = ${id} AND ${clinicExercise.retiredAt} IS NULL`;
}

/** The clinic's templates by name. */
export function templatesOf(clinicId: ClinicId): Promise<TemplateRow[]> {
  return read((db) =>
    db
      .select()
      .from(programmeTemplate)
      .where(and(eq(programmeTemplate.clinicId, clinicId), isNull(programmeTemplate.retiredAt)))
      .orderBy(asc(programmeTemplate.name))
      .limit(LIST_BOUNDS.templates),
  );
}

export function insertTemplate(row: typeof programmeTemplate.$inferInsert): Statement {
  return builder().insert(programmeTemplate).values(row);
}

export function retireTemplate(clinicId: ClinicId, id: string, at: Instant): Statement {
  return builder()
    .update(programmeTemplate)
    .set({ retiredAt: at })
    .where(and(eq(programmeTemplate.clinicId, clinicId), eq(programmeTemplate.id, id)));
}

/** A guard's condition: the clinic offers this template. */
export function offersTemplate(clinicId: ClinicId, id: string) {
  return sql`SELECT count(*) = 1 FROM ${programmeTemplate} WHERE ${programmeTemplate.clinicId} = ${clinicId}
    AND ${programmeTemplate.id} = ${id} AND ${programmeTemplate.retiredAt} IS NULL`;
}

/** Ready programmes that the clinic does not offer, by their ids. */
export async function retiredReady(clinicId: ClinicId): Promise<string[]> {
  const rows = await read((db) =>
    db
      .select({ readyId: readyChoice.readyId })
      .from(readyChoice)
      .where(and(eq(readyChoice.clinicId, clinicId), isNotNull(readyChoice.retiredAt)))
      .orderBy(asc(readyChoice.readyId))
      .limit(LIST_BOUNDS.templates),
  );
  return rows.map(({ readyId }) => readyId);
}

/** Offers a ready programme, or offers it no more. */
export function putReadyChoice(row: typeof readyChoice.$inferInsert): Statement {
  const { authorId, updatedAt, retiredAt } = row;
  return builder()
    .insert(readyChoice)
    .values(row)
    .onConflictDoUpdate({
      target: [readyChoice.clinicId, readyChoice.readyId],
      set: { authorId, updatedAt, retiredAt: retiredAt ?? null },
    });
}

/** A member's own unsaved desk for a patient; null when there is none. */
export async function deskDraftOf(clinicId: ClinicId, patientId: PatientId, memberId: MemberId) {
  return readOne((db) =>
    db
      .select()
      .from(deskDraft)
      .where(
        and(
          eq(deskDraft.clinicId, clinicId),
          eq(deskDraft.patientId, patientId),
          eq(deskDraft.memberId, memberId),
        ),
      ),
  );
}

/** Who else has written at this patient's desk since then. */
export function othersAtDesk(
  clinicId: ClinicId,
  patientId: PatientId,
  memberId: MemberId,
  since: Instant,
) {
  return read((db) =>
    db
      .select({ name: member.name, updatedAt: deskDraft.updatedAt })
      .from(deskDraft)
      .innerJoin(
        member,
        and(eq(member.clinicId, deskDraft.clinicId), eq(member.id, deskDraft.memberId)),
      )
      .where(
        and(
          eq(deskDraft.clinicId, clinicId),
          eq(deskDraft.patientId, patientId),
          ne(deskDraft.memberId, memberId),
          gt(deskDraft.updatedAt, since),
        ),
      )
      .limit(LIST_BOUNDS.deskDraftsBeside),
  );
}

export function putDeskDraft(row: typeof deskDraft.$inferInsert): Statement {
  const { basedOn, body, updatedAt } = row;
  return builder()
    .insert(deskDraft)
    .values(row)
    .onConflictDoUpdate({
      target: [deskDraft.clinicId, deskDraft.patientId, deskDraft.memberId],
      set: { basedOn, body, updatedAt },
    });
}

export function forgetDeskDraft(
  clinicId: ClinicId,
  patientId: PatientId,
  memberId: MemberId,
): Statement {
  return builder()
    .delete(deskDraft)
    .where(
      and(
        eq(deskDraft.clinicId, clinicId),
        eq(deskDraft.patientId, patientId),
        eq(deskDraft.memberId, memberId),
      ),
    );
}
