import { readdirSync } from 'node:fs';
import { join } from 'node:path';
import { randomUUID } from 'node:crypto';
import { sql } from 'drizzle-orm';
import { closeDatabase, insertAlert, write } from '@/db';
import { read } from '@/db/door';
import { auditEvent } from '@/db/schema';
import { revokeLink } from '@/server/links';
import { ROOT, type TestServer, startTestServer } from '../support/server';
import {
  PASSWORD,
  device,
  makeClinic,
  makePatient,
  member,
  prescribe,
  today,
  useDatabase,
} from '../support/clinic';

/**
 * Walks every route and every page with every wrong identity and finds each refused, with nothing
 * changed. A route or page that is not in the tables below fails the walk.
 */
let server: TestServer;
let ids: Record<Identity, string>;
let patientId: string;
let assistantId: string;

type Identity =
  | 'nobody'
  | 'lead'
  | 'practitioner'
  | 'assistant'
  | 'other clinic’s lead'
  | 'patient'
  | 'other patient'
  | 'patient with an ended link'
  | 'signed-out member';

const EVERYBODY: readonly Identity[] = [
  'nobody',
  'lead',
  'practitioner',
  'assistant',
  'other clinic’s lead',
  'patient',
  'other patient',
  'patient with an ended link',
  'signed-out member',
];
const LEAD: readonly Identity[] = ['lead'];
const PRACTITIONERS: readonly Identity[] = ['lead', 'practitioner'];
const MEMBERS: readonly Identity[] = ['lead', 'practitioner', 'assistant'];

const NAME = 'Wrasse Pelorus';

beforeAll(async () => {
  server = await startTestServer();
  await useDatabase(server.data);
  const [clinic, other] = [await makeClinic('harbour'), await makeClinic('inland')];
  const lead = await member(clinic.emails.lead);
  const practitioner = await member(clinic.emails.practitioner);
  const assistant = await member(clinic.emails.assistant);
  assistantId = assistant.id;
  const signedOut = await member(clinic.emails.lead);
  const { signOut } = await import('@/server/sign-in');
  await signOut(signedOut);
  patientId = await makePatient(practitioner, NAME);
  await prescribe(practitioner, patientId, [{ exerciseId: 'tuck-lying', dose: '10x10s' }]);
  await write(() => [
    insertAlert({
      clinicId: clinic.id,
      id: 'alert-1',
      patientId,
      kind: 'conflicting log',
      createdAt: 1,
    }),
  ]);
  const here = await device(practitioner, patientId);
  const otherPatient = await makePatient(practitioner, 'Somebody Else');
  const ended = await device(practitioner, await makePatient(practitioner, 'Ended'));
  await revokeLink(practitioner, ended.id);
  ids = {
    nobody: '',
    lead: `dl_member=${lead.token}`,
    practitioner: `dl_member=${practitioner.token}`,
    assistant: `dl_member=${assistant.token}`,
    'other clinic’s lead': `dl_member=${(await member(other.emails.lead)).token}`,
    patient: `dl_patient=${here.token}`,
    'other patient': `dl_patient=${(await device(practitioner, otherPatient)).token}`,
    'patient with an ended link': `dl_patient=${ended.token}`,
    'signed-out member': `dl_member=${signedOut.token}`,
  };
}, 60_000);

afterAll(async () => {
  closeDatabase();
  await server?.close();
});

type RouteRule = {
  /** Who may; everybody else must be refused. */
  readonly may: readonly Identity[];
  /** A valid record, aimed at the first clinic's patient. */
  readonly body: () => unknown;
  readonly method?: 'GET';
  /** May be called by anyone; refused only for a wrong secret. */
  readonly open?: true;
  /** Allowed, but a second clinic's lead acts in a clinic of their own. */
  readonly ownClinicOnly?: true;
};

