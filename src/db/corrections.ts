import { and, desc, eq } from 'drizzle-orm';
import type { ClinicId, PatientId } from '@/core/units';
import { LIST_BOUNDS } from './bounds';
import { type Statement, builder, read } from './door';
import type { Patient } from './patients';
import { member, patient, patientCorrection } from './schema';

export type Correction = typeof patientCorrection.$inferSelect;

/** Puts right who a patient is. */
export function setIdentity(
  clinicId: ClinicId,
  id: PatientId,
  fields: Pick<Patient, 'name' | 'birthDate' | 'contact'>,
): Statement {
  return builder()
    .update(patient)
    .set(fields)
    .where(and(eq(patient.clinicId, clinicId), eq(patient.id, id)));
}

export function insertCorrections(rows: readonly Correction[]): Statement {
  return builder()
    .insert(patientCorrection)
    .values([...rows]);
}

/** What was put right under one id, field by field. */
export function correctionsUnder(clinicId: ClinicId, id: string): Promise<Correction[]> {
  return read((db) =>
    db
      .select()
      .from(patientCorrection)
      .where(and(eq(patientCorrection.clinicId, clinicId), eq(patientCorrection.id, id)))
      .limit(LIST_BOUNDS.corrections),
  );
}

/** What was put right of a patient, newest first, with who did it. */
export function correctionsOf(clinicId: ClinicId, patientId: PatientId) {
  return read((db) =>
    db
      .select({ correction: patientCorrection, by: member.name })
      .from(patientCorrection)
      .innerJoin(
        member,
        and(
          eq(member.clinicId, patientCorrection.clinicId),
          eq(member.id, patientCorrection.authorId),
        ),
      )
      .where(
        and(eq(patientCorrection.clinicId, clinicId), eq(patientCorrection.patientId, patientId)),
      )
      .orderBy(desc(patientCorrection.createdAt))
      .limit(LIST_BOUNDS.corrections),
  );
}
