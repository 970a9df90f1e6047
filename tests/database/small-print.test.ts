import { randomUUID } from 'node:crypto';
import { EXERCISES } from '@/catalogue';
import { FAMILIES } from '@/core/exercise';
import { SESSION_DONE_FROM } from '@/core/adherence';
import { sentVersion } from '@/core/programme';
import type { DeviceEvent } from '@/core/records';
import { versionsOf } from '@/db';
import { GuardRefused } from '@/db/errors';
import { catalogueFor } from '@/server/desk/exercises';
import { exportExercises, importExercises } from '@/server/desk/exercises';
import { differenceOf } from '@/server/follow/proposals';
import { endDeviceOf } from '@/server/links';
import { momentsOf } from '@/server/patient/day-moments';
import { asProblem } from '@/server/problem';
import { factsOf, todayOf } from '@/server/programme-facts';
import { deskOf } from '@/server/plan';
import { hashOf } from '@/server/take-in';
import { makePatient, ownDraft, prescribe } from '../support/clinic';
import { databaseStage, patientOf } from '../support/stage';

const stage = databaseStage('small-print');

it('what a phone sends has one hash, in whatever order its keys come, and another for other words', () => {
  const event = {
    id: 'e',
    sessionId: 's',
    body: {
      type: 'set',
      reps: [
        { rep: 1, held: 5 },
        { rep: 2, held: 6 },
      ],
      pain: null,
    },
  } as unknown as DeviceEvent;
  const turned = {
    body: {
      pain: null,
      reps: [
        { held: 5, rep: 1 },
        { held: 6, rep: 2 },
      ],
      type: 'set',
    },
    sessionId: 's',
    id: 'e',
  } as unknown as DeviceEvent;
  expect(hashOf(turned)).toBe(hashOf(event));
  const other = (reps: unknown) =>
    hashOf({ ...event, body: { ...event.body, reps } } as unknown as DeviceEvent);
  expect(
    other([
      { rep: 2, held: 6 },
      { rep: 1, held: 5 },
    ]),
  ).not.toBe(hashOf(event));
  expect(other({ 0: { rep: 1, held: 5 }, 1: { rep: 2, held: 6 } })).not.toBe(hashOf(event));
});

it('who may not send links may not end a device either, whether there is such a one or not', async () => {
  const id = await makePatient(stage.practitioner);
  await expect(
    endDeviceOf({ ...stage.assistant, issuesLinks: false }, id as never, 'no such device'),
  ).rejects.toMatchObject({
    status: 403,
  });
  await expect(endDeviceOf(stage.practitioner, id as never, 'no such device')).resolves.toBe(
    undefined,
  );
});

it('every guard that refuses says why, and with which status', () => {
  const said = (
    [
      'access',
      'attempts',
      'code',
      'version',
      'day',
      'empty',
      'erased',
      'leads',
      'newest',
      'screening',
      'screened',
      'consent',
      'offered',
      'triage',
    ] as const
  ).map((name) => {
    const { status, say, at } = asProblem(new GuardRefused(name));
    return [name, status, say.split('. ')[0], ...at];
  });
  expect(said).toMatchSnapshot();
});

it('a cell that begins like a formula leaves as text', async () => {
  const name = '=1+1, twice';
  const taken = await importExercises(stage.practitioner, {
    format: 'json',
    text: JSON.stringify([ownDraft(name)]),
  });
  expect(taken.problems).toEqual([]);
  const file = await exportExercises(stage.practitioner.clinicId, 'csv', 'own');
  expect(file).toContain("'=1+1, twice");
});

it('a catalogue stands by family and step', async () => {
  const { all } = await catalogueFor(stage.practitioner.clinicId);
  const shipped = all.filter(({ id }) => EXERCISES.some((one) => one.id === id));
  const places = shipped.map(({ family, rung }) => FAMILIES.indexOf(family) * 100 + rung);
  expect(places).toEqual([...places].sort((a, b) => a - b));
});

it('a patient without a programme begins with one round', async () => {
  const patient = await patientOf(stage, await makePatient(stage.practitioner));
  const { desk } = await deskOf(stage.practitioner, patient);
  expect(desk).toMatchObject({ lines: [], rounds: 1, reviewOn: '' });
});

it('a session that is done to its very limit wants no reminder', async () => {
  const id = await makePatient(stage.practitioner);
  await prescribe(stage.practitioner, id, [{ exerciseId: 'tuck-lying', dose: '10x10s' }]);
  const patient = await patientOf(stage, id);
  const today = todayOf(patient);
  const [facts] = await factsOf(patient.clinicId, [patient], today, today);
  if (!facts) throw new Error('no facts');
  const layout = { plan: {}, busy: [] };
  const [first] = momentsOf(facts, today, layout);
  if (!first) throw new Error('no session');
  const doneAt = (share: number) =>
    momentsOf(
      {
        ...facts,
        done: new Map([[today, { sessions: [{ key: first.key, share }] }]]) as never,
      },
      today,
      layout,
    )[0]?.done;
  expect([doneAt(SESSION_DONE_FROM), doneAt(SESSION_DONE_FROM - 0.01)]).toEqual([true, false]);
});

it('a proposal to stop a line says that it goes, one to change a dose what becomes of it', async () => {
  const id = await makePatient(stage.practitioner);
  await prescribe(stage.practitioner, id, [
    { exerciseId: 'tuck-lying', dose: '10x10s' },
    { exerciseId: 'blade-set', dose: 'x10' },
  ]);
  const rows = (await versionsOf(stage.practitioner.clinicId, [id])).get(id);
  const newest = rows?.at(-1);
  if (!newest) throw new Error('no version');
  const version = sentVersion(newest);
  const lineage = version.lines[0]?.lineage ?? randomUUID();
  const waiting = (row: object) => [{ lineage, toExerciseId: null, ...row }] as never;
  const { byId } = await catalogueFor(stage.practitioner.clinicId);
  const stopped = differenceOf(version, waiting({ move: 'stop', toDose: null }), byId).join(' ');
  expect(stopped).toMatch(/Tuck lying down/);
  expect(stopped).not.toMatch(/ to /);
  const eased = differenceOf(version, waiting({ move: 'stop', toDose: '5x10s' }), byId).join(' ');
  expect(eased).toMatch(/5x10s/);
  expect(differenceOf(version, [], byId)).toEqual([]);
});