const ROUTES: Readonly<Record<string, RouteRule>> = {
  'sign-in': {
    may: EVERYBODY,
    open: true,
    body: () => ({ email: 'lead@harbour.example', password: 'wrong' }),
  },
  'sign-out': { may: [], body: () => ({}) },
  'first-run': {
    may: EVERYBODY,
    open: true,
    body: () => ({
      code: 'wrong',
      clinic: { name: 'x', phone: '1', emergencyText: 'x', zone: 'UTC' },
      lead: { id: randomUUID(), name: 'x', email: 'x@x.example', password: PASSWORD },
    }),
  },
  patients: {
    may: PRACTITIONERS,
    ownClinicOnly: true,
    body: () => ({
      id: randomUUID(),
      name: 'New',
      complaint: 'Neck',
      zone: 'UTC',
      wakeMinute: 420,
      sleepMinute: 1320,
      minutesADay: null,
    }),
  },
  programmes: {
    may: PRACTITIONERS,
    body: () => ({
      patientId,
      basedOn: 1,
      effectiveFrom: today(1),
      reviewOn: null,
      rounds: 1,
      reason: '',
      lines: [{ lineage: null, exerciseId: 'tuck-lying', dose: '10x10s' }],
    }),
  },
  pauses: { may: PRACTITIONERS, body: () => ({ patientId, paused: false }) },
  links: { may: MEMBERS, body: () => ({ patientId }) },
  'links/revoke': { may: MEMBERS, body: () => ({ patientId }) },
  members: {
    may: LEAD,
    ownClinicOnly: true,
    body: () => ({
      id: randomUUID(),
      name: 'x',
      email: `${randomUUID()}@x.example`,
      role: 'assistant',
      password: PASSWORD,
    }),
  },
  'members/active': { may: LEAD, body: () => ({ memberId: assistantId, active: true }) },
  clinic: {
    may: LEAD,
    ownClinicOnly: true,
    body: () => ({ name: 'x', phone: '1', emergencyText: 'x', zone: 'UTC' }),
  },
  'alerts/acknowledge': { may: PRACTITIONERS, body: () => ({ alertId: 'alert-1' }) },
  'patient/open': {
    may: EVERYBODY,
    open: true,
    body: () => ({ token: 'a-token-that-was-never-issued' }),
  },
  'patient/events': {
    may: ['patient', 'other patient'],
    body: () => ({ sentAt: Date.now(), events: [eventBody()] }),
  },
  'patient/pack': { may: ['patient', 'other patient'], method: 'GET', body: () => null },
};

function eventBody() {
  return {
    id: randomUUID(),
    sessionId: randomUUID(),
    sessionKey: 'session-1',
    programmeId: randomUUID(),
    version: 1,
    deviceAt: Date.now(),
    offsetMs: 0,
    body: { type: 'started' },
  };
}

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
  return fetch(`${server.origin}/api/v1/${route}`, {
    method,
    headers: {
      cookie: ids[who],
      origin: server.origin,
      ...(method === 'POST' ? { 'content-type': 'application/json' } : {}),
      ...headers,
    },
    body: method === 'POST' ? JSON.stringify(rule.body()) : null,
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
    expect(routes.sort()).toEqual(Object.keys(ROUTES).sort());
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

  it.each(writes)('%s refuses what is no JSON, too large, or not its record', async (route) => {
    const who: Identity = route.startsWith('patient/') ? 'patient' : 'lead';
    const headers = { cookie: ids[who], origin: server.origin };
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
    order.sort((a, b) => Number(a.startsWith('links')) - Number(b.startsWith('links')));
    for (const route of order) {
      const who = ROUTES[route]?.may[0];
      if (!who) continue;
      expect([route, (await call(route, who)).status]).toEqual([route, 200]);
    }
  });
});

describe('every page', () => {
  /** Who may see the patient's name on it; 'free' shows nobody's. */
  const PAGES: Readonly<Record<string, { path: () => string; may: readonly Identity[] }>> = {
    '(clinic)': { path: () => '/', may: MEMBERS },
    '(clinic)/clinic': { path: () => '/clinic', may: LEAD },
    '(clinic)/patients/new': { path: () => '/patients/new', may: PRACTITIONERS },
    '(clinic)/patients/[id]': { path: () => `/patients/${patientId}`, may: MEMBERS },
    '(clinic)/patients/[id]/plan': { path: () => `/patients/${patientId}/plan`, may: MEMBERS },
    '(clinic)/patients/[id]/follow': { path: () => `/patients/${patientId}/follow`, may: MEMBERS },
    '(door)/sign-in': { path: () => '/sign-in', may: [] },
    '(door)/first-run': { path: () => '/first-run', may: [] },
    '(patient)/open': { path: () => '/open', may: [] },
    '(patient)/today': { path: () => '/today', may: ['patient'] },
  };

  it('is in the table, and nothing else is', () => {
    expect(filesNamed('page.tsx').sort()).toEqual(Object.keys(PAGES).sort());
  });

  it.each(Object.keys(PAGES).flatMap((page) => EVERYBODY.map((who) => [page, who] as const)))(
    '%s shows %s only what they may see',
    async (page, who) => {
      const rule = PAGES[page];
      if (!rule) throw new Error('not in the table');
      const response = await fetch(`${server.origin}${rule.path()}`, {
        headers: { cookie: ids[who] },
        redirect: 'manual',
      });
      const text = await response.text();
      if (!rule.may.includes(who)) {
        expect(text).not.toContain(NAME);
        expect(text).not.toContain(patientId === '' ? '-' : 'lead of harbour');
      }
      const guarded = rule.may.length > 0 && !rule.may.includes(who);
      const pagesOfOne =
        page === '(clinic)' || page === '(clinic)/patients/new' || page === '(clinic)/clinic';
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
          await fetch(`${server.origin}${path}`, { headers: { cookie: ids[who] } })
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
});
