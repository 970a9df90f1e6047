import type { Instant } from '@/core/schedule';
import type { ClinicId, MemberId } from '@/core/units';
import { and, eq, gt, isNull, sql } from 'drizzle-orm';
import { type Statement, builder, readOne } from './door';
import { member, memberReset } from './schema';

/** Who a one-time link is for, unless it was used, ended or is too old. */
export function resetBehind(tokenHash: string, since: Instant) {
  return readOne((db) =>
    db
      .select({
        clinicId: member.clinicId,
        memberId: member.id,
        name: member.name,
        email: member.email,
      })
      .from(memberReset)
      .innerJoin(
        member,
        and(eq(member.clinicId, memberReset.clinicId), eq(member.id, memberReset.memberId)),
      )
      .where(
        and(
          eq(memberReset.tokenHash, tokenHash),
          isNull(memberReset.endedAt),
          gt(memberReset.createdAt, since),
        ),
      ),
  );
}

export function insertReset(row: typeof memberReset.$inferInsert): Statement {
  return builder().insert(memberReset).values(row);
}

/** Ends every one-time link of a member that is still open. */
export function endResetsOf(clinicId: ClinicId, memberId: MemberId, at: Instant): Statement {
  return builder()
    .update(memberReset)
    .set({ endedAt: at })
    .where(
      and(
        eq(memberReset.clinicId, clinicId),
        eq(memberReset.memberId, memberId),
        isNull(memberReset.endedAt),
      ),
    );
}

/** A guard's condition: the link is still open. */
export function resetHolds(tokenHash: string) {
  return sql`SELECT count(*) FROM ${memberReset}
    WHERE ${memberReset.tokenHash} = ${tokenHash} AND ${memberReset.endedAt} IS NULL`;
}
