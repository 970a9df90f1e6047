import { rmSync } from 'node:fs';
import { PATIENTS_A_PAGE, closeDatabase, insertAlert, patientById, write } from '@/db';
import { fileHeader, followOf } from '@/server/follow';
import { morningList } from '@/server/morning-list';
import { patientPack } from '@/server/patient-pack';
import { acknowledge } from '@/server/people';
import { setPaused } from '@/server/save-programme';
import {
  device,
  makeClinic,
  makePatient,
  member,
  prescribe,
  today,
  useDatabase,
} from '../support/clinic';
import { temporaryFolder } from '../support/server';

let folder: string;
let practitioner: Awaited<ReturnType<typeof member>>;

beforeEach(async () => {
  folder = temporaryFolder('lists');
  await useDatabase(folder);
  practitioner = await member((await makeClinic('tide')).emails.practitioner);
});

afterEach(() => {
  closeDatabase();
  rmSync(folder, { recursive: true, force: true });
});

describe('the morning list', () => {
  it('pages, counts, and keeps other clinics out', async () => {
    for (let index = 0; index < PATIENTS_A_PAGE + 3; index += 1) {
      await makePatient(practitioner, `Patient ${String(index).padStart(3, '0')}`);
    }
    const other = await member((await makeClinic('other')).emails.lead);
    const [first, second, beyond] = [1, 2, 99].map((page) => morningList(practitioner, '', page));
    expect(await first).toMatchObject({ total: PATIENTS_A_PAGE + 3, pages: 2, page: 1 });
    expect((await second)?.rows.map((row) => row.patient.name)).toEqual([
      'Patient 050',
      'Patient 051',
      'Patient 052',
    ]);
    expect(await beyond).toMatchObject({ page: 2 });
    expect(await morningList(other, '', 1)).toMatchObject({ total: 0, rows: [] });
  });

  it('finds by any part of a name, and takes % and _ for themselves', async () => {
    await makePatient(practitioner, '100% Wool_Weaver');
    await makePatient(practitioner, 'Plain Name');
    const names = async (search: string) =>
      (await morningList(practitioner, search, 1)).rows.map((row) => row.patient.name);
    expect(await names('wool')).toEqual(['100% Wool_Weaver']);
    expect(await names('%')).toEqual(['100% Wool_Weaver']);
    expect(await names('_')).toEqual(['100% Wool_Weaver']);
    expect(await names('nobody')).toEqual([]);
  });

  it('shows an open alert first, until a named person has seen it', async () => {
    await makePatient(practitioner, 'Aaron First');
    const alerted = await makePatient(practitioner, 'Zoe Last');
    await write(() => [
      insertAlert({
        clinicId: practitioner.clinicId,
        id: 'stop',
        patientId: alerted,
        kind: 'stopped for a symptom',
        createdAt: 1,
      }),
    ]);
    const names = async () =>
      (await morningList(practitioner, '', 1)).rows.map((row) => row.patient.name);
    expect(await names()).toEqual(['Zoe Last', 'Aaron First']);
    await acknowledge(practitioner, 'stop');
    expect(await names()).toEqual(['Aaron First', 'Zoe Last']);
    await expect(acknowledge(practitioner, 'stop')).rejects.toMatchObject({ status: 404 });
  });

  it('gives each patient a reason', async () => {
    const patientId = await makePatient(practitioner);
    const reason = async () => (await morningList(practitioner, '', 1)).rows[0]?.reason;
    expect(await reason()).toBe('No programme yet.');
    await prescribe(practitioner, patientId, [{ exerciseId: 'tuck-lying', dose: '10x10s' }]);
    expect(await reason()).toBe('No session so far.');
  });
});

