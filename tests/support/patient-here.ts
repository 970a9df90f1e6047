import { randomUUID } from 'node:crypto';
import type { PatientSettings } from '@/core/records';
import type { PatientHere, SignedIn } from '@/server/access';
import { device, makePatient, minute, prescribe } from './clinic';

const PROGRAMME = [
  { exerciseId: 'tuck-lying', dose: '10x10s gap 5s 2/day daily until review' },
  { exerciseId: 'posture-reset', dose: '60s tuck 10-20% every 2h daily until review' },
];

/** A patient with a session and resets through the day, on a phone of theirs. */
export async function patientHere(by: SignedIn): Promise<PatientHere> {
  const id = await makePatient(by);
  await prescribe(by, id, PROGRAMME);
  return device(by, id);
}

const SETTINGS = {
  minutesADay: 15,
  wakeMinute: minute(400),
  language: 'en',
  sleepMinute: minute(1300),
  props: ['soft ball'],
  reminders: {
    sessions: true,
    posture: false,
    channel: 'text',
    address: '+000 1',
    quiet: { from: 1260, to: 360 },
  },
} as const;
/** What a patient may set, as they might. */
export const settings = (): PatientSettings => ({
  id: randomUUID(),
  ...SETTINGS,
  props: ['soft ball'],
});
