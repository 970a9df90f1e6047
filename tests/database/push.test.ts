import { createECDH, createPublicKey, randomBytes, verify } from 'node:crypto';
import { type IncomingHttpHeaders, createServer } from 'node:http';
import type { AddressInfo } from 'node:net';
import ece from 'http_ece';
import { pushServerOf, pushSubscriptionsOf } from '@/db';
import { now, setClock } from '@/server/clock';
import { sendDue, simulatedSender } from '@/server/patient/outbox';
import { pushSender } from '@/server/push/sender';
import { keepPhone, pushKeyOf, switchPush } from '@/server/push/settings';
import { device, makePatient } from '../support/clinic';
import { dueMessage } from '../support/due-message';
import { databaseStage } from '../support/stage';

/** Reminders that a phone shows by itself, tried against a stand-in for the service of its maker. */
const stage = databaseStage('push');
type Taken = {
  readonly path: string;
  readonly headers: IncomingHttpHeaders;
  readonly body: Buffer;
};
const taken: Taken[] = [];
/** What the service answers, by the last part of the address. */
const answers = new Map<string, number>();
const service = createServer((request, response) => {
  const pieces: Buffer[] = [];
  request.on('data', (piece: Buffer) => pieces.push(piece));
  request.on('end', () => {
    const path = request.url ?? '';
    taken.push({ path, headers: request.headers, body: Buffer.concat(pieces) });
    response.writeHead(answers.get(path) ?? 201).end();
  });
});
let origin = '';

beforeAll(async () => {
  process.env.PUBLIC_URL = 'https://lantern.example';
  await new Promise<void>((ready) => service.listen(0, '127.0.0.1', ready));
  origin = `http://127.0.0.1:${(service.address() as AddressInfo).port}`;
  process.env.PUSH_STAND_IN = origin;
});
afterAll(async () => {
  delete process.env.PUBLIC_URL;
  delete process.env.PUSH_STAND_IN;
  await new Promise<void>((ended) => service.close(() => ended()));
});
beforeEach(() => {
  taken.length = 0;
  answers.clear();
  setClock(null);
});

/** A phone with keys of its own that has asked for notices. */
async function phone(patientId: string, path: string) {
  const here = await device(stage.practitioner, patientId);
  const keys = createECDH('prime256v1');
  keys.generateKeys();
  const auth = randomBytes(16);
  await keepPhone(here, {
    endpoint: `${origin}${path}`,
    p256dh: keys.getPublicKey('base64url'),
    auth: auth.toString('base64url'),
  });
  return {
    here,
    /** What the phone reads of what was sent, and nobody on the way. */
    reads: (body: Buffer) =>
      JSON.parse(
        ece.decrypt(body, { version: 'aes128gcm', privateKey: keys, authSecret: auth }).toString(),
      ) as unknown,
  };
}

const TEXT = 'harbour: time for your exercises (morning).';
async function remind(patientId: string) {
  const { clinicId } = stage.practitioner;
  const message = await dueMessage({ clinicId, patientId }, { channel: 'push', address: '' });
  const standIn = simulatedSender();
  await sendDue(pushSender(standIn), now());
  const row = await message.became();
  return { state: row?.state, because: row?.because, attempts: row?.attempts, standIn };
}

it('is turned on by the lead with a public address, and keeps its keys', async () => {
  const { lead, practitioner } = stage;
  const address = process.env.PUBLIC_URL;
  delete process.env.PUBLIC_URL;
  await expect(switchPush(lead, { on: true })).rejects.toMatchObject({ status: 409 });
  process.env.PUBLIC_URL = address;
  await expect(switchPush(practitioner, { on: true })).rejects.toThrow();
  expect(await pushKeyOf(lead.clinicId)).toBeNull();
  await switchPush(lead, { on: true });
  const key = await pushKeyOf(lead.clinicId);
  expect(Buffer.from(key ?? '', 'base64url')).toHaveLength(65);
  await switchPush(lead, { on: false });
  expect(await pushKeyOf(lead.clinicId)).toBeNull();
  await switchPush(lead, { on: true });
  expect(await pushKeyOf(lead.clinicId)).toBe(key);
});

it('is read by the phone alone, and signed by the clinic (RFC 8291, 8292)', async () => {
  const patientId = await makePatient(stage.practitioner, 'Wren Tarbuck');
  const { reads } = await phone(patientId, '/wren');
  expect(await remind(patientId)).toMatchObject({ state: 'sent', because: null });
  const [one] = taken;
  if (!one) throw new Error('nothing came');
  expect(one.body.toString('latin1')).not.toContain('exercises');
  expect(reads(one.body)).toEqual({ title: 'harbour', body: TEXT });
  expect(one.headers).toMatchObject({ 'content-encoding': 'aes128gcm', ttl: '2700' });
  // The signature, by the standard's own steps: ES256 over the first two parts.
  const [, token = '', key = ''] =
    /^vapid t=([\w.-]+), k=([\w-]+)$/.exec(one.headers.authorization ?? '') ?? [];
  expect(key).toBe((await pushServerOf(stage.lead.clinicId))?.publicKey);
  const [head = '', claims = '', signature = ''] = token.split('.');
  const point = Buffer.from(key, 'base64url');
  const publicKey = createPublicKey({
    format: 'jwk',
    key: {
      kty: 'EC',
      crv: 'P-256',
      x: point.subarray(1, 33).toString('base64url'),
      y: point.subarray(33).toString('base64url'),
    },
  });
  expect(
    verify(
      'sha256',
      Buffer.from(`${head}.${claims}`),
      { key: publicKey, dsaEncoding: 'ieee-p1363' },
      Buffer.from(signature, 'base64url'),
    ),
  ).toBe(true);
  expect(JSON.parse(Buffer.from(claims, 'base64url').toString())).toMatchObject({
    aud: origin,
    sub: 'https://lantern.example',
  });
});

