import { randomUUID } from 'node:crypto';
import { type PatientDetails, NO_DETAILS } from '@/core/records';
import { addDays } from '@/core/units';
import { auditOf, correctionsOf, episodesOf, newestLinkOf } from '@/db';
import {
  archivePatient,
  detailsFor,
  findPatients,
  makeSearchTexts,
  saveDetails,
} from '@/server/details';
import { correctComplaint, openAnother } from '@/server/episodes';
import { checkRows, importRows } from '@/server/import-patients';
import { correctPatient } from '@/server/identity';
import { morningList } from '@/server/morning-list';
import { addPatient } from '@/server/people';
import { takeIn } from '@/server/take-in';
import { saveEntry, withdrawEntry } from '@/server/visit/entries';
import { stepsToday, summaryOf } from '@/server/visit/summary';
import { followOf } from '@/server/follow/strips';
import { setClock } from '@/server/clock';
import { signLetter } from '@/server/follow/review';
import { device, makePatient, minute, prescribe, today } from '../support/clinic';
import { eventOf } from '../support/record';
import { DAY_MS, beginLife, liveOn } from '../support/life';
import { databaseStage, patientOf } from '../support/stage';

/** People: how they are reached and found, their episodes, and the first view of a file. */
const stage = databaseStage('people');
const draft = (name: string, change: object = {}) => ({
  id: randomUUID(),
  name,
  complaint: 'Neck',
  zone: 'Europe/Lisbon',
  wakeMinute: minute(420),
  sleepMinute: minute(1320),
  minutesADay: 10,
  ...change,
});
const add = async (name: string, change: object = {}) =>
  (await addPatient(stage.practitioner, draft(name, change) as never)).id;
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
      say: expect.stringContaining('Tomas Twicetold, born 1980-01-02') as string,
    });
    await expect(add('Tom Twicetold', { birthDate: '1980-01-02' })).rejects.toMatchObject({
      status: 409,
    });
    await add('Tomas Twicetold', { birthDate: '1981-01-02' });
    const id = await add('Tomas Twicetold', { another: true });
    expect((await patientOf(stage, id)).name).toBe('Tomas Twicetold');
  });

  it('sending the same draft again is no other person', async () => {
    const same = draft('Sent Again');
    await addPatient(stage.practitioner, same as never);
    await expect(addPatient(stage.practitioner, same as never)).resolves.toEqual({ id: same.id });
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

describe('episodes', () => {
  it('follow each other: one is open at a time, the earlier ones stay to read', async () => {
    const id = await add('Returning Patient', { complaint: 'Neck', area: 'neck' });
    const another = () =>
      openAnother(stage.practitioner, {
        id: randomUUID(),
        patientId: id,
        complaint: 'Low back',
        area: 'back',
      } as never);
    await expect(another()).rejects.toMatchObject({ guard: 'episode' });
    await saveEntry(stage.practitioner, {
      id: randomUUID(),
      patientId: id,
      kind: 'goal',
      supersedes: null,
      on: today(),
      body: { activity: 'Row to the skerry', by: null, reachedOn: null },
    } as never);
    await signLetter(stage.practitioner, {
      id: randomUUID(),
      patientId: id,
      kind: 'discharge',
      words: '',
      forReferrer: false,
    } as never);
    await another();
    const patient = await patientOf(stage, id);
    const [second, first] = await episodesOf(patient.clinicId, patient.id);
    expect([second?.complaint, first?.complaint]).toEqual(['Low back', 'Neck']);
    const now = await summaryOf(stage.practitioner, patient, null);
    expect(now).toMatchObject({ isOpen: true, goals: [], episode: { complaint: 'Low back' } });
    const then = await summaryOf(stage.practitioner, patient, first?.id ?? '');
    expect(then).toMatchObject({
      isOpen: false,
      goals: [{ activity: 'Row to the skerry' }],
      episode: { complaint: 'Neck', closedOn: today() },
    });
    expect(then.timeline[0]?.deeds).toEqual(expect.arrayContaining(['asked', 'wrote a letter']));
    // What was is not put right any more.
    await expect(
      correctComplaint(stage.practitioner, {
        id: randomUUID(),
        patientId: id,
        episodeId: first?.id,
        complaint: 'x',
        area: null,
        was: { complaint: 'Neck', area: 'neck' },
      } as never),
    ).rejects.toMatchObject({ status: 409 });
    expect(await found('neck returning')).toEqual(['Returning Patient']);
  });

  it('keeps what a complaint was called before, and refuses over a newer one', async () => {
    const id = await add('Corrected Complaint');
    const patient = await patientOf(stage, id);
    const [episode] = await episodesOf(patient.clinicId, patient.id);
    const put = (complaint: string, was: string) =>
      correctComplaint(stage.practitioner, {
        id: randomUUID(),
        patientId: id,
        episodeId: episode?.id,
        complaint,
        area: null,
        was: { complaint: was, area: null },
      } as never);
    await put('Elbow', 'Neck');
    await expect(put('Knee', 'Neck')).rejects.toMatchObject({ guard: 'newest' });
    const rows = await correctionsOf(patient.clinicId, patient.id);
    expect(rows.map(({ correction }) => [correction.field, correction.before])).toEqual([
      ['complaint', 'Neck'],
    ]);
  });
});

describe('the first view', () => {
  it('lights the steps done today, and gathers calls and the next visit', async () => {
    const id = await makePatient(stage.practitioner, 'Summary Patient');
    const patient = await patientOf(stage, id);
    const entry = (kind: string, body: object) =>
      saveEntry(stage.assistant, {
        id: randomUUID(),
        patientId: id,
        kind,
        supersedes: null,
        on: today(),
        body,
      } as never);
    const before = await stepsToday(patient);
    await entry('goal', { activity: 'Carry the moulds', by: null, reachedOn: null });
    expect(await stepsToday(patient)).toEqual([...new Set([...before, 'screen'])]);
    await entry('contact', { way: 'call', reached: true, agreed: 'Rest until Monday' });
    await entry('visit-way', { way: 'phone' });
    await entry('next-visit', {
      date: addDays(today(), 7),
      minute: 630,
      way: 'in the room',
      note: '',
    });
    await expect(
      entry('next-visit', { date: addDays(today(), -1), minute: null, way: 'phone', note: '' }),
    ).rejects.toMatchObject({ status: 400, at: ['body', 'date'] });
    const found = await summaryOf(stage.practitioner, patient, null);
    expect(found).toMatchObject({
      daysIn: null,
      helping: null,
      goals: [{ activity: 'Carry the moulds' }],
      next: { body: { minute: 630 } },
      timeline: [
        {
          on: today(),
          way: 'phone',
          contacts: [{ body: { agreed: 'Rest until Monday' } }],
        },
      ],
    });
    expect(found.open.map(({ say }) => say)).toContain('No programme is written');
    await withdrawEntry(stage.practitioner, {
      id: randomUUID(),
      patientId: id,
      supersedes: found.next?.id ?? '',
    });
    expect((await summaryOf(stage.practitioner, patient, null)).next).toBeNull();
  });
});

describe('patients from a table', () => {
  const row = (name: string, change: object = {}) => ({
    id: randomUUID(),
    name,
    complaint: 'Neck',
    birthDate: null,
    phone: '+000 555 9',
    email: '',
    clinicNumber: '',
    minutesADay: null,
    another: false,
    ...change,
  });

  it('are looked at one by one, and nothing is written', async () => {
    await makePatient(stage.practitioner, 'Tabled Already');
    const looked = await checkRows(stage.practitioner, [
      row('Tabled New'),
      row('Already Tabled'),
      row('Tabled Wrong', { complaint: '' }),
      row('Tabled Wrong', { phone: 'ask him' }),
      'no row at all',
    ]);
    expect(looked).toEqual([
      { wrong: null, alike: null },
      { wrong: null, alike: 'Tabled Already' },
      { wrong: 'The complaint is missing.', alike: null },
      {
        wrong: 'A telephone number has digits, with blanks, +, brackets or dashes between.',
        alike: null,
      },
      { wrong: expect.any(String) as string, alike: null },
    ]);
    expect(await found('tabled new')).toEqual([]);
  });

  it('are written all or none, and sending them again changes nothing', async () => {
    const rows = [row('Batch One'), row('Batch Two')];
    const send = (all: object[]) =>
      importRows(stage.practitioner, { zone: 'Europe/Lisbon', rows: all } as never);
    expect(await send(rows)).toEqual({ written: 2 });
    expect(await send(rows)).toEqual({ written: 0 });
    expect(await found('batch 5559')).toEqual(['Batch One', 'Batch Two']);
    const more = [row('Batch Three'), row('One Batch')];
    await expect(send(more)).rejects.toMatchObject({ status: 409 });
    expect(await found('batch three')).toEqual([]);
    expect(await send([more[0], { ...more[1], another: true }] as object[])).toEqual({
      written: 2,
    });
    await expect(
      importRows(stage.assistant, { zone: 'Europe/Lisbon', rows: [row('Batch Four')] } as never),
    ).rejects.toMatchObject({ guard: 'access' });
  });
});

it('what was told in an earlier episode is followed no more in the next', async () => {
  const life = await beginLife(stage.practitioner, [{}], { name: 'Two Courses', daysAgo: 20 });
  await liveOn(life, [{ pain: 8 }, { pain: 7 }, { pain: 8 }]);
  const real = Date.now();
  const on = (daysAgo: number) => setClock(() => real - daysAgo * DAY_MS);
  try {
    on(10);
    await signLetter(stage.practitioner, {
      id: randomUUID(),
      patientId: life.patientId,
      kind: 'discharge',
      words: '',
      forReferrer: false,
    });
    on(5);
    await openAnother(stage.practitioner, {
      id: randomUUID(),
      patientId: life.patientId,
      complaint: 'Low back',
      area: 'back',
    });
  } finally {
    setClock(null);
  }
  const patient = await patientOf(stage, life.patientId);
  const follow = await followOf(stage.practitioner, patient);
  expect(follow.from).toBe(today(-5));
  expect(follow.days[0]?.date).toBe(today(-5));
  expect(follow.followed.flatMap(({ readings }) => readings)).toEqual([]);
  expect(follow.seams).toEqual([]);
  // The earlier one is still there to read.
  const [, first] = await episodesOf(patient.clinicId, patient.id);
  const then = await summaryOf(stage.practitioner, patient, first?.id ?? '');
  expect(then.helping).toContain('Worst pain');
  expect(then.daysIn).not.toBeNull();
});
