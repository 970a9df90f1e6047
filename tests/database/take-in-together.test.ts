import { type DayDoneRow, daysDone, eventsOfDay, openAlertsOf, pausesOf } from '@/db';
import type { PatientHere } from '@/server/access';
import { revokeLink } from '@/server/links';
import { takeIn } from '@/server/take-in';
import { MOST_TOGETHER } from '@/server/take-in/queue';
import { device, makePatient, prescribe, today } from '../support/clinic';
import { eventOf } from '../support/record';
import { databaseStage } from '../support/stage';

/** How many batches the database was given; the door is the real one. */
let batches = 0;
jest.mock('@/db', () => {
  const real = jest.requireActual<typeof import('@/db')>('@/db');
  return {
    ...real,
    write: (prepare: Parameters<typeof real.write>[0]) =>
      real.write(async (builder) => {
        const statements = await prepare(builder);
        if (statements.length > 0) batches += 1;
        return statements;
      }),
  };
});

const stage = databaseStage('together');

async function phone(name: string): Promise<PatientHere> {
  const id = await makePatient(stage.practitioner, name);
  await prescribe(stage.practitioner, id, [{ exerciseId: 'tuck-lying', dose: '10x10s' }]);
  return device(stage.practitioner, id);
}

const phones = (count: number) =>
  Promise.all(Array.from({ length: count }, (_, index) => phone(`Quay ${index}`)));

const begun = (here: PatientHere, event = eventOf({ type: 'started' })) =>
  takeIn(here, { sentAt: Date.now(), events: [event] });

const dayOf = async ({ clinicId, patient }: PatientHere): Promise<DayDoneRow | undefined> =>
  (await daysDone(clinicId, [patient.id], today(), today()))[0];

it('writes what many phones send at once in few transactions, each as if it were alone', async () => {
  const all = await phones(MOST_TOGETHER + 4);
  batches = 0;
  const answers = await Promise.all(all.map((here) => begun(here)));
  expect(batches).toBeLessThanOrEqual(4);
  for (const [index, here] of all.entries()) {
    const stored = await eventsOfDay(here.clinicId, here.patient.id, today());
    expect(answers[index]).toEqual({ stored: stored.map(({ id }) => id), conflicts: [] });
    expect(stored).toHaveLength(1);
    expect((await dayOf(here))?.events).toBe(1);
  }
}, 60_000);

it('keeps one whose link was ended out, and nobody else with it', async () => {
  const all = await phones(5);
  const ended = all[2] as PatientHere;
  await revokeLink(stage.practitioner, ended.id);
  const answers = await Promise.allSettled(all.map((here) => begun(here)));
  expect(answers.map(({ status }) => status)).toEqual([
    'fulfilled',
    'fulfilled',
    'rejected',
    'fulfilled',
    'fulfilled',
  ]);
  expect(answers[2]).toMatchObject({ reason: { guard: 'access' } });
  expect(await eventsOfDay(ended.clinicId, ended.patient.id, today())).toEqual([]);
});

it('takes posts of one patient one after the other, into one day', async () => {
  const [here] = await phones(1);
  if (!here) throw new Error('no phone');
  const twice = eventOf({ type: 'started' });
  const answers = await Promise.all([begun(here, twice), begun(here, twice), begun(here)]);
  expect(answers.every(({ conflicts }) => conflicts.length === 0)).toBe(true);
  expect((await dayOf(here))?.events).toBe(2);
});

it('stops the programme of the one who stopped, and of nobody beside', async () => {
  const all = await phones(3);
  await Promise.all(
    all.map((here, index) =>
      begun(
        here,
        eventOf(index === 1 ? { type: 'stopped', because: 'symptom' } : { type: 'ended' }),
      ),
    ),
  );
  const ids = all.map(({ id }) => id);
  const { clinicId } = stage.practitioner;
  expect((await pausesOf(clinicId, ids)).map(({ patientId }) => patientId)).toEqual([ids[1]]);
  expect((await openAlertsOf(clinicId, ids)).map(({ patientId }) => patientId)).toEqual([ids[1]]);
});

it('sets apart the other words under an id, beside what others send', async () => {
  const all = await phones(3);
  const first = eventOf({ type: 'started' });
  const here = all[0] as PatientHere;
  await begun(here, first);
  const answers = await Promise.all([
    begun(here, { ...first, deviceAt: first.deviceAt + 1 }),
    // The same id of another patient is another event.
    begun(all[1] as PatientHere, first),
    begun(all[2] as PatientHere, eventOf({ type: 'started' })),
  ]);
  expect(answers.map(({ conflicts }) => conflicts)).toEqual([[first.id], [], []]);
});
