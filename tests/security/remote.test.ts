import { rmSync } from 'node:fs';
import { join } from 'node:path';
import { randomUUID } from 'node:crypto';
import {
  DatabaseFailure,
  anyClinic,
  closeDatabase,
  insertMemberSession,
  migrateDatabase,
  write,
} from '@/db';
import { morningList } from '@/server/morning-list';
import { takeIn } from '@/server/take-in';
import {
  PASSWORD,
  device,
  instant,
  makeClinic,
  makePatient,
  member,
  prescribe,
  today,
} from '../support/clinic';
import { type LibsqlServer, startLibsqlServer } from '../support/libsql-server';
import { temporaryFolder } from '../support/server';
import { eventually } from '../support/record';

/** The whole way of a prescription over a remote libSQL server: no code assumes a local file. */
const EVERYBODY = { search: '', practitionerId: null, group: null, page: 1 } as const;

let folder: string;
let remote: LibsqlServer;

beforeEach(async () => {
  folder = temporaryFolder('remote');
  remote = await startLibsqlServer(join(folder, 'remote.db'), 'the token');
  closeDatabase();
  process.env.DATABASE_URL = remote.url;
  process.env.DATABASE_AUTH_TOKEN = 'the token';
});

afterEach(async () => {
  closeDatabase();
  delete process.env.DATABASE_URL;
  delete process.env.DATABASE_AUTH_TOKEN;
  await remote.close();
  rmSync(folder, { recursive: true, force: true });
});

it('migrates, prescribes, takes a session in and lists it', async () => {
  await migrateDatabase();
  const clinic = await makeClinic('far');
  const practitioner = await member(clinic.emails.practitioner);
  const patientId = await makePatient(practitioner, 'Far Away');
  await prescribe(practitioner, patientId, [{ exerciseId: 'tuck-lying', dose: '10x10s' }]);
  const here = await device(practitioner, patientId);
  const { versionsOf } = await import('@/db');
  const [version] = (await versionsOf(clinic.id, [patientId])).get(patientId) ?? [];
  const common = {
    sessionId: randomUUID(),
    sessionKey: 'session-1',
    programmeId: version?.version.programmeId ?? '',
    version: 1,
    deviceAt: Date.now(),
    offsetMs: 0,
  };
  const events = [
    { ...common, id: randomUUID(), body: { type: 'started' as const } },
    { ...common, id: randomUUID(), body: { type: 'check-in' as const, pain: 6, word: '' } },
  ];
  await takeIn(here, { sentAt: Date.now(), events });
  expect(await takeIn(here, { sentAt: Date.now(), events })).toMatchObject({ conflicts: [] });
  const list = await morningList(practitioner, EVERYBODY);
  expect(list.groups.flatMap(({ rows }) => rows)).toMatchObject([
    { complaint: 'Neck', lastPain: { pain: 6 }, lastSession: today() },
  ]);
  expect(remote.requests()).toBeGreaterThan(10);
});

it('keeps guards, uniqueness and all-or-nothing', async () => {
  await migrateDatabase();
  const clinic = await makeClinic('far');
  const assistant = await member(clinic.emails.assistant);
  await expect(makePatient(assistant)).rejects.toMatchObject({ guard: 'access' });
  const { tokenHash, clinicId, id: memberId } = assistant;
  const again = { tokenHash, clinicId, memberId, createdAt: instant(1), lastSeenAt: instant(1) };
  await expect(write(() => [insertMemberSession(again)])).rejects.toMatchObject({
    name: 'AlreadyThere',
  });
  expect((await morningList(assistant, EVERYBODY)).total).toBe(0);
});

it('runs the built application, and says so when the token is wrong (long)', async () => {
  const { startTestServer } = await import('../support/server');
  await migrateDatabase();
  const clinic = await makeClinic('far');
  const environment = { DATABASE_URL: remote.url, DATABASE_AUTH_TOKEN: 'the token' };
  const server = await startTestServer(environment);
  const signIn = (origin: string) =>
    fetch(`${origin}/api/v1/sign-in`, {
      method: 'POST',
      headers: { origin, 'content-type': 'application/json' },
      body: JSON.stringify({ email: clinic.emails.lead, password: PASSWORD }),
    });
  // While a server that has just started writes what it keeps, a far record may be busy, and says so.
  let cookie = '';
  await eventually(async () => {
    const answer = await signIn(server.origin);
    expect(answer.status).toBe(200);
    cookie = answer.headers.get('set-cookie')?.split(';')[0] ?? '';
  }, 60_000);
  // A database far away may be slow on a busy machine; the page is asked for until it is there.
  await eventually(async () => {
    const page = await fetch(`${server.origin}/`, { headers: { cookie } });
    expect(await page.text()).toContain('No patients yet');
  }, 60_000);
  await server.close();
  const locked = await startTestServer({ ...environment, DATABASE_AUTH_TOKEN: 'another' });
  expect((await signIn(locked.origin)).status).toBe(503);
  await locked.close();
  process.env.DATABASE_AUTH_TOKEN = 'another';
  closeDatabase();
  await expect(anyClinic()).rejects.toBeInstanceOf(DatabaseFailure);
}, 900_000);
