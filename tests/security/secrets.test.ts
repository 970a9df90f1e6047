import { join } from 'node:path';
import { randomUUID } from 'node:crypto';
import { connect } from 'node:net';
import sharp from 'sharp';
import { closeDatabase, membersOf } from '@/db';
import { type TestServer, startTestServer } from '../support/server';
import {
  PASSWORD,
  device,
  makeClinic,
  makePatient,
  member,
  today,
  useDatabase,
} from '../support/clinic';
import { type Stage, photographable } from '../support/stage';

/** Signing in over the wire, and what must never be found in the log. */
let server: TestServer;

beforeAll(async () => {
  server = await startTestServer();
  await useDatabase(server.data);
  await makeClinic('harbour');
  await makeClinic('inland');
}, 900_000);

afterAll(async () => {
  closeDatabase();
  await server?.close();
});

describe('a request’s body', () => {
  /** The first line of the answer to these lines of a request, and nothing after them. */
  const answerTo = (...lines: readonly string[]) =>
    new Promise<string>((resolve, reject) => {
      const { hostname, port } = new URL(server.origin);
      const socket = connect(Number(port), hostname);
      let answer = '';
      socket.on('error', reject);
      socket.on('data', (part) => (answer += part.toString('utf8')));
      socket.on('close', () => resolve(answer.split('\r\n')[0] ?? ''));
      socket.write([...lines, `host: ${hostname}:${port}`, '', ''].join('\r\n'));
    });
  const post = 'POST /api/v1/sign-in HTTP/1.1';
  const json = 'content-type: application/json';

  it('is refused by its length before a byte of it has come', async () => {
    expect(await answerTo(post, json, 'content-length: 10000000')).toContain(' 413 ');
    const photo = 'POST /api/v1/photos?id=x HTTP/1.1';
    expect(await answerTo(photo, 'content-length: 20000000')).toContain(' 413 ');
    expect(await answerTo(post, json, 'transfer-encoding: chunked')).toContain(' 411 ');
    expect(await answerTo(post, json, 'content-length: 99999999999999999999')).toContain(' 400 ');
    expect(await answerTo('GET /sign-in HTTP/1.1', 'content-length: 5')).toContain(' 400 ');
  });

  it('may be a photo of nearly sixteen megabytes, as promised (long)', async () => {
    const by = await member('practitioner@harbour.example');
    const patientId = await photographable({ practitioner: by } as Stage);
    // Not compressed, so that every byte of it is needed.
    const file = await sharp({
      create: { width: 2300, height: 2300, channels: 3, background: '#888' },
    })
      .png({ compressionLevel: 0 })
      .toBuffer();
    expect(file.length).toBeGreaterThan(15 * 1024 * 1024);
    const facts = new URLSearchParams({ id: randomUUID(), patientId, takenOn: today() });
    const response = await fetch(`${server.origin}/api/v1/photos?${facts}`, {
      method: 'POST',
      headers: {
        origin: server.origin,
        'content-type': 'image/png',
        cookie: `dl_member=${by.token}`,
      },
      body: new Uint8Array(file),
    });
    expect([response.status, await response.json()]).toMatchObject([200, { ok: true }]);
  });
});

