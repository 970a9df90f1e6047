import { rmSync } from 'node:fs';
import { READY_PROGRAMMES } from '@/catalogue/programmes';
import { readProgrammeFile } from '@/core/exchange';
import { bareFigure } from '@/core/studio';
import type { ExerciseId } from '@/core/units';
import { closeDatabase } from '@/db';
import { ownExercises, saveExercise } from '@/server/desk/exercises';
import { gotOnWith } from '@/server/desk/got-on';
import { patientsToPrescribe } from '@/server/desk/prescribe-to';
import {
  copyReady,
  previewProgramme,
  programmeFile,
  takeInProgramme,
} from '@/server/desk/programme-files';
import { thingToPut } from '@/server/desk/put';
import { notOfferedReady, offerReady } from '@/server/desk/ready';
import { saveTemplate, templateList } from '@/server/desk/templates';
import {
  aTemplate,
  makeClinic,
  makePatient,
  member,
  ownDraft,
  prescribe,
  programmeText,
  screenedPatient,
  useDatabase,
} from '../support/clinic';
import { temporaryFolder } from '../support/server';

/** Programmes without a patient: offered or not, copied, as files from clinic to clinic. */
let folder: string;
let practitioner: Awaited<ReturnType<typeof member>>;
let other: Awaited<ReturnType<typeof member>>;

beforeAll(async () => {
  folder = temporaryFolder('at-hand');
  await useDatabase(folder);
  practitioner = await member((await makeClinic('tide')).emails.practitioner);
  other = await member((await makeClinic('fell')).emails.practitioner);
});
afterAll(() => {
  closeDatabase();
  rmSync(folder, { recursive: true, force: true });
});

const id = () => crypto.randomUUID();

describe('ready programmes', () => {
  it('are offered no more in one clinic alone, and again', async () => {
    await offerReady(practitioner, { id: 'ten-by-ten', offered: false });
    expect(await notOfferedReady(practitioner.clinicId)).toEqual(['ten-by-ten']);
    expect(await notOfferedReady(other.clinicId)).toEqual([]);
    await offerReady(practitioner, { id: 'ten-by-ten', offered: true });
    expect(await notOfferedReady(practitioner.clinicId)).toEqual([]);
    await expect(offerReady(practitioner, { id: 'none', offered: false })).rejects.toMatchObject({
      status: 404,
    });
  });

  it('are copied with what they say of themselves, under a free name, once for each asking', async () => {
    const [first, second] = [id(), id()];
    await copyReady(practitioner, { id: first, readyId: 'ten-by-ten' });
    await copyReady(practitioner, { id: first, readyId: 'ten-by-ten' });
    await copyReady(practitioner, { id: second, readyId: 'ten-by-ten' });
    const copies = (await templateList(practitioner.clinicId)).filter(({ name }) =>
      name.startsWith('Ten by ten'),
    );
    expect(copies.map(({ name }) => name)).toEqual(['Ten by ten', 'Ten by ten (2)']);
    const ready = READY_PROGRAMMES.find((one) => one.id === 'ten-by-ten');
    expect(copies[0]?.notes).toEqual({
      about: ready?.about,
      forWhom: ready?.forWhom,
      notFor: ready?.notFor,
      cautions: ready?.cautions,
    });
  });
});

