import { and, eq, gt, lte, sql } from 'drizzle-orm';
import type { ClinicId, LocalDate, PatientId } from '@/core/units';
import { LIST_BOUNDS } from '../bounds';
import { among } from '../among';
import { type Statement, builder, read } from '../door';
import { type ELSE, changesForgotten, recordChange } from '../schema';

export { ELSE } from '../schema';

/** Something that was written of a patient: the fold of a day, or anything else. */
export type RecordChange = {
  readonly patientId: PatientId;
  readonly seq: number;
  readonly what: LocalDate | typeof ELSE;
};

/** Which changes can be told: those after `forgotten`, to `newest`; both are 0 where nothing ever changed. */
export type ChangesTold = { readonly forgotten: number; readonly newest: number };

export async function changesTold(): Promise<ChangesTold> {
  const [row] = await read((db) =>
    db
      .select({
        newest: sql<number>`coalesce((select max(${recordChange.seq}) from ${recordChange}), 0)`,
        forgotten: changesForgotten.upTo,
      })
      .from(changesForgotten),
  );
  const { newest = 0, forgotten = 0 } = row ?? {};
  return { forgotten, newest: Math.max(newest, forgotten) };
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

/** Forgets the changes up to one that nobody asks for any more, and writes down how far it forgot. */
export function forgetChanges(upTo: number): readonly Statement[] {
  return [
    builder().delete(recordChange).where(lte(recordChange.seq, upTo)),
    builder()
      .insert(changesForgotten)
      .values({ id: 1, upTo })
      .onConflictDoUpdate({
        target: changesForgotten.id,
        set: { upTo: sql`max(${changesForgotten.upTo}, ${upTo})` },
      }),
  ];
}
