import { olderMigrations } from '../support/migrations';
import { type Client, type InValue, createClient } from '@libsql/client';
import { rmSync } from 'node:fs';
import { join } from 'node:path';
import { closeDatabase, databaseUrl, findingsOf, migrateDatabase, patientById } from '@/db';
import { keepOldFacts } from '@/server/visit/old-findings';
import { findingList } from '@/server/visit/findings';
import { temporaryFolder } from '../support/server';

/** Releases before episodes, visits and facts of findings had so many migrations. */
const BEFORE = 11;
const DAY_MS = 86_400_000;
const NOON = Date.parse('2026-03-02T12:00:00Z');

let folder: string;
let client: Client;

beforeEach(async () => {
  folder = temporaryFolder('old-records');
  closeDatabase();
  process.env.DATA_DIR = join(folder, 'data');
  await migrateDatabase(olderMigrations(folder, BEFORE));
  client = createClient({ url: databaseUrl() });
  await oldClinic();
});

afterEach(() => {
  client.close();
  closeDatabase();
  rmSync(folder, { recursive: true, force: true });
});

async function insert(table: string, row: Readonly<Record<string, InValue>>): Promise<void> {
  const names = Object.keys(row);
  await client.execute({
    sql: `INSERT INTO ${table} (${names.map((name) => `"${name}"`).join(', ')}) VALUES (${names.map(() => '?').join(', ')})`,
    args: Object.values(row),
  });
}

const record = (id: string, authorId = 'member', at = NOON) => ({
  clinic_id: 'clinic',
  id,
  patient_id: 'patient',
  created_at: at,
  author_id: authorId,
});

async function oldClinic(): Promise<void> {
  await insert('clinic', {
    id: 'clinic',
    name: 'Old',
    phone: '1',
    emergency_text: 'x',
    zone: 'Pacific/Auckland',
    created_at: 1,
  });
  await insert('member', {
    clinic_id: 'clinic',
    id: 'member',
    name: 'Old hand',
    email: 'old@hand.example',
    role: 'lead',
    password_hash: 'x',
    created_at: 1,
  });
  await insert('patient', {
    clinic_id: 'clinic',
    id: 'patient',
    name: 'Old patient',
    zone: 'Pacific/Auckland',
    wake_minute: 420,
    sleep_minute: 1320,
    practitioner_id: 'member',
    created_at: 1,
  });
  for (const [id, openedOn, closedOn] of [
    ['first', '2026-01-05', '2026-02-20'],
    ['second', '2026-03-01', null],
  ] as const)
    await insert('episode', {
      clinic_id: 'clinic',
      id,
      patient_id: 'patient',
      complaint: id,
      opened_on: openedOn,
      closed_on: closedOn,
    });
}

const screening = (id: string, on: string, authorId = 'member', at = NOON) =>
  insert('screening', {
    ...record(id, authorId, at),
    by_patient: authorId === 'patient' ? 1 : 0,
    local_date: on,
    answers: '{"answers":{},"age":null,"pressure":null}',
    rules_version: 1,
    outcome: 'go',
    precautions: '[]',
    confirmed_by: authorId === 'patient' ? null : authorId,
  });

const finding = (id: string, key: string, proposed: string | null, say = 'in other words') =>
  insert('finding', {
    ...record(id),
    key,
    decision: proposed === null ? 'added' : 'confirmed',
    proposed,
    say,
    towards: '',
    source: 'x',
    reason: '',
    local_date: '2026-03-03',
  });

async function rows(sql: string) {
  return (await client.execute(sql)).rows.map((row) => ({ ...row }));
}

