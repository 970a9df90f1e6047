import { type ChildProcess, spawn, spawnSync } from 'node:child_process';
import { randomUUID } from 'node:crypto';
import {
  chmodSync,
  chownSync,
  copyFileSync,
  mkdirSync,
  openSync,
  readFileSync,
  readdirSync,
  rmSync,
  statSync,
  writeFileSync,
} from 'node:fs';
import { join } from 'node:path';
import { createClient } from '@libsql/client';
import { makeBackup, makeKeyFile, secretFrom } from '@/backup';
import { checkpoint, closeDatabase, databaseUrl, versionsOf } from '@/db';
import { checkRecord } from '@/server/check/record-check';
import {
  PASSWORD,
  device,
  makeClinic,
  makePatient,
  member,
  prescribe,
  useDatabase,
} from '../support/clinic';
import {
  ROOT,
  type TestServer,
  freePort,
  startTestServer,
  temporaryFolder,
} from '../support/server';

/** What happens to machines, done to ours on purpose: `npm run drill`. */
jest.setTimeout(600_000);

let folder: string;
const place = (name: string) => join(folder, name);
const database = (data: string) => join(data, 'dry-lantern.db');

beforeEach(() => {
  folder = temporaryFolder('drill');
});
afterEach(() => {
  closeDatabase();
  rmSync(folder, { recursive: true, force: true });
});

/** A clinic with a patient and a phone, in a folder. */
async function filled(data: string) {
  mkdirSync(data, { recursive: true, mode: 0o700 });
  await useDatabase(data);
  const { id, emails } = await makeClinic('drill');
  const practitioner = await member(emails.practitioner);
  const patientId = await makePatient(practitioner, 'Wren Tarbuck');
  await prescribe(practitioner, patientId, [{ exerciseId: 'tuck-lying', dose: '10x10s' }]);
  const { token } = await device(practitioner, patientId);
  const [version] = (await versionsOf(id, [patientId])).get(patientId) ?? [];
  await checkpoint();
  return { emails, token, patientId, programmeId: version?.version.programmeId ?? '' };
}
type Filled = Awaited<ReturnType<typeof filled>>;

/** Tells one event as a phone does. */
async function tell(origin: string, { token, programmeId }: Filled, id: string = randomUUID()) {
  const event = {
    id,
    sessionId: randomUUID(),
    sessionKey: 'session-1',
    programmeId,
    version: 1,
    deviceAt: Date.now(),
    offsetMs: 0,
    body: { type: 'check-in', pain: 1, word: 'x'.repeat(200) },
  };
  const answer = await fetch(`${origin}/api/v1/patient/events`, {
    method: 'POST',
    headers: { cookie: `dl_patient=${token}`, origin, 'content-type': 'application/json' },
    body: JSON.stringify({ sentAt: Date.now(), events: [event] }),
    signal: AbortSignal.timeout(30_000),
  });
  return { id, status: answer.status, say: await answer.text() };
}

async function signsIn(origin: string, email: string): Promise<number> {
  const answer = await fetch(`${origin}/api/v1/sign-in`, {
    method: 'POST',
    headers: { origin, 'content-type': 'application/json' },
    body: JSON.stringify({ email, password: PASSWORD }),
  });
  return answer.status;
}

/** A command of the project, as its keeper types it. */
const run = (...words: string[]) =>
  spawnSync('npm', ['run', '-s', ...words], { cwd: ROOT, encoding: 'utf8' });
const restore = (from: string, to: string) =>
  run('restore', '--', '--from', from, '--to', place(to), '--key-file', place('key'));

/** Every row of a database file, table by table. */
async function everything(file: string): Promise<Map<string, string>> {
  const client = createClient({ url: `file:${file}`, intMode: 'number' });
  const { rows } = await client.execute(
    "SELECT name FROM sqlite_master WHERE type = 'table' AND name NOT LIKE 'sqlite_%' ORDER BY name",
  );
  const all = new Map<string, string>();
  for (const row of rows) {
    const table = row.name as string;
    const found = await client.execute(`SELECT * FROM "${table}" ORDER BY rowid`);
    all.set(table, JSON.stringify(found.rows.map((one) => Object.values(one))));
  }
  client.close();
  return all;
}

