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

/** The episode that new records of a patient belong to: the newest open one, else the newest. */
export function episodeOf({ clinicId, patientId }: Whose): SQL<string> {
  return sql<string>`(SELECT e.id FROM episode AS e WHERE e.clinic_id = ${clinicId} AND e.patient_id = ${patientId}
    ORDER BY e.closed_on IS NULL DESC, e.opened_on DESC, e.rowid DESC LIMIT 1)`;
}

type Columns = { readonly episodeId: SQL<string>; readonly visitId: SQL<string> | null };

/**
 * Puts a clinical record into its episode and into the visit of its day, which the first record of a
 * day makes. What the patient made away from the clinic belongs to the episode alone.
 *
 * @param on the patient's day it was done on
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
): Statement[] {
  const { clinicId, patientId, authorId, createdAt } = record;
  const episodeId = record.episodeId ? sql<string>`${record.episodeId}` : episodeOf(record);
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
