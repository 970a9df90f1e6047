import { randomUUID } from 'node:crypto';
import { readFileSync, readdirSync, statSync } from 'node:fs';
import { join } from 'node:path';
import { type Client, createClient } from '@libsql/client';
import { getTableName } from 'drizzle-orm';
import { instantAt, later } from '@/core/schedule';
import { localDate } from '@/core/units';
import { erasureLines, makeBackup, makeKeyFile, restoreBackup, secretFrom } from '@/backup';
import {
  TABLES_OF_PATIENT,
  auditOf,
  closeDatabase,
  databaseUrl,
  erasureOf,
  patientById,
} from '@/db';
import { now, setClock } from '@/server/clock';
import { takeIn } from '@/server/take-in';
import { eventOf } from '../support/record';
import { auditLines } from '@/server/audit-list';
import { noteLook } from '@/server/looks';
import { checkRecord } from '@/server/check/record-check';
import { erasePatient, erasedAt, heldOf, keptLongEnough, changeSafety } from '@/server/erase';
import { keepErasures, replayErasures } from '@/server/erasures';
import { prepareServer } from '@/server/prepare';
import { addPatient } from '@/server/people';
import { saveEntry } from '@/server/visit/entries';
import { sealAudit } from '@/server/seals';
import { PASSWORD, ZONE, device, makePatient, member, minute, prescribe } from '../support/clinic';
import { databaseStage, patientOf } from '../support/stage';

const stage = databaseStage('erase');
const TODAY = localDate('2026-11-23');
const NAME = 'Quillon Unforgettable Vane';
let patientId = '';
let other: Awaited<ReturnType<typeof patientOf>>;
let client: Client;

/** Tables that outlive an erased patient: ids and verbs, and the tombstone itself. */
const OUTLIVE = ['file_look', 'erasure', 'erasing'];
/** Tables that name a patient by way of another one. */
const BY_WAY = ['paper_bytes', 'photo_bytes', 'programme_line'];

beforeAll(async () => {
  setClock(() => instantAt(ZONE, TODAY, minute(700)));
  stage.practitioner = await member(stage.emails.practitioner);
  stage.lead = await member(stage.emails.lead);
  patientId = await makePatient(stage.practitioner, NAME);
  await prescribe(stage.practitioner, patientId, [{ exerciseId: 'tuck-lying', dose: '10x10s' }]);
  const here = await device(stage.practitioner, patientId);
  for (let nth = 0; nth < 3; nth += 1)
    await takeIn(here, {
      sentAt: now(),
      events: [eventOf({ type: 'check-in', pain: 1, word: NAME })],
    });
  other = await patientOf(
    stage,
    await makePatient(await member(stage.emails.practitioner), 'Wren Tarbuck'),
  );
  client = createClient({ url: databaseUrl(), timeout: 5_000, intMode: 'number' });
  await fillTheRest();
}, 120_000);

/** One row in every table that is empty so far, those first that others refer to. */
async function fillTheRest(): Promise<void> {
  const first = async (table: string) =>
    (
      await client.execute({
        sql: `SELECT * FROM ${table} WHERE patient_id = ?`,
        args: [patientId],
      })
    ).rows[0];
  const names = [...TABLES_OF_PATIENT].reverse().map((table) => getTableName(table));
  const episode = await first('episode');
  const version = await first('programme_version');
  const fill = async (table: string, columns: readonly string[]) => {
    const known: Readonly<Record<string, unknown>> = {
      clinic_id: stage.lead.clinicId,
      patient_id: patientId,
      episode_id: episode?.id,
      visit_id: null,
      programme_id: version?.programme_id,
      link_id: (await first('patient_link'))?.id,
      screening_id: (await first('screening'))?.id,
      referral_id: (await first('referral'))?.id,
      photo_id: (await first('photo'))?.id,
      paper_id: (await first('paper'))?.id,
      author_id: stage.practitioner.id,
      member_id: stage.practitioner.id,
      bytes: Buffer.from(NAME),
    };
    const values = columns.map((column) => (column in known ? known[column] : 1));
    await client.execute({
      sql: `INSERT INTO ${table} (${columns.map((one) => `"${one}"`).join(', ')}) VALUES (${columns.map(() => '?').join(', ')})`,
      args: values as never[],
    });
  };
  const columnsOf = await tables();
  for (const table of names)
    if ((await counted(table, patientId)) === 0) await fill(table, columnsOf.get(table) ?? []);
  for (const table of ['photo_bytes', 'paper_bytes']) await fill(table, columnsOf.get(table) ?? []);
}

afterAll(() => client.close());

