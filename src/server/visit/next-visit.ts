import { type Language, sayToPatient } from '@/catalogue';
import type { NextVisitBody } from '@/core/records';
import { dateInWords, clockText } from '@/core/units';
import { type Patient, nextVisitsOf } from '@/db';
import { todayOf } from '../programme-facts';

/** When the patient comes next; null where nothing is agreed, or the day has passed. */
export async function nextVisitOf(patient: Patient): Promise<NextVisitBody | null> {
  const next = (await nextVisitsOf(patient.clinicId, [patient.id])).get(patient.id);
  return next && next.date >= todayOf(patient) ? next : null;
}

/** The same as the patient reads it; empty where there is none. */
export async function nextVisitInWords(patient: Patient, language: Language): Promise<string> {
  const next = await nextVisitOf(patient);
  if (!next) return '';
  const date = dateInWords(next.date, language.tag);
  return next.minute === null
    ? sayToPatient(language, `nextVisit.${next.way}`, { date })
    : sayToPatient(language, `nextVisit.at.${next.way}`, { date, time: clockText(next.minute) });
}
