import { and, eq, gt, lte, sql } from 'drizzle-orm';
import type { ClinicId, LocalDate, PatientId } from '@/core/units';
import { LIST_BOUNDS } from '../bounds';
import { among } from '../among';
import { type Statement, builder, read } from '../door';
import { type ELSE, recordChange } from '../schema';

export { ELSE } from '../schema';

/** Something that was written of a patient: the fold of a day, or anything else. */
export type RecordChange = {
  readonly patientId: PatientId;
  readonly seq: number;
  readonly what: LocalDate | typeof ELSE;
};

/** The number of the newest change of anybody; 0 where nothing ever changed. */
export async function newestChange(): Promise<number> {
  const rows = await read((db) =>
    db.select({ seq: sql<number>`coalesce(max(${recordChange.seq}), 0)` }).from(recordChange),
  );
  return rows[0]?.seq ?? 0;
}

/**
 * What was written of these patients after a change, the last of each kind.
 *
 * @returns null where it is more than is worth looking through
 */
export async function changesAfter(
  clinicId: ClinicId,
  patientIds: readonly string[],
  seq: number,
): Promise<RecordChange[] | null> {
  const { patientId, what } = recordChange;
  const rows = await read((db) =>
    db
      .select({ patientId, seq: recordChange.seq, what })
      .from(recordChange)
      .where(
        and(
          eq(recordChange.clinicId, clinicId),
          among(patientId, patientIds),
          gt(recordChange.seq, seq),
        ),
      )
      .limit(LIST_BOUNDS.changes),
  );
  return rows.length < LIST_BOUNDS.changes ? rows : null;
}

/** Forgets the changes up to one that nobody asks for any more. */
export function forgetChanges(upTo: number): Statement {
  return builder().delete(recordChange).where(lte(recordChange.seq, upTo));
}