/** A name as the database gives it. */
const textOf = (value: unknown) => (typeof value === 'string' ? value : '');

const order = () => ({
  patientId,
  name: NAME,
  reason: 'asked' as const,
  password: PASSWORD,
  documentsSeen: true as const,
});

async function tables(): Promise<Map<string, string[]>> {
  const { rows } = await client.execute(
    "SELECT name FROM sqlite_master WHERE type = 'table' AND name NOT LIKE 'sqlite_%'",
  );
  const columns = new Map<string, string[]>();
  for (const { name } of rows as unknown as { name: string }[])
    columns.set(
      name,
      (await client.execute(`PRAGMA table_info("${name}")`)).rows.map((row) => textOf(row.name)),
    );
  return columns;
}

const counted = async (table: string, id: string) =>
  Number(
    (
      await client.execute({
        sql: `SELECT count(*) AS n FROM ${table} WHERE patient_id = ?`,
        args: [id],
      })
    ).rows[0]?.n,
  );

it('knows every table that holds something of a patient', async () => {
  const named = [...(await tables())]
    .filter(([, columns]) => columns.includes('patient_id'))
    .map(([table]) => table)
    .filter((table) => !OUTLIVE.includes(table));
  expect(TABLES_OF_PATIENT.map((table) => getTableName(table)).sort()).toEqual(named.sort());
  // And those that refer to one of them without naming a patient.
  const referring: string[] = [];
  for (const [table, columns] of await tables()) {
    if (columns.includes('patient_id')) continue;
    const { rows } = await client.execute(`PRAGMA foreign_key_list("${table}")`);
    if (rows.some((row) => named.includes(textOf(row.table)))) referring.push(table);
  }
  expect(referring.sort()).toEqual(BY_WAY);
});

describe('the guards', () => {
  const ids = () => [stage.lead.clinicId, patientId];
  const refusedBatch = async (...statements: { sql: string; args?: string[] }[]) => {
    const failure = await client
      .batch(
        statements.map(({ sql, args = [] }) => ({ sql, args })),
        'write',
      )
      .then(
        () => 'carried out',
        (error: unknown) => String(error),
      );
    return failure;
  };
  const open = { sql: 'INSERT INTO erasing (clinic_id, patient_id, open) VALUES (?, ?, -1)' };

  it('keep every append-only row of a patient while no erasure is under way', async () => {
    const { rows } = await client.execute(
      "SELECT tbl_name AS name FROM sqlite_master WHERE type = 'trigger' AND name LIKE '%_no_delete'",
    );
    const guarded = rows.map(({ name }) => textOf(name));
    expect(guarded).toEqual(
      expect.arrayContaining(['session_event', 'programme_line', 'visit_note', 'erasure']),
    );
    let tried = 0;
    for (const table of guarded) {
      if (Number((await client.execute(`SELECT count(*) AS n FROM ${table}`)).rows[0]?.n) === 0)
        continue;
      tried += 1;
      expect([table, await refusedBatch({ sql: `DELETE FROM ${table}` })]).toEqual([
        table,
        expect.stringMatching(/append-only|only erased/),
      ]);
    }
    expect(tried).toBeGreaterThan(12);
  });

  it('cannot be left open: what opens them is never committed', async () => {
    expect(await refusedBatch({ ...open, args: ids() })).toContain('FOREIGN KEY');
    expect(
      await refusedBatch(
        { ...open, args: ids() },
        { sql: 'DELETE FROM session_event WHERE patient_id = ?', args: [patientId] },
      ),
    ).toContain('FOREIGN KEY');
    expect(await counted('session_event', patientId)).toBe(3);
  });

  it('are not closed again before the tombstone stands and the patient is gone', async () => {
    const close = { sql: 'DELETE FROM erasing' };
    const some = {
      sql: 'DELETE FROM visit_note WHERE patient_id = ?',
      args: [patientId],
    };
    expect(await refusedBatch({ ...open, args: ids() }, some, close)).toContain('not done');
    const stone = {
      sql: "INSERT INTO erasure (clinic_id, patient_id, at, member_id, reason) VALUES (?, ?, 1, 'm', 'asked')",
      args: ids(),
    };
    expect(await refusedBatch({ ...open, args: ids() }, stone, some, close)).toContain('not done');
    expect(await refusedBatch(stone)).toContain('nothing is being erased');
    expect(
      await refusedBatch({ ...open, args: ids() }, { sql: 'UPDATE erasing SET open = id' }),
    ).toMatch(/not changed|CHECK/);
  });

  it('open for the patient that is named alone, and never for a change', async () => {
    const of = (id: string) => ({ ...open, args: [stage.lead.clinicId, id] });
    expect(
      await refusedBatch(of(other.id), {
        sql: 'DELETE FROM session_event WHERE patient_id = ?',
        args: [patientId],
      }),
    ).toContain('append-only');
    expect(
      await refusedBatch(of(patientId), {
        sql: 'DELETE FROM programme_line',
      }),
    ).toMatch(/FOREIGN KEY|append-only/);
    expect(
      await refusedBatch(of(patientId), {
        sql: "UPDATE session_event SET local_date = '2020-01-01' WHERE patient_id = ?",
        args: [patientId],
      }),
    ).toContain('append-only');
  });
});