describe('as files', () => {
  it.each(READY_PROGRAMMES.map((one) => [one.name, one.id]))(
    '%s goes from one clinic to another and stays what it was',
    async (_, ready) => {
      const file = await programmeFile(practitioner.clinicId, { of: 'ready', id: ready });
      const taken = id();
      const name = `Taken ${ready}`;
      await takeInProgramme(other, { id: taken, name, text: file?.text ?? '' });
      const again = await programmeFile(other.clinicId, { of: 'template', id: taken });
      const [one, two] = [file?.text ?? '', again?.text ?? ''].map(readProgrammeFile);
      expect(two?.ok && { ...two.file, name: '' }).toEqual(one?.ok && { ...one.file, name: '' });
    },
  );

  it('brings own exercises along, keeps those the clinic has, and nothing twice', async () => {
    const draft = ownDraft('Sail hauling', { watch: 'Theirs' });
    const text = programmeText(draft);
    const preview = await previewProgramme(other.clinicId, text);
    expect(preview).toMatchObject({
      kind: 'right',
      nameTaken: false,
      lines: [{ from: 'ships' }, { exercise: 'Sail hauling', from: 'new' }],
    });
    expect(await ownExercises(other.clinicId)).toEqual([]);
    const taken = { id: id(), name: 'From another clinic', text };
    await takeInProgramme(other, taken);
    await takeInProgramme(other, taken);
    const own = await ownExercises(other.clinicId);
    expect(own.map(({ name }) => name)).toEqual(['Sail hauling']);
    const template = (await templateList(other.clinicId)).find((one) => one.id === taken.id);
    expect(template?.lines[1]?.exerciseId).toBe(own[0]?.id);
    // The clinic's own words stand, whatever another file says.
    await saveExercise(other, {
      id: own[0]?.id ?? '',
      exercise: ownDraft('Sail hauling', { watch: 'Ours' }),
    });
    expect(await previewProgramme(other.clinicId, text)).toMatchObject({
      nameTaken: true,
      lines: [{ from: 'ships' }, { from: 'yours' }],
    });
    await takeInProgramme(other, { id: id(), name: 'Once more', text });
    expect((await ownExercises(other.clinicId)).map(({ watch }) => watch)).toEqual(['Ours']);
  });

  it('takes nothing in of a file that is wrong, and says why', async () => {
    const before = await templateList(other.clinicId);
    const shipped = programmeText(ownDraft('Bridge'));
    expect(await previewProgramme(other.clinicId, shipped)).toMatchObject({
      kind: 'wrong',
      problems: ['“Bridge” is the name of an exercise that ships.'],
    });
    await expect(
      takeInProgramme(other, { id: id(), name: 'x', text: shipped }),
    ).rejects.toMatchObject({ status: 400 });
    const unknown = programmeText(ownDraft('Oar rowing')).replace('tuck-lying', 'of-tomorrow');
    expect(await previewProgramme(other.clinicId, unknown)).toMatchObject({
      problems: ['Line 1: this installation has no exercise “Tuck lying down”. Update it first.'],
    });
    await expect(
      takeInProgramme(other, {
        id: id(),
        name: before[0]?.name.toUpperCase() ?? '',
        text: programmeText(ownDraft('Oar rowing')),
      }),
    ).rejects.toMatchObject({ status: 409 });
    expect(await templateList(other.clinicId)).toEqual(before);
    expect((await ownExercises(other.clinicId)).map(({ name }) => name)).toEqual(['Sail hauling']);
  });

  it('takes in no drawing of what no body does', async () => {
    const figure = bareFigure('standing');
    const far = { by: 'goal', to: [300, 300, 0], pole: [0, -1, 0] } as const;
    const poses = figure.poses.map((pose) => ({ ...pose, arms: { ...pose.arms, right: far } }));
    const drawn = (of: object) => programmeText(ownDraft('Sky reaching', { figure: of as never }));
    expect(await previewProgramme(other.clinicId, drawn(figure))).toMatchObject({ kind: 'right' });
    expect(await previewProgramme(other.clinicId, drawn({ ...figure, poses }))).toMatchObject({
      kind: 'wrong',
      problems: [expect.stringMatching(/^The drawing of “Sky reaching”: pose 1 .*cm short/)],
    });
  });

  it('gives no file of another clinic’s template', async () => {
    const template = aTemplate('Only ours');
    await saveTemplate(practitioner, template);
    const asked = { of: 'template', id: template.id } as const;
    expect(await programmeFile(practitioner.clinicId, asked)).not.toBeNull();
    expect(await programmeFile(other.clinicId, asked)).toBeNull();
    expect(await thingToPut(other.clinicId, { what: 'template', id: template.id })).toBeNull();
    expect(await thingToPut(practitioner.clinicId, { what: 'template', id: template.id })).toEqual({
      name: 'Only ours',
      says: 'One line, to be adjusted on the patient’s Plan.',
    });
  });
});

it('finds patients of the clinic by part of a name, with what speaks against the exercise', async () => {
  await screenedPatient(practitioner, 'Wren 100% Tarn');
  await makePatient(practitioner, 'Wren Fell');
  await makePatient(other, 'Wren Elsewhere');
  const find = (name: string) => patientsToPrescribe(practitioner, { name, exerciseId: 'bridge' });
  expect((await find('wren')).map(({ name, unscreened }) => [name, unscreened !== null])).toEqual([
    ['Wren 100% Tarn', false],
    ['Wren Fell', true],
  ]);
  // A sign of the query's own language is only a letter here.
  expect((await find('0%')).map(({ name }) => name)).toEqual(['Wren 100% Tarn']);
  expect(await find('_')).toEqual([]);
});

it('counts how patients of this clinic got on with an exercise, and is silent of a few', async () => {
  const exercise = 'calf-stretch' as ExerciseId;
  const give = async (name: string) =>
    prescribe(practitioner, await makePatient(practitioner, name), [
      { exerciseId: exercise, dose: '2x30s gap 15s each side daily' },
    ]);
  for (const name of ['A', 'B', 'C', 'D']) await give(name);
  expect(await gotOnWith(practitioner.clinicId, exercise)).toEqual({ kind: 'too few' });
  await give('E');
  expect(await gotOnWith(practitioner.clinicId, exercise)).toMatchObject({
    kind: 'counted',
    patients: 5,
    now: { 'has it': 5 },
    sessions: 0,
    good: null,
  });
  expect(await gotOnWith(other.clinicId, exercise)).toEqual({ kind: 'too few' });
});
