import { readdirSync, rmSync } from 'node:fs';
import { join } from 'node:path';
import { closeDatabase } from '@/db';
import { type Instant, instantAt } from '@/core/schedule';
import { addDays, localDate } from '@/core/units';
import { setClock } from '@/server/clock';
import { ROUTES } from '../security/routes-table';
import {
  EVERYBODY,
  type Identity,
  MEMBERS,
  makeWorld,
  whileFactorIsWanted,
  world,
} from '../security/world';
import { ZONE, minute } from '../support/clinic';
import { comesWith } from '../support/next-headers';
import { ROOT, temporaryFolder } from '../support/server';
import { digest } from '../support/worked';
import { allRows, changedRows, namer, writeCounter } from '../support/tables';

/**
 * Every route with every identity, called as the framework calls it: who may not is refused and
 * nothing changes; for who may, what is answered and every row that it writes is kept beside this
 * file, and changes only on purpose.
 */
const ORIGIN = 'http://clinic.example';
const MONDAY = instantAt(ZONE, localDate('2026-11-23'), minute(600));
const folder = temporaryFolder('routes');
const handlers = new Map<string, (request: Request) => Promise<Response>>();
let clock: Instant = MONDAY;
let writes: ReturnType<typeof writeCounter>;

beforeAll(async () => {
  process.env.PUBLIC_URL = ORIGIN;
  await makeWorld(folder, () => clock);
  writes = writeCounter();
  for (const route of Object.keys(ROUTES)) {
    const module = (await import(join(ROOT, 'src/app/api/v1', route, 'route'))) as Record<
      string,
      (request: Request) => Promise<Response>
    >;
    const found = module[ROUTES[route]?.method ?? 'POST'];
    if (found) handlers.set(route, found);
  }
}, 300_000);

afterAll(() => {
  writes.close();
  setClock(null);
  closeDatabase();
  rmSync(folder, { recursive: true, force: true });
});

async function call(
  route: string,
  who: Identity,
  { body, headers = {} }: { body?: string; headers?: Record<string, string> } = {},
): Promise<Response> {
  const rule = ROUTES[route];
  const handler = handlers.get(route);
  if (!rule || !handler) throw new Error(`${route} is not in the table`);
  const method = rule.method ?? 'POST';
  const file = rule.file?.();
  comesWith(world.ids[who]);
  return handler(
    new Request(`${ORIGIN}/api/v1/${route}${rule.query?.() ?? ''}`, {
      method,
      headers: {
        origin: ORIGIN,
        cookie: world.ids[who],
        ...(method === 'POST' && !file ? { 'content-type': 'application/json' } : {}),
        ...headers,
      },
      ...(method === 'POST' && {
        body: file ? new Uint8Array(file) : (body ?? JSON.stringify(rule.body())),
      }),
    }),
  );
}

/** Runs something that may write nothing, to any table. */
async function writingNothing(work: () => Promise<void>): Promise<void> {
  const before = await writes.count();
  await work();
  expect(await writes.count()).toBe(before);
}

it('knows every route', () => {
  const found = readdirSync(join(ROOT, 'src/app/api/v1'), { recursive: true })
    .map((path) => String(path).replaceAll('\\', '/'))
    .filter((path) => path.endsWith('/route.ts'))
    .map((path) => path.slice(0, -'/route.ts'.length));
  expect([...handlers.keys()].sort()).toEqual(found.sort());
});

const refusals = Object.entries(ROUTES)
  .filter(([, rule]) => !rule.open)
  .map(([route, rule]) => {
    const own = rule.ownClinicOnly || route === 'sign-out' ? ['other clinic’s lead'] : [];
    const leaving: readonly Identity[] = route === 'sign-out' ? MEMBERS : [];
    const may: readonly string[] = [...rule.may, ...own, ...leaving];
    return [route, EVERYBODY.filter((who) => !may.includes(who))] as const;
  });

it.each(refusals)('%s refuses who may not, and nothing changes', async (route, everybody) => {
  await writingNothing(async () => {
    for (const who of everybody) {
      const response = await call(route, who);
      expect([401, 403, 404]).toContain(response.status);
      const answer = (await response.json()) as { ok: boolean; say: string };
      expect(answer).toMatchObject({ ok: false, say: expect.stringMatching(/\w+ \w+/) as string });
    }
  });
});

const writing = Object.keys(ROUTES).filter((route) => ROUTES[route]?.method !== 'GET');

