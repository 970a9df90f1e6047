import { randomUUID } from 'node:crypto';
import { rmSync } from 'node:fs';
import { TriageMarkDraft } from '@/core/records';
import { TRIAGE_LIMITS } from '@/core/triage';
import {
  LIST_BOUNDS,
  auditOf,
  closeDatabase,
  insertAlert,
  patientById,
  putTriageRows,
  triageRowsOf,
  write,
} from '@/db';
import { setClock } from '@/server/clock';
import { markTriage, saveTriageLimits } from '@/server/follow/marks';
import { fileHeader } from '@/server/follow/file-header';
import { followOf } from '@/server/follow/strips';
import { issueLink } from '@/server/links';
import { type MorningAsked, morningList } from '@/server/morning-list';
import { patientPack } from '@/server/patient-pack';
import { outboxOf } from '@/server/patient/outbox';
import { acknowledge } from '@/server/people';
import { setPaused } from '@/server/save-programme';
import {
  device,
  instant,
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
  setClock(null);
  closeDatabase();
  rmSync(folder, { recursive: true, force: true });
});

const listed = (search = '', change: Partial<MorningAsked> = {}, by = practitioner) =>
  morningList(by, { search, practitionerId: null, group: null, page: 1, ...change });
const namesIn = async (search = '') =>
  (await listed(search)).groups.flatMap(({ rows }) => rows.map(({ name }) => name));

