import { and, desc, eq, isNull } from 'drizzle-orm';
import { type Statement, builder, read } from '../door';
import { episode, outcomeLetter } from '../schema';

export type OutcomeLetterRow = typeof outcomeLetter.$inferSelect;

/** A patient's letters, newest first. */
export function outcomeLettersOf(clinicId: string, patientId: string): Promise<OutcomeLetterRow[]> {
  return read((db) =>
    db
      .select()
      .from(outcomeLetter)
      .where(and(eq(outcomeLetter.clinicId, clinicId), eq(outcomeLetter.patientId, patientId)))
      .orderBy(desc(outcomeLetter.createdAt))
      .limit(50),
  );
}

export async function outcomeLetterById(
  clinicId: string,
  id: string,
): Promise<OutcomeLetterRow | null> {
  const rows = await read((db) =>
    db
      .select()
      .from(outcomeLetter)
      .where(and(eq(outcomeLetter.clinicId, clinicId), eq(outcomeLetter.id, id)))
      .limit(1),
  );
  return rows[0] ?? null;
}

export function insertOutcomeLetter(row: OutcomeLetterRow): Statement {
  return builder().insert(outcomeLetter).values(row);
}

/** Closes the patient's open episode of care. */
export function closeEpisodes(clinicId: string, patientId: string, on: string): Statement {
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
