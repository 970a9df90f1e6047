import { type ChildProcess, spawn } from 'node:child_process';
import { existsSync, readFileSync, readdirSync, statSync } from 'node:fs';
import { type Socket, connect } from 'node:net';
import { join } from 'node:path';
import { ROOT, type TestServer, freePort, startTestServer } from '../support/server';

/** The server itself, as whoever comes over the network meets it. */
let server: TestServer;
const port = () => Number(new URL(server.origin).port);
beforeAll(async () => {
  server = await startTestServer();
}, 900_000);
afterAll(() => server.close());

/** Sends bytes as they are; resolves with everything that came back once the server closed. */
function raw(bytes: string): Promise<string> {
  return new Promise((resolve, reject) => {
    const socket = connect(port(), '127.0.0.1', () => socket.write(bytes));
    const parts: Buffer[] = [];
    socket.on('data', (part) => parts.push(part));
    socket.on('error', reject);
    socket.on('close', () => resolve(Buffer.concat(parts).toString('latin1')));
  });
}
const statusOf = (answer: string) => Number(/^HTTP\/1\.1 (\d+)/.exec(answer)?.[1]);

it('answers what is no address, and never hangs or falls over it', async () => {
  const targets = ['//', '//a', '/%', '/%00', '/\\', '*', 'http://elsewhere.example/'];
  const answers = await Promise.all(
    [...targets, ...targets, ...targets].map((target) =>
      raw(`GET ${target} HTTP/1.1\r\nHost: a\r\nConnection: close\r\n\r\n`),
    ),
  );
  expect(new Set(answers.map(statusOf))).toEqual(new Set([400]));
  expect(statusOf(await raw('This is no request\r\n\r\n'))).toBe(400);
  expect(statusOf(await raw(`GET / HTTP/1.1\r\nHost: a\r\nX: ${'x'.repeat(20_000)}\r\n\r\n`))).toBe(
    431,
  );
  for (const path of ['healthz', 'readyz'])
    expect((await fetch(`${server.origin}/${path}`)).status).toBe(200);
});

it('sends scripts as small as the build made them, to whoever reads that', async () => {
  const folder = join(ROOT, '.next/static/chunks');
  const names = readdirSync(folder).filter((name) => name.endsWith('.js.br'));
  expect(names.length).toBeGreaterThan(20);
  const largest = names
    .map((name) => ({ name, bytes: statSync(join(folder, name)).size }))
    .reduce((most, one) => (one.bytes > most.bytes ? one : most));
  const plain = largest.name.replace(/\.br$/, '');
  const ask = (encoding: string) =>
    fetch(`${server.origin}/_next/static/chunks/${plain}`, {
      headers: { 'accept-encoding': encoding },
    });
  const small = await ask('gzip, br');
  expect(small.headers.get('content-encoding')).toBe('br');
  expect(Number(small.headers.get('content-length'))).toBe(largest.bytes);
  expect(await small.text()).toBe(readFileSync(join(folder, plain), 'utf8'));
  expect((await ask('gzip')).headers.get('content-encoding')).toBe('gzip');
});

it('answers posts of events before the framework, with the same refusals', async () => {
  const post = async (path: string) => {
    const answer = await fetch(`${server.origin}/api/v1/patient/${path}`, {
      method: 'POST',
      headers: { origin: server.origin, 'content-type': 'application/json' },
      body: '{}',
    });
    // The framework names in it what its own answers differ by.
    return {
      status: answer.status,
      framed: answer.headers.has('vary'),
      body: (await answer.json()) as unknown,
    };
  };
  const [before, behind] = [await post('events'), await post('language')];
  expect(before.framed).toBe(false);
  expect(behind.framed).toBe(true);
  expect([before.status, before.body]).toEqual([401, behind.body]);
  // Whoever asks for it otherwise is the framework's.
  const asked = await fetch(`${server.origin}/api/v1/patient/events`);
  expect(asked.status).toBe(405);
  expect(asked.headers.has('vary')).toBe(true);
});

it('bounds the connections of one address, and lets others in again when they go', async () => {
  const sockets: Socket[] = [];
  const opened = () =>
    new Promise<Socket>((resolve) => {
      const socket = connect(port(), '127.0.0.1', () => resolve(socket));
      socket.on('error', () => undefined);
      sockets.push(socket);
    });
  for (let n = 0; n < 320; n += 1) await opened();
  const last = sockets.at(-1) as Socket;
  if (!last.closed) await new Promise((resolve) => last.once('close', resolve));
  for (const socket of sockets) socket.destroy();
  // Once they are gone there is room.
  for (;;) {
    const answer = await fetch(`${server.origin}/healthz`).catch(() => null);
    if (answer?.status === 200) break;
  }
});