describe('the morning list', () => {
  it('pages a group, counts, and keeps other clinics out', async () => {
    for (let index = 0; index < LIST_BOUNDS.triagePage + 3; index += 1)
      await makePatient(practitioner, `Patient ${String(index).padStart(3, '0')}`);
    const other = await member((await makeClinic('other')).emails.lead);
    const page = (number: number) => listed('', { group: 'decide', page: number });
    expect(await page(1)).toMatchObject({ total: LIST_BOUNDS.triagePage + 3, pages: 2, page: 1 });
    expect((await page(2)).groups[0]?.rows.map(({ name }) => name)).toEqual([
      'Patient 050',
      'Patient 051',
      'Patient 052',
    ]);
    expect(await page(99)).toMatchObject({ page: 2 });
    expect(await listed('', {}, other)).toMatchObject({ total: 0 });
    expect((await listed()).counts).toMatchObject([
      { call: 0, decide: LIST_BOUNDS.triagePage + 3, steady: 0 },
    ]);
  });

  it('shows the first twelve who are steady, and all of them when they are asked for', async () => {
    for (let index = 0; index < 14; index += 1) await makePatient(practitioner, `Steady ${index}`);
    await listed();
    const { clinicId } = practitioner;
    const asked = { clinicId, level: 1, search: '', practitioners: null, page: 1 };
    const rows = await triageRowsOf(asked);
    await write(() => [putTriageRows(rows.map((row) => ({ ...row, level: 2 })))]);
    const steady = async (search: string, group: 'steady' | null) =>
      (await listed(search, { group })).groups.find(({ level }) => level === 'steady');
    expect([(await steady('', null))?.rows.length, (await steady('', null))?.total]).toEqual([
      12, 14,
    ]);
    expect((await steady('Steady', null))?.rows).toHaveLength(14);
    expect((await steady('', 'steady'))?.rows).toHaveLength(14);
  });

  it('finds by any part of a name, and takes % and _ for themselves', async () => {
    await makePatient(practitioner, '100% Wool_Weaver');
    await makePatient(practitioner, 'Plain Name');
    expect(await namesIn('wool')).toEqual(['100% Wool_Weaver']);
    expect(await namesIn('%')).toEqual(['100% Wool_Weaver']);
    expect(await namesIn('_')).toEqual(['100% Wool_Weaver']);
    expect(await namesIn('nobody')).toEqual([]);
  });

  it('has an open alert called today, until a named person has seen it', async () => {
    await makePatient(practitioner, 'Aaron First');
    const alerted = await makePatient(practitioner, 'Zoe Last');
    await listed();
    await write(() => [
      insertAlert({
        clinicId: practitioner.clinicId,
        id: 'stop',
        patientId: alerted,
        kind: 'stopped for a symptom',
        createdAt: instant(Date.now()),
      }),
    ]);
    expect(await namesIn()).toEqual(['Zoe Last', 'Aaron First']);
    expect((await listed()).groups[0]).toMatchObject({ level: 'call today', total: 1 });
    await acknowledge(practitioner, 'stop');
    expect(await namesIn()).toEqual(['Aaron First', 'Zoe Last']);
    await expect(acknowledge(practitioner, 'stop')).rejects.toMatchObject({ status: 404 });
  });

  it('takes an alert nobody has taken in the clinic’s time to the lead, once', async () => {
    const alerted = await makePatient(practitioner, 'Zoe Last');
    await write(() => [
      insertAlert({
        clinicId: practitioner.clinicId,
        id: 'old',
        patientId: alerted,
        kind: 'new weakness',
        createdAt: instant(Date.now() - 25 * 3_600_000),
      }),
    ]);
    const row = async () => (await listed()).groups[0]?.rows[0];
    expect(await row()).toMatchObject({ alerts: [{ escalated: true }] });
    // An alert nobody has taken is not put aside.
    await expect(
      markTriage(practitioner, {
        id: randomUUID(),
        patientId: alerted,
        kind: 'snoozed',
        rule: 'alert',
        days: 3,
        reason: 'later',
      }),
    ).rejects.toMatchObject({ status: 409 });
    expect((await row())?.reason).toContain('passed to the lead');
    const said = (await auditOf(practitioner.clinicId, practitioner.clinicId)).filter(({ verb }) =>
      verb.startsWith('escalated'),
    );
    expect(said).toHaveLength(1);
    // The lead hears of it, once; not whose it is, nor what.
    await listed();
    const messages = (await outboxOf(practitioner.clinicId)).filter(({ text }) =>
      text.includes('nobody has taken it'),
    );
    expect(messages).toMatchObject([{ address: 'lead@tide.example', channel: 'e-mail' }]);
    expect(messages[0]?.text).toContain('waited for 24 h');
    expect(messages[0]?.text).not.toMatch(/Zoe|weakness/);
  });

  it('gives each patient a reason, which follows every write', async () => {
    const patientId = await makePatient(practitioner);
    const reason = async () => (await listed()).groups.flatMap(({ rows }) => rows)[0]?.reason;
    expect(await reason()).toBe('No programme yet.');
    await prescribe(practitioner, patientId, [{ exerciseId: 'tuck-lying', dose: '10x10s' }]);
    expect(await reason()).toBe('Nothing was due in the last fortnight.');
    await setPaused(practitioner, patientId, true);
    expect(await reason()).toBe('Paused.');
  });

  it('puts a row aside for its reason only: another reason brings it back', async () => {
    const patientId = await makePatient(practitioner);
    const mark = (kind: 'done' | 'snoozed' | 'back', rule: string, reason = '') =>
      markTriage(practitioner, { id: randomUUID(), patientId, kind, rule, days: 3, reason });
    const totals = async () =>
      Object.fromEntries(
        (await listed()).groups.map(({ level, total }) => [level ?? 'aside', total]),
      ) as Record<string, number>;
    await mark('snoozed', 'no programme', 'On holiday');
    expect(await totals()).toMatchObject({ decide: 0, aside: 1 });
    await mark('back', 'no programme');
    expect(await totals()).toMatchObject({ decide: 1, aside: 0 });
    await mark('done', 'silent');
    expect(await totals()).toMatchObject({ decide: 1, aside: 0 });
    expect(
      TriageMarkDraft.safeParse({
        id: randomUUID(),
        patientId,
        kind: 'snoozed',
        rule: 'x',
        days: 3,
        reason: '',
      }).success,
    ).toBe(false);
  });

  it('follows the clinic’s own limits at once', async () => {
    const patientId = await makePatient(practitioner);
    await prescribe(practitioner, patientId, [{ exerciseId: 'tuck-lying', dose: '10x10s' }]);
    await issueLink(practitioner, patientId);
    const lead = await member('lead@tide.example');
    const reason = async () => (await listed()).groups.flatMap(({ rows }) => rows)[0]?.reason;
    expect(await reason()).toBe('Nothing was due in the last fortnight.');
    const soon = Date.now() + 86_400_000 * 1.5;
    setClock(() => soon);
    expect(await reason()).toContain('sessions in a fortnight');
    await saveTriageLimits(lead, { ...TRIAGE_LIMITS, unopenedDays: 1 });
    expect(await reason()).toBe('The link has not been opened for 1 day.');
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
      restText: 'Your clinic has not written your programme yet.',
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
