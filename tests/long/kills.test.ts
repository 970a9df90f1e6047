import { randomUUID } from 'node:crypto';
import { rmSync } from 'node:fs';
import { closeDatabase, eventsOfDay, versionsOf } from '@/db';
import { read } from '@/db/door';
import { failedAttempt } from '@/db/schema';
import {
  device,
  makeClinic,
  makePatient,
  member,
  prescribe,
  today,
  useDatabase,
} from '../support/clinic';
import { type TestServer, startTestServer, temporaryFolder } from '../support/server';
import { startWriter } from '../support/writer-process';

/** What was acknowledged is stored, once, whatever is killed. `npm test` kills one process. */
const KILLS = 100;
const soon = () => new Promise((resolve) => setTimeout(resolve, 10));

jest.setTimeout(1_800_000);

let folder: string;
beforeEach(async () => {
  folder = temporaryFolder('kills');
  await useDatabase(folder);
});
afterEach(() => {
  closeDatabase();
  rmSync(folder, { recursive: true, force: true });
});

it(`loses and doubles nothing over ${KILLS} kills in the middle of writing`, async () => {
  const acknowledged: string[] = [];
  for (let kill = 0; kill < KILLS; kill += 1) {
    const writer = startWriter(folder, 'write', `kill-${kill}`, '100000');
    // Killed now just after migrating, now in full swing.
    const enough = 1 + ((kill * 37) % 120);
    while (writer.lines().length < enough && writer.child.exitCode === null) await soon();
    writer.child.kill('SIGKILL');
    await writer.ended;
    expect(writer.errors()).toBe('');
    acknowledged.push(...writer.lines());
  }
  const rows = await read((db) => db.select({ what: failedAttempt.what }).from(failedAttempt));
  const kept = rows.map(({ what }) => what);
  expect(new Set(kept).size).toBe(kept.length);
  const there = new Set(kept);
  expect(acknowledged.length).toBeGreaterThan(KILLS * 20);
  expect(acknowledged.filter((what) => !there.has(what))).toEqual([]);
});

/** Sends until some process has acknowledged it, as a phone does. */
async function sendUntilTaken(servers: readonly TestServer[], token: string, body: string) {
  for (let attempt = 0; attempt < 400; attempt += 1) {
    const server = servers[attempt % servers.length];
    if (!server) throw new Error('no server');
    try {
      const answer = await fetch(`${server.origin}/api/v1/patient/events`, {
        method: 'POST',
        headers: {
          cookie: `dl_patient=${token}`,
          origin: server.origin,
          'content-type': 'application/json',
        },
        body,
        signal: AbortSignal.timeout(20_000),
      });
      if (answer.status === 200) return;
    } catch {
      // Nobody there just now: the next one is asked.
    }
    await new Promise((resolve) => setTimeout(resolve, 50));
  }
  throw new Error('nobody took it');
}

it('keeps every event of a day once, told to two processes of which one is killed again and again', async () => {
  const clinic = await makeClinic('two');
  const practitioner = await member(clinic.emails.practitioner);
  const patients = await Promise.all(
    Array.from({ length: 12 }, async (_, index) => {
      const patientId = await makePatient(practitioner, `Patient ${index}`);
      await prescribe(practitioner, patientId, [
        { exerciseId: 'tuck-lying', dose: '3x5s every 1h' },
      ]);
      const { token } = await device(practitioner, patientId);
      const [version] = (await versionsOf(clinic.id, [patientId])).get(patientId) ?? [];
      return { patientId, token, programmeId: version?.version.programmeId ?? '' };
    }),
  );
  // Both on one database; each believes itself alone.
  const environment = { DATA_DIR: folder };
  const servers = [await startTestServer(environment), await startTestServer(environment)];
  const [, victim] = servers;
  if (!victim) throw new Error('no second server');
  let going = true;
  let kills = 0;
  const killing = (async () => {
    while (going) {
      await new Promise((resolve) => setTimeout(resolve, 700));
      await victim.stop('SIGKILL');
      await victim.start();
      kills += 1;
    }
  })();
  /** However quick the machine is, the day is interrupted every four hours of it. */
  const interrupted = async (hour: number) => {
    while (kills < Math.floor(hour / 4)) await new Promise((resolve) => setTimeout(resolve, 20));
  };
  const told = new Map<string, string[]>();
  try {
    await Promise.all(
      patients.map(async ({ patientId, token, programmeId }, index) => {
        for (let hour = 0; hour < 14; hour += 1) {
          await interrupted(hour);
          const ids = [randomUUID(), randomUUID()];
          const common = {
            sessionId: randomUUID(),
            sessionKey: `session-${hour + 1}`,
            programmeId,
            version: 1,
            deviceAt: Date.now(),
            offsetMs: 0,
          };
          const events = [
            { ...common, id: ids[0], body: { type: 'started' } },
            { ...common, id: ids[1], body: { type: 'check-in', pain: hour % 4, word: '' } },
          ];
          const body = JSON.stringify({ sentAt: Date.now(), events });
          const first = (index + hour) % 2;
          await sendUntilTaken([servers[first], servers[1 - first]] as TestServer[], token, body);
          told.set(patientId, [...(told.get(patientId) ?? []), ...ids]);
        }
      }),
    );
  } finally {
    going = false;
  }
  await killing;
  expect(kills).toBeGreaterThan(2);
  for (const { patientId } of patients) {
    const kept = (await eventsOfDay(clinic.id, patientId, today())).map(({ id }) => id);
    expect([...kept].sort()).toEqual([...(told.get(patientId) ?? [])].sort());
  }
  for (const server of servers) await server.close();
});
