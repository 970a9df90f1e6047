import { and, asc, eq, gte, isNull, lte, sql } from 'drizzle-orm';
import type { Instant } from '@/core/schedule';
import type { ClinicId, LocalDate, MemberId } from '@/core/units';
import { LIST_BOUNDS } from './bounds';
import { type Statement, builder, read } from './door';
import { cover } from './schema';

export type Cover = typeof cover.$inferSelect;

export function insertCover(row: typeof cover.$inferInsert): Statement {
  return builder().insert(cover).values(row);
}

export function endCover(clinicId: ClinicId, id: string, at: Instant): Statement {
  return builder()
    .update(cover)
    .set({ endedAt: at })
    .where(and(eq(cover.clinicId, clinicId), eq(cover.id, id), isNull(cover.endedAt)));
}

/** Covers of a clinic that touch these days, the first to begin first. */
export function coversBetween(
  clinicId: ClinicId,
  from: LocalDate,
  to: LocalDate,
): Promise<Cover[]> {
  return read((db) =>
    db
      .select()
      .from(cover)
      .where(
        and(
          eq(cover.clinicId, clinicId),
          isNull(cover.endedAt),
          gte(cover.toDate, from),
          lte(cover.fromDate, to),
        ),
      )
      .orderBy(asc(cover.fromDate), asc(cover.createdAt))
      .limit(LIST_BOUNDS.covers),
  );
}

/** A guard's condition: nobody answers for this practitioner on any of these days yet. */
export function notCovered(
  clinicId: ClinicId,
  memberId: MemberId,
  { id, from, to }: { readonly id: string; readonly from: LocalDate; readonly to: LocalDate },
) {
  return sql`SELECT count(*) = 0 FROM ${cover} WHERE ${cover.clinicId} = ${clinicId}
    AND ${cover.memberId} = ${memberId} AND ${cover.id} <> ${id} AND ${cover.endedAt} IS NULL
    AND ${cover.toDate} >= ${from} AND ${cover.fromDate} <= ${to}`;
}
