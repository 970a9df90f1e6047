import { mkdirSync, mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { type Server, createServer } from 'node:http';
import type { AddressInfo } from 'node:net';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { brotliDecompressSync } from 'node:zlib';
import { squeeze } from '../lib/squeeze.mjs';
import { staticFiles } from './static-files.mjs';

const SCRIPT = 'export const words = "chin tuck";\n'.repeat(200);
let folder: string;
let server: Server;
let origin: string;

beforeAll(async () => {
  folder = mkdtempSync(join(tmpdir(), 'dry-lantern-static-'));
  mkdirSync(join(folder, 'static/chunks'), { recursive: true });
  writeFileSync(join(folder, 'static/chunks/a.js'), SCRIPT);
  writeFileSync(join(folder, 'static/chunks/small.js'), 'x');
  writeFileSync(join(folder, 'static/letters.woff2'), Buffer.alloc(5000, 7));
  writeFileSync(join(folder, 'secret.js'), 'not for anybody');
  await squeeze(join(folder, 'static'));
  const answer = staticFiles(join(folder, 'static'));
  server = createServer((request, response) =>
    answer(request, response, () => response.writeHead(404).end(`handed on ${request.url}`)),
  );
  await new Promise<void>((resolve) => server.listen(0, '127.0.0.1', resolve));
  origin = `http://127.0.0.1:${(server.address() as AddressInfo).port}`;
});
afterAll(async () => {
  await new Promise((resolve) => server.close(resolve));
  rmSync(folder, { recursive: true, force: true });
});

it('makes words small beside themselves, and leaves what is small already', () => {
  const small = readFileSync(join(folder, 'static/chunks/a.js.br'));
  expect(brotliDecompressSync(small).toString()).toBe(SCRIPT);
  expect(small.length).toBeLessThan(SCRIPT.length / 20);
  for (const name of ['chunks/small.js.br', 'letters.woff2.br'])
    expect(() => readFileSync(join(folder, 'static', name))).toThrow('ENOENT');
});

const asked = (path: string, encoding: string) =>
  fetch(`${origin}${path}`, { headers: { 'accept-encoding': encoding } });

it('sends the small one to who reads it, the plain one to all others, and both for a year', async () => {
  const small = await asked('/_next/static/chunks/a.js?v=1', 'gzip, br');
  expect(small.headers.get('content-encoding')).toBe('br');
  expect(Number(small.headers.get('content-length'))).toBeLessThan(SCRIPT.length / 20);
  expect(await small.text()).toBe(SCRIPT);
  const plain = await asked('/_next/static/chunks/a.js', 'gzip');
  expect(plain.headers.get('content-encoding')).toBeNull();
  expect(await plain.text()).toBe(SCRIPT);
  for (const { headers } of [small, plain]) {
    expect(headers.get('content-type')).toMatch(/^(text|application)\/javascript/);
    expect(headers.get('cache-control')).toBe('public,max-age=31536000,immutable');
    expect(headers.get('vary')).toMatch(/accept-encoding/i);
  }
});

it.each([
  '/_next/static/chunks/none.js',
  '/_next/static/../secret.js',
  '/_next/static/%2e%2e/secret.js',
  '/_next/static/..%2fsecret.js',
  '/_next/staticky.js',
  '/today',
])('hands %s on as it was asked', async (path) => {
  const answer = await asked(path, 'br');
  expect(answer.status).toBe(404);
  expect(await answer.text()).toMatch(/^handed on \//);
});
