import { and, desc, eq, isNull, sql } from 'drizzle-orm';
import type { ClinicId, EpisodeId, LocalDate, MemberId, PatientId } from '@/core/units';
import { LIST_BOUNDS } from './bounds';
import { type Statement, builder, prepared } from './door';
import type { Episode } from './people';
import { episode, episodeAtHand } from './schema';

/** A member with one of their clinic's patients. */
export type WithPatient = {
  readonly clinicId: ClinicId;
  readonly memberId: MemberId;
  readonly patientId: PatientId;
};

/**
 * A patient's open episodes, the one at this member's hand first: the one they chose, else the newest.
 * New records of theirs belong to it (`visit/place.ts` reckons the same within each write).
 */
export async function openEpisodesOf(of: WithPatient): Promise<Episode[]> {
  const rows = await openEpisodes(of);
  return rows.map((row) => row.episode);
}

const openEpisodes = prepared<WithPatient, { episode: Episode }>((db) =>
  db
    .select({ episode })
    .from(episode)
    .leftJoin(
      episodeAtHand,
      and(
        eq(episodeAtHand.clinicId, episode.clinicId),
        eq(episodeAtHand.patientId, episode.patientId),
        eq(episodeAtHand.memberId, sql.placeholder('memberId')),
        eq(episodeAtHand.episodeId, episode.id),
      ),
    )
    .where(
      and(
        eq(episode.clinicId, sql.placeholder('clinicId')),
        eq(episode.patientId, sql.placeholder('patientId')),
        isNull(episode.closedOn),
      ),
    )
    .orderBy(
      sql`${episodeAtHand.episodeId} IS NOT NULL DESC`,
      desc(episode.openedOn),
      desc(sql`${episode}.rowid`),
    )
    .limit(LIST_BOUNDS.episodes)
    .prepare(),
);

export function putAtHand(row: typeof episodeAtHand.$inferInsert): Statement {
  return builder()
    .insert(episodeAtHand)
    .values(row)
    .onConflictDoUpdate({
      target: [episodeAtHand.clinicId, episodeAtHand.patientId, episodeAtHand.memberId],
      set: { episodeId: row.episodeId },
    });
}

/** A guard's condition: this episode of the patient is open. */
export function episodeIsOpen(clinicId: ClinicId, patientId: PatientId, id: EpisodeId) {
  return sql`SELECT count(*) = 1 FROM episode AS e WHERE e.clinic_id = ${clinicId}
    AND e.patient_id = ${patientId} AND e.id = ${id} AND e.closed_on IS NULL`;
}

/** A guard's condition: fewer episodes than this are open. */
export function fewerEpisodesOpen(clinicId: ClinicId, patientId: PatientId, most: number) {
  return sql`SELECT count(*) < ${most} FROM episode AS e WHERE e.clinic_id = ${clinicId}
    AND e.patient_id = ${patientId} AND e.closed_on IS NULL`;
}

/** Closes an episode of care; one that is closed keeps its day. */
export function closeEpisode(clinicId: ClinicId, id: EpisodeId, on: LocalDate): Statement {
  return builder()
    .update(episode)
    .set({ closedOn: on })
    .where(and(eq(episode.clinicId, clinicId), eq(episode.id, id), isNull(episode.closedOn)));
}