it('a backup in the middle of a day, the machine dies, another takes over', async () => {
  const data = place('data');
  const here = await filled(data);
  closeDatabase();
  const server = await startTestServer({ DATA_DIR: data });
  makeKeyFile(place('key'));
  const secret = secretFrom({ keyFile: place('key') });
  const before: string[] = [];
  let going = true;
  const telling = (async () => {
    while (going) {
      const { id, status } = await tell(server.origin, here).catch(() => ({ id: '', status: 0 }));
      if (status === 200) before.push(id);
    }
  })();
  while (before.length < 30) await new Promise((resolve) => setTimeout(resolve, 10));
  const sure = [...before];
  const order = { url: databaseUrl(), data, to: place('backups'), secret, at: Date.now() };
  const { file } = await makeBackup(order);
  await server.stop('SIGKILL');
  going = false;
  await telling;

  const restored = restore(file, 'other');
  expect([restored.status, restored.stderr]).toEqual([0, '']);
  // What the backup says it holds is what stands there, table by table and photo by photo.
  process.env.DATA_DIR = place('other');
  expect((await checkRecord()).faults).toEqual([]);
  closeDatabase();
  const rows = await everything(database(place('other')));
  for (const id of sure) expect(rows.get('session_event')).toContain(id);

  // Signing in, and going on: on the new machine, with the phones as they are.
  const other = await startTestServer({ DATA_DIR: place('other'), NEW_CLINIC: '' });
  expect(await signsIn(other.origin, here.emails.lead)).toBe(200);
  for (const id of before) expect((await tell(other.origin, here, id)).status).toBe(200);
  expect((await tell(other.origin, here)).status).toBe(200);
  await other.stop();
  const after = (await everything(database(place('other')))).get('session_event') ?? '';
  for (const id of before) expect(after.split(id)).toHaveLength(2);
  await server.close();
  await other.close();
});

it('the same folder restored twice is the same, row by row', async () => {
  const data = place('data');
  await filled(data);
  closeDatabase();
  makeKeyFile(place('key'));
  const secret = secretFrom({ keyFile: place('key') });
  const order = { url: databaseUrl(), data, to: place('backups'), secret, at: Date.now() };
  const { file } = await makeBackup(order);
  for (const to of ['one', 'two']) restore(file, to);
  const original = await everything(database(data));
  expect(await everything(database(place('one')))).toEqual(original);
  expect(await everything(database(place('two')))).toEqual(original);
});

/** A server under conditions of the system's own; undefined where they cannot be made here. */
async function under(
  data: string,
  command: (node: string, args: readonly string[]) => readonly [string, readonly string[]],
  as?: number,
): Promise<{ origin: string; child: ChildProcess; log: () => string }> {
  const port = await freePort();
  const logFile = join(folder, `server-${port}.log`);
  const output = openSync(logFile, 'a');
  const [file, args] = command(process.execPath, ['scripts/serve/server.mjs', String(port)]);
  const child = spawn(file, [...args], {
    cwd: ROOT,
    env: {
      ...process.env,
      NODE_ENV: 'production',
      NEXT_TELEMETRY_DISABLED: '1',
      DATA_DIR: data,
      HOST: '',
      PUBLIC_URL: `http://localhost:${port}`,
    },
    stdio: ['ignore', output, output],
    ...(as === undefined ? {} : { uid: as, gid: as }),
  });
  const origin = `http://localhost:${port}`;
  for (let waited = 0; waited < 60_000 && child.exitCode === null; waited += 100) {
    const up = await fetch(`${origin}/healthz`).then(
      ({ status }) => status === 200,
      () => false,
    );
    if (up) break;
    await new Promise((resolve) => setTimeout(resolve, 100));
  }
  return { origin, child, log: () => readFileSync(logFile, 'utf8') };
}
const ended = (child: ChildProcess) =>
  new Promise<void>((resolve) => {
    if (child.exitCode !== null || child.signalCode !== null) return resolve();
    child.once('exit', () => resolve());
    child.kill('SIGTERM');
  });