describe('erasing', () => {
  it('wants a lead, the name, the password, and counts wrong ones', async () => {
    await expect(erasePatient(stage.practitioner, order())).rejects.toMatchObject({
      guard: 'access',
    });
    await expect(erasePatient(stage.lead, { ...order(), name: 'Somebody' })).rejects.toMatchObject({
      status: 400,
      at: ['name'],
    });
    for (let tries = 0; tries < 5; tries += 1)
      await expect(
        erasePatient(stage.lead, { ...order(), password: 'not it' }),
      ).rejects.toMatchObject({ status: 403, at: ['password'] });
    await expect(erasePatient(stage.lead, order())).rejects.toMatchObject({ status: 429 });
    setClock(() => instantAt(ZONE, TODAY, minute(720)));
    expect(await patientById(stage.lead.clinicId, patientId)).not.toBeNull();
  });

  it('says beforehand what goes', async () => {
    const patient = await patientById(stage.lead.clinicId, patientId);
    if (!patient) throw new Error('no patient');
    const held = await heldOf(patient);
    expect(held).toContainEqual({ what: 'visit note', count: 1 });
    expect(held.every(({ count }) => count > 0)).toBe(true);
    const fresh = await makePatient(stage.practitioner, 'Nothing Yet');
    const there = await heldOf(await patientOf(stage, fresh));
    expect(there.map(({ what }) => what)).not.toContain('referrals');
    expect(there.every(({ count }) => count > 0)).toBe(true);
  });

  it('takes everything of the patient and nothing of others, out of the files too', async () => {
    const data = process.env.DATA_DIR ?? '';
    const key = join(stage.folder, 'key');
    makeKeyFile(key);
    const secret = secretFrom({ keyFile: key });
    const before = await makeBackup({
      url: databaseUrl(),
      data,
      to: join(stage.folder, 'backups'),
      secret,
      at: Date.parse('2026-11-23T02:00:00Z'),
    });
    const filled = (
      await Promise.all(
        TABLES_OF_PATIENT.map(async (table) => [
          getTableName(table),
          await counted(getTableName(table), patientId),
        ]),
      )
    ).filter(([, count]) => Number(count) > 0);
    expect(filled).toHaveLength(TABLES_OF_PATIENT.length);
    const others = await counted('episode', other.id);
    expect(found(data, NAME)).not.toEqual([]);

    const gone = await patientById(stage.lead.clinicId, patientId);
    if (gone) await noteLook(stage.practitioner, gone, 'file');
    await sealAudit();
    client.close();
    expect(await erasePatient(stage.lead, order())).toEqual({ purged: true });
    client = createClient({ url: databaseUrl(), timeout: 5_000, intMode: 'number' });

    for (const table of TABLES_OF_PATIENT)
      expect([getTableName(table), await counted(getTableName(table), patientId)]).toEqual([
        getTableName(table),
        0,
      ]);
    for (const table of BY_WAY) {
      const { rows } = await client.execute(`PRAGMA foreign_key_check(${table})`);
      expect(rows).toEqual([]);
    }
    expect(await patientById(stage.lead.clinicId, patientId)).toBeNull();
    expect(await counted('episode', other.id)).toBe(others);
    expect(await counted('file_look', patientId)).toBe(1);
    // Neither the name nor a word of a note stands in any file of the folder.
    expect(found(data, NAME)).toEqual([]);
    // The tombstone says when, who and why; the audit that it was done; the seals hold.
    expect(await erasureOf(stage.lead.clinicId, patientId)).toMatchObject({
      memberId: stage.lead.id,
      reason: 'asked',
    });
    expect(await erasedAt(stage.lead)).toEqual([
      expect.objectContaining({ id: patientId, reason: 'the patient asked for it' }),
    ]);
    expect((await auditOf(stage.lead.clinicId, patientId))[0]?.verb).toBe('erased');
    // Who looked into it is still told, without the name.
    const all = { who: null, from: 0 as never, to: 9e15 as never, before: 9e15 };
    const { rows: looks } = await auditLines(stage.lead, { show: 'looks', ...all });
    expect(looks.map(({ subject }) => subject)).toContain('an erased record');
    expect(JSON.stringify(looks)).not.toContain(NAME);
    const { rows: changes } = await auditLines(stage.lead, { show: 'changes', ...all });
    expect(changes[0]).toMatchObject({ verb: 'erased', subject: 'an erased record' });
    expect((await checkRecord()).faults).toEqual([]);
    expect(erasureLines(data)).toEqual([expect.stringContaining(patientId)]);
    expect(readFileSync(join(data, 'erasures.jsonl'), 'utf8')).not.toContain(NAME);

    // A backup of before, put back: erased again by the list, and purged.
    const back = join(stage.folder, 'back');
    await restoreBackup({
      from: before.file,
      to: back,
      secret,
      newest: 9e15,
      erasures: erasureLines(data),
    });
    expect(found(back, NAME)).not.toEqual([]);
    client.close();
    closeDatabase();
    const own = process.env.DATA_DIR;
    process.env.DATA_DIR = back;
    // A start carries the list out, and purges the file.
    await prepareServer();
    expect(found(back, NAME)).toEqual([]);
    expect(await replayErasures({ DATA_DIR: back })).toBe(0);
    expect(await patientById(stage.lead.clinicId, patientId)).toBeNull();
    expect(await patientById(stage.lead.clinicId, other.id)).not.toBeNull();
    closeDatabase();
    process.env.DATA_DIR = own;
    client = createClient({ url: databaseUrl(), timeout: 5_000, intMode: 'number' });
  }, 120_000);

  it('is not undone by a form that is sent again', async () => {
    await expect(
      addPatient(stage.practitioner, {
        id: patientId,
        name: NAME,
        complaint: 'Neck',
        zone: ZONE,
        wakeMinute: minute(420),
        sleepMinute: minute(1320),
        minutesADay: null,
      }),
    ).rejects.toMatchObject({ guard: 'erased' });
  });

  it('brings its list up to date from the tombstones, and reads past lines that are none', async () => {
    const data = join(stage.folder, 'list');
    await keepErasures({ DATA_DIR: data, BACKUP_TO: join(stage.folder, 'list-backups') });
    expect(erasureLines(data)).toHaveLength(1);
    expect(erasureLines(join(stage.folder, 'list-backups'))).toEqual(erasureLines(data));
    await keepErasures({ DATA_DIR: data });
    expect(erasureLines(data)).toHaveLength(1);
    const odd = join(stage.folder, 'odd');
    const { addErasures } = await import('@/backup');
    addErasures(odd, [
      '{',
      '{"clinicId":"x"}',
      JSON.stringify({ ...JSON.parse(erasureLines(data)[0] ?? '{}'), clinicId: randomUUID() }),
    ]);
    expect(await replayErasures({ DATA_DIR: odd })).toBe(0);
  });
});

