import { type Instant, later } from '@/core/schedule';
import { rmSync } from 'node:fs';
import { SESSION_LIFE, closeDatabase, memberBySession, touchMemberSession, write } from '@/db';
import { now, setClock } from '@/server/clock';
import { firstRunCode, setUpClinic } from '@/server/first-run';
import { openLink, revokeLink } from '@/server/links';
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

// Where others are at work on the machine too, hundreds of tries take their time.
jest.setTimeout(60_000);

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

  it('from a time to come is over, and nothing tried then counts: a clock was wrong and was put right', async () => {
    const { emails } = await makeClinic('one');
    const ahead = later(START, 400 * 86_400_000);
    setClock(() => ahead);
    const { tokenHash } = await member(emails.lead);
    for (let wrong = 0; wrong < 5; wrong += 1)
      await expect(signIn(emails.lead, 'not it', 'here')).rejects.toMatchObject({ status: 401 });
    await expect(signIn(emails.lead, 'not it', 'here')).rejects.toMatchObject({ status: 429 });
    setClock(() => START);
    expect(await memberBySession(tokenHash, START)).toBeNull();
    await expect(member(emails.lead, 'here')).resolves.toBeDefined();
    // Two processes differ by a little, and that is no wrong clock.
    const { tokenHash: near } = await member(emails.lead);
    expect(await memberBySession(near, later(START, -4 * 60_000))).not.toBeNull();
    expect(await memberBySession(near, later(START, -5 * 60_000))).toBeNull();
  });

  it('is over at sign-out, for that browser only', async () => {
    const { emails } = await makeClinic('one');
    const [first, second] = [await member(emails.lead), await member(emails.lead)];
    await signOut(first);
    expect(await memberBySession(first.tokenHash, now())).toBeNull();
    expect(await memberBySession(second.tokenHash, now())).not.toBeNull();
  });

  it('waits longer after each wrong password: half a minute, then twice as long, up to a quarter of an hour', async () => {
    const { emails } = await makeClinic('one');
    let clock: Instant = START;
    setClock(() => clock);
    const wrong = () => expect(signIn(emails.lead, 'wrong', 'test'));
    for (let time = 0; time < 5; time += 1) await wrong().rejects.toMatchObject({ status: 401 });
    for (const seconds of [30, 60, 120, 240, 480, 900, 900]) {
      clock = later(clock, seconds * 1000 - 1);
      await wrong().rejects.toMatchObject({ status: 429 });
      clock = later(clock, 1);
      await wrong().rejects.toMatchObject({ status: 401 });
    }
    // A right one has to wait as well, and then forgets them all.
    await expect(member(emails.lead)).rejects.toMatchObject({ status: 429 });
    clock = later(clock, 900_000);
    expect((await member(emails.lead)).role).toBe('lead');
    for (let time = 0; time < 5; time += 1) await wrong().rejects.toMatchObject({ status: 401 });
  });

  it('forgets wrong passwords after an hour without any', async () => {
    const { emails } = await makeClinic('one');
    setClock(() => START);
    for (let time = 0; time < 5; time += 1)
      await expect(signIn(emails.lead, 'wrong', 'test')).rejects.toMatchObject({ status: 401 });
    setClock(() => later(START, 3_600_001));
    for (let time = 0; time < 5; time += 1)
      await expect(signIn(emails.lead, 'wrong', 'test')).rejects.toMatchObject({ status: 401 });
  });
});

