import { type SentVersion, sentVersion } from '@/core/programme';
import { type Patient, versionsOf } from '@/db';

/** The newest version of a patient's programme; null before the first. */
export async function newestVersion(patient: Patient): Promise<SentVersion | null> {
  const rows = (await versionsOf(patient.clinicId, [patient.id])).get(patient.id) ?? [];
  const newest = rows.at(-1);
  return newest ? sentVersion(newest) : null;
}