it.each(writing)('%s refuses another site’s page, whoever is signed in', async (route) => {
  await writingNothing(async () => {
    for (const who of ['lead', 'patient'] as const)
      for (const site of ['cross-site', 'none']) {
        const headers = { origin: 'https://elsewhere.example', 'sec-fetch-site': site };
        expect((await call(route, who, { headers })).status).toBe(403);
      }
  });
});

it.each(writing.filter((route) => !ROUTES[route]?.file))(
  '%s refuses what is no JSON, too large, or not its record',
  async (route) => {
    const who: Identity = route.startsWith('patient/') ? 'patient' : 'lead';
    const status = async (body: string, headers: Record<string, string> = {}) =>
      (await call(route, who, { body, headers })).status;
    await writingNothing(async () => {
      expect(await status('{"a":1}', { 'content-type': 'text/plain' })).toBe(415);
      expect(await status('{not json')).toBe(400);
      expect(await status(JSON.stringify({ filler: 'x'.repeat(1_200_000) }))).toBe(413);
      expect(await status('{}', { 'content-length': '9000000' })).toBe(413);
      if (route !== 'sign-out') expect(await status('{"unexpected":true}')).toBe(400);
    });
  },
);

/** An answer longer than this is kept as its hash. */
const LONG_ANSWER = 1500;

/** What an answer says, without what chance makes anew. */
async function answerOf(response: Response, name: (text: string) => string): Promise<string> {
  const type = response.headers.get('content-type') ?? '';
  const cookies = response.headers.getSetCookie().map((cookie) => cookie.replace(/=[^;]*/, '=…'));
  const text = /pdf|image|zip/.test(type) ? `<${type}>` : name(await response.text());
  const said = text.length > LONG_ANSWER ? `<${text.length} characters, ${digest(text)}>` : text;
  const caching = response.headers.get('cache-control');
  return [response.status, caching, ...cookies, said].join(' | ');
}

/**
 * Rows that every request of a signed-in member or device brings up to date, and looks: every document
 * that is taken out is one of its own.
 */
const SEEN = /^[-+] (member_session|patient_device|file_look) /;

/**
 * A clinic's own things, which the newest words replace; deeds whose id is of what they act on; and a
 * new member or key, whose secret is told once: sent again it makes another, or is refused.
 */
const REPLACED: readonly string[] = [
  'api-keys',
  'api-keys/end',
  'members',
  'exercises',
  'exercises/retire',
  'templates',
  'templates/retire',
  'ready-programmes/offer',
];

/** Sends a record that has just been stored again: as it was, then with other words under its id. */
async function sentAgain(route: string, who: Identity, given: Record<string, unknown>) {
  const changes = async (body: string) => {
    const before = await allRows();
    const { status } = await call(route, who, { body });
    const rows = changedRows(before, await allRows()).filter((row) => !SEEN.test(row));
    return { refused: status >= 400, rows: rows.length };
  };
  expect([route, await changes(JSON.stringify(given))]).toEqual([
    route,
    { refused: false, rows: 0 },
  ]);
  const told: string[] = [];
  for (const word of freeWordsOf(given)) {
    const other = JSON.stringify(given, (key, value: unknown) =>
      key === word && typeof value === 'string' ? `${value} otherwise` : value,
    );
    expect([route, word, await changes(other)]).toEqual([route, word, { refused: true, rows: 0 }]);
    told.push(`${route}: ${word}`);
  }
  for (const [path, other] of changedLeaves(given)) {
    if (MEANS_NOTHING.includes(`${route}: ${path}`)) continue;
    const { refused, rows } = await changes(JSON.stringify(other));
    // Told that it is kept, somebody believes it: then it is.
    expect([route, path, refused || rows > 0]).toEqual([route, path, true]);
  }
  return told;
}

/** A mark that is taken back is for no number of days. */
const MEANS_NOTHING = ['triage/marks: days'];

/** What says which record it is, and whose. */
const NAMES_IT = ['id', 'patientId'];

