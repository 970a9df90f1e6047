import { randomUUID } from 'node:crypto';
import { createClient } from '@libsql/client';
import { FIGURES } from '@/catalogue/figures';
import type { Figure } from '@/core/figure';
import { bareFigure } from '@/core/studio';
import { OwnFigure } from '@/core/records';
import { sentVersion } from '@/core/programme';
import { ownFigures, versionsOf } from '@/db';
import { databaseUrl } from '@/db/door';
import {
  exportExercises,
  importExercises,
  ownExercises,
  saveExercise,
} from '@/server/desk/exercises';
import { drawingIdOf, figuresOfLines, keptFigure, ownFigureOf } from '@/server/desk/own-figures';
import { handoutOf } from '@/server/visit/handout';
import { patientPack } from '@/server/patient-pack';
import { device, makeClinic, makePatient, ownDraft, prescribe } from '../support/clinic';
import { databaseStage, patientOf } from '../support/stage';

const stage = databaseStage('own figures');

const tall = bareFigure('sitting');
const bridge = FIGURES['bridge'];
if (!bridge) throw new Error('the catalogue has changed');

/** As a page sends it: data, nobody's to keep unchanged. */
const asSent = (figure: Figure | null | undefined) =>
  figure && OwnFigure.parse(JSON.parse(JSON.stringify(figure)));

/** An exercise of the clinic's own, drawn. */
async function drawn(name: string, figure: Figure | null | undefined, id: string = randomUUID()) {
  await saveExercise(stage.practitioner, {
    id,
    exercise: ownDraft(name, { figure: asSent(figure) }),
  });
  const own = (await ownExercises(stage.practitioner.clinicId)).find((one) => one.id === id);
  if (!own) throw new Error('not kept');
  return own;
}

it('keeps a drawing with its exercise, changes it, and leaves it out again', async () => {
  const { clinicId } = stage.practitioner;
  const first = await drawn('Oar pull', tall);
  expect(await ownFigureOf(clinicId, first.drawing ?? '')).toEqual(tall);
  const same = await drawn('Oar pull, slow', undefined, first.id);
  expect(same.drawing).toBe(first.drawing);
  const other = await drawn('Oar pull, slow', bridge, first.id);
  expect(other.drawing).toBe(drawingIdOf(bridge));
  expect((await drawn('Oar pull, slow', null, first.id)).drawing).toBeUndefined();
});

it('keeps the same drawing once, for each clinic by itself, and never changes it', async () => {
  const { clinicId } = stage.practitioner;
  const [one, two] = [await drawn('Net mending', tall), await drawn('Net hauling', tall)];
  expect(one.drawing).toBe(two.drawing);
  expect(await ownFigures(clinicId, [one.drawing ?? ''])).toHaveLength(1);
  const elsewhere = await makeClinic('inland');
  expect(await ownFigureOf(elsewhere.id, one.drawing ?? '')).toBeNull();
  const client = createClient({ url: databaseUrl() });
  await expect(client.execute('UPDATE own_figure SET body = 1')).rejects.toThrow('append-only');
  await expect(client.execute('DELETE FROM own_figure')).rejects.toThrow('append-only');
  client.close();
});

it('refuses what no body does, and says where', async () => {
  const [first, second] = tall.poses;
  const broken: Figure = {
    ...tall,
    poses: [first, { ...second, head: { ...second.head, flex: -120 } }],
  };
  await expect(drawn('Owl', broken)).rejects.toMatchObject({
    status: 400,
    say: 'The drawing, pose 2 (There): no joint goes so far (head: flex -120°).',
  });
  const far: Figure = {
    ...tall,
    poses: [
      first,
      {
        ...second,
        arms: { ...second.arms, right: { by: 'goal', to: [200, 100, 0], pole: [0, -1, 0] } },
      },
    ],
  };
  await expect(drawn('Long reach', far)).rejects.toMatchObject({ status: 400 });
  expect((await ownExercises(stage.practitioner.clinicId)).map(({ name }) => name)).not.toContain(
    'Owl',
  );
});

