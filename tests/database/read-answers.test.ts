import { randomUUID } from 'node:crypto';
import type { Bundle, OperationOutcome } from 'fhir/r4';
import { MOST_API_KEYS } from '@/core/records';
import { auditOf } from '@/db';
import { now, setClock } from '@/server/clock';
import { capability, readById, searchByAddress, searchByBody } from '@/server/read-api/answer';
import { apiKeysFor, finishApiKey, makeApiKey } from '@/server/read-api/keys';
import { MOST_A_MINUTE } from '@/server/read-api/rate';
import { makeClinic, makePatient, member, ownDomain, prescribe } from '../support/clinic';
import { databaseStage } from '../support/stage';

/** What another system of the clinic is answered, by the key that it comes with. */
const stage = databaseStage('read-answers');
const BASE = 'http://clinic.example/api/fhir';
const key = { id: '', token: '' };
const patients: string[] = [];

async function newKey(name = 'report') {
  const id = randomUUID();
  return { id, token: (await makeApiKey(stage.lead, { id, name })).token };
}

beforeAll(async () => {
  for (const name of ['Nessa Brine', 'Nessa Cobble'])
    patients.push(await makePatient(stage.practitioner, name));
  await prescribe(stage.practitioner, patients[0] ?? '', [
    { exerciseId: 'tuck-lying', dose: '10x10s gap 5s' },
  ]);
});
// Each test asks by a key of its own: a key has its own minute.
beforeEach(async () => {
  Object.assign(key, await newKey());
});

const asked = (path: string, init: RequestInit = {}, token = key.token) =>
  new Request(`${BASE}/${path}`, {
    ...init,
    headers: {
      host: 'clinic.example',
      ...(token ? { authorization: `Bearer ${token}` } : {}),
      ...(init.headers as Record<string, string> | undefined),
    },
  });
const get = (path: string, token?: string) => {
  const request = asked(path, {}, token);
  const [type = '', id] = (path.split('?')[0] ?? '').split('/');
  return id === undefined ? searchByAddress(request, type) : readById(request, type, id);
};
const post = (type: string, body: string, kind = 'application/x-www-form-urlencoded') =>
  searchByBody(
    asked(`${type}/_search`, { method: 'POST', body, headers: { 'content-type': kind } }),
    type,
  );
const bundleOf = async (answer: Response) => (await answer.json()) as Bundle;
const linkOf = ({ link = [] }: Bundle, relation: string) =>
  link.find((one) => one.relation === relation)?.url;
const problemOf = async (answer: Response) => {
  const { issue } = (await answer.json()) as OperationOutcome;
  return [answer.status, issue[0]?.code, issue[0]?.diagnostics];
};
const [one, other] = [() => patients[0] ?? '', () => patients[1] ?? ''];

it('is kept nowhere, and is FHIR as JSON', async () => {
  const answer = await get(`Patient/${one()}`);
  expect(answer.status).toBe(200);
  expect(Object.fromEntries(answer.headers)).toEqual({
    'content-type': 'application/fhir+json; charset=utf-8',
    'cache-control': 'no-store',
    'x-content-type-options': 'nosniff',
  });
  expect(await answer.json()).toMatchObject({ resourceType: 'Patient', id: one() });
});

it('says to anybody what can be asked for, and nothing of anybody', async () => {
  const answer = capability(asked('metadata', {}, ''));
  expect(answer.status).toBe(200);
  expect(await answer.json()).toMatchObject({
    resourceType: 'CapabilityStatement',
    implementation: { url: BASE },
  });
});

