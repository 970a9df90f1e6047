import { readdirSync } from 'node:fs';
import { join } from 'node:path';
import { inArray, sql } from 'drizzle-orm';
import { closeDatabase } from '@/db';
import { read } from '@/db/door';
import { auditEvent } from '@/db/schema';
import { ownDomain } from '../support/clinic';
import { ROOT, type TestServer, sharedServer } from '../support/server';
import { PAGES } from './pages-table';
import { ROUTES } from './routes-table';
import {
  EVERYBODY,
  type Identity,
  MEMBERS,
  NAME,
  makeWorld,
  whileFactorIsWanted,
  world,
} from './world';

/**
 * Walks every route and every page with every wrong identity and finds each refused, with nothing
 * changed. A route or page that is not in the tables below fails the walk.
 */
let server: TestServer;

beforeAll(async () => {
  server = sharedServer();
  await makeWorld(server.data, null, ownDomain);
}, 900_000);

afterAll(() => closeDatabase());

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

/** Events of the two clinics; others use the server too. */
async function auditCount(): Promise<number> {
  const rows = await read((db) =>
    db
      .select({ n: sql<number>`count(*)` })
      .from(auditEvent)
      .where(inArray(auditEvent.clinicId, world.clinicIds)),
  );
  return rows[0]?.n ?? -1;
}

/** Those who carry nothing that such pages read: to them they all are the same strangers. */
const WITHOUT_SESSION: Record<'clinic' | 'phone', readonly Identity[]> = {
  clinic: ['patient', 'other patient', 'patient with an ended link', 'signed-out member'],
  phone: [...MEMBERS, 'other clinic’s lead', 'signed-out member'],
};

describe('every route', () => {
  it('is in the table, and nothing else is', () => {
    const routes = filesNamed('route.ts').map((path) => path.replace(/^api\/v1\//, ''));
    // They tell nothing of anybody.
    const open = ['figures/[exercise]/[side]', 'healthz', 'readyz'];
    // Answered by a key alone, whoever is signed in: `read-api.test.ts`.
    const byKey = ['api/fhir/[type]', 'api/fhir/[type]/[id]', 'api/fhir/metadata'];
    expect(routes.sort()).toEqual([...Object.keys(ROUTES), ...open, ...byKey].sort());
  });

  it('draws a catalogue exercise for anybody, and nothing else', async () => {
    const ask = (path: string) => fetch(`${server.origin}/figures/${path}`);
    const drawn = await ask('tuck-lying/right');
    expect([drawn.status, drawn.headers.get('content-type')]).toEqual([200, 'image/svg+xml']);
    expect(await drawn.text()).toMatch(/^<svg /);
    for (const path of [
      'tuck-lying/up',
      'nothing/right',
      '__proto__/left',
      'constructor/right',
      'toString/left',
      `${world.exerciseId}/right`,
    ])
      expect((await ask(path)).status).toBe(404);
  });

  // What each identity may, and what is written, is asked of the handlers themselves
  // (tests/database/routes.test.ts); here it is enough that they stand behind the addresses.
  it('refuses a stranger, and another site’s page, at its address', async () => {
    const before = await auditCount();
    // A third of them here, the others by the handlers alone and in `npm run long`.
    const asked = Object.entries(ROUTES).filter((_, at) => process.env.EVERY_CASE || at % 3 === 0);
    for (const [route, rule] of asked) {
      if (!rule.open) expect([route, (await call(route, 'nobody')).status]).toEqual([route, 401]);
      if (rule.method === 'GET') continue;
      const elsewhere = { origin: 'https://elsewhere.example', 'sec-fetch-site': 'cross-site' };
      const response = await call(route, 'lead', elsewhere);
      expect([route, response.status]).toEqual([route, 403]);
    }
    expect(await auditCount()).toBe(before);
  });
});

describe('every page', () => {
  it('is in the table, and nothing else is', () => {
    expect(filesNamed('page.tsx').sort()).toEqual(Object.keys(PAGES).sort());
  });

  const asks = Object.entries(PAGES).flatMap(([page, { may }], at) => {
    const [first] = may;
    const alike = WITHOUT_SESSION[page.startsWith('(patient)') ? 'phone' : 'clinic'];
    // Those who may see the same. Who may not is asked for, each of them in `npm run long`; those whom one
    // look at the session refuses are asked for by turns, a page one of them.
    const turn = alike[at % alike.length];
    return EVERYBODY.filter((who) =>
      may.includes(who)
        ? who === first
        : process.env.EVERY_CASE || !alike.includes(who) || who === turn,
    ).map((who) => [page, who] as const);
  });
  it.each(asks)('%s shows %s only what they may see', async (page, who) => {
    const rule = PAGES[page];
    if (!rule) throw new Error('not in the table');
    const response = await fetch(`${server.origin}${rule.path()}`, {
      headers: { cookie: world.ids[who] },
      redirect: 'manual',
    });
    const text = await response.text();
    const refused =
      [307, 404].includes(response.status) || /NEXT_REDIRECT|NEXT_HTTP_ERROR/.test(text);
    if (rule.may.includes(who)) {
      // A file leads on to the step that is next.
      const on = response.headers.get('location') ?? '';
      const leadsOn = response.status === 307 && on.startsWith(`${rule.path()}/`);
      expect([page, who, leadsOn || (response.status === 200 && !refused)]).toEqual([
        page,
        who,
        true,
      ]);
      return;
    }
    expect(text).not.toContain(NAME);
    expect(text).not.toContain(world.patientId === '' ? '-' : 'lead of harbour');
    const pagesOfOne = [
      '(clinic)',
      '(clinic)/patients/import',
      '(clinic)/patients/new',
      '(clinic)/clinic',
      '(clinic)/clinic/outbox',
      '(clinic)/evidence',
      '(clinic)/exercises',
      '(clinic)/exercises/pictures',
      '(clinic)/exercises/programmes',
      '(clinic)/exercises/about/[id]',
      '(clinic)/exercises/new',
      '(clinic)/exercises/prescribe',
    ].includes(page);
    const guarded = rule.may.length > 0 && page.startsWith('(clinic)');
    if (guarded && !(pagesOfOne && who === 'other clinic’s lead'))
      expect([page, who, refused]).toEqual([page, who, true]);
  });

  it('is closed to members who have not set up the second factor that their clinic wants', async () => {
    await whileFactorIsWanted(async () => {
      for (const [page, { may, path }] of Object.entries(PAGES)) {
        const who = page.startsWith('(clinic)') ? may[0] : undefined;
        if (!who || page === '(clinic)/account/second-factor') continue;
        const response = await fetch(`${server.origin}${path()}`, {
          headers: { cookie: world.ids[who] },
          redirect: 'manual',
        });
        const text = await response.text();
        const leads = `${response.headers.get('location') ?? ''} ${text}`;
        expect([page, leads.includes('/account/second-factor')]).toEqual([page, true]);
        // Their own name may stand above it, nobody else's.
        for (const name of [NAME, 'practitioner of harbour'])
          expect([page, name, text.includes(name)]).toEqual([page, name, false]);
      }
    });
  });

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
