import { LIST_BOUNDS } from '../bounds';
import { and, desc, eq } from 'drizzle-orm';
import type { ClinicId, PatientId } from '@/core/units';
import { type Statement, builder, read, readOne } from '../door';
import { outcomeLetter } from '../schema';
import { type Placed, placed } from '../visit/place';

export type OutcomeLetterRow = typeof outcomeLetter.$inferSelect;

/** A patient's letters, newest first. */
export function outcomeLettersOf(
  clinicId: ClinicId,
  patientId: PatientId,
): Promise<OutcomeLetterRow[]> {
  return read((db) =>
    db
      .select()
      .from(outcomeLetter)
      .where(and(eq(outcomeLetter.clinicId, clinicId), eq(outcomeLetter.patientId, patientId)))
      .orderBy(desc(outcomeLetter.createdAt))
      .limit(LIST_BOUNDS.letters),
  );
}

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