describe('records of before episodes and visits', () => {
  it('belong to the episode that was open on their day, and to a visit of that day', async () => {
    await screening('before any', '2025-12-01', 'member', NOON - 90 * DAY_MS);
    await screening('in the first', '2026-02-10', 'member', NOON - 20 * DAY_MS);
    await screening('in the second', '2026-03-03');
    await finding('same day', 'deep-flexors', 'Deep neck flexors: 14 s.');
    await screening('by the patient', '2026-03-04', 'patient');
    await migrateDatabase();
    expect(
      await rows(
        'SELECT s.id, s.episode_id, v.local_date FROM screening s LEFT JOIN visit v ON v.id = s.visit_id ORDER BY s.rowid',
      ),
    ).toEqual([
      { id: 'before any', episode_id: 'first', local_date: '2025-12-01' },
      { id: 'in the first', episode_id: 'first', local_date: '2026-02-10' },
      { id: 'in the second', episode_id: 'second', local_date: '2026-03-03' },
      { id: 'by the patient', episode_id: 'second', local_date: null },
    ]);
    const [one, other] = [
      await rows(`SELECT visit_id FROM screening WHERE id = 'in the second'`),
      await rows(`SELECT visit_id FROM finding WHERE id = 'same day'`),
    ];
    expect(one).toEqual(other);
    expect(await rows('SELECT count(*) AS n FROM visit')).toEqual([{ n: 3 }]);
  });

  it('without a day of their own go to the visit that began within twelve hours', async () => {
    await screening('morning', '2026-03-03', 'member', NOON);
    const decision = (id: string, at: number) =>
      insert('screening_decision', {
        ...record(id, 'member', at),
        screening_id: 'morning',
        action: 'called',
        what: 'x',
        why: 'y',
        may_prescribe: 1,
      });
    await decision('same day', NOON + 11 * 3_600_000);
    await decision('two days on', NOON + 2 * DAY_MS);
    await migrateDatabase();
    expect(
      await rows(
        'SELECT d.id, v.local_date FROM screening_decision d LEFT JOIN visit v ON v.id = d.visit_id ORDER BY d.rowid',
      ),
    ).toEqual([
      { id: 'same day', local_date: '2026-03-03' },
      // In Auckland it was the 5th; nothing tells, so the day is by universal time.
      { id: 'two days on', local_date: '2026-03-04' },
    ]);
  });

  it('keep every other column as it was, and are append-only again', async () => {
    await screening('one', '2026-03-03');
    const before = await rows('SELECT * FROM screening');
    await migrateDatabase();
    // The client keeps the columns of a statement it has prepared.
    client.close();
    client = createClient({ url: databaseUrl() });
    const after = await rows('SELECT * FROM screening');
    expect(after).toEqual(
      before.map((row) => ({
        ...row,
        episode_id: 'second',
        visit_id: expect.any(String) as string,
      })),
    );
    for (const table of ['screening', 'visit'])
      await expect(client.execute(`UPDATE ${table} SET clinic_id = 'x'`)).rejects.toThrow(
        'append-only',
      );
  });

  it('are not written any more without an episode, or into another patient’s', async () => {
    await migrateDatabase();
    await expect(screening('loose', '2026-03-03')).rejects.toThrow('of no episode');
    await insert('patient', {
      clinic_id: 'clinic',
      id: 'other',
      name: 'Other',
      zone: 'UTC',
      wake_minute: 0,
      sleep_minute: 0,
      practitioner_id: 'member',
      created_at: 1,
    });
    const stray = { ...record('stray'), patient_id: 'other', episode_id: 'second' };
    await expect(
      insert('photo', { ...stray, taken_on: '2026-03-03', width: 1, height: 1 }),
    ).rejects.toThrow('of no episode');
    await insert('visit', {
      clinic_id: 'clinic',
      id: 'visit of the first',
      patient_id: 'patient',
      episode_id: 'first',
      local_date: '2026-02-01',
      created_at: 1,
    });
    const mixed = { ...record('mixed'), episode_id: 'second', visit_id: 'visit of the first' };
    await expect(
      insert('photo', { ...mixed, taken_on: '2026-03-03', width: 1, height: 1 }),
    ).rejects.toThrow('of no visit');
  });
});

describe('findings of before their facts were kept', () => {
  it('get a superseding row with their facts, once; what cannot be read asks', async () => {
    await finding('read', 'side-difference: neck-turn', 'Right neck turn 12° less than left.');
    await finding('own', 'added: 1', null);
    await finding('unread', 'side-difference: neck-side-bend', 'Something else said');
    await migrateDatabase();
    expect(await keepOldFacts()).toBe(2);
    expect(await keepOldFacts()).toBe(0);
    const found = await findingsOf('clinic', 'patient');
    expect(found.map(({ key, say, about }) => [key, say, about?.side])).toEqual(
      expect.arrayContaining([
        ['side-difference: neck-turn', 'in other words', 'right'],
        ['added: 1', 'in other words', null],
        ['side-difference: neck-side-bend', 'in other words', undefined],
      ]),
    );
    // The old rows stand as they were.
    expect(await rows(`SELECT rule, say FROM finding WHERE id = 'read'`)).toEqual([
      { rule: null, say: 'in other words' },
    ]);
    const patient = await patientById('clinic', 'patient');
    if (!patient) throw new Error('no patient');
    const list = await findingList(patient);
    expect(list.confirmed.map(({ key }) => key)).toEqual(['added: 1']);
    expect(list.settled).toHaveLength(2);
  });
});
