import type { RepDone, SessionEventBody } from '@/core/adherence';
import { eventsOfDay } from '@/db';
import { today } from './clinic';

/** What the clinic's record holds of a patient's day: bodies in the order they happened. */
export async function toldToday(clinicId: string, patientId: string): Promise<SessionEventBody[]> {
  const rows = await eventsOfDay(clinicId, patientId, today());
  return rows
    .sort((a, b) => a.deviceAt - b.deviceAt || a.offsetMs - b.offsetMs)
    .map((row) => JSON.parse(row.body) as SessionEventBody);
}

/** Every repetition told, of all lines. */
export function repsTold(bodies: readonly SessionEventBody[]): RepDone[] {
  return bodies.flatMap((body) => (body.type === 'line' ? [...body.reps] : []));
}
