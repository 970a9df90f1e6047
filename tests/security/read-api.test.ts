import { randomUUID } from 'node:crypto';
import { Fhir } from 'fhir/fhir';
import type { Bundle, CapabilityStatement, CarePlan, FhirResource, Patient } from 'fhir/r4';
import { Client } from 'fhir-kit-client';
import { STORIES } from '../../scripts/demo/stories';
import { live } from '../../scripts/demo/simulate';
import { DAYS } from '../../scripts/demo/world';
import { NO_DETAILS } from '@/core/records';
import { addDays, dateRange } from '@/core/units';
import { closeDatabase, recordRows } from '@/db';
import { auditLines } from '@/server/audit-list';
import { detailsFor, saveDetails } from '@/server/details';
import { apiKeysFor, finishApiKey, makeApiKey } from '@/server/read-api/keys';
import { MOST_A_MINUTE } from '@/server/read-api/rate';
import { instant, makeClinic, makePatient, member, ownDomain, today } from '../support/clinic';
import { type TestServer, sharedServer } from '../support/server';
import { type Stage, fill, patientOf } from '../support/stage';

/** A clinic's own program reads its records, by a client that is not ours. */
const stage = {} as Stage;
let server: TestServer;
let patientId = '';
let token = '';
let keyId = '';

const NAME = 'Sorrel Underhaven';
const base = () => `${server.origin}/api/fhir`;
const client = (bearer = token) =>
  new Client({
    baseUrl: base(),
    customHeaders: bearer ? { Authorization: `Bearer ${bearer}` } : {},
  });
const ask = (path: string, init: RequestInit = {}) =>
  fetch(`${base()}/${path}`, {
    ...init,
    headers: { Authorization: `Bearer ${token}`, ...init.headers },
  });
const asked = async (path: string) => ({
  status: (await ask(path)).status,
  body: (await (await ask(path)).json()) as Bundle,
});
const found = (bundle: Bundle) =>
  (bundle.entry ?? []).map(({ resource }) => resource as FhirResource);

/** Every resource of a search, page after page. */
async function everyPage(
  resourceType: string,
  searchParams: Record<string, string | number>,
): Promise<FhirResource[]> {
  const fhir = client();
  let bundle = (await fhir.search({ resourceType, searchParams })) as unknown as Bundle;
  const all = found(bundle);
  for (;;) {
    const next = (await fhir.nextPage({ bundle } as never)) as Bundle | undefined;
    if (!next) return all;
    bundle = next;
    all.push(...found(bundle));
  }
}

async function newKey(): Promise<string> {
  keyId = randomUUID();
  return (await makeApiKey(stage.lead, { id: keyId, name: 'monthly report' })).token;
}

beforeAll(async () => {
  server = sharedServer();
  await fill(stage, server.data);
  const [story] = STORIES;
  if (!story) throw new Error('no story');
  const dates = dateRange(addDays(today(), 1 - DAYS), today());
  ({ patientId } = await live(story, 7, dates, () => member(stage.emails.practitioner), 24));
  await saveDetails(stage.practitioner, {
    patientId,
    basedOn: (await detailsFor(await patientOf(stage, patientId))).basedOn,
    details: { ...NO_DETAILS, phones: [], clinicNumber: 'R-2041' },
  });
  token = await newKey();
}, 240_000);
beforeEach(async () => {
  // Each test asks by a key of its own: what one asks leaves the others their minute.
  token = await newKey();
});
afterAll(() => closeDatabase());

const rowsOf = () => recordRows(stage.practitioner.clinicId, patientId as never);

it('says what it answers, to anybody, as the validator takes it', async () => {
  const statement = (await client('').capabilityStatement()) as unknown as CapabilityStatement;
  expect(statement).toMatchObject({ fhirVersion: '4.0.1', kind: 'instance' });
  const { messages } = new Fhir().validate(statement, { errorOnUnexpected: true });
  expect(messages.filter(({ severity }) => String(severity) === 'error')).toEqual([]);
});

it('reads a patient and finds one by POST, so that no name stands in an address', async () => {
  const read = (await client().read({ resourceType: 'Patient', id: patientId })) as Patient;
  expect(read.identifier?.[0]?.value).toBe('R-2041');
  const other = await makePatient(stage.practitioner, NAME);
  const search = (searchParams: Record<string, string>) =>
    client()
      .search({ resourceType: 'Patient', searchParams, options: { postSearch: true } })
      .then((bundle) => found(bundle as unknown as Bundle).map(({ id }) => id));
  expect(await search({ name: 'underhaven' })).toEqual([other]);
  expect(await search({ identifier: 'urn:dry-lantern:clinic-number|R-2041' })).toEqual([patientId]);
  expect(await search({ name: 'nobody of this name' })).toEqual([]);
  for (const query of ['name=Sorrel', 'identifier=R-2041', 'birthdate=1970-01-01'])
    expect((await asked(`Patient?${query}`)).status).toBe(400);
});

it('gives every measure and everything told, page after page, each once', async () => {
  const rows = await rowsOf();
  const all = await everyPage('Observation', { patient: patientId, _count: 17 });
  const told = rows.sessionEvent.filter(({ body }) =>
    ['daily', 'report', 'morning', 'weekly', 'check-in'].includes(body.type),
  );
  const empty = told.filter(
    ({ body }) =>
      (body.type === 'check-in' && body.pain === null) ||
      (body.type === 'daily' && body.worst === null) ||
      (body.type === 'weekly' && body.activities.length === 0),
  );
  const measured = rows.measurement.filter(({ details }) => details !== null);
  expect(all.length).toBe(measured.length + told.length - empty.length);
  expect(new Set(all.map(({ id }) => id)).size).toBe(all.length);
  const { messages } = new Fhir().validate(
    { resourceType: 'Bundle', type: 'collection', entry: all.map((resource) => ({ resource })) },
    { errorOnUnexpected: true },
  );
  expect(messages.filter(({ severity }) => String(severity) === 'error')).toEqual([]);
}, 60_000);

