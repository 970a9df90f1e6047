import { LIST_BOUNDS } from '../bounds';
import { and, desc, eq, isNull } from 'drizzle-orm';
import type { LocalDate, ClinicId, PatientId } from '@/core/units';
import { type Statement, builder, read, readOne } from '../door';
import { episode, outcomeLetter } from '../schema';
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

/** Closes the patient's open episode of care. */
export function closeEpisodes(clinicId: ClinicId, patientId: PatientId, on: LocalDate): Statement {
  return builder()
    .update(episode)
    .set({ closedOn: on })
    .where(
      and(
        eq(episode.clinicId, clinicId),
        eq(episode.patientId, patientId),
        isNull(episode.closedOn),
      ),
    );
}
