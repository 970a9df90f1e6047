import { randomUUID } from 'node:crypto';
import type { Bundle } from 'fhir/r4';
import { shortDay } from '@/core/units';
import { Fhir } from 'fhir/fhir';
import { strFromU8, unzipSync } from 'fflate';
import type { ForeignDraft } from '@/core/records';
import { episodesOf, patientById, visitsOf } from '@/db';
import { detailsFor } from '@/server/details';
import { previewForeign, takeForeign } from '@/server/foreign-record';
import { latestMeasures, saveMeasurements, withdrawMeasurement } from '@/server/visit/measuring';
import { takeOut } from '@/server/whole-record/take-out';
import { makeClinic, makePatient, member, ownDomain, today } from '../support/clinic';
import { databaseStage, measure, patientOf } from '../support/stage';

/** A patient and their measurements from another system. */
const stage = databaseStage('foreign-record');

const observation = (id: string, kind: string, value: number, more: object = {}) => ({
  resource: {
    resourceType: 'Observation',
    id,
    status: 'final',
    code: { text: kind },
    subject: { reference: 'Patient/p1' },
    effectiveDateTime: '2026-03-02',
    valueQuantity: { value, system: 'http://unitsofmeasure.org', code: '{score}' },
    ...more,
  },
});
const file = (name: string, ...observations: object[]) =>
  JSON.stringify({
    resourceType: 'Bundle',
    type: 'collection',
    entry: [
      {
        resource: {
          resourceType: 'Patient',
          id: 'p1',
          name: [{ text: name }],
          birthDate: '1980-05-01',
          gender: 'female',
          telecom: [{ system: 'phone', value: '+000 555 1234' }],
        },
      },
      ...observations,
    ],
  });
const FROM = 'Hill Clinic';
const asNew = (id: string, another = false): ForeignDraft['into'] => ({
  kind: 'new',
  id,
  complaint: 'Neck',
  area: 'neck',
  another,
});
const measuresOf = async (id: string) => latestMeasures(await patientOf(stage, id));

it('makes a new patient, with what was measured there and where that was', async () => {
  const text = file(
    'Wren Tarbuck',
    observation('a', 'Pain now', 6),
    observation('b', 'Pain at its worst', 8, { effectiveDateTime: today(1) }),
    observation('c', 'Body weight', 70),
  );
  // A second reader holds it for a bundle of the standard.
  expect(
    new Fhir().validate(JSON.parse(text) as Bundle, { errorOnUnexpected: true }),
  ).toMatchObject({
    valid: true,
  });
  const preview = await previewForeign(stage.practitioner, { text, patientId: null });
  expect(preview).toMatchObject({
    patient: { name: 'Wren Tarbuck', birthDate: '1980-05-01' },
    lines: [{ what: 'Pain now', value: '6 of 10', on: '2026-03-02', state: 'new' }],
    alike: null,
  });
  expect(preview.left.map(({ why }) => why)).toEqual([
    'no kind of measurement that is known here',
    `its day, ${shortDay(today(1))}, has not come yet`,
  ]);
  const id = randomUUID();
  const draft = { text, from: FROM, into: asNew(id) };
  expect(await takeForeign(stage.practitioner, draft)).toEqual({ id, measured: 1 });
  // Sent again it is one patient with one measurement.
  expect(await takeForeign(stage.practitioner, draft)).toEqual({ id, measured: 0 });
  // Under the same id nobody else is taken in.
  await expect(
    takeForeign(stage.practitioner, {
      ...draft,
      text: file('Somebody Else', observation('z', 'Pain now', 1)),
    }),
  ).rejects.toThrow();
  const { details } = await detailsFor(await patientOf(stage, id));
  expect(details).toMatchObject({ sex: 'female', phones: [{ number: '+000 555 1234' }] });
  expect(await measuresOf(id)).toMatchObject([
    { kind: 'pain-now', value: 6, on: '2026-03-02', instrument: 'from another clinic' },
  ]);
  // It belongs to the episode, and is no visit of this clinic's.
  const [episode] = await episodesOf(stage.practitioner.clinicId, id);
  expect(await visitsOf(stage.practitioner.clinicId, id, episode?.id ?? '')).toEqual([]);
  expect(await episodesOf(stage.practitioner.clinicId, id)).toHaveLength(1);
});

it('names three of those who may be meant, and counts the others', async () => {
  const text = file('Isbet Marren');
  const alike = async () =>
    (await previewForeign(stage.practitioner, { text, patientId: null })).alike;
  for (let nth = 0; nth < 3; nth += 1) await makePatient(stage.practitioner, 'Isbet Marren');
  expect(await alike()).toMatch(/^(Isbet Marren[^;]*; ){2}Isbet Marren[^;]*$/);
  await makePatient(stage.practitioner, 'Isbet Marren');
  expect(await alike()).toMatch(/^(Isbet Marren[^;]*; ){3}and 1 more$/);
});