it('goes out and comes in again with its exercise, and bad rows are named', async () => {
  const { practitioner } = stage;
  await drawn('Tide watch', bridge);
  const file = await exportExercises(practitioner.clinicId, 'json', 'own');
  const rows = JSON.parse(file) as { name: string; figure?: Figure }[];
  expect(rows.find(({ name }) => name === 'Tide watch')?.figure).toEqual(
    JSON.parse(JSON.stringify(bridge)),
  );
  expect(await importExercises(practitioner, { format: 'json', text: file })).toMatchObject({
    problems: [],
  });
  // A table says nothing of the drawing: it stays.
  const table = await exportExercises(practitioner.clinicId, 'csv', 'own');
  await importExercises(practitioner, { format: 'csv', text: table });
  const after = (await ownExercises(practitioner.clinicId)).find(
    ({ name }) => name === 'Tide watch',
  );
  expect(after?.drawing).toBe(drawingIdOf(bridge));

  const bad = [
    { ...ownDraft('One'), figure: { ...tall, view: 'below' } },
    { ...ownDraft('Two'), figure: { ...tall, poses: [tall.poses[0]], names: ['Start'] } },
    { ...ownDraft('Three'), figure: { ...tall, names: ['Start'] } },
    { ...ownDraft('Four'), figure: { ...tall, props: [{ kind: 'anvil' }] } },
  ];
  const { taken, problems } = await importExercises(practitioner, {
    format: 'json',
    text: JSON.stringify(bad),
  });
  expect(taken).toBe(0);
  expect(problems.map(({ row }) => row)).toEqual([1, 2, 3, 4]);
  expect(problems.map(({ say }) => say)).toEqual([
    'figure, view: The view is one of: side, front, quarter, back, above.',
    'figure, poses: A drawing has two to five poses.',
    'figure: Each pose has one name.',
    'figure, props 1, kind: There is no such thing to draw.',
  ]);
  const [first, second] = tall.poses;
  const twisted = {
    ...ownDraft('Five'),
    figure: { ...tall, poses: [first, { ...second, thorax: { ...second.thorax, turn: 90 } }] },
  };
  const refused = await importExercises(practitioner, {
    format: 'json',
    text: JSON.stringify([ownDraft('Six'), twisted]),
  });
  expect(refused.problems).toEqual([
    { row: 2, say: 'figure: pose 2 (There): no joint goes so far (thorax: turn 90°).' },
  ]);
});

it('is drawn on the phone and the handout as it was sent, whatever becomes of it', async () => {
  const { practitioner } = stage;
  const { clinicId } = practitioner;
  const own = await drawn('Lamp trimming', tall);
  const patientId = await makePatient(practitioner);
  await prescribe(practitioner, patientId, [{ exerciseId: own.id, dose: '3x30s rpe 4' }]);
  const here = await device(practitioner, patientId);
  await drawn('Lamp trimming', bridge, own.id);
  const pack = await patientPack(here);
  expect(pack.lines[0]?.figure).toEqual(tall);
  expect(pack.lines[0]?.description).toContain('Seen from the side.');
  expect(pack.lines[0]?.picture?.address).toMatch(
    new RegExp(`^/figures/${drawingIdOf(tall)}/right\\?v=`),
  );
  const handout = await handoutOf(
    await patientOf(stage, patientId),
    'https://clinic.example/today',
  );
  expect(handout?.exercises[0]?.pictures.map(({ name }) => name)).toEqual(['Start', 'There']);
  const [version] = (await versionsOf(clinicId, [patientId])).get(patientId) ?? [];
  const lines = version ? sentVersion(version).lines : [];
  const figures = await figuresOfLines(clinicId, lines);
  expect(lines[0] && figures(lines[0])).toEqual(tall);
});

it('comes back from a form that was left, and reads nothing into a broken one', () => {
  expect(keptFigure({ figure: JSON.stringify(tall) })).toEqual(tall);
  expect(keptFigure({ figure: 'null' })).toBeNull();
  expect(keptFigure({ figure: '{' })).toBeNull();
  expect(keptFigure({ figure: '{"view":"side"}' })).toBeNull();
  expect(keptFigure({})).toBeNull();
  expect(keptFigure(null)).toBeNull();
});

it('leaves a shipped exercise without a drawing of its own in a file', async () => {
  const file = await exportExercises(stage.practitioner.clinicId, 'json', 'all');
  const rows = JSON.parse(file) as { name: string; figure?: Figure }[];
  expect(rows.find(({ name }) => name === 'Bridge')).not.toHaveProperty('figure');
});
