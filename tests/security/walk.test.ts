import { readdirSync } from 'node:fs';
import { join } from 'node:path';
import { sql } from 'drizzle-orm';
import { closeDatabase } from '@/db';
import { read } from '@/db/door';
import { auditEvent } from '@/db/schema';
import { ROOT, type TestServer, startTestServer } from '../support/server';
import { PAGES, ROUTES } from './tables';
import { EVERYBODY, type Identity, MEMBERS, NAME, makeWorld, world } from './world';

/**
 * Walks every route and every page with every wrong identity and finds each refused, with nothing
 * changed. A route or page that is not in the tables below fails the walk.
 */
let server: TestServer;

beforeAll(async () => {
  server = await startTestServer();
  await makeWorld(server.data);
}, 900_000);

afterAll(async () => {
  closeDatabase();
  await server?.close();
});

function filesNamed(name: string): string[] {
  return readdirSync(join(ROOT, 'src/app'), { recursive: true })
    .map((path) => String(path).replaceAll('\\', '/'))
    .filter((path) => path.endsWith(name))
    .map((path) => path.slice(0, -name.length).replace(/\/$/, ''));
}

async function call(route: string, who: Identity, headers: Record<string, string> = {}) {
  const rule = ROUTES[route];
  if (!rule) throw new Error(`${route} is not in the table`);
  const method = rule.method ?? 'POST';
  const file = rule.file?.();
  return fetch(`${server.origin}/api/v1/${route}${rule.query?.() ?? ''}`, {
    method,
    headers: {
      cookie: world.ids[who],
      origin: server.origin,
      ...(method === 'POST' && !file ? { 'content-type': 'application/json' } : {}),
      ...headers,
    },
    body: file ? new Uint8Array(file) : method === 'POST' ? JSON.stringify(rule.body()) : null,
    redirect: 'manual',
  });
}

async function auditCount(): Promise<number> {
  const rows = await read((db) => db.select({ n: sql<number>`count(*)` }).from(auditEvent));
  return rows[0]?.n ?? -1;
}

