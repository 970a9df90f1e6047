import type { Instant } from '@/core/schedule';
import { and, desc, eq, isNull, sql } from 'drizzle-orm';
import type { ClinicId, LinkId, PatientId } from '@/core/units';
import { type Statement, builder, readOne } from './door';
import { patient, patientDevice, patientLink } from './schema';

/** A link by its token's hash, unless revoked; null otherwise. */
export async function linkByToken(tokenHash: string) {
  return readOne((db) =>
    db
      .select()
      .from(patientLink)
      .where(and(eq(patientLink.tokenHash, tokenHash), isNull(patientLink.revokedAt))),
  );
}

/** The newest link of a patient, revoked or not; null when none was ever made. */
export async function newestLinkOf(clinicId: ClinicId, patientId: PatientId) {
  return readOne((db) =>
    db
      .select({
        id: patientLink.id,
        createdAt: patientLink.createdAt,
        openedAt: patientLink.openedAt,
        revokedAt: patientLink.revokedAt,
      })
      .from(patientLink)
      .where(and(eq(patientLink.clinicId, clinicId), eq(patientLink.patientId, patientId)))
      .orderBy(desc(patientLink.createdAt)),
  );
}

export function insertLink(row: typeof patientLink.$inferInsert): Statement {
  return builder().insert(patientLink).values(row);
}

export function revokeLinksOf(clinicId: ClinicId, patientId: PatientId, at: Instant): Statement {
  return builder()
    .update(patientLink)
    .set({ revokedAt: at })
    .where(
      and(
        eq(patientLink.clinicId, clinicId),
        eq(patientLink.patientId, patientId),
        isNull(patientLink.revokedAt),
      ),
    );
}

export function markOpened(clinicId: ClinicId, linkId: LinkId, at: Instant): Statement {
  return builder()
    .update(patientLink)
    .set({ openedAt: at })
    .where(
      and(
        eq(patientLink.clinicId, clinicId),
        eq(patientLink.id, linkId),
        isNull(patientLink.openedAt),
      ),
    );
}

export function insertDevice(row: typeof patientDevice.$inferInsert): Statement {
  return builder().insert(patientDevice).values(row);
}

/** Keeps a device's proof that the birth date was answered on it, in the place of an earlier one. */
export function putBirthProof(tokenHash: string, birthProof: string): Statement {
  return builder()
    .update(patientDevice)
    .set({ birthProof })
    .where(eq(patientDevice.tokenHash, tokenHash));
}

/** The hash of a device's proof; null where the birth date was never answered on it. */
export async function birthProofOf(tokenHash: string): Promise<string | null> {
  const row = await readOne((db) =>
    db
      .select({ proof: patientDevice.birthProof })
      .from(patientDevice)
      .where(eq(patientDevice.tokenHash, tokenHash)),
  );
  return row?.proof ?? null;
}

/** The patient of a device cookie's hash; null when it is unknown or its link was revoked. */
export async function patientByDevice(tokenHash: string) {
  const row = await readOne((db) =>
    db
      .select({ patient })
      .from(patientDevice)
      .innerJoin(
        patientLink,
        and(
          eq(patientLink.clinicId, patientDevice.clinicId),
          eq(patientLink.id, patientDevice.linkId),
        ),
      )
      .innerJoin(
        patient,
        and(eq(patient.clinicId, patientDevice.clinicId), eq(patient.id, patientDevice.patientId)),
      )
      .where(and(eq(patientDevice.tokenHash, tokenHash), isNull(patientLink.revokedAt))),
  );
  return row?.patient ?? null;
}

/** A guard's condition: the device's link is not revoked. */
export function deviceHolds(tokenHash: string, clinicId: ClinicId, patientId: PatientId) {
  return sql`SELECT count(*) FROM ${patientDevice}
    JOIN ${patientLink} ON ${patientLink.clinicId} = ${patientDevice.clinicId} AND ${patientLink.id} = ${patientDevice.linkId}
    WHERE ${patientDevice.tokenHash} = ${tokenHash} AND ${patientDevice.clinicId} = ${clinicId}
      AND ${patientDevice.patientId} = ${patientId} AND ${patientLink.revokedAt} IS NULL`;
}

/** A guard's condition: the link is not revoked. */
export function linkHolds(clinicId: ClinicId, linkId: LinkId) {
  return sql`SELECT count(*) FROM ${patientLink} WHERE ${patientLink.clinicId} = ${clinicId}
    AND ${patientLink.id} = ${linkId} AND ${patientLink.revokedAt} IS NULL`;
}