describe('signing in', () => {
  const attempt = (email: string, password: string, more: Record<string, string> = {}) =>
    fetch(`${server.origin}/api/v1/sign-in`, {
      method: 'POST',
      headers: { origin: server.origin, 'content-type': 'application/json', ...more },
      body: JSON.stringify({ email, password }),
    });

  it('sets a cookie that scripts cannot read and other sites do not send', async () => {
    const response = await attempt('assistant@harbour.example', PASSWORD);
    const cookie = response.headers.get('set-cookie') ?? '';
    expect(cookie).toMatch(/HttpOnly/i);
    expect(cookie).toMatch(/SameSite=lax/i);
  });

  it('closes a name after five wrong attempts from one address, whatever it says of itself, and no other name', async () => {
    const email = 'practitioner@inland.example';
    for (let time = 0; time < 5; time += 1) {
      const elsewhere = {
        'x-client-address': `10.0.0.${time}`,
        'x-forwarded-for': `10.1.0.${time}`,
      };
      expect((await attempt(email, 'wrong', elsewhere)).status).toBe(401);
    }
    expect((await attempt(email, PASSWORD)).status).toBe(429);
    expect((await attempt('assistant@inland.example', PASSWORD)).status).toBe(200);
  });

  it('is not closed by hundreds of wrong links, nor is a right link (long)', async () => {
    const by = await member('lead@harbour.example');
    const { link } = await device(by, await makePatient(by));
    const open = (token: string) =>
      fetch(`${server.origin}/api/v1/patient/open`, {
        method: 'POST',
        headers: { origin: server.origin, 'content-type': 'application/json' },
        body: JSON.stringify({ token }),
      });
    const wrong = await Promise.all(
      Array.from({ length: 220 }, (_, nth) => open(`${nth}`.padStart(43, 'x'))),
    );
    expect(new Set(wrong.map(({ status }) => status))).toEqual(new Set([401]));
    expect((await open(link)).status).toBe(200);
    expect((await attempt('assistant@inland.example', PASSWORD)).status).toBe(200);
  });

  it('says the same of an unknown name and a wrong password', async () => {
    const unknown = await attempt('nobody@nowhere.example', 'wrong');
    const wrong = await attempt('lead@inland.example', 'wrong');
    expect([unknown.status, await unknown.json()]).toEqual([wrong.status, await wrong.json()]);
  });

  it('shuts a member out at once', async () => {
    const { setActive } = await import('@/server/people');
    const lead = await member('lead@harbour.example');
    const assistant = await member('assistant@harbour.example');
    const status = async () =>
      (
        await fetch(`${server.origin}/`, {
          headers: { cookie: `dl_member=${assistant.token}` },
          redirect: 'manual',
        })
      ).status;
    expect(await status()).toBe(200);
    await setActive(lead, assistant.id, false);
    expect(await status()).toBe(307);
    expect((await membersOf(lead.clinicId)).find((one) => one.id === assistant.id)?.active).toBe(
      false,
    );
  });
});

it('never logs a patient’s words, numbers, names or tokens', async () => {
  const practitioner = await member('practitioner@harbour.example');
  const here = await device(practitioner, await makePatient(practitioner, 'Planted Name'));
  const event = {
    sessionId: randomUUID(),
    sessionKey: 'session-1',
    version: 1,
    deviceAt: Date.now(),
    offsetMs: 0,
  };
  const send = (word: string, programmeId: string) =>
    fetch(`${server.origin}/api/v1/patient/events`, {
      method: 'POST',
      headers: {
        cookie: `dl_patient=${here.token}`,
        origin: server.origin,
        'content-type': 'application/json',
      },
      body: JSON.stringify({
        sentAt: Date.now(),
        events: [
          { ...event, id: randomUUID(), programmeId, body: { type: 'check-in', pain: 7, word } },
        ],
      }),
    });
  expect((await send('plantedword', randomUUID())).status).toBe(200);
  // A database that fails under it must not tell either.
  const { createClient } = await import('@libsql/client');
  const other = createClient({ url: `file:${join(server.data, 'dry-lantern.db')}`, timeout: 100 });
  const tx = await other.transaction('write');
  await tx.execute('SELECT 1');
  const refused = await send('plantedword', randomUUID());
  await tx.rollback();
  other.close();
  expect(refused.status).toBe(503);
  expect(((await refused.json()) as { say: string }).say).toContain('try again');
  const log = server.log();
  expect(log).toContain('/api/v1/patient/events');
  for (const secret of ['plantedword', 'Planted Name', here.token, here.link]) {
    expect(log).not.toContain(secret);
  }
}, 900_000);
