import { Secret, TOTP } from 'otpauth';
import { auditOf, factorOf, membersToSignIn } from '@/db';
import { issueResetFor, resetPassword } from '@/server/account';
import { now, setClock } from '@/server/clock';
import { changeSafety } from '@/server/erase';
import {
  beginFactor,
  confirmOwnFactor,
  factorState,
  removeFactorOf,
  removeOwnFactor,
  renewBackupCodes,
} from '@/server/second-factor';
import { signIn } from '@/server/sign-in';
import { PASSWORD, makeClinic, member, memberBehind, ownDomain } from '../support/clinic';
import { databaseStage } from '../support/stage';

const stage = databaseStage('factor');
let clock = Date.parse('2026-11-23T09:00:00Z');
const wait = (seconds: number) => {
  clock += seconds * 1000;
};
beforeEach(() => setClock(() => clock));
afterAll(() => setClock(null));

/** A code as an app on a phone reckons it: RFC 6238 by the package, with the phone's own clock. */
const codeAt = (secret: string, seconds = 0) =>
  new TOTP({ secret: Secret.fromBase32(secret) }).generate({ timestamp: clock + seconds * 1000 });

const tries = (code?: string) => signIn(stage.emails.practitioner, PASSWORD, 'desk', { code });

let secret = '';
let codes: string[] = [];

it('agrees with the values of RFC 6238, appendix B', () => {
  // Its secret is the digits 1 to 0 twice over; eight digits there, six here.
  const totp = new TOTP({ secret: Secret.fromLatin1('12345678901234567890') });
  const at = (seconds: number) => totp.generate({ timestamp: seconds * 1000 });
  expect([59, 1111111109, 1234567890, 2000000000].map(at)).toEqual([
    '287082',
    '081804',
    '005924',
    '279037',
  ]);
});

it('is set up with the password and a first code, and tells its backup codes once', async () => {
  const { practitioner } = stage;
  await expect(beginFactor(practitioner, 'not it')).rejects.toMatchObject({ status: 403 });
  const begun = await beginFactor(practitioner, PASSWORD);
  expect(begun.address).toMatch(/^otpauth:\/\/totp\/harbour/);
  expect(begun.address).toContain(begun.secret);
  // Nothing is asked for before it was confirmed.
  await expect(tries()).resolves.toBeDefined();
  await expect(confirmOwnFactor(practitioner, '000000')).rejects.toMatchObject({ at: ['code'] });
  // Beginning again makes another secret; the one of before is none any more.
  ({ secret } = await beginFactor(practitioner, PASSWORD));
  await expect(confirmOwnFactor(practitioner, codeAt(begun.secret))).rejects.toMatchObject({
    at: ['code'],
  });
  codes = await confirmOwnFactor(practitioner, codeAt(secret));
  expect(new Set(codes).size).toBe(10);
  expect(await factorState(practitioner)).toMatchObject({ since: now(), left: 10 });
  await expect(beginFactor(practitioner, PASSWORD)).rejects.toMatchObject({ status: 409 });
});

it('is asked for beside a right password, and by nothing else', async () => {
  await expect(tries()).rejects.toMatchObject({ status: 401, at: ['code'] });
  await expect(signIn(stage.emails.practitioner, 'wrong', 'desk')).rejects.toMatchObject({
    status: 401,
    at: [],
  });
  await expect(tries('123')).rejects.toMatchObject({ at: ['code'] });
});

it('takes each code once, of the period before, now or after', async () => {
  wait(300);
  const code = codeAt(secret);
  await expect(tries(code)).resolves.toBeDefined();
  await expect(tries(code)).rejects.toMatchObject({ guard: 'code' });
  await expect(tries(codeAt(secret, -30))).rejects.toMatchObject({ guard: 'code' });
  wait(90);
  await expect(tries(codeAt(secret, -30))).resolves.toBeDefined();
  wait(90);
  await expect(tries(codeAt(secret, 30))).resolves.toBeDefined();
  wait(300);
  await expect(tries(codeAt(secret, -60))).rejects.toMatchObject({ status: 401 });
  await expect(tries(codeAt(secret, 60))).rejects.toMatchObject({ status: 401 });
  // Two at the same moment: one of them.
  wait(300);
  const both = codeAt(secret);
  const sent = await Promise.allSettled([tries(both), tries(both)]);
  expect(sent.map(({ status }) => status).sort()).toEqual(['fulfilled', 'rejected']);
});

it('takes a backup code once, however it is typed', async () => {
  wait(3600);
  const [first = ''] = codes;
  await expect(tries(first.toLowerCase().replaceAll('-', ' '))).resolves.toBeDefined();
  await expect(tries(first)).rejects.toMatchObject({ guard: 'code' });
  expect((await factorState(stage.practitioner)).left).toBe(9);
  const fresh = await renewBackupCodes(await member2(), PASSWORD);
  await expect(tries(codes[1])).rejects.toMatchObject({ guard: 'code' });
  await expect(tries(fresh[0])).resolves.toBeDefined();
});

