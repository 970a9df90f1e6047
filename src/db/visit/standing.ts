import { and, eq, sql } from 'drizzle-orm';
import { z } from 'zod';
import type { ClinicId, EpisodeId, LocalDate, PatientId } from '@/core/units';
import { DANGER_ALERTS } from '@/core/triage';
import { read } from '../door';
import { patient } from '../schema';
import { episodeOf } from './place';

/** What a screening's standing is reckoned from besides the screenings themselves. */
export type StandingRow = {
  readonly episodeId: EpisodeId | null;
  readonly openedOn: LocalDate | null;
  /** Since when a practitioner's reason stands in for a missing screening, milliseconds since 1970. */
  readonly reasonAt: number | null;
  /** The newest danger reported, milliseconds since 1970. */
  readonly dangerAt: number | null;
  /** All of it with the screenings' ids, so that a guard can tell whether anything has changed. */
  readonly stamp: string;
};

const Stamp = z.tuple([
  z.string().nullable(),
  z.string().nullable(),
  z.string().nullable(),
  z.number().nullable(),
  z.number().nullable(),
  z.string().nullable(),
]);

/** Newest confirmed, newest of all, episode, the reason that still holds, the newest danger, since when. */
function stampOf(clinicId: ClinicId, patientId: PatientId) {
  const episode = episodeOf({ clinicId, patientId });
  const dangers = sql.join(
    DANGER_ALERTS.map((kind) => sql`${kind}`),
    sql`, `,
  );
  return sql<string>`json_array(
    (SELECT s.id FROM screening AS s WHERE s.clinic_id = ${clinicId} AND s.patient_id = ${patientId}
      AND s.confirmed_by IS NOT NULL ORDER BY s.created_at DESC, s.rowid DESC LIMIT 1),
    (SELECT s.id FROM screening AS s WHERE s.clinic_id = ${clinicId} AND s.patient_id = ${patientId}
      ORDER BY s.created_at DESC, s.rowid DESC LIMIT 1),
    ${episode},
    (SELECT e.created_at FROM file_entry AS e WHERE e.clinic_id = ${clinicId}
      AND e.patient_id = ${patientId} AND e.kind = 'screened-on-paper' AND e.body IS NOT NULL
      AND e.episode_id = ${episode}
      AND e.visit_id = (SELECT v.id FROM visit AS v WHERE v.clinic_id = ${clinicId}
        AND v.episode_id = ${episode} ORDER BY v.local_date DESC LIMIT 1)
      AND NOT EXISTS (SELECT 1 FROM file_entry AS later
        WHERE later.clinic_id = e.clinic_id AND later.supersedes = e.id)
      ORDER BY e.created_at DESC, e.rowid DESC LIMIT 1),
    (SELECT max(at) FROM (
      SELECT max(a.created_at) AS at FROM alert AS a WHERE a.clinic_id = ${clinicId}
        AND a.patient_id = ${patientId} AND a.kind IN (${dangers})
      UNION ALL
      SELECT max(e.created_at) FROM file_entry AS e WHERE e.clinic_id = ${clinicId}
        AND e.patient_id = ${patientId} AND e.kind = 'care'
        AND json_extract(e.body, '$.kind') = 'injury'
        AND NOT EXISTS (SELECT 1 FROM file_entry AS later
          WHERE later.clinic_id = e.clinic_id AND later.supersedes = e.id))),
    (SELECT e.opened_on FROM episode AS e WHERE e.clinic_id = ${clinicId} AND e.id = ${episode})
  )`;
}

export async function standingRow(clinicId: ClinicId, patientId: PatientId): Promise<StandingRow> {
  const [row] = await read((db) =>
    db
      .select({ stamp: stampOf(clinicId, patientId) })
      .from(patient)
      .where(and(eq(patient.clinicId, clinicId), eq(patient.id, patientId))),
  );
  const stamp = row?.stamp ?? '[null,null,null,null,null,null]';
  const [, , episodeId, reasonAt, dangerAt, openedOn] = Stamp.parse(JSON.parse(stamp));
  return { episodeId, openedOn: openedOn as LocalDate | null, reasonAt, dangerAt, stamp };
}

/** A guard's condition: nothing that the standing was reckoned from has changed since. */
export function standingIs(clinicId: ClinicId, patientId: PatientId, stamp: string) {
  return sql`SELECT ${stampOf(clinicId, patientId)} = ${stamp}`;
}