describe('a patient’s pack', () => {
  async function packOf(...doses: [string, string][]) {
    const patientId = await makePatient(practitioner);
    if (doses.length > 0) {
      await prescribe(
        practitioner,
        patientId,
        doses.map(([exerciseId, dose]) => ({ exerciseId, dose })),
      );
    }
    return { patientId, here: await device(practitioner, patientId) };
  }

  it('says that nothing is written yet', async () => {
    const { here } = await packOf();
    expect((await patientPack(here)).days[0]).toMatchObject({
      programme: null,
      sessions: [],
      restText: 'Your clinician has not written your programme yet.',
    });
  });

  it('holds today’s sessions with their true times, and what is done when needed apart', async () => {
    const { here } = await packOf(
      ['tuck-seated', '10x10s 2/day'],
      ['chest-stretch', '2x30s'],
      ['blade-set', 'x5 hold 2s every 4h'],
      ['wall-press', '60s rpe 3-5 as needed'],
    );
    const pack = await patientPack(here);
    expect(pack.days[0].sessions.map(({ key, label }) => [key, label])).toEqual([
      ['session-1', 'Morning'],
      ['session-2', 'Evening'],
      ['every-240-1', 'At 07:00'],
      ['every-240-2', 'At 11:00'],
      ['every-240-3', 'At 15:00'],
      ['every-240-4', 'At 19:00'],
    ]);
    expect(pack.days[0].sessions[0]?.lines.map((index) => pack.lines[index]?.name)).toEqual([
      'Tuck sitting tall',
      'Hands-behind chest stretch',
    ]);
    expect(pack.days[0].extra?.lines.map((index) => pack.lines[index]?.name)).toEqual([
      'Wall press into a pad',
    ]);
    expect(pack.lines[3]?.needs).toBe('pad or soft ball or towel or pillow, wall');
    expect(pack.days[0].sessions[1]?.time.least).toBeGreaterThan(100);
    expect(pack.stopSigns.length).toBeGreaterThan(2);
  });

  it('has no session on a rest day or while paused', async () => {
    const { here } = await packOf(['tuck-seated', '10x10s from day 2']);
    expect((await patientPack(here)).days[0]).toMatchObject({
      sessions: [],
      restText: 'A rest day. Nothing is due today.',
    });
    const paused = await packOf(['tuck-seated', '10x10s']);
    await setPaused(practitioner, paused.patientId, true);
    expect((await patientPack(paused.here)).days[0]).toMatchObject({
      paused: 'by the clinic',
      sessions: [],
    });
  });

  it('says when a programme of the future begins', async () => {
    const patientId = await makePatient(practitioner);
    await prescribe(practitioner, patientId, [{ exerciseId: 'tuck-lying', dose: '10x10s' }], {
      effectiveFrom: today(3),
    });
    const pack = await patientPack(await device(practitioner, patientId));
    expect(pack.days[0].restText).toMatch(/^Your programme begins on \w+day/);
  });
});

describe('a patient’s file', () => {
  it('begins its strips with the first day and marks each version', async () => {
    const patientId = await makePatient(practitioner);
    await prescribe(practitioner, patientId, [{ exerciseId: 'tuck-lying', dose: '10x10s' }], {
      reason: 'first',
    });
    await prescribe(practitioner, patientId, [{ exerciseId: 'tuck-lying', dose: '5x10s' }], {
      basedOn: 1,
      effectiveFrom: today(2),
      reason: 'less',
    });
    const patient = await patientById(practitioner.clinicId, patientId);
    if (!patient) throw new Error('no patient');
    const follow = await followOf(practitioner, patient);
    expect(follow.days.map(({ date, kind }) => [date, kind])).toEqual([[today(), 'due']]);
    expect(follow.seams).toMatchObject([
      { number: 1, reason: 'first', author: practitioner.name },
      { number: 2, date: today(2) },
    ]);
    expect(await fileHeader(practitioner, patient)).toMatchObject({
      paused: false,
      link: { issued: false, opened: false },
    });
    await device(practitioner, patientId);
    expect(await fileHeader(practitioner, patient)).toMatchObject({
      link: { issued: true, opened: true },
    });
  });
});