describe('a search', () => {
  it('says where it was asked, and where the next page is', async () => {
    const first = await bundleOf(await get(`Patient?_count=1`));
    expect(linkOf(first, 'self')).toBe(`${BASE}/Patient?_count=1`);
    const next = linkOf(first, 'next') ?? '';
    expect(new URL(next).searchParams.get('_count')).toBe('1');
    const second = await bundleOf(await get(next.slice(BASE.length + 1)));
    expect(linkOf(second, 'next')).toBeUndefined();
    const ids = [first, second].flatMap(({ entry = [] }) =>
      entry.map(({ resource }) => resource?.id),
    );
    expect([...ids].sort()).toEqual([...patients].sort());
  });

  it('by POST keeps what is known of a person out of every address', async () => {
    const found = await bundleOf(await post('Patient', 'name=nessa&_count=1'));
    expect(found.entry).toHaveLength(1);
    expect(linkOf(found, 'self')).toBe(`${BASE}/Patient`);
    expect(linkOf(found, 'next')).toBeUndefined();
    expect(JSON.stringify(found.link)).not.toContain('nessa');
  });

  it('by POST gives the next page of one patient’s by an address', async () => {
    await prescribe(
      stage.practitioner,
      one(),
      [{ exerciseId: 'tuck-lying', dose: '10x15s gap 5s' }],
      { basedOn: 1, reason: 'held longer' },
    );
    const found = await bundleOf(
      await post('CarePlan', `patient=${one()}&date=ge2020-01-01&date=le2090-01-01&_count=1`),
    );
    const next = new URL(linkOf(found, 'next') ?? '');
    expect(next.pathname).toBe('/api/fhir/CarePlan');
    expect([...next.searchParams]).toEqual([
      ['patient', one()],
      ['date', 'ge2020-01-01'],
      ['date', 'le2090-01-01'],
      ['_count', '1'],
      ['_after', found.entry?.[0]?.resource?.id],
    ]);
    const then = await bundleOf(await get(next.href.slice(BASE.length + 1)));
    expect(then.entry).toHaveLength(1);
    expect(then.entry?.[0]?.resource?.id).not.toBe(found.entry?.[0]?.resource?.id);
    expect(linkOf(then, 'next')).toBeUndefined();
  });

  it('by POST is a form, of a bounded length', async () => {
    expect(await problemOf(await post('Patient', '{}', 'application/json'))).toEqual([
      400,
      'invalid',
      'A search is posted as application/x-www-form-urlencoded.',
    ]);
    const most = 8 * 1024;
    const long = `name=${'x'.repeat(most - 5)}`;
    expect((await post('Patient', long)).status).toBe(200);
    const tooLong = [413, 'invalid', 'This search is too long.'];
    expect(await problemOf(await post('Patient', `${long}x`))).toEqual(tooLong);
    const said = (length: number) =>
      searchByBody(
        asked('Patient/_search', {
          method: 'POST',
          body: 'name=x',
          headers: {
            'content-type': 'application/x-www-form-urlencoded',
            'content-length': String(length),
          },
        }),
        'Patient',
      );
    expect((await said(most)).status).toBe(200);
    expect(await problemOf(await said(most + 1))).toEqual(tooLong);
  });
});

describe('what is not answered', () => {
  it('is a kind, a name or a record that there is not', async () => {
    expect(await problemOf(await get('Medication?patient=x'))).toEqual([
      404,
      'not-found',
      'There is nothing to read of this kind: Patient, CarePlan, Observation, Procedure.',
    ]);
    expect((await problemOf(await get('Patient?weight=9')))[1]).toBe('invalid');
    const none = [404, 'not-found', 'There is no such record in your clinic.'];
    expect(await problemOf(await get(`Patient/${randomUUID()}`))).toEqual(none);
    expect(await problemOf(await readById(asked('Patient/x'), 'Patient', 'x/../y'))).toEqual(none);
    expect(await problemOf(await readById(asked('Patient/x'), 'Patient', 'x'.repeat(81)))).toEqual(
      none,
    );
    for (const type of ['Observation', 'Procedure'])
      expect((await problemOf(await get(`${type}/${one()}`)))[2]).toBe(
        `Search for ${type} by patient: it is not read by itself.`,
      );
  });

  it('is what comes without a key that holds, and the answer says how to come', async () => {
    const unknown = [
      401,
      'login',
      'This key is unknown or was ended. Ask the clinic’s lead for one.',
    ];
    for (const token of ['', 'x'.repeat(43), 'short']) {
      const answer = await get(`Patient/${one()}`, token);
      expect(answer.headers.get('www-authenticate')).toBe('Bearer');
      expect(await problemOf(answer)).toEqual(unknown);
    }
    await finishApiKey(stage.lead, key.id);
    expect(await problemOf(await get(`Patient/${one()}`))).toEqual(unknown);
  });

  it('is another clinic’s', async () => {
    const { emails } = await makeClinic('answers-elsewhere', ownDomain());
    const lead = await member(emails.lead);
    const { token } = await makeApiKey(lead, { id: randomUUID(), name: 'theirs' });
    for (const path of [`Patient/${one()}`, `CarePlan?patient=${one()}`])
      expect((await get(path, token)).status).toBe(404);
    expect((await bundleOf(await get('Patient', token))).entry).toBeUndefined();
  });

  it('is what a key asks above so much a minute, until it is over', async () => {
    const at = now();
    setClock(() => at);
    for (let nth = 0; nth < MOST_A_MINUTE; nth += 1)
      expect((await get('Nothing')).status).toBe(404);
    const answer = await get('Nothing');
    expect(answer.headers.get('retry-after')).toBe('60');
    expect((await problemOf(answer)).slice(0, 2)).toEqual([429, 'throttled']);
    setClock(null);
  });

  it('is what is guessed from one address too often', async () => {
    const guess = () => get('Patient', 'y'.repeat(43));
    const statuses: number[] = [];
    for (let nth = 0; nth < 62; nth += 1) statuses.push((await guess()).status);
    expect((await problemOf(await guess()))[2]).toBe(
      'Too many attempts. Wait up to 15 minutes, then try again.',
    );
    expect(statuses.lastIndexOf(401)).toBeLessThan(60);
    expect(statuses.at(-1)).toBe(429);
    // Whoever has a key is not kept waiting by those who guess.
    expect((await get(`Patient/${one()}`)).status).toBe(200);
  });
});