describe('every route', () => {
  it('is in the table, and nothing else is', () => {
    const routes = filesNamed('route.ts').map((path) => path.replace(/^api\/v1\//, ''));
    const open = ['figures/[exercise]/[side]'];
    expect(routes.sort()).toEqual([...Object.keys(ROUTES), ...open].sort());
  });

  it('draws a catalogue exercise for anybody, and nothing else', async () => {
    const ask = (path: string) => fetch(`${server.origin}/figures/${path}`);
    const drawn = await ask('tuck-lying/right');
    expect([drawn.status, drawn.headers.get('content-type')]).toEqual([200, 'image/svg+xml']);
    expect(await drawn.text()).toMatch(/^<svg /);
    for (const path of ['tuck-lying/up', 'nothing/right', `${world.exerciseId}/right`])
      expect((await ask(path)).status).toBe(404);
  });

  const refusals = Object.entries(ROUTES)
    .filter(([, rule]) => !rule.open)
    .flatMap(([route, rule]) =>
      EVERYBODY.filter((who) => !rule.may.includes(who))
        .filter((who) => !(rule.ownClinicOnly && who === 'other clinic’s lead'))
        .filter(
          (who) => !(route === 'sign-out' && MEMBERS.concat('other clinic’s lead').includes(who)),
        )
        .map((who) => [route, who] as const),
    );
  it.each(refusals)('%s refuses %s, and nothing changes', async (route, who) => {
    const before = await auditCount();
    const response = await call(route, who);
    expect([401, 403, 404]).toContain(response.status);
    const answer = (await response.json()) as { ok: boolean; say: string };
    expect(answer.ok).toBe(false);
    expect(answer.say).toMatch(/\w+ \w+/);
    expect(await auditCount()).toBe(before);
  });

  const writes = Object.keys(ROUTES).filter((route) => ROUTES[route]?.method !== 'GET');
  it.each(writes)('%s refuses another site’s page, whoever is signed in', async (route) => {
    for (const who of ['lead', 'patient'] as const) {
      const before = await auditCount();
      const response = await call(route, who, {
        origin: 'https://elsewhere.example',
        'sec-fetch-site': 'cross-site',
      });
      expect(response.status).toBe(403);
      expect(await auditCount()).toBe(before);
    }
  });

  const records = writes.filter((route) => !ROUTES[route]?.file);
  it.each(records)('%s refuses what is no JSON, too large, or not its record', async (route) => {
    const who: Identity = route.startsWith('patient/') ? 'patient' : 'lead';
    const headers = { cookie: world.ids[who], origin: server.origin };
    const send = (body: string, type = 'application/json') =>
      fetch(`${server.origin}/api/v1/${route}`, {
        method: 'POST',
        headers: { ...headers, 'content-type': type },
        body,
      });
    expect((await send('{"a":1}', 'text/plain')).status).toBe(415);
    expect((await send('{not json')).status).toBe(400);
    expect((await send(JSON.stringify({ filler: 'x'.repeat(1_200_000) }))).status).toBe(413);
    if (route !== 'sign-out') expect((await send('{"unexpected":true}')).status).toBe(400);
  });

  it('lets those in who may', async () => {
    // Making links last: a new link ends the patient's devices.
    const order = Object.keys(ROUTES).filter(
      (route) => !['sign-out', 'sign-in', 'first-run', 'patient/open'].includes(route),
    );
    // A programme is refused until the screening has been decided on; three are written in turn.
    // The calendar is read before a new address ends the old one.
    const rank = (route: string) =>
      ({ calendar: -1, 'proposals/send': 1, programmes: 2, 'keep-going': 3 })[route] ??
      (route.startsWith('links') ? 4 : 0);
    order.sort((a, b) => rank(a) - rank(b));
    for (const route of order) {
      const who = ROUTES[route]?.may[0];
      if (!who) continue;
      expect([route, (await call(route, who)).status]).toEqual([route, 200]);
    }
  });
});

describe('every page', () => {
  it('is in the table, and nothing else is', () => {
    expect(filesNamed('page.tsx').sort()).toEqual(Object.keys(PAGES).sort());
  });

  it.each(Object.keys(PAGES).flatMap((page) => EVERYBODY.map((who) => [page, who] as const)))(
    '%s shows %s only what they may see',
    async (page, who) => {
      const rule = PAGES[page];
      if (!rule) throw new Error('not in the table');
      const response = await fetch(`${server.origin}${rule.path()}`, {
        headers: { cookie: world.ids[who] },
        redirect: 'manual',
      });
      const text = await response.text();
      if (!rule.may.includes(who)) {
        expect(text).not.toContain(NAME);
        expect(text).not.toContain(world.patientId === '' ? '-' : 'lead of harbour');
      }
      const guarded = rule.may.length > 0 && !rule.may.includes(who);
      const pagesOfOne = [
        '(clinic)',
        '(clinic)/patients/new',
        '(clinic)/clinic',
        '(clinic)/clinic/outbox',
        '(clinic)/exercises',
        '(clinic)/exercises/pictures',
        '(clinic)/exercises/new',
      ].includes(page);
      if (
        guarded &&
        page.startsWith('(clinic)') &&
        !(pagesOfOne && who === 'other clinic’s lead')
      ) {
        const refused =
          [307, 404].includes(response.status) || /NEXT_REDIRECT|NEXT_HTTP_ERROR/.test(text);
        expect([page, who, refused]).toEqual([page, who, true]);
      }
    },
  );

  it.each(['(clinic)', '(clinic)/patients/[id]/plan', '(clinic)/patients/[id]/follow'])(
    '%s does show the name to those who may see it',
    async (page) => {
      for (const who of MEMBERS) {
        const path = PAGES[page]?.path() ?? '';
        const text = await (
          await fetch(`${server.origin}${path}`, { headers: { cookie: world.ids[who] } })
        ).text();
        expect(text).toContain(NAME);
      }
    },
  );

  it('carries a strict policy with a nonce of its own', async () => {
    const policies = await Promise.all(
      ['/sign-in', '/sign-in'].map(
        async (path) => (await fetch(`${server.origin}${path}`)).headers,
      ),
    );
    const [one, two] = policies.map((headers) => headers.get('content-security-policy') ?? '');
    expect(one).toMatch(/script-src 'self' 'nonce-[^']+' 'strict-dynamic';/);
    expect(one).toContain("frame-ancestors 'none'");
    expect(one).not.toMatch(/script-src[^;]*unsafe/);
    expect(one).not.toBe(two);
    expect(policies[0]?.get('referrer-policy')).toBe('no-referrer');
    expect(policies[0]?.get('x-content-type-options')).toBe('nosniff');
  });

  it('has no script without the nonce', async () => {
    const response = await fetch(`${server.origin}/sign-in`);
    const nonce =
      /'nonce-([^']+)'/.exec(response.headers.get('content-security-policy') ?? '')?.[1] ?? 'none';
    const scripts = (await response.text()).match(/<script[^>]*>/g) ?? [];
    expect(scripts.length).toBeGreaterThan(0);
    expect(scripts.filter((tag) => !tag.includes(nonce))).toEqual([]);
  });

  it('opens no calendar for an address that was never issued', async () => {
    for (const query of ['?token=a-token-that-was-never-issued', '?token=', ''])
      expect((await fetch(`${server.origin}/api/v1/calendar${query}`)).status).toBe(404);
  });
});