it('listens to this machine alone, and keeps its files to itself', () => {
  const table = readFileSync('/proc/net/tcp', 'latin1');
  const hex = port().toString(16).toUpperCase().padStart(4, '0');
  expect(table).toContain(`0100007F:${hex}`);
  expect(table).not.toContain(` 00000000:${hex}`);
  expect(statSync(server.data).mode & 0o777).toBe(0o700);
  const files = readdirSync(server.data).filter((name) => name.startsWith('dry-lantern.db'));
  for (const name of files) expect(statSync(join(server.data, name)).mode & 0o777).toBe(0o600);
});

it('writes what it answered, with the time and an id, and nothing of whom', async () => {
  const id = '3f2a9c1e-1111-4222-8333-444455556666';
  const answer = await fetch(`${server.origin}/patients/${id}/plan?search=Ansel`, {
    redirect: 'manual',
  });
  const request = answer.headers.get('x-request-id') ?? '';
  let line: string | undefined;
  while (line === undefined)
    line = server
      .log()
      .split('\n')
      .find((one) => one.includes(request));
  expect(JSON.parse(line)).toEqual({
    level: 30,
    time: expect.stringMatching(/^\d{4}-\d\d-\d\dT\d\d:\d\d:\d\d\.\d{3}Z$/) as string,
    request,
    method: 'GET',
    path: '/patients/:id/plan',
    status: answer.status,
    ms: expect.any(Number) as number,
  });
  expect(server.log()).not.toContain(id);
  expect(server.log()).not.toContain('Ansel');
});

/** Runs a command of the project to its end. */
function ended(child: ChildProcess): Promise<{ code: number | null; said: string }> {
  const parts: Buffer[] = [];
  for (const stream of [child.stdout, child.stderr])
    stream?.on('data', (part: Buffer) => parts.push(part));
  return new Promise((resolve) =>
    child.once('exit', (code) => resolve({ code, said: Buffer.concat(parts).toString() })),
  );
}
const serve = (environment: Record<string, string>, at = port()) =>
  ended(
    spawn(process.execPath, ['scripts/serve/server.mjs', String(at)], {
      cwd: ROOT,
      env: { ...process.env, NODE_ENV: 'production', HOST: '', PUBLIC_URL: '', ...environment },
      stdio: ['ignore', 'pipe', 'pipe'],
    }),
  );

it('does not start on a port in use, over plain http, or without its database: one sentence (long)', async () => {
  const nowhere = join(server.data, 'nowhere');
  const [taken, open, missing] = await Promise.all([
    serve({ DATA_DIR: nowhere, NEW_CLINIC: '1' }),
    serve({ PUBLIC_URL: 'http://clinic.example' }),
    serve({ DATA_DIR: nowhere }, await freePort()),
  ]);
  for (const { code, said } of [taken, open, missing]) {
    expect(code).toBe(1);
    expect(said).toContain('Dry Lantern cannot start: ');
    expect(said).not.toMatch(/\n\s+at /);
  }
  expect(taken.said).toContain('is in use by another program');
  expect(open.said).toContain('PUBLIC_URL is an http address');
  expect(missing.said).toContain('there is no database in the data folder');
  // A server that could not listen has made nothing.
  expect(existsSync(join(nowhere, 'dry-lantern.db'))).toBe(false);
});

it('finishes what runs when it is told to end, and leaves no journal', async () => {
  // A request whose body is still on its way.
  const body = JSON.stringify({ email: 'a@b.example', password: 'x' });
  const socket = connect(port(), '127.0.0.1');
  const parts: Buffer[] = [];
  socket.on('data', (part) => parts.push(part));
  const over = new Promise((resolve) => socket.once('close', resolve));
  socket.write(
    `POST /api/v1/sign-in HTTP/1.1\r\nHost: localhost:${port()}\r\nOrigin: ${server.origin}\r\nContent-Type: application/json\r\nContent-Length: ${body.length}\r\n\r\n`,
  );
  await fetch(`${server.origin}/healthz`);
  const stopped = server.stop();
  // Nobody new is let in, and the one who was there is answered.
  while ((await fetch(`${server.origin}/healthz`).catch(() => null)) !== null);
  socket.write(body);
  await over;
  await stopped;
  expect(statusOf(Buffer.concat(parts).toString())).toBe(401);
  const journal = join(server.data, 'dry-lantern.db-wal');
  expect(existsSync(journal) ? statSync(journal).size : 0).toBe(0);
  await server.start();
}, 900_000);