describe('the audit', () => {
  const read = async (subject: string) =>
    (await auditOf(stage.lead.clinicId, subject))
      .filter(({ actorId }) => actorId === key.id)
      .map(({ verb, subjectKind }) => [verb, subjectKind]);

  it('keeps nothing of what no id can be: it is refused before', async () => {
    const long = 'x'.repeat(200);
    expect(await problemOf(await get(`Observation?patient=Patient/${long}`))).toEqual([
      400,
      'invalid',
      '“patient” cannot be read.',
    ]);
    expect((await get(`Patient/${long}`)).status).toBe(404);
    expect(await read(long)).toEqual([]);
  });

  it('says of every use whose record was read, or that it was the clinic’s', async () => {
    await get(`Patient/${other()}`);
    await get(`CarePlan?patient=${other()}`);
    await get(`Observation?subject=Patient/${other()}`);
    expect((await read(other())).sort()).toEqual([
      ['read CarePlan', 'patient'],
      ['read Observation', 'patient'],
      ['read Patient', 'patient'],
    ]);
    await get('Patient');
    await post('Patient', 'name=nessa');
    expect(await read('')).toEqual([
      ['read Patient', 'clinic'],
      ['read Patient', 'clinic'],
    ]);
    const plan = (await bundleOf(await get(`CarePlan?patient=${one()}`))).entry?.[0]?.resource?.id;
    await get(`CarePlan/${plan}`);
    expect(await read(plan ?? '')).toEqual([['read CarePlan', 'CarePlan']]);
  });

  it('has nothing of what was not answered', async () => {
    await get(`CarePlan?patient=${randomUUID()}`);
    await get(`Patient/${randomUUID()}`);
    expect(await read('')).toEqual([]);
  });
});

describe('the keys of a clinic', () => {
  it('say when they were used last, and nothing that opens anything', async () => {
    const mine = async () => (await apiKeysFor(stage.lead)).find(({ id }) => id === key.id);
    expect(await mine()).toMatchObject({ name: 'report', usedAt: null, endedAt: null });
    await get(`Patient/${one()}`);
    expect((await mine())?.usedAt).not.toBeNull();
    expect(Object.keys((await mine()) ?? {})).toEqual([
      'id',
      'name',
      'createdAt',
      'endedAt',
      'usedAt',
    ]);
    await finishApiKey(stage.lead, key.id);
    const ended = (await mine())?.endedAt;
    expect(ended).not.toBeNull();
    await finishApiKey(stage.lead, key.id);
    expect((await mine())?.endedAt).toBe(ended);
  });

  it('are so many at once; one that is ended makes room', async () => {
    const { emails } = await makeClinic('many-keys', ownDomain());
    const lead = await member(emails.lead);
    const ids = Array.from({ length: MOST_API_KEYS }, () => randomUUID());
    for (const id of ids) await makeApiKey(lead, { id, name: 'one of many' });
    const more = () => makeApiKey(lead, { id: randomUUID(), name: 'one more' });
    await expect(more()).rejects.toMatchObject({
      status: 409,
      say: `A clinic has at most ${MOST_API_KEYS} keys at once. End one that is not used any more.`,
    });
    await finishApiKey(lead, ids[3] ?? '');
    await expect(more()).resolves.toBeDefined();
    await expect(more()).rejects.toMatchObject({ status: 409 });
  });
});
