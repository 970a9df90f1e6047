import { randomBytes } from 'node:crypto';
import {
  copyFileSync,
  existsSync,
  mkdirSync,
  readFileSync,
  readdirSync,
  statSync,
  utimesSync,
  writeFileSync,
} from 'node:fs';
import { join } from 'node:path';
import { createClient } from '@libsql/client';
import {
  BackupProblem,
  type Secret,
  makeBackup,
  makeKeyFile,
  newestBackup,
  restoreBackup,
  secretFrom,
} from '@/backup';
import { closeDatabase, databaseUrl, fileOfAddress, prepareDatabase, versionsOf } from '@/db';
import { makePatient, prescribe } from '../support/clinic';
import { startLibsqlServer } from '../support/libsql-server';
import { databaseStage } from '../support/stage';

const stage = databaseStage('backup');
const AT = Date.parse('2026-11-28T02:30:00Z');
const NEWEST = 9e15;
const DATABASE = 'dry-lantern.db';

const place = (name: string) => join(stage.folder, name);
let keys = 0;
function key(): Secret {
  keys += 1;
  const file = place(`key-${keys}`);
  makeKeyFile(file);
  return secretFrom({ keyFile: file });
}
const order = (to: string, secret: Secret, at = AT) => ({
  url: databaseUrl(),
  data: process.env.DATA_DIR ?? '',
  to: place(to),
  secret,
  at,
});
const refused = (say: string) => ({ say: expect.stringContaining(say) as string });
const restore = (from: string, to: string, secret: Secret, newest = NEWEST) =>
  restoreBackup({ from, to: place(to), secret, newest, erasures: [] });

/** Every table of a database file with its rows. */
async function everything(file: string): Promise<Record<string, unknown[]>> {
  const client = createClient({ url: `file:${file}` });
  const { rows } = await client.execute(
    "SELECT name FROM sqlite_master WHERE type = 'table' AND name NOT LIKE 'sqlite_%' ORDER BY name",
  );
  const all: Record<string, unknown[]> = {};
  for (const { name } of rows as unknown as { name: string }[])
    all[name] = (await client.execute(`SELECT * FROM "${name}"`)).rows.map((row) =>
      Object.values(row),
    );
  client.close();
  return all;
}
async function lines(count: number): Promise<string> {
  const id = await makePatient(stage.practitioner, `Patient ${count}`);
  await prescribe(stage.practitioner, id, [{ exerciseId: 'tuck-lying', dose: `${count}x10s` }]);
  return id;
}

