import { and, desc, eq, gt, sql } from 'drizzle-orm';
import type { AllowedDraft } from '@/core/records';
import type { Instant } from '@/core/schedule';
import type { ClinicId, MemberId, PatientId } from '@/core/units';
import { LIST_BOUNDS } from './bounds';
import { type Statement, builder, read, readOne } from './door';
import { fileOpening, member, memberSees, patient } from './schema';

/** Whose patients' files a member sees who does not see all. */
export async function seenBy(clinicId: ClinicId, memberId: string): Promise<MemberId[]> {
  const rows = await read((db) =>
    db
      .select({ id: memberSees.practitionerId })
      .from(memberSees)
      .where(and(eq(memberSees.clinicId, clinicId), eq(memberSees.memberId, memberId as MemberId)))
      .limit(LIST_BOUNDS.members),
  );
  return rows.map(({ id }) => id);
}

/** The same of every member of a clinic. */
export function seenByAll(clinicId: ClinicId) {
  return read((db) =>
    db
      .select({ memberId: memberSees.memberId, practitionerId: memberSees.practitionerId })
      .from(memberSees)
      .where(eq(memberSees.clinicId, clinicId))
      .limit(LIST_BOUNDS.members * 10),
  );
}

/** What an assistant is allowed, in the place of what was allowed before. */
export function putAllowed(clinicId: ClinicId, draft: AllowedDraft): Statement[] {
  const { memberId, sees, practitioners, issuesLinks } = draft;
  return [
    builder()
      .update(member)
      .set({ sees, issuesLinks })
      .where(and(eq(member.clinicId, clinicId), eq(member.id, memberId))),
    builder()
      .delete(memberSees)
      .where(and(eq(memberSees.clinicId, clinicId), eq(memberSees.memberId, memberId))),
    ...(practitioners.length === 0
      ? []
      : [
          builder()
            .insert(memberSees)
            .values(
              practitioners.map((practitionerId) => ({ clinicId, memberId, practitionerId })),
            ),
        ]),
  ];
}

export function insertOpening(row: typeof fileOpening.$inferInsert): Statement {
  return builder().insert(fileOpening).values(row);
}

/** Whether a member opened a closed file since then. */
export async function openedSince(
  clinicId: ClinicId,
  patientId: PatientId,
  memberId: string,
  since: Instant,
): Promise<boolean> {
  const row = await readOne((db) =>
    db
      .select({ id: fileOpening.id })
      .from(fileOpening)
      .where(
        and(
          eq(fileOpening.clinicId, clinicId),
          eq(fileOpening.patientId, patientId),
          eq(fileOpening.authorId, memberId as MemberId),
          gt(fileOpening.createdAt, since),
        ),
      ),
  );
  return row !== null;
}

export function openingById(clinicId: ClinicId, id: string) {
  return readOne((db) =>
    db
      .select()
      .from(fileOpening)
      .where(and(eq(fileOpening.clinicId, clinicId), eq(fileOpening.id, id))),
  );
}

/** The newest openings of closed files of a clinic, with whose they are and who opened them. */
export function openingsOf(clinicId: ClinicId) {
  return read((db) =>
    db
      .select({
        id: fileOpening.id,
        at: fileOpening.createdAt,
        reason: fileOpening.reason,
        patient: patient.name,
        patientId: patient.id,
        by: member.name,
      })
      .from(fileOpening)
      .innerJoin(
        patient,
        and(eq(patient.clinicId, fileOpening.clinicId), eq(patient.id, fileOpening.patientId)),
      )
      .innerJoin(
        member,
        and(eq(member.clinicId, fileOpening.clinicId), eq(member.id, fileOpening.authorId)),
      )
      .where(eq(fileOpening.clinicId, clinicId))
      .orderBy(desc(fileOpening.createdAt))
      .limit(LIST_BOUNDS.openings),
  );
}

/** A patient of exactly this name; null when there is none, or more than one. */
export async function patientNamed(clinicId: ClinicId, name: string) {
  const rows = await read((db) =>
    db
      .select()
      .from(patient)
      .where(and(eq(patient.clinicId, clinicId), eq(patient.name, name)))
      .limit(2),
  );
  return rows.length === 1 ? (rows[0] ?? null) : null;
}

/** Gives patients of one practitioner to another: all of them, or one. */
export function handOver(
  clinicId: ClinicId,
  from: MemberId,
  to: MemberId,
  patientId: PatientId | null,
): Statement {
  return builder()
    .update(patient)
    .set({ practitionerId: to })
    .where(
      and(
        eq(patient.clinicId, clinicId),
        eq(patient.practitionerId, from),
        patientId === null ? undefined : eq(patient.id, patientId),
      ),
    );
}

/** How many patients each practitioner of a clinic has. */
export function caseloads(clinicId: ClinicId) {
  return read((db) =>
    db
      .select({ memberId: patient.practitionerId, count: sql<number>`count(*)` })
      .from(patient)
      .where(eq(patient.clinicId, clinicId))
      .groupBy(patient.practitionerId)
      .limit(LIST_BOUNDS.members),
  );
}
