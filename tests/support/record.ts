import type { RepDone, SessionEventBody, StoredEventBody } from '@/core/adherence';
import { eventsOfDay } from '@/db';
import { randomUUID } from 'node:crypto';
import type { DeviceEvent } from '@/core/records';
import { today } from './clinic';

/** What the clinic's record holds of a patient's day: bodies in the order they happened. */
export async function toldToday(clinicId: string, patientId: string): Promise<StoredEventBody[]> {
  const rows = await eventsOfDay(clinicId, patientId, today());
  return rows
    .sort((a, b) => a.deviceAt - b.deviceAt || a.offsetMs - b.offsetMs)
    .map(({ body }) => body);
}

/** Every repetition told, of all lines. */
export function repsTold(bodies: readonly StoredEventBody[]): RepDone[] {
  return bodies.flatMap((body) => (body.type === 'line' ? [...body.reps] : []));
}

/** Tries a check again until it holds: what a phone told may still be on its way. */
export async function eventually(check: () => Promise<void>, patience = 180_000): Promise<void> {
  const until = Date.now() + patience;
  for (;;) {
    try {
      await check();
      return;
    } catch (error) {
      if (Date.now() > until) throw error;
      await new Promise((resolve) => setTimeout(resolve, 200));
    }
  }
}

/** Waits until the record holds so many repetitions of a patient's day. */
export async function untilToldExactly(
  clinicId: string,
  patientId: string,
  reps: number,
): Promise<void> {
  await eventually(async () => {
    expect(repsTold(await toldToday(clinicId, patientId))).toHaveLength(reps);
  });
}

/** One event as a device sends it now, of a session of its own. */
export function eventOf(body: SessionEventBody): DeviceEvent {
  return {
    id: randomUUID(),
    sessionId: randomUUID(),
    sessionKey: 'session-1',
    programmeId: randomUUID(),
    version: 1,
    deviceAt: Date.now(),
    offsetMs: 0,
    body,
  };
}
