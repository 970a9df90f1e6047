import { and, asc, eq, gt, sql } from 'drizzle-orm';
import type { ClinicId, EpisodeId, LocalDate, PatientId } from '@/core/units';
import { type Statement, builder, read } from '../door';
import { episode, episodeEvidence } from '../schema';

export type EpisodeRow = typeof episode.$inferSelect;
export type EvidenceRow = typeof episodeEvidence.$inferSelect;

/** An episode that was closed so long before is not reckoned again: what comes late has come. */
const SETTLED_DAYS = 31;

/**
 * Whether the clinic may learn from the course: the consent that counts now says so, and so did the one of
 * that day. Taking it back counts at once, giving it from then on; one that was written anew for another
 * reason changes nothing.
 *
 * @param patient the column or value that names whose
 */
function learningConsented(clinicId: ClinicId, patient: ReturnType<typeof sql>, until: LocalDate) {
  const consents = sql`file_entry AS e WHERE e.clinic_id = ${clinicId}
    AND e.patient_id = ${patient} AND e.kind = 'consent'`;
  const newest = sql`ORDER BY e.local_date DESC, e.created_at DESC, e.rowid DESC LIMIT 1`;
  return sql`coalesce((SELECT json_extract(e.body, '$.learning') FROM ${consents}
      AND e.body IS NOT NULL AND NOT EXISTS (SELECT 1 FROM file_entry AS later
        WHERE later.clinic_id = e.clinic_id AND later.supersedes = e.id) ${newest}), 0)
    AND coalesce((SELECT json_extract(e.body, '$.learning') FROM ${consents}
      AND e.local_date <= ${until} ${newest}), 0)`;
}

/**
 * Episodes that may be counted and are not yet reckoned up to a day, in the order of their ids.
 *
 * @param until the last day that counts; consents of later days do not
 */
export function episodesToCount(
  clinicId: ClinicId,
  until: LocalDate,
  after: EpisodeId | null,
  limit: number,
): Promise<EpisodeRow[]> {
  return read((db) =>
    db
      .select()
      .from(episode)
      .where(
        and(
          eq(episode.clinicId, clinicId),
          after === null ? undefined : gt(episode.id, after),
          sql`${episode.openedOn} <= ${until}`,
          sql`NOT EXISTS (SELECT 1 FROM episode_evidence AS known
            WHERE known.clinic_id = ${clinicId} AND known.episode_id = ${episode.id}
              AND (known.until >= ${until}
                OR known.until > date(${episode.closedOn}, ${`+${SETTLED_DAYS} days`})))`,
          learningConsented(clinicId, sql`${episode.patientId}`, until),
        ),
      )
      .orderBy(asc(episode.id))
      .limit(limit),
  );
}

export function putEvidence(rows: readonly EvidenceRow[]): Statement {
  return builder()
    .insert(episodeEvidence)
    .values([...rows])
    .onConflictDoUpdate({
      target: [episodeEvidence.clinicId, episodeEvidence.episodeId],
      set: { until: sql`excluded.until`, facts: sql`excluded.facts` },
    });
}

/** Everything that was reckoned of a patient goes, as when they do not agree any more. */
export function dropEvidence(clinicId: ClinicId, patientId: PatientId): Statement {
  return builder()
    .delete(episodeEvidence)
    .where(and(eq(episodeEvidence.clinicId, clinicId), eq(episodeEvidence.patientId, patientId)));
}

/** What episodes tell whose patients agree still, a page at a time in the order of their ids. */
export function evidenceOf(
  clinicId: ClinicId,
  until: LocalDate,
  after: EpisodeId | null,
  limit: number,
): Promise<EvidenceRow[]> {
  return read((db) =>
    db
      .select()
      .from(episodeEvidence)
      .where(
        and(
          eq(episodeEvidence.clinicId, clinicId),
          after === null ? undefined : gt(episodeEvidence.episodeId, after),
          learningConsented(clinicId, sql`${episodeEvidence.patientId}`, until),
        ),
      )
      .orderBy(asc(episodeEvidence.episodeId))
      .limit(limit),
  );
}
