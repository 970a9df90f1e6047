import { LIST_BOUNDS } from '../bounds';
import { and, desc, eq, sql } from 'drizzle-orm';
import type { ClinicId, PatientId } from '@/core/units';
import { type Statement, builder, prepared, readOne } from '../door';
import { outcomeLetter } from '../schema';
import { type Placed, placed } from '../visit/place';

export type OutcomeLetterRow = typeof outcomeLetter.$inferSelect;

/** A patient's letters, newest first. */
export function outcomeLettersOf(
  clinicId: ClinicId,
  patientId: PatientId,
): Promise<OutcomeLetterRow[]> {
  return letters({ clinicId, patientId });
}

const letters = prepared<
  { readonly clinicId: ClinicId; readonly patientId: PatientId },
  OutcomeLetterRow
>((db) =>
  db
    .select()
    .from(outcomeLetter)
    .where(
      and(
        eq(outcomeLetter.clinicId, sql.placeholder('clinicId')),
        eq(outcomeLetter.patientId, sql.placeholder('patientId')),
      ),
    )
    .orderBy(desc(outcomeLetter.createdAt))
    .limit(LIST_BOUNDS.letters)
    .prepare(),
);

export async function outcomeLetterById(
  clinicId: ClinicId,
  id: string,
): Promise<OutcomeLetterRow | null> {
  return readOne((db) =>
    db
      .select()
      .from(outcomeLetter)
      .where(and(eq(outcomeLetter.clinicId, clinicId), eq(outcomeLetter.id, id))),
  );
}

export function insertOutcomeLetter(row: Placed<OutcomeLetterRow>): Statement[] {
  return placed(row, row.localDate, (columns) =>
    builder()
      .insert(outcomeLetter)
      .values({ ...row, ...columns }),
  );
}