describe('a backup', () => {
  it('made while others write is whole, small and closed to others, and restores to the same record', async () => {
    const secret = key();
    const patientId = await lines(4);
    mkdirSync(join(process.env.DATA_DIR ?? '', 'languages'), { recursive: true });
    writeFileSync(join(process.env.DATA_DIR ?? '', 'languages', 'nb.json'), '{"tag":"nb"}');
    const writing = Promise.all([lines(5), lines(6), lines(7)]);
    const made = await makeBackup(order('to', secret));
    await writing;
    expect(made.rows).toBeGreaterThan(20);
    expect(statSync(made.file).mode & 0o777).toBe(0o600);
    expect(statSync(place('to')).mode & 0o777).toBe(0o700);
    // Nothing else is left, neither beside it nor beside the database.
    expect(readdirSync(place('to')).sort()).toEqual([
      'dry-lantern-20261128T023000Z.dlbackup',
      'erasures.jsonl',
    ]);
    expect(
      readdirSync(process.env.DATA_DIR ?? '').filter((name) => name.includes('backup')),
    ).toEqual([]);
    expect(readFileSync(made.file).includes('Patient 4')).toBe(false);
    expect(newestBackup(place('to'))).toBe(AT);

    const after = await makeBackup(order('to', secret, AT + 1000));
    await restore(after.file, 'back', secret);
    const own = fileOfAddress(databaseUrl()) ?? '';
    expect(await everything(join(place('back'), DATABASE))).toEqual(await everything(own));
    expect(readFileSync(join(place('back'), 'languages', 'nb.json'), 'utf8')).toBe('{"tag":"nb"}');
    expect(statSync(join(place('back'), DATABASE)).mode & 0o777).toBe(0o600);

    // And the application works with it.
    const before = process.env.DATA_DIR;
    closeDatabase();
    process.env.DATA_DIR = place('back');
    await prepareDatabase({ isNew: false });
    const found = await versionsOf(stage.practitioner.clinicId, [patientId]);
    expect(found.get(patientId)?.[0]?.lines[0]?.dose).toContain('4x10s');
    closeDatabase();
    process.env.DATA_DIR = before;
  });

  it('is restored into an empty place only, whole or not at all', async () => {
    const secret = key();
    const { file } = await makeBackup(order('whole', secret));
    mkdirSync(place('full'));
    writeFileSync(join(place('full'), 'holiday.jpg'), 'a picture');
    await expect(restore(file, 'full', secret)).rejects.toMatchObject(refused('not empty'));
    expect(readdirSync(place('full'))).toEqual(['holiday.jpg']);
    await expect(restore(file, 'other', key())).rejects.toMatchObject(refused('not the key'));
    await expect(restore(place('nothing'), 'other', secret)).rejects.toMatchObject(
      refused('no such backup'),
    );
    await expect(restore(file, 'other', secret, 1)).rejects.toMatchObject(refused('newer edition'));
    const damaged = place('damaged');
    copyFileSync(file, damaged);
    const bytes = readFileSync(damaged);
    bytes.fill(0, bytes.length - 40, bytes.length - 20);
    writeFileSync(damaged, bytes);
    await expect(restore(damaged, 'other', secret)).rejects.toMatchObject(refused('damaged'));
    writeFileSync(damaged, readFileSync(file).subarray(0, -500));
    await expect(restore(damaged, 'other', secret)).rejects.toMatchObject(refused('cut off'));
    // Where nothing was, nothing is.
    expect(existsSync(place('other'))).toBe(false);
  });

  it('is made once at a time, and after one that was cut off two hours ago', async () => {
    const secret = key();
    const [one, another] = await Promise.allSettled([
      makeBackup(order('once', secret)),
      makeBackup(order('once', secret)),
    ]);
    expect([one.status, another.status].sort()).toEqual(['fulfilled', 'rejected']);
    const mark = join(place('once'), '.dry-lantern-backup');
    writeFileSync(mark, '');
    utimesSync(mark, AT / 1000 - 7100, AT / 1000 - 7100);
    await expect(makeBackup(order('once', secret, AT))).rejects.toMatchObject(refused('Another'));
    utimesSync(mark, AT / 1000 - 7300, AT / 1000 - 7300);
    await expect(makeBackup(order('once', secret, AT + 1000))).resolves.toBeDefined();
  });

  it('removes what it outlives, and nothing else', async () => {
    const secret = key();
    const first = await makeBackup(order('old', secret, AT - 1000));
    writeFileSync(join(place('old'), 'notes.txt'), 'mine');
    const second = await makeBackup(order('old', secret));
    expect([first.removed, second.removed]).toEqual([0, 1]);
    expect(readdirSync(place('old')).sort()).toEqual([
      'dry-lantern-20261128T023000Z.dlbackup',
      'erasures.jsonl',
      'notes.txt',
    ]);
  });

  it('of a damaged database is none, and says so', async () => {
    const secret = key();
    const broken = place('broken');
    mkdirSync(broken);
    const { file } = await makeBackup(order('sound', secret));
    await restore(file, 'sound-data', secret);
    const bytes = readFileSync(join(place('sound-data'), DATABASE));
    randomBytes(4096 * 8).copy(bytes, 4096 * 4);
    writeFileSync(join(broken, DATABASE), bytes);
    await expect(
      makeBackup({ ...order('none', secret), url: `file:${join(broken, DATABASE)}`, data: broken }),
    ).rejects.toBeInstanceOf(BackupProblem);
    expect(readdirSync(place('none'))).toEqual([]);
  });

  it('of a remote database is read row by row, and restores to the same', async () => {
    const secret = key();
    const copy = place('remote.db');
    const { file } = await makeBackup(order('near', secret));
    await restore(file, 'near-data', secret);
    copyFileSync(join(place('near-data'), DATABASE), copy);
    const remote = await startLibsqlServer(copy, 'the token');
    mkdirSync(place('far-data'));
    try {
      const made = await makeBackup({
        ...order('far', secret),
        url: remote.url,
        authToken: 'the token',
        data: place('far-data'),
      });
      await restore(made.file, 'far-back', secret);
      expect(await everything(join(place('far-back'), DATABASE))).toEqual(await everything(copy));
    } finally {
      await remote.close();
    }
  });
});

describe('what a backup is locked with', () => {
  it('is a key file of 32 bytes that is never overwritten, or at least twelve characters', () => {
    const file = place('one-key');
    makeKeyFile(file);
    expect(statSync(file).mode & 0o777).toBe(0o600);
    expect(() => makeKeyFile(file)).toThrow(BackupProblem);
    expect(secretFrom({ keyFile: file })).toMatchObject({ kind: 'key file' });
    writeFileSync(place('short'), 'short');
    for (const named of [
      {},
      { passphrase: '  ' },
      { passphrase: 'too short' },
      { passphraseFile: place('short') },
      { keyFile: place('short') },
      { keyFile: place('not there') },
    ])
      expect(() => secretFrom(named)).toThrow(BackupProblem);
    writeFileSync(place('words'), 'lantern by the harbour\n');
    expect(secretFrom({ passphraseFile: place('words') })).toEqual({
      kind: 'passphrase',
      words: 'lantern by the harbour',
    });
  });
});