/** The record with one date, number, choice or tick changed, each in turn, by the path to it. */
function changedLeaves(given: Record<string, unknown>): [string, Record<string, unknown>][] {
  const other = (value: unknown) => {
    if (typeof value === 'number') return value + 1;
    if (typeof value === 'boolean') return !value;
    if (typeof value !== 'string') return undefined;
    if (/^\d{4}-\d\d-\d\d$/.test(value)) return addDays(localDate(value), 1);
    return CHOICES.find((all) => all.includes(value))?.find((one) => one !== value);
  };
  const found: [string, Record<string, unknown>][] = [];
  const visit = (value: unknown, path: readonly string[]) => {
    if (value !== null && typeof value === 'object') {
      for (const [key, inner] of Object.entries(value)) visit(inner, [...path, key]);
      return;
    }
    const becomes = other(value);
    if (becomes === undefined || NAMES_IT.includes(path.at(-1) ?? '')) return;
    const copy = structuredClone(given);
    let at: Record<string, unknown> = copy;
    for (const key of path.slice(0, -1)) at = at[key] as Record<string, unknown>;
    at[path.at(-1) ?? ''] = becomes;
    found.push([path.join('.'), copy]);
  };
  visit(given, []);
  return found;
}

/** Words of records of which one is chosen. */
const CHOICES: readonly (readonly string[])[] = [
  ['review', 'discharge'],
  ['accepted', 'declined'],
  ['done', 'snoozed', 'back'],
  ['left', 'right'],
  ['yes', 'no'],
  ['kg', 'lb'],
  ['ill', 'travel'],
  ['day', 'week'],
];

/** Where people write in their own words. */
const FREE_WORDS = ['what', 'why', 'say', 'text', 'words', 'note', 'reason', 'to', 'name', 'plan'];

/** Those of a record that are written, wherever in it. */
function freeWordsOf(given: unknown): string[] {
  const found = new Set<string>();
  JSON.stringify(given, (key, value: unknown) => {
    if (FREE_WORDS.includes(key) && typeof value === 'string' && !/^\d{4}-/.test(value))
      found.add(key);
    return value;
  });
  return [...found];
}

it('refuses every member while the second factor that their clinic wants is not set up', async () => {
  await whileFactorIsWanted(() =>
    writingNothing(async () => {
      for (const [route, { may, open }] of Object.entries(ROUTES)) {
        const who = open ? undefined : may.find((one) => MEMBERS.includes(one));
        // Setting it up, and going away again.
        if (!who || ['account/factor/begin', 'account/factor/confirm', 'sign-out'].includes(route))
          continue;
        const response = await call(route, who);
        expect([route, response.status]).toEqual([route, 403]);
        expect(await response.json()).toMatchObject({
          ok: false,
          say: 'Your clinic wants a second factor from everybody. Set yours up under Account first.',
        });
      }
    }),
  );
});

it('lets those in who may, and writes these rows', async () => {
  const name = namer();
  const toldApart: string[] = [];
  // Making links last: a new link ends the patient's devices.
  const order = Object.keys(ROUTES).filter(
    (route) => !['sign-out', 'first-run', 'patient/open'].includes(route),
  );
  // A programme is refused until the screening has been decided on; three are written in turn.
  // The calendar is read before a new address ends the old one.
  const rank = (route: string) =>
    ({ calendar: -1, 'proposals/send': 1, programmes: 2, 'keep-going': 3 })[route] ??
    (route.startsWith('links') ? 4 : 0);
  order.sort((a, b) => rank(a) - rank(b) || (a < b ? -1 : 1));
  const counted = await writes.count();
  for (const route of order) {
    const who = ROUTES[route]?.may.find((one) => one !== 'nobody');
    if (!who) continue;
    clock = (clock + 61_000) as Instant;
    const before = await allRows();
    const given = writing.includes(route) && !ROUTES[route]?.file ? ROUTES[route]?.body() : null;
    const body = given ? { body: JSON.stringify(given) } : {};
    const response = await call(route, who, body);
    const stored = response.status === 200 && given !== null && !REPLACED.includes(route);
    if (ROUTES[route]?.endless) await response.body?.cancel();
    const answer = ROUTES[route]?.endless
      ? `${response.status} | ${response.headers.get('content-type')}`
      : await answerOf(response, name);
    const rows = changedRows(before, await allRows());
    expect(name([answer, ...rows].join('\n'))).toMatchSnapshot(`${route} as ${who}`);
    const record = given as Record<string, unknown>;
    if (stored && typeof record.id === 'string')
      toldApart.push(...(await sentAgain(route, who, record)));
  }
  expect(toldApart).toMatchSnapshot('told apart from another record under the same id');
  // What the refusals are judged by does count.
  expect(await writes.count()).not.toBe(counted);
}, 300_000);
