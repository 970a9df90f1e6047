import { rmSync } from 'node:fs';
import { randomUUID } from 'node:crypto';
import { EVENTS_BODY_LIMIT } from '@/core/adherence';
import { closeDatabase, patientById } from '@/db';
import { now } from '@/server/clock';
import { revokeLink } from '@/server/links';
import { type PlainAnswer, answerEvents } from '@/server/patient/events';
import { chooseLanguage } from '@/server/patient/settings';
import { device, makeClinic, makePatient, member, prescribe, useDatabase } from '../support/clinic';
import { temporaryFolder } from '../support/server';

const ORIGIN = 'http://localhost:3000';
let folder: string;
let practitioner: Awaited<ReturnType<typeof member>>;
let here: Awaited<ReturnType<typeof device>>;

beforeAll(async () => {
  process.env.PUBLIC_URL = ORIGIN;
  folder = temporaryFolder('events-post');
  await useDatabase(folder);
  practitioner = await member((await makeClinic('tide')).emails.practitioner);
});
beforeEach(async () => {
  const patientId = await makePatient(practitioner);
  await prescribe(practitioner, patientId, [{ exerciseId: 'tuck-lying', dose: '10x10s' }]);
  here = await device(practitioner, patientId);
});
afterAll(() => {
  delete process.env.PUBLIC_URL;
  closeDatabase();
  rmSync(folder, { recursive: true, force: true });
});

let bodiesRead = 0;
/** A post as the server of scripts/serve hands it on. */
async function post(
  body: string,
  more: Readonly<Record<string, string | null>> = {},
): Promise<PlainAnswer & { readonly said: Record<string, unknown> }> {
  const values: Readonly<Record<string, string | null>> = {
    origin: ORIGIN,
    cookie: `dl_patient=${here.token}`,
    'content-type': 'application/json',
    'content-length': String(Buffer.byteLength(body)),
    ...more,
  };
  const answer = await answerEvents({
    head: { get: (name) => values[name] ?? null },
    bytes: async () => {
      bodiesRead += 1;
      return Buffer.from(body);
    },
    hasLeft: () => false,
  });
  return { ...answer, said: JSON.parse(answer.body) as Record<string, unknown> };
}
const started = () => ({
  id: randomUUID(),
  sessionId: randomUUID(),
  sessionKey: 'session-1',
  programmeId: randomUUID(),
  version: 1,
  deviceAt: now(),
  offsetMs: 0,
  body: { type: 'started' },
});
const posted = (events: readonly unknown[]) => JSON.stringify({ sentAt: now(), events });

it('names every event that is kept, once however often it comes', async () => {
  const event = started();
  for (let time = 0; time < 2; time += 1) {
    const answer = await post(posted([event]));
    expect(answer.status).toBe(200);
    expect(answer.said).toEqual({ ok: true, value: { stored: [event.id], conflicts: [] } });
  }
});

it('is kept by nobody on the way, and read as nothing else', async () => {
  expect((await post(posted([started()]))).headers).toEqual({
    'Cache-Control': 'no-store',
    'Content-Type': 'application/json',
    'Cross-Origin-Resource-Policy': 'same-origin',
    'Referrer-Policy': 'no-referrer',
    'X-Content-Type-Options': 'nosniff',
  });
});

it.each([
  ['another site', 403, { origin: 'https://elsewhere.example', 'sec-fetch-site': 'cross-site' }],
  ['nowhere', 403, { origin: null }],
  ['a phone without a link', 401, { cookie: null }],
  ['a phone with a link of somebody else’s making', 401, { cookie: 'dl_patient=made-up' }],
  ['a form', 415, { 'content-type': 'text/plain' }],
  ['one too large', 413, { 'content-length': String(EVENTS_BODY_LIMIT + 1) }],
] as const)('of %s is refused before it is read', async (_, status, head) => {
  const before = bodiesRead;
  const answer = await post(posted([started()]), head);
  expect([answer.status, answer.said.ok]).toEqual([status, false]);
  expect(answer.said.say).toMatch(/\w+ \w+/);
  expect(bodiesRead).toBe(before);
});

it('of one byte less is read', async () => {
  const answer = await post(posted([started()]), { 'content-length': String(EVENTS_BODY_LIMIT) });
  expect(answer.status).toBe(200);
});

it('is refused with its place where it is no record of events', async () => {
  const { status, said } = await post(posted([{ ...started(), offsetMs: 'late' }]));
  expect(status).toBe(400);
  expect(said.at).toEqual(['events', 0, 'offsetMs']);
  expect((await post('{not json')).status).toBe(400);
});

it('of a link that was ended is refused in the words of whoever reads it', async () => {
  await revokeLink(practitioner, here.patient.id);
  const refusal = async (accepted: string) =>
    (await post(posted([started()]), { 'accept-language': accepted })).said.say;
  expect(await refusal('en')).toMatch(/link/);
  expect(await refusal('de-AT,de;q=0.9')).not.toBe(await refusal('en'));
  expect(await refusal('xx')).toBe(await refusal('en'));
});

it('is refused in the patient’s own language, whatever the browser asks for', async () => {
  await chooseLanguage(here, 'de');
  expect((await patientById(here.clinicId, here.patient.id))?.language).toBe('de');
  const wrong = { 'content-type': 'text/plain', 'accept-language': 'ar' };
  const german = (await post('{}', wrong)).said.say;
  expect(german).toMatch(/\b(nicht|wurde)\b/);
});