describe('records kept long enough', () => {
  it('are shown by their last entry, and none where no time is set', async () => {
    expect(await keptLongEnough(stage.lead)).toEqual([]);
    await changeSafety(stage.lead, {
      privacyText: '',
      keepYears: 2,
      linkDays: 30,
      deviceDays: 180,
      factorRequired: false,
    });
    expect(await keptLongEnough(stage.lead)).toEqual([]);
    const years = (count: number) => count * 365.25 * 86_400_000;
    const at = instantAt(ZONE, TODAY, minute(730));
    const old = await makePatient(stage.practitioner, 'Old Record');
    setClock(() => later(at, years(2) - 3_600_000));
    expect((await keptLongEnough(stage.lead)).map(({ id }) => id)).not.toContain(old);
    setClock(() => later(at, years(2) + 3_600_000));
    expect((await keptLongEnough(stage.lead)).map(({ id }) => id)).toContain(old);
    // Whatever was written of somebody since, the record is not that old.
    const entry = { id: randomUUID(), patientId: old, kind: 'goal' as const, supersedes: null };
    const body = { activity: 'Row', by: null, reachedOn: null };
    await saveEntry(stage.practitioner, { ...entry, on: TODAY, body });
    expect((await keptLongEnough(stage.lead)).map(({ id }) => id)).not.toContain(old);
  });
});

/** The files of a folder in which a text stands, byte for byte. */
function found(folder: string, text: string): string[] {
  return readdirSync(folder, { recursive: true })
    .map((name) => join(folder, String(name)))
    .filter((path) => statSync(path).isFile() && readFileSync(path).includes(text));
}