it('what goes another way goes it', async () => {
  const otherwise = jest.fn(() => Promise.resolve({ outcome: 'sent' as const }));
  const mail = { channel: 'mail', address: 'wren@ebbholm.example', text: TEXT };
  expect(await pushSender(otherwise as never)(mail as never)).toEqual({ outcome: 'sent' });
  expect(otherwise).toHaveBeenCalledWith(mail);
});

it('is tried again where the service is away, and forgotten where the phone takes none', async () => {
  const { clinicId } = stage.practitioner;
  const patientId = await makePatient(stage.practitioner, 'Bodo Hallimar');
  const { here } = await phone(patientId, '/bodo');
  answers.set('/bodo', 503);
  expect(await remind(patientId)).toMatchObject({ state: 'waiting', attempts: 1 });
  expect(await pushSubscriptionsOf(clinicId, patientId)).toHaveLength(1);
  answers.set('/bodo', 410);
  expect(await remind(patientId)).toMatchObject({
    state: 'given up',
    because: 'no phone takes it',
  });
  expect(await pushSubscriptionsOf(clinicId, patientId)).toEqual([]);
  // Asked for anew it comes again.
  answers.delete('/bodo');
  await keepPhone(here, {
    endpoint: `${origin}/bodo2`,
    p256dh: createECDH('prime256v1').generateKeys('base64url'),
    auth: randomBytes(16).toString('base64url'),
  });
  expect(await remind(patientId)).toMatchObject({ state: 'sent' });
});

it('gives up a phone whose keys are the right length and none', async () => {
  const patientId = await makePatient(stage.practitioner, 'Isa Mellor');
  await keepPhone(await device(stage.practitioner, patientId), {
    endpoint: `${origin}/isa`,
    p256dh: Buffer.alloc(65, 1).toString('base64url'),
    auth: randomBytes(16).toString('base64url'),
  });
  expect(await remind(patientId)).toMatchObject({
    state: 'given up',
    because: 'no phone takes it',
  });
  expect(await pushSubscriptionsOf(stage.practitioner.clinicId, patientId)).toEqual([]);
});

it.each([
  [200, 'sent'],
  [299, 'sent'],
  [300, 'waiting'],
  [429, 'waiting'],
  [400, 'given up'],
  [403, 'given up'],
  [404, 'given up'],
])('is %i from the service, and then %s', async (status, state) => {
  const patientId = await makePatient(stage.practitioner, `Phone ${status}`);
  await phone(patientId, `/${status}`);
  answers.set(`/${status}`, status);
  expect((await remind(patientId)).state).toBe(state);
});

it('leaves nothing of a trial without TLS', async () => {
  const patientId = await makePatient(stage.practitioner, 'Corin Fallow');
  await phone(patientId, '/corin');
  process.env.PUBLIC_URL = 'http://localhost:3000';
  const { standIn, state } = await remind(patientId);
  process.env.PUBLIC_URL = 'https://lantern.example';
  expect(taken).toEqual([]);
  expect(standIn.delivered.size).toBe(state === 'sent' ? 1 : 0);
  expect(await pushSubscriptionsOf(stage.practitioner.clinicId, patientId)).toHaveLength(1);
});

it('passes over a phone whose keys are none, for the others', async () => {
  const patientId = await makePatient(stage.practitioner, 'Isolde Brack');
  const { here } = await phone(patientId, '/isolde');
  await keepPhone(here, {
    endpoint: `${origin}/isolde`,
    p256dh: 'k'.repeat(87),
    auth: 'a'.repeat(22),
  });
  expect(await remind(patientId)).toMatchObject({ because: 'no phone takes it' });
  expect(taken).toEqual([]);
});

it('goes to no phone whose link has ended, and to none where it is off', async () => {
  const patientId = await makePatient(stage.practitioner, 'Nessa Quillery');
  await phone(patientId, '/nessa');
  // A new link ends the devices of the one before.
  await device(stage.practitioner, patientId);
  expect(await remind(patientId)).toMatchObject({
    state: 'given up',
    because: 'no phone takes it',
  });
  expect(taken).toEqual([]);
  const other = await makePatient(stage.practitioner, 'Tamsin Orr');
  const { here } = await phone(other, '/tamsin');
  await switchPush(stage.lead, { on: false });
  // The stand-in of the outbox takes it then, or fails as it does one time in five.
  const { standIn, state } = await remind(other);
  expect(taken).toEqual([]);
  expect(standIn.delivered.size).toBe(state === 'sent' ? 1 : 0);
  await expect(
    keepPhone(here, { endpoint: `${origin}/x`, p256dh: 'k'.repeat(87), auth: 'a'.repeat(22) }),
  ).rejects.toMatchObject({ status: 409 });
  await switchPush(stage.lead, { on: true });
});

it('never calls the house itself, whatever a phone says', async () => {
  const patientId = await makePatient(stage.practitioner, 'Linnet Marlow');
  const here = await device(stage.practitioner, patientId);
  const keys = { p256dh: 'k'.repeat(87), auth: 'a'.repeat(22) };
  for (const endpoint of ['http://127.0.0.1:1/x', 'https://10.0.0.1/x', 'https://localhost/x'])
    await expect(keepPhone(here, { endpoint, ...keys })).rejects.toMatchObject({ status: 400 });
});
