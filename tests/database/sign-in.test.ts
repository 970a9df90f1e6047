import { later } from '@/core/schedule';
import { rmSync } from 'node:fs';
import { SESSION_LIFE, closeDatabase, memberBySession, touchMemberSession, write } from '@/db';
import { now, setClock } from '@/server/clock';
import { firstRunCode, setUpClinic } from '@/server/first-run';
import { openLink, revokeLink } from '@/server/links';
import { hashPassword, passwordFits } from '@/server/passwords';
import { hashToken, readableCode, sameSecret } from '@/server/secrets';
import { signIn, signOut } from '@/server/sign-in';
import {
  ZONE,
  device,
  instant,
  makeClinic,
  makePatient,
  member,
  useDatabase,
} from '../support/clinic';
import { temporaryFolder } from '../support/server';

let folder: string;
const START = instant(Date.parse('2026-11-23T08:00:00Z'));

beforeEach(async () => {
  folder = temporaryFolder('sign-in');
  await useDatabase(folder);
});

afterEach(() => {
  setClock(null);
  closeDatabase();
  rmSync(folder, { recursive: true, force: true });
});

describe('a member’s session', () => {
  it('ends after half an hour of nothing, and lives on while used', async () => {
    setClock(() => START);
    const { tokenHash } = await member((await makeClinic('one')).emails.lead);
    const at = (minutes: number) => later(START, minutes * 60_000);
    expect(await memberBySession(tokenHash, at(29))).not.toBeNull();
    await write(() => [touchMemberSession(tokenHash, at(29))]);
    expect(await memberBySession(tokenHash, at(58))).not.toBeNull();
    expect(await memberBySession(tokenHash, at(60))).toBeNull();
  });

  it('ends after twelve hours however much it is used', async () => {
    setClock(() => START);
    const { tokenHash } = await member((await makeClinic('one')).emails.lead);
    const late = later(START, SESSION_LIFE.whole);
    await write(() => [touchMemberSession(tokenHash, later(late, -1000))]);
    expect(await memberBySession(tokenHash, later(late, -500))).not.toBeNull();
    expect(await memberBySession(tokenHash, late)).toBeNull();
  });

  it('is over at sign-out, for that browser only', async () => {
    const { emails } = await makeClinic('one');
    const [first, second] = [await member(emails.lead), await member(emails.lead)];
    await signOut(first);
    expect(await memberBySession(first.tokenHash, now())).toBeNull();
    expect(await memberBySession(second.tokenHash, now())).not.toBeNull();
  });

  it('opens again after the quarter of an hour that wrong passwords closed it for', async () => {
    const { emails } = await makeClinic('one');
    setClock(() => START);
    for (let time = 0; time < 5; time += 1)
      await expect(signIn(emails.lead, 'wrong')).rejects.toMatchObject({ status: 401 });
    await expect(member(emails.lead)).rejects.toMatchObject({ status: 429 });
    setClock(() => START + 15 * 60_000 + 1);
    expect((await member(emails.lead)).role).toBe('lead');
  });
});

describe('secrets', () => {
  it('stores passwords as Argon2id, and fits only the right one', async () => {
    const stored = await hashPassword('low tide at seven');
    expect(stored).toMatch(/^\$argon2id\$/);
    expect(await passwordFits(stored, 'low tide at seven')).toBe(true);
    expect(await passwordFits(stored, 'low tide at eight')).toBe(false);
    expect(await passwordFits(null, 'low tide at seven')).toBe(false);
  });

  it('keeps of a token only its hash', async () => {
    const practitioner = await member((await makeClinic('one')).emails.practitioner);
    const { link, token } = await device(practitioner, await makePatient(practitioner));
    const { readFileSync, readdirSync } = await import('node:fs');
    closeDatabase();
    for (const file of readdirSync(folder)) {
      const bytes = readFileSync(`${folder}/${file}`).toString('latin1');
      for (const secret of [link, token, practitioner.token]) expect(bytes).not.toContain(secret);
    }
    expect(hashToken('a')).not.toBe(hashToken('b'));
    expect(sameSecret('a', 'a') && !sameSecret('a', 'b')).toBe(true);
    expect(readableCode()).toMatch(/^[a-hjkmnp-z2-9]{12}$/);
  });
});

describe('a personal link', () => {
  it('opens on several devices, until it is ended; a new one ends the one before', async () => {
    const practitioner = await member((await makeClinic('one')).emails.practitioner);
    const patientId = await makePatient(practitioner);
    const { link } = await device(practitioner, patientId);
    await expect(openLink(link)).resolves.toHaveProperty('device');
    const { link: next } = await device(practitioner, patientId);
    await expect(openLink(link)).rejects.toMatchObject({ status: 401 });
    await expect(openLink(next)).resolves.toHaveProperty('device');
    await revokeLink(practitioner, patientId);
    await expect(openLink(next)).rejects.toMatchObject({ status: 401 });
  });
});

describe('the first run', () => {
  const draft = (code: string) => ({
    code,
    clinic: { name: 'New Quay', phone: '1', emergencyText: 'x', zone: ZONE },
    lead: {
      id: crypto.randomUUID(),
      name: 'Lead',
      email: 'lead@quay.example',
      password: 'a long enough password',
    },
  });

  it('sets up one clinic, with the code, once', async () => {
    const code = (await firstRunCode()) ?? '';
    await expect(setUpClinic(draft('wrong'))).rejects.toMatchObject({ status: 403, at: ['code'] });
    const both = await Promise.allSettled([setUpClinic(draft(code)), setUpClinic(draft(code))]);
    expect(both.filter(({ status }) => status === 'fulfilled')).toHaveLength(1);
    expect(await firstRunCode()).toBeNull();
    await expect(setUpClinic(draft(code))).rejects.toMatchObject({ status: 409 });
  });

  it('closes after five wrong codes', async () => {
    const code = (await firstRunCode()) ?? '';
    for (let time = 0; time < 5; time += 1)
      await expect(setUpClinic(draft('wrong'))).rejects.toMatchObject({ status: 403 });
    await expect(setUpClinic(draft(code))).rejects.toMatchObject({ status: 429 });
  });
});
