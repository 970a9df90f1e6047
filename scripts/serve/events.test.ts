import { type Server, createServer } from 'node:http';
import type { AddressInfo } from 'node:net';
import { processWide } from '@/db/process-wide';
import { answerEvents } from './events.mjs';

type Asked = {
  readonly head: { readonly get: (name: string) => string | null };
  readonly bytes: () => Promise<Buffer>;
  readonly hasLeft: () => boolean;
};
type Answer = { status: number; headers: Record<string, string>; body: string };

const place = processWide<(asked: Asked) => Promise<Answer>>('events');
const PATH = '/api/v1/patient/events';
let server: Server;
let origin = '';

beforeAll(async () => {
  server = createServer((request, response) => {
    void answerEvents(request, response).then((answered) => {
      if (!answered) response.writeHead(418).end();
    });
  });
  await new Promise<void>((listening) => server.listen(0, '127.0.0.1', listening));
  origin = `http://127.0.0.1:${(server.address() as AddressInfo).port}`;
});
afterEach(() => {
  place.value = undefined;
});
afterAll(() => {
  server.closeAllConnections();
  server.close();
});

const post = (path = PATH, method = 'POST') =>
  fetch(`${origin}${path}`, {
    method,
    headers: { 'Accept-Language': 'ar', 'Content-Type': 'application/json' },
    ...(method === 'POST' ? { body: '{"word":"ä"}' } : {}),
  });

it('hands a post of events to whoever answers it, and sends the answer as it is', async () => {
  const heard: (string | null)[] = [];
  place.value = async ({ head, bytes, hasLeft }) => {
    heard.push(head.get('accept-language'), head.get('origin'), String(hasLeft()));
    heard.push((await bytes()).toString());
    return { status: 409, headers: { 'Cache-Control': 'no-store' }, body: '{"say":"é"}' };
  };
  const answer = await post();
  expect(answer.status).toBe(409);
  expect(answer.headers.get('cache-control')).toBe('no-store');
  expect(answer.headers.get('content-length')).toBe('12');
  expect(await answer.json()).toEqual({ say: 'é' });
  expect(heard).toEqual(['ar', null, 'false', '{"word":"ä"}']);
});

it('leaves everything else to the framework', async () => {
  place.value = () => Promise.reject(new Error('was asked'));
  for (const [path, method] of [
    [PATH, 'GET'],
    [PATH, 'PUT'],
    [`${PATH}/`, 'POST'],
    [`${PATH}?a`, 'POST'],
    ['/api/v1/patient/pack', 'POST'],
  ] as const)
    expect([path, method, (await post(path, method)).status]).toEqual([path, method, 418]);
});

it('leaves it all to the framework as long as nobody answers', async () => {
  expect((await post()).status).toBe(418);
});

it('says that whoever asked has left, once they have', async () => {
  let ended: (left: boolean) => void = () => undefined;
  const left = new Promise<boolean>((resolve) => {
    ended = resolve;
  });
  const leaving = new AbortController();
  place.value = async ({ bytes, hasLeft }) => {
    await bytes();
    leaving.abort();
    while (!hasLeft()) await new Promise(setImmediate);
    ended(hasLeft());
    return { status: 200, headers: {}, body: '' };
  };
  await expect(
    fetch(`${origin}${PATH}`, { method: 'POST', body: '{}', signal: leaving.signal }),
  ).rejects.toThrow();
  expect(await left).toBe(true);
});
