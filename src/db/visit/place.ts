import { type SQL, sql } from 'drizzle-orm';
import { randomUUID } from 'node:crypto';
import type { Instant } from '@/core/schedule';
import type { LocalDate, ClinicId, EpisodeId, AuthorId, PatientId } from '@/core/units';
import { type Statement, builder } from '../door';
import { visit } from '../schema';

/** A clinical record before it is put into its episode and visit. */
export type Placed<Row> = Row extends unknown
  ? Omit<Row, 'episodeId' | 'visitId'> & { readonly episodeId?: EpisodeId | null }
  : never;

type Whose = { readonly clinicId: ClinicId; readonly patientId: PatientId };

/**
 * The episode that new records of a patient belong to: of the open ones the one that their author has at
 * hand, else the newest; where none is open, the newest of all.
 *
 * @param whose without an author for what is of the whole person, such as a screening
 */
export function episodeOf({
  clinicId,
  patientId,
  authorId = null,
}: Whose & { readonly authorId?: AuthorId | null }): SQL<string> {
  const atHand =
    authorId === null
      ? sql``
      : sql`e.id = (SELECT h.episode_id FROM episode_at_hand AS h WHERE h.clinic_id = ${clinicId}
          AND h.patient_id = ${patientId} AND h.member_id = ${authorId}) DESC, `;
  return sql<string>`(SELECT e.id FROM episode AS e WHERE e.clinic_id = ${clinicId} AND e.patient_id = ${patientId}
    ORDER BY e.closed_on IS NULL DESC, ${atHand}e.opened_on DESC, e.rowid DESC LIMIT 1)`;
}

type Columns = { readonly episodeId: SQL<string>; readonly visitId: SQL<string> | null };

/**
 * Puts a clinical record into its episode and into the visit of its day, which the first record of a
 * day makes. What the patient made away from the clinic belongs to the episode alone.
 *
 * @param on the patient's day it was done on
 * @param whole of the whole person: it belongs to the newest open episode, whichever is at hand
 */
export function placed(
  record: Whose & {
    readonly authorId: AuthorId;
    readonly createdAt: Instant;
    /** The episode of the record it corrects; left out for a new one. */
    readonly episodeId?: EpisodeId | null;
  },
  on: LocalDate,
  insert: (columns: Columns) => Statement,
  whole = false,
): Statement[] {
  const { clinicId, patientId, authorId, createdAt } = record;
  const episodeId = record.episodeId
    ? sql<string>`${record.episodeId}`
    : episodeOf(whole ? { clinicId, patientId } : { clinicId, patientId, authorId });
  if (authorId === patientId) return [insert({ episodeId, visitId: null })];
  const visitId = sql<string>`(SELECT v.id FROM visit AS v WHERE v.clinic_id = ${clinicId}
    AND v.episode_id = ${episodeId} AND v.local_date = ${on})`;
  return [
    builder()
      .insert(visit)
      .values({ clinicId, id: randomUUID(), patientId, episodeId, localDate: on, createdAt })
      .onConflictDoNothing(),
    insert({ episodeId, visitId }),
  ];
}
