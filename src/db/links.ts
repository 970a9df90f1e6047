import type { Instant } from '@/core/schedule';
import { and, desc, eq, isNull, sql } from 'drizzle-orm';
import { DAY_MS, type ClinicId, type LinkId, type PatientId } from '@/core/units';

import { type Statement, builder, readOne } from './door';
import { clinic, patientLink } from './schema';

/** A link by its token's hash, unless revoked or older than its clinic lets it be; null otherwise. */
export async function linkByToken(tokenHash: string, now: Instant) {
  const row = await readOne((db) =>
    db
      .select({ link: patientLink })
      .from(patientLink)
      .innerJoin(clinic, eq(clinic.id, patientLink.clinicId))
      .where(
        and(
          eq(patientLink.tokenHash, tokenHash),
          isNull(patientLink.revokedAt),
          sql`${patientLink.createdAt} > ${now} - ${clinic.linkDays} * ${DAY_MS}`,
        ),
      ),
  );
  return row?.link ?? null;
}

/** Whose link it is, however old it is, unless it was revoked; null otherwise. */
export async function patientOfLink(tokenHash: string) {
  const row = await readOne((db) =>
    db
      .select({ patientId: patientLink.patientId, clinicId: patientLink.clinicId })
      .from(patientLink)
      .where(and(eq(patientLink.tokenHash, tokenHash), isNull(patientLink.revokedAt))),
  );
  return row;
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

/** A guard's condition: the link is not revoked. */
export function linkHolds(clinicId: ClinicId, linkId: LinkId) {
  return sql`SELECT count(*) FROM ${patientLink} WHERE ${patientLink.clinicId} = ${clinicId}
    AND ${patientLink.id} = ${linkId} AND ${patientLink.revokedAt} IS NULL`;
}