it('asks first where somebody may be here already', async () => {
  await makePatient(stage.practitioner, 'Ansel Corriwick');
  const text = file('Ansel Corriwick');
  const id = randomUUID();
  expect((await previewForeign(stage.practitioner, { text, patientId: null })).alike).toContain(
    'Ansel',
  );
  await expect(
    takeForeign(stage.practitioner, { text, from: FROM, into: asNew(id) }),
  ).rejects.toMatchObject({ status: 409 });
  expect(await patientById(stage.practitioner.clinicId, id)).toBeNull();
  await takeForeign(stage.practitioner, { text, from: FROM, into: asNew(id, true) });
  expect(await patientById(stage.practitioner.clinicId, id)).not.toBeNull();
});

it('adds to a patient who is here what is new, and changes nothing that is', async () => {
  const id = await makePatient(stage.practitioner, 'Bodo Hallimar');
  const into = (isSame = false) => ({ kind: 'here' as const, id, isSame });
  const first = file('Bodo Hallimar', observation('a', 'Pain now', 6));
  await takeForeign(stage.practitioner, { text: first, from: FROM, into: into() });
  // The same observation with another number, and one more.
  const second = file(
    'Bodo Hallimar',
    observation('a', 'Pain now', 3),
    observation('b', 'Pain at its best', 2),
  );
  const { lines } = await previewForeign(stage.practitioner, { text: second, patientId: id });
  expect(lines.map(({ state }) => state)).toEqual(['differs', 'new']);
  expect(await takeForeign(stage.practitioner, { text: second, from: FROM, into: into() })).toEqual(
    { id, measured: 1 },
  );
  expect((await measuresOf(id)).map(({ kind, value }) => [kind, value]).sort()).toEqual([
    ['pain-best', 2],
    ['pain-now', 6],
  ]);
  // What was taken out here does not come back.
  const [gone] = await measuresOf(id);
  await withdrawMeasurement(stage.practitioner, {
    id: randomUUID(),
    patientId: id,
    supersedes: gone?.id ?? '',
  });
  expect(await takeForeign(stage.practitioner, { text: second, from: FROM, into: into() })).toEqual(
    { id, measured: 0 },
  );
  expect(await measuresOf(id)).toHaveLength(1);
});

it('asks before it takes in a file of another name or birth date', async () => {
  const id = await makePatient(stage.practitioner, 'Nessa Quillery');
  const text = file('Somebody Else', observation('a', 'Pain now', 6));
  const into = (isSame: boolean) => ({ kind: 'here' as const, id, isSame });
  expect((await previewForeign(stage.practitioner, { text, patientId: id })).unlike).toEqual([
    'The file is of Somebody Else, this patient is Nessa Quillery.',
  ]);
  await expect(
    takeForeign(stage.practitioner, { text, from: FROM, into: into(false) }),
  ).rejects.toMatchObject({ status: 409 });
  expect(await measuresOf(id)).toEqual([]);
  await takeForeign(stage.practitioner, { text, from: FROM, into: into(true) });
  expect(await measuresOf(id)).toHaveLength(1);
});

it('takes in another clinic what this one took out, number for number', async () => {
  const { practitioner } = stage;
  const id = await makePatient(practitioner, 'Linnet Marlow');
  await saveMeasurements(practitioner, {
    patientId: id,
    measurements: [
      measure({ trials: [60, 62, 64] }),
      measure({ side: 'right', trials: [71] }),
      measure({ kind: 'wall-gap', side: null, instrument: 'ruler or tape', trials: [42] }),
      measure({ kind: 'pain-worst', side: null, instrument: 'questionnaire', trials: [7] }),
    ],
  });
  const zip = await takeOut(practitioner, id, 'https://clinic.example');
  const text = strFromU8(unzipSync(zip)['fhir.json'] ?? new Uint8Array());
  const { emails } = await makeClinic('hill', ownDomain());
  const other = await member(emails.practitioner);
  const there = randomUUID();
  await takeForeign(other, { text, from: 'harbour', into: asNew(there) });
  const patient = await patientById(other.clinicId, there);
  const numbers = (all: Awaited<ReturnType<typeof latestMeasures>>) =>
    all.map(({ kind, side, value, on }) => [kind, side, value, on].join(' ')).sort();
  if (!patient) throw new Error('no patient');
  expect(numbers(await latestMeasures(patient))).toEqual(numbers(await measuresOf(id)));
});

it('is for practitioners of the patient’s clinic', async () => {
  const id = await makePatient(stage.practitioner, 'Tamsin Orr');
  const text = file('Tamsin Orr', observation('a', 'Pain now', 6));
  const draft = { text, from: FROM, into: { kind: 'here' as const, id, isSame: true } };
  await expect(takeForeign(stage.assistant, draft)).rejects.toThrow();
  const { emails } = await makeClinic('moor', ownDomain());
  const stranger = await member(emails.practitioner);
  await expect(takeForeign(stranger, draft)).rejects.toMatchObject({ status: 404 });
  await expect(previewForeign(stranger, { text, patientId: id })).rejects.toMatchObject({
    status: 404,
  });
});
