import { NO_SETTINGS } from '@/core/school';
import { rmSync } from 'node:fs';
import { READY_PROGRAMMES } from '@/catalogue/programmes';
import { formatDose } from '@/core/dose';
import { closeDatabase, runningWith } from '@/db';
import { askedExercise } from '@/server/desk/asked-exercise';
import { patientPack } from '@/server/patient-pack';
import { deskOf } from '@/server/plan';
import { handoutOf } from '@/server/visit/handout';
import { device, makeClinic, makePatient, member, prescribe, useDatabase } from '../support/clinic';
import { played } from '../support/played';
import { temporaryFolder } from '../support/server';
import { type Stage, patientOf } from '../support/stage';

/** Every programme that ships, sent as it is, played to its end and printed. */
let folder: string;
let practitioner: Awaited<ReturnType<typeof member>>;
let other: Awaited<ReturnType<typeof member>>;

beforeAll(async () => {
  folder = temporaryFolder('ready');
  await useDatabase(folder);
  practitioner = await member((await makeClinic('tide')).emails.practitioner);
  other = await member((await makeClinic('fell')).emails.practitioner);
});
afterAll(() => {
  closeDatabase();
  rmSync(folder, { recursive: true, force: true });
});

const sendIt = async (id: string) => {
  const ready = READY_PROGRAMMES.find((one) => one.id === id);
  if (!ready) throw new Error(id);
  const patientId = await makePatient(practitioner, ready.name);
  await prescribe(
    practitioner,
    patientId,
    ready.lines.map(({ exerciseId, dose, school }) => ({
      exerciseId,
      dose,
      school: school === null ? null : { id: school, settings: NO_SETTINGS },
    })),
    { rounds: ready.rounds },
  );
  return { ready, patientId };
};

it.each(READY_PROGRAMMES.map(({ name, id }) => [name, id]))(
  '%s is sent, plays to its end and is printed',
  async (_, id) => {
    const { ready, patientId } = await sendIt(id);
    const patient = await patientOf({ practitioner } as Stage, patientId);
    const { desk } = await deskOf(practitioner, patient);
    expect(desk.rounds).toBe(ready.rounds);
    expect(desk.lines.map(({ exerciseId, dose }) => [exerciseId, dose])).toEqual(
      ready.lines.map(({ exerciseId, dose }) => [exerciseId, dose]),
    );
    const pack = await patientPack(await device(practitioner, patientId));
    expect(pack.lines.map(({ dose }) => formatDose(dose))).toEqual(
      ready.lines.map(({ dose }) => dose),
    );
    for (const line of pack.lines) {
      const { planned, seconds, reps, spoken } = played(line, [10, 10, 8]);
      expect([line.name, reps.length > 0, spoken.length > 0]).toEqual([line.name, true, true]);
      // Ticks of a tenth of a second; what asks for a number waits for its answer.
      if (!line.howMany) expect(Math.abs(seconds - planned)).toBeLessThan(1);
    }
    const paper = await handoutOf(patient, 'x');
    // What all lines share is said once on paper; sentence by sentence it is the phone's dose.
    const sentences = (text: string) => text.split(/(?<=\.) /).sort();
    const shared = (paper?.words.shared ?? '').replace('For all of them: ', '');
    expect(paper?.exercises.map(({ numbers }) => sentences(`${numbers} ${shared}`.trim()))).toEqual(
      pack.lines.map(({ words }) => sentences(words)),
    );
  },
);

it('knows in whose newest programme an exercise stands, of one’s own clinic alone', async () => {
  const { clinicId } = practitioner;
  const with_ = (id: string) => runningWith(clinicId, id);
  const before = await with_('six-way-hold');
  const { patientId } = await sendIt('six-ways');
  expect(await with_('six-way-hold')).toBe(before + 1);
  expect(await runningWith(other.clinicId, 'six-way-hold')).toBe(0);
  // A newer version without it: it runs no more, though it once did.
  await prescribe(
    practitioner,
    patientId,
    [{ exerciseId: 'squat', dose: '2x10 slow rest 60s daily' }],
    {
      basedOn: 1,
    },
  );
  expect(await with_('six-way-hold')).toBe(before);
  expect((await askedExercise(clinicId, 'squat'))?.patients).toBe(await with_('squat'));
  expect(await askedExercise(clinicId, 'nobody-knows')).toBeNull();
});