it('gives every session, and the days that were asked for', async () => {
  const all = await everyPage('Procedure', { patient: patientId, _count: 5 });
  const rows = await rowsOf();
  const sessions = new Set(
    rows.sessionEvent
      .filter(({ sessionKey }) => sessionKey !== 'day')
      .map(({ sessionId }) => sessionId),
  );
  expect(new Set(all.map(({ id }) => id))).toEqual(sessions);
  const days = [...new Set(rows.sessionEvent.map(({ localDate }) => localDate))].sort();
  const [from, to] = [days[3] ?? '', days[6] ?? ''];
  const some = await everyPage('Observation', {
    patient: patientId,
    date: `ge${from}`,
    _count: 200,
  });
  expect(some.length).toBeGreaterThan(0);
  const { body } = await asked(
    `Observation?patient=${patientId}&date=gt${from}&date=lt${to}&_count=200`,
  );
  const within = found(body).map((one) => (one as { effectiveDateTime: string }).effectiveDateTime);
  expect(within.length).toBeGreaterThan(0);
  // What is told of the day before may be about it.
  expect(within.every((day) => day >= from && day < to)).toBe(true);
}, 60_000);

it('gives the programme with its lines and their timing', async () => {
  const rows = await rowsOf();
  const plans = (await everyPage('CarePlan', { patient: patientId, _count: 1 })) as CarePlan[];
  expect(plans.length).toBe(rows.programmeVersion.length);
  expect(plans.flatMap(({ contained = [] }) => contained).length).toBe(rows.programmeLine.length);
  const [plan] = plans;
  const again = (await client().read({
    resourceType: 'CarePlan',
    id: plan?.id ?? '',
  })) as unknown as CarePlan;
  expect(again).toEqual(plan);
  expect(JSON.stringify(plan)).toContain('"periodUnit":"d"');
});

it.each([
  ['Observation', 400],
  ['Observation?patient=nobody', 400],
  [`Observation?patient=${randomUUID()}`, 404],
  ['Observation?patient=x&code=pain', 400],
  ['Procedure?date=yesterday', 400],
  ['Patient?_count=0', 400],
  ['Patient?_after=x', 400],
  ['Practitioner', 404],
  [`Patient/${randomUUID()}`, 404],
  ['CarePlan/x-v1', 404],
  ['Patient/..%2F..%2Fetc', 404],
])('%s is refused with %d, in FHIR’s own words', async (path, status) => {
  const { status: said, body } = await asked(path);
  expect([said, body.resourceType]).toEqual([status, 'OperationOutcome']);
});

it('answers nobody without a key, with another clinic’s, or with one that was ended', async () => {
  const status = async (bearer: string, path: string) =>
    (await fetch(`${base()}/${path}`, { headers: { Authorization: bearer } })).status;
  expect(await status('', `Patient/${patientId}`)).toBe(401);
  // Who is signed in is no key.
  const signedIn = await fetch(`${base()}/Patient/${patientId}`, {
    headers: { cookie: `member=${(await member(stage.emails.lead)).token}` },
  });
  expect(signedIn.status).toBe(401);
  expect(await status(`Bearer ${'x'.repeat(43)}`, `Patient/${patientId}`)).toBe(401);
  const { emails } = await makeClinic('elsewhere', ownDomain());
  const lead = await member(emails.lead);
  const theirs = (await makeApiKey(lead, { id: randomUUID(), name: 'theirs' })).token;
  expect(await status(`Bearer ${theirs}`, `Patient/${patientId}`)).toBe(404);
  expect(await status(`Bearer ${theirs}`, `CarePlan?patient=${patientId}`)).toBe(404);
  expect(await status(`Bearer ${token}`, `Patient/${patientId}`)).toBe(200);
  await finishApiKey(stage.lead, keyId);
  expect(await status(`Bearer ${token}`, `Patient/${patientId}`)).toBe(401);
});

it('keeps every use in the audit, and when a key was used last', async () => {
  await client().search({ resourceType: 'CarePlan', searchParams: { patient: patientId } });
  const lines = await auditLines(stage.lead, {
    show: 'changes',
    who: null,
    from: instant(0),
    to: instant(Date.now() + 60_000),
    before: Number.MAX_SAFE_INTEGER,
  });
  expect(JSON.stringify(lines)).toContain('the key “monthly report”');
  expect(JSON.stringify(lines)).toContain('read CarePlan');
  const mine = (await apiKeysFor(stage.lead)).find(({ id }) => id === keyId);
  expect(mine?.usedAt).not.toBeNull();
});

it('lets a key ask so often a minute, and no more (long)', async () => {
  const statuses: number[] = [];
  for (let nth = 0; nth <= 2 * MOST_A_MINUTE && !statuses.includes(429); nth += 1)
    statuses.push((await ask(`Patient/${patientId}`)).status);
  expect(statuses).toContain(429);
  expect(statuses.length).toBeGreaterThanOrEqual(MOST_A_MINUTE);
}, 60_000);