/** The practitioner, whose own session was not touched for an hour. */
async function member2() {
  return stage.practitioner;
}

it('makes wrong codes wait, whatever the address', async () => {
  wait(3600);
  for (let index = 0; index < 5; index += 1)
    await expect(
      signIn(stage.emails.practitioner, PASSWORD, `place ${index}`, { code: '000000' }),
    ).rejects.toMatchObject({ status: 401 });
  await expect(tries(codeAt(secret))).rejects.toMatchObject({ status: 429 });
  wait(31);
  await expect(tries(codeAt(secret))).resolves.toBeDefined();
  const verbs = (await auditOf(stage.lead.clinicId, stage.practitioner.id)).map(({ verb }) => verb);
  expect(verbs).toContain('refused a code of');
});

it('is taken away by its owner with the password, by the lead, or by the command', async () => {
  await expect(removeOwnFactor(stage.practitioner, 'wrong')).rejects.toMatchObject({ status: 403 });
  await removeOwnFactor(stage.practitioner, PASSWORD);
  expect(await factorOf(stage.lead.clinicId, stage.practitioner.id)).toBeNull();
  await expect(tries()).resolves.toBeDefined();

  const setUp = async () => {
    const begun = await beginFactor(stage.practitioner, PASSWORD);
    wait(60);
    await confirmOwnFactor(stage.practitioner, codeAt(begun.secret));
  };
  await setUp();
  const { id } = stage.practitioner;
  await expect(removeFactorOf(stage.practitioner, id)).rejects.toMatchObject({ guard: 'access' });
  await removeFactorOf(stage.lead, id);
  await expect(tries()).resolves.toBeDefined();

  await setUp();
  const { token } = await issueResetFor(stage.emails.practitioner);
  await expect(tries()).rejects.toMatchObject({ at: ['code'] });
  await issueResetFor(stage.emails.practitioner, { withoutFactor: true });
  await expect(tries()).resolves.toBeDefined();
  await expect(resetPassword({ token, password: 'another word for it' })).rejects.toMatchObject({
    status: 401,
  });
});

it('can be wanted by the clinic from everybody', async () => {
  await changeSafety(await member(stage.emails.lead), {
    privacyText: '',
    keepYears: null,
    linkDays: 30,
    deviceDays: 180,
    factorRequired: true,
  });
  const session = await signIn(stage.emails.assistant, PASSWORD, 'desk');
  const assistant = await memberBehind(session.token);
  expect(assistant.lacksFactor).toBe(true);
  const begun = await beginFactor(assistant, PASSWORD);
  wait(60);
  await confirmOwnFactor(assistant, codeAt(begun.secret));
  wait(60);
  const { token } = await signIn(stage.emails.assistant, PASSWORD, 'desk', {
    code: codeAt(begun.secret),
  });
  expect(token).toHaveLength(43);
});

it('lets one address work in several clinics, without telling anybody', async () => {
  const email = `both@${ownDomain()}`;
  const [one, two] = [await makeClinic('one', ownDomain()), await makeClinic('two', ownDomain())];
  const { addMember } = await import('@/server/people');
  const add = async (emails: typeof one.emails, password: string) => {
    const lead = await member(emails.lead);
    const id = crypto.randomUUID();
    const { token } = await addMember(lead, { id, name: 'Both', email, role: 'assistant' });
    await resetPassword({ token, password });
    return lead.clinicId;
  };
  const first = await add(one.emails, 'the first of the two');
  const second = await add(two.emails, 'the second of the two');
  expect((await membersToSignIn(email)).map(({ clinicName }) => clinicName).sort()).toEqual([
    'one',
    'two',
  ]);
  // The password says which.
  await expect(signIn(email, 'the second of the two', 'here')).resolves.toBeDefined();
  await expect(issueResetFor(email)).rejects.toMatchObject({ status: 409 });
  const { token } = await issueResetFor(email, { clinicName: 'two' });
  await resetPassword({ token, password: 'the first of the two' });
  // The same in both: it is asked which.
  await expect(signIn(email, 'the first of the two', 'here')).rejects.toMatchObject({
    status: 409,
    at: ['clinicId'],
    details: { [first]: 'one', [second]: 'two' },
  });
  await expect(
    signIn(email, 'the first of the two', 'here', { clinicId: second }),
  ).resolves.toBeDefined();
  await expect(
    signIn(email, 'the first of the two', 'here', { clinicId: 'elsewhere' }),
  ).rejects.toMatchObject({ status: 409 });
});
