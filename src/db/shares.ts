import { type SQL, and, eq, isNull, sql } from 'drizzle-orm';
import { SHARE_SILENT_MS } from '@/core/share';
import type { Instant } from '@/core/schedule';
import type { ClinicId, MemberId, PatientId } from '@/core/units';
import { type Statement, builder, readOne } from './door';
import { share } from './schema';

export type Share = typeof share.$inferSelect;

const isOf = (clinicId: ClinicId, patientId: PatientId) =>
  and(eq(share.clinicId, clinicId), eq(share.patientId, patientId));

/** What a patient's phone is shown, or was shown last; null where nothing ever was. */
export function shareOf(clinicId: ClinicId, patientId: PatientId): Promise<Share | null> {
  return readOne((db) => db.select().from(share).where(isOf(clinicId, patientId)));
}

/** Says what a phone is shown. A word that was overtaken, or of a share that has ended, changes nothing. */
export function putShare(row: Omit<Share, 'seenAt' | 'endedAt'>): Statement {
  const { id, memberId, turn, shown, touchedAt } = row;
  return builder()
    .insert(share)
    .values({ ...row, seenAt: null, endedAt: null })
    .onConflictDoUpdate({
      target: [share.clinicId, share.patientId],
      set: {
        id,
        memberId,
        turn,
        shown,
        touchedAt,
        seenAt: sql`CASE WHEN ${share.id} = ${id} THEN ${share.seenAt} END`,
        endedAt: null,
      },
      setWhere: sql`${share.id} <> ${id} OR (${share.turn} < ${turn} AND ${share.endedAt} IS NULL)`,
    });
}

/** A guard's condition: nobody else is showing this patient's phone anything. */
export function noOtherShares(
  { clinicId, patientId, memberId }: Pick<Share, 'clinicId' | 'patientId'> & { memberId: MemberId },
  at: Instant,
): SQL {
  return sql`SELECT count(*) = 0 FROM share AS s WHERE s.clinic_id = ${clinicId}
    AND s.patient_id = ${patientId} AND s.member_id <> ${memberId} AND s.ended_at IS NULL
    AND s.touched_at > ${at - SHARE_SILENT_MS}`;
}

/** Ends this one share; another that was begun since goes on. */
export function endShare(
  clinicId: ClinicId,
  patientId: PatientId,
  id: string,
  at: Instant,
): Statement {
  return builder()
    .update(share)
    .set({ endedAt: at, shown: null })
    .where(and(isOf(clinicId, patientId), eq(share.id, id), isNull(share.endedAt)));
}

/** A phone is connected. */
export function seenShare(clinicId: ClinicId, patientId: PatientId, at: Instant): Statement {
  return builder()
    .update(share)
    .set({ seenAt: at })
    .where(and(isOf(clinicId, patientId), isNull(share.endedAt)));
}