describe('tries at a secret', () => {
  const wrong = (email: string, address: string) => signIn(email, 'wrong', address);
  const statuses = async (tries: readonly Promise<unknown>[]) =>
    (await Promise.allSettled(tries)).map((one) =>
      one.status === 'rejected' ? (one.reason as { status: number }).status : 200,
    );

  it('from elsewhere lock nobody out: neither a named clinician, nor anybody by another’s link', async () => {
    const { emails } = await makeClinic('one');
    const practitioner = await member(emails.practitioner);
    const { link } = await device(practitioner, await makePatient(practitioner));
    for (let time = 0; time < 8; time += 1) await wrong(emails.lead, 'elsewhere').catch(() => 0);
    await expect(wrong(emails.lead, 'elsewhere')).rejects.toMatchObject({ status: 429 });
    expect((await member(emails.lead, 'here')).role).toBe('lead');
    for (let time = 0; time < 300; time += 1) await openLink(`no-link-${time}`).catch(() => 0);
    await expect(openLink(link)).resolves.toHaveProperty('device');
    expect((await member(emails.assistant, 'here')).role).toBe('assistant');
  });

  it('are counted before they are looked at: of many at once no more are let through', async () => {
    const { emails } = await makeClinic('one');
    const answers = await statuses(Array.from({ length: 40 }, () => wrong(emails.lead, 'many')));
    expect(answers.filter((status) => status === 401)).toHaveLength(5);
    expect(answers.filter((status) => status === 429)).toHaveLength(35);
  });

  it('at many names from one address end, and other addresses go on', async () => {
    const { emails } = await makeClinic('one');
    const names = Array.from({ length: 62 }, (_, nth) => `name-${nth}@one.example`);
    const answers: number[] = [];
    for (const name of names) answers.push(...(await statuses([wrong(name, 'spray')])));
    expect(answers.filter((status) => status === 401)).toHaveLength(60);
    await expect(member(emails.lead, 'spray')).rejects.toMatchObject({ status: 429 });
    expect((await member(emails.lead, 'here')).role).toBe('lead');
  });

  it('at one account from many addresses are bounded, but for where it was signed in from before', async () => {
    const { emails } = await makeClinic('one');
    expect((await member(emails.lead, 'home')).role).toBe('lead');
    const answers: number[] = [];
    for (let nth = 0; nth < 102; nth += 1)
      answers.push(...(await statuses([wrong(emails.lead, `address-${nth}`)])));
    expect(answers.filter((status) => status === 401)).toHaveLength(100);
    await expect(member(emails.lead, 'new')).rejects.toMatchObject({ status: 429 });
    expect((await member(emails.lead, 'home')).role).toBe('lead');
  });

  it('that were right count for nobody', async () => {
    const { emails } = await makeClinic('one');
    for (let time = 0; time < 70; time += 1) await member(emails.lead, 'busy');
    expect((await member(emails.assistant, 'busy')).role).toBe('assistant');
  });
});

describe('secrets', () => {
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
    await expect(setUpClinic(draft('wrong'), 'test')).rejects.toMatchObject({
      status: 403,
      at: ['code'],
    });
    const both = await Promise.allSettled([
      setUpClinic(draft(code), 'test'),
      setUpClinic(draft(code), 'test'),
    ]);
    expect(both.filter(({ status }) => status === 'fulfilled')).toHaveLength(1);
    expect(await firstRunCode()).toBeNull();
    await expect(setUpClinic(draft(code), 'test')).rejects.toMatchObject({ status: 409 });
  });

  it('refuses a lead whose password is easily guessed, and is set up with a better one', async () => {
    const code = (await firstRunCode()) ?? '';
    const good = draft(code);
    for (const password of ['short', 'password1234', good.lead.name, good.lead.email])
      await expect(
        setUpClinic({ ...good, lead: { ...good.lead, password } }, 'test'),
      ).rejects.toMatchObject({ status: 400, at: ['lead', 'password'] });
    expect(await firstRunCode()).toBe(code);
    await setUpClinic(good, 'test');
    expect(await firstRunCode()).toBeNull();
  });

  it('closes after five wrong codes', async () => {
    const code = (await firstRunCode()) ?? '';
    for (let time = 0; time < 5; time += 1)
      await expect(setUpClinic(draft('wrong'), 'test')).rejects.toMatchObject({ status: 403 });
    await expect(setUpClinic(draft(code), 'test')).rejects.toMatchObject({ status: 429 });
  });
});
