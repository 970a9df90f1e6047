import { randomUUID } from 'node:crypto';
import { type PatientDetails, NO_DETAILS } from '@/core/records';
import { auditOf, episodesOf, newestLinkOf } from '@/db';
import {
  archivePatient,
  detailsFor,
  findPatients,
  makeSearchTexts,
  saveDetails,
} from '@/server/details';
import { correctComplaint, openAnother } from '@/server/episodes';
import { correctPatient } from '@/server/identity';
import { morningList } from '@/server/morning-list';
import { addPatient } from '@/server/people';
import { takeIn } from '@/server/take-in';
import { device, makePatient, prescribe, newPatient } from '../support/clinic';
import { eventOf } from '../support/record';
import { databaseStage, patientOf } from '../support/stage';

/** People: how they are reached and found, and who is in the archive. */
const stage = databaseStage('people');
const add = async (name: string, change: object = {}) =>
  (await addPatient(stage.practitioner, { ...newPatient(name), ...change })).id;
const DETAILS: PatientDetails = {
  ...NO_DETAILS,
  phones: [{ number: '+000 555 0117', what: 'workshop' }],
  email: 'bell@ebbholm.example',
  reachedBy: 'phone',
  hours: 'after six',
  clinicNumber: 'H-0417',
};
const found = async (typed: string, who = stage.practitioner) =>
  (await findPatients(who, typed)).map(({ name }) => name);

describe('how a patient is reached', () => {
  it('is written once, and by who saw what stands there', async () => {
    const id = await add('Reached Patient');
    const patient = await patientOf(stage, id);
    expect(await detailsFor(patient)).toEqual({ details: NO_DETAILS, basedOn: 0 });
    await saveDetails(stage.assistant, { patientId: id, basedOn: 0, details: DETAILS } as never);
    const { details, basedOn } = await detailsFor(patient);
    expect(details).toEqual(DETAILS);
    await expect(
      saveDetails(stage.lead, { patientId: id, basedOn: 0, details: NO_DETAILS } as never),
    ).rejects.toMatchObject({ guard: 'newest' });
    expect((await detailsFor(patient)).details).toEqual(DETAILS);
    await saveDetails(stage.lead, { patientId: id, basedOn, details: NO_DETAILS } as never);
    expect((await detailsFor(patient)).details).toEqual(NO_DETAILS);
    const verbs = (await auditOf(stage.practitioner.clinicId, id)).map(({ verb }) => verb);
    expect(verbs.filter((verb) => verb === 'wrote how to reach')).toHaveLength(2);
  });
});

describe('finding', () => {
  it('is by name, number, telephone and complaint, whatever is put right later', async () => {
    const id = await add('Ólafur Ferryman', { complaint: 'Rudder shoulder' });
    expect(await found('olafur')).toEqual(['Ólafur Ferryman']);
    expect(await found('rudder ferry')).toEqual(['Ólafur Ferryman']);
    expect(await found('0117')).toEqual([]);
    await saveDetails(stage.practitioner, { patientId: id, basedOn: 0, details: DETAILS } as never);
    expect(await found('(555) 01 17')).toEqual(['Ólafur Ferryman']);
    expect(await found('h-0417')).toEqual(['Ólafur Ferryman']);
    await correctPatient(stage.practitioner, {
      id: randomUUID(),
      patientId: id,
      name: 'Olaf Boatman',
      birthDate: null,
      contact: '',
      was: { name: 'Ólafur Ferryman', birthDate: null, contact: '' },
    });
    expect(await found('ferryman')).toEqual([]);
    expect(await found('boatman 0417')).toEqual(['Olaf Boatman']);
    const [episode] = await episodesOf(
      stage.practitioner.clinicId,
      (await patientOf(stage, id)).id,
    );
    await correctComplaint(stage.practitioner, {
      id: randomUUID(),
      patientId: id,
      episodeId: episode?.id,
      complaint: 'Anchor elbow',
      area: 'another',
      was: { complaint: 'Rudder shoulder', area: null },
    } as never);
    expect(await found('rudder')).toEqual([]);
    expect(await found('anchor')).toEqual(['Olaf Boatman']);
  });

  it('of nothing, of signs and of a percent sign finds nobody', async () => {
    expect([await found('%'), await found('__'), await found('!?')]).toEqual([[], [], []]);
  });

  it('is made for patients of before, once', async () => {
    const id = await add('Before Search');
    const { write, setSearch } = await import('@/db');
    const patient = await patientOf(stage, id);
    await write(() => [setSearch(patient.clinicId, patient.id, '')]);
    expect(await found('before search')).toEqual([]);
    await makeSearchTexts();
    expect(await found('before search')).toEqual(['Before Search']);
  });
});

describe('somebody who may be there already', () => {
  it('is named before another is added, and added when said to be another', async () => {
    await add('Tomas Twicetold', { birthDate: '1980-01-02' });
    await expect(add('Twicetold, Tomás')).rejects.toMatchObject({
      status: 409,
      at: ['another'],
      say: expect.stringContaining('Tomas Twicetold, born 2 Jan 1980') as string,
    });
    await expect(add('Tom Twicetold', { birthDate: '1980-01-02' })).rejects.toMatchObject({
      status: 409,
    });
    await add('Tomas Twicetold', { birthDate: '1981-01-02' });
    const id = await add('Tomas Twicetold', { another: true });
    expect((await patientOf(stage, id)).name).toBe('Tomas Twicetold');
  });

  it('sending the same draft again is no other person', async () => {
    const same = newPatient('Sent Again');
    await addPatient(stage.practitioner, same);
    await expect(addPatient(stage.practitioner, same)).resolves.toEqual({ id: same.id });
  });
});

describe('the archive', () => {
  const onList = async (name: string) => {
    const { groups } = await morningList(stage.practitioner, {
      search: name,
      practitionerId: null,
      group: null,
      page: 1,
    });
    return groups.flatMap(({ rows }) => rows.map((row) => row.name));
  };

  it('takes a patient off every list, ends the link, and gives them back', async () => {
    const id = await add('Archived Patient');
    await device(stage.practitioner, id);
    expect(await onList('Archived Patient')).toEqual(['Archived Patient']);
    await archivePatient(stage.practitioner, { patientId: id, archived: true });
    expect(await onList('Archived Patient')).toEqual([]);
    const patient = await patientOf(stage, id);
    expect((await newestLinkOf(patient.clinicId, patient.id))?.revokedAt).not.toBeNull();
    expect(await findPatients(stage.practitioner, 'archived patient')).toMatchObject([
      { id, archived: true },
    ]);
    await expect(
      openAnother(stage.practitioner, {
        id: randomUUID(),
        patientId: id,
        complaint: 'x',
        area: null,
      }),
    ).rejects.toMatchObject({ status: 409 });
    await archivePatient(stage.practitioner, { patientId: id, archived: false });
    expect(await onList('Archived Patient')).toEqual(['Archived Patient']);
  });

  it('never hides what the phone told and nobody has looked at', async () => {
    const id = await makePatient(stage.practitioner, 'Stopped Patient');
    await prescribe(stage.practitioner, id, [
      { exerciseId: 'tuck-lighten', dose: 'x2 hold 3s gap 3s daily', school: null },
    ] as never);
    const here = await device(stage.practitioner, id);
    await takeIn(here, {
      sentAt: Date.now(),
      events: [eventOf({ type: 'stopped', because: 'symptom' })],
    });
    await expect(
      archivePatient(stage.practitioner, { patientId: id, archived: true }),
    ).rejects.toMatchObject({ guard: 'alert' });
    expect((await patientOf(stage, id)).archivedAt).toBeNull();
  });
});
