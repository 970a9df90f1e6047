import { and, eq, isNotNull, isNull, lt, sql } from 'drizzle-orm';
import type { Instant } from '@/core/schedule';
import type { ClinicId, MemberId } from '@/core/units';
import { LIST_BOUNDS } from './bounds';
import { type Statement, builder, read, readOne } from './door';
import { memberBackupCode, memberFactor } from './schema';

export type Factor = typeof memberFactor.$inferSelect;

const ofMember = (clinicId: ClinicId, memberId: string) =>
  and(eq(memberFactor.clinicId, clinicId), eq(memberFactor.memberId, memberId as MemberId));
const codesOfMember = (clinicId: ClinicId, memberId: string) =>
  and(eq(memberBackupCode.clinicId, clinicId), eq(memberBackupCode.memberId, memberId as MemberId));

/** A member's second factor, also one that is only being set up; null when there is none. */
export function factorOf(clinicId: ClinicId, memberId: string): Promise<Factor | null> {
  return readOne((db) => db.select().from(memberFactor).where(ofMember(clinicId, memberId)));
}

/** Begins a second factor, in the place of one that was begun and never confirmed. */
export function putFactor(row: Factor): Statement[] {
  return [
    builder()
      .delete(memberFactor)
      .where(and(ofMember(row.clinicId, row.memberId), isNull(memberFactor.confirmedAt))),
    builder().insert(memberFactor).values(row),
  ];
}

/** Confirms a second factor by its first code. */
export function confirmFactor(
  clinicId: ClinicId,
  memberId: string,
  at: Instant,
  step: number,
): Statement {
  return builder()
    .update(memberFactor)
    .set({ confirmedAt: at, lastStep: step })
    .where(ofMember(clinicId, memberId));
}

/** Keeps which period's code was used. */
export function spendStep(clinicId: ClinicId, memberId: string, step: number): Statement {
  return builder()
    .update(memberFactor)
    .set({ lastStep: step })
    .where(and(ofMember(clinicId, memberId), lt(memberFactor.lastStep, step)));
}

/** A guard's condition: no code of this period or a later one was used. */
export function stepIsFresh(clinicId: ClinicId, memberId: string, step: number) {
  return sql`SELECT count(*) FROM ${memberFactor} WHERE ${memberFactor.clinicId} = ${clinicId}
    AND ${memberFactor.memberId} = ${memberId} AND ${memberFactor.lastStep} < ${step}`;
}

/** Takes a member's second factor and backup codes away. */
export function removeFactor(clinicId: ClinicId, memberId: string): Statement[] {
  return [
    builder().delete(memberBackupCode).where(codesOfMember(clinicId, memberId)),
    builder().delete(memberFactor).where(ofMember(clinicId, memberId)),
  ];
}

/** New backup codes in the place of all of before. */
export function putBackupCodes(
  clinicId: ClinicId,
  memberId: MemberId,
  hashes: readonly string[],
): Statement[] {
  return [
    builder().delete(memberBackupCode).where(codesOfMember(clinicId, memberId)),
    builder()
      .insert(memberBackupCode)
      .values(hashes.map((codeHash) => ({ clinicId, memberId, codeHash, usedAt: null }))),
  ];
}

/** How many backup codes a member has left. */
export async function backupCodesLeft(clinicId: ClinicId, memberId: string): Promise<number> {
  const rows = await read((db) =>
    db
      .select({ count: sql<number>`count(*)` })
      .from(memberBackupCode)
      .where(and(codesOfMember(clinicId, memberId), isNull(memberBackupCode.usedAt))),
  );
  return rows[0]?.count ?? 0;
}

/** Uses up a backup code. */
export function spendBackupCode(
  clinicId: ClinicId,
  memberId: string,
  codeHash: string,
  at: Instant,
): Statement {
  return builder()
    .update(memberBackupCode)
    .set({ usedAt: at })
    .where(and(codesOfMember(clinicId, memberId), eq(memberBackupCode.codeHash, codeHash)));
}

/** A guard's condition: the member has this backup code, and it was not used. */
export function backupCodeHolds(clinicId: ClinicId, memberId: string, codeHash: string) {
  return sql`SELECT count(*) FROM ${memberBackupCode} WHERE ${memberBackupCode.clinicId} = ${clinicId}
    AND ${memberBackupCode.memberId} = ${memberId} AND ${memberBackupCode.codeHash} = ${codeHash}
    AND ${memberBackupCode.usedAt} IS NULL`;
}

/** The members of a clinic who have a second factor. */
export async function withFactor(clinicId: ClinicId): Promise<MemberId[]> {
  const rows = await read((db) =>
    db
      .select({ id: memberFactor.memberId })
      .from(memberFactor)
      .where(and(eq(memberFactor.clinicId, clinicId), isNotNull(memberFactor.confirmedAt)))
      .limit(LIST_BOUNDS.members),
  );
  return rows.map(({ id }) => id);
}
