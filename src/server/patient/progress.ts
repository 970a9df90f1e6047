import { inLanguage } from '@/catalogue';
import { painForPatient } from '@/core/follow';
import { NO_PROGRESS, PROGRESS_DAYS, type Progress, progressOver } from '@/core/history';
import { addDays } from '@/core/units';
import type { PatientHere } from '../access';
import { languageFor } from '../languages';
import { factsOf, todayOf } from '../programme-facts';

/** How it is going for the patient who asks. */
export async function progressOf({ patient, clinicId }: PatientHere): Promise<Progress> {
  const today = todayOf(patient);
  const [facts] = await factsOf(clinicId, [patient], addDays(today, -PROGRESS_DAYS), today);
  if (!facts) return NO_PROGRESS;
  const told = facts.doneRows.map((row) => [row.localDate, row.report] as const);
  const progress = progressOver(facts, new Map(told), painForPatient);
  const language = languageFor(patient);
  return {
    ...progress,
    holds: progress.holds.map((one) => ({ ...one, name: inLanguage(language, one.name) })),
  };
}