it('a full disk: writes are refused with a sentence, nothing is half written, and it goes on with room', async () => {
  const data = place('data');
  const here = await filled(data);
  closeDatabase();
  // No file of this process may grow beyond so much, as on a disk that is full.
  const blocks = Math.ceil(statSync(database(data)).size / 1024) + 120;
  const { origin, child, log } = await under(data, (node, args) => [
    'bash',
    ['-c', `trap "" XFSZ; ulimit -f ${blocks}; exec "$0" "$@"`, node, ...args],
  ]);
  const taken: string[] = [];
  let refused: Awaited<ReturnType<typeof tell>> | null = null;
  for (let tries = 0; tries < 3000 && !refused; tries += 1) {
    const answer = await tell(origin, here);
    if (answer.status === 200) taken.push(answer.id);
    else refused = answer;
  }
  expect(refused?.status).toBeGreaterThanOrEqual(500);
  expect(refused?.say).toContain('Nothing was saved');
  // It still answers, and says nothing of its insides.
  expect((await fetch(`${origin}/healthz`)).status).toBe(200);
  expect(log()).not.toContain('Wren');
  await ended(child);

  const server = await startTestServer({ DATA_DIR: data, NEW_CLINIC: '' });
  expect((await tell(server.origin, here, refused?.id)).status).toBe(200);
  await server.stop();
  const kept = (await everything(database(data))).get('session_event') ?? '';
  for (const id of taken) expect(kept.split(id)).toHaveLength(2);
  expect((await checkRecord()).faults).toEqual([]);
  await server.close();
});

it('a disk that can only be read: one sentence, and an end that is not good', async () => {
  const data = place('data');
  await filled(data);
  closeDatabase();
  // Whoever is root may write everywhere: then somebody else is asked.
  const root = process.getuid?.() === 0;
  const nobody = 65_534;
  for (const name of readdirSync(data)) {
    if (root) chownSync(join(data, name), 0, nobody);
    chmodSync(join(data, name), root ? 0o440 : 0o400);
  }
  if (root) {
    chownSync(data, 0, nobody);
    chmodSync(folder, 0o755);
  }
  chmodSync(data, root ? 0o550 : 0o500);
  const { child, log } = await under(data, (node, args) => [node, args], root ? nobody : undefined);
  await new Promise<void>((resolve) => {
    if (child.exitCode !== null) return resolve();
    child.once('exit', () => resolve());
  });
  chmodSync(data, 0o700);
  expect(child.exitCode).toBe(1);
  expect(log()).toContain('Dry Lantern cannot start:');
  expect(log()).not.toMatch(/\n\s+at /);
});

it('a corrupt page: it does not start, and the check names it; the backup of before does', async () => {
  const data = place('data');
  const here = await filled(data);
  closeDatabase();
  makeKeyFile(place('key'));
  const secret = secretFrom({ keyFile: place('key') });
  const order = { url: databaseUrl(), data, to: place('backups'), secret, at: Date.now() };
  const { file } = await makeBackup(order);
  const spoilt = readFileSync(database(data));
  spoilt.fill(0x5a, 4096 * 3, 4096 * 5);
  writeFileSync(database(data), spoilt);
  const { child, log } = await under(data, (node, args) => [node, args]);
  await ended(child);
  expect(child.exitCode).toBe(1);
  expect(log()).toContain('the database is damaged');
  const checked = run('check', '--', '--data', data);
  expect(checked.status).toBe(1);
  expect(checked.stderr + checked.stdout).toContain('damaged');
  restore(file, 'other');
  const server: TestServer = await startTestServer({ DATA_DIR: place('other'), NEW_CLINIC: '' });
  expect((await tell(server.origin, here)).status).toBe(200);
  await server.close();
});

it('a database file copied without its journal is whole up to its last checkpoint', async () => {
  const data = place('data');
  await filled(data);
  closeDatabase();
  mkdirSync(place('copy'), { mode: 0o700 });
  copyFileSync(database(data), database(place('copy')));
  process.env.DATA_DIR = place('copy');
  expect((await checkRecord()).faults).toEqual([]);
});
