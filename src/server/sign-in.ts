import { PERIODS_MS } from './periods';
import { later } from '@/core/schedule';
import type { ClinicId } from '@/core/units';
import {
  type Statement,
  audit,
  endMemberSession,
  factorOf,
  insertMemberSession,
  isKnownPlace,
  membersToSignIn,
  putKnownPlace,
  write,
} from '@/db';
import { type SignedIn, actorOf } from './access';
import { type Tried, countTry, forgetTries, takeBack } from './attempts';
import { now } from './clock';
import { passwordFits } from './passwords';
import { Problem } from './problem';
import { codeUse } from './second-factor';
import { hashToken, randomToken, sessionName } from './secrets';

/** What a member signs in with beside address and password. */
export type SignInMore = {
  /** A one-time or backup code, where the member has a second factor. */
  readonly code?: string | undefined;
  /** Where the address works in several clinics. */
  readonly clinicId?: string | undefined;
};

/**
 * Signs a member in; the token goes into the cookie and nowhere else. Every try is counted before the
 * password is looked at, and forgotten once it was right.
 *
 * @param address the browser's, as the server sees it
 * @throws Problem 401 for a wrong password or code, and where a code is wanted (at `code`); 409 where
 *   one of several clinics is to be chosen (at `clinicId`, their names as details); 429 after too many
 */
export async function signIn(
  email: string,
  password: string,
  address: string,
  { code, clinicId: chosen }: SignInMore = {},
): Promise<{ token: string; memberId: string }> {
  const account = email.toLowerCase();
  const place = hashToken(`place ${account} ${address}`);
  const own: Tried = { purpose: 'sign-in', what: `${account} ${address}` };
  const known = await isKnownPlace(place, later(now(), -PERIODS_MS.knownPlace), now());
  const shared: readonly Tried[] = [
    { purpose: 'sign-in from one address', what: address },
    ...(known ? [] : [{ purpose: 'account' as const, what: account }]),
  ];
  await countTry([own, ...shared]);
  const fitting = await whosePassword(account, password);
  // A right password was no guess, whatever else is still wanted; what others tried, at the account or
  // from the same address, stays counted.
  const forgotten = [...forgetTries([own]), ...takeBack(shared)];
  const here = fitting.filter(({ member }) => chosen === undefined || member.clinicId === chosen);
  const member = here[0]?.member;
  if (!member || here.length > 1) {
    await write(() => forgotten);
    throw new Problem(
      409,
      'This address works in several clinics. Choose one.',
      ['clinicId'],
      Object.fromEntries(fitting.map((one) => [one.member.clinicId, one.clinicName])),
    );
  }
  const second = await secondFactorOf(member, code, forgotten);
  const token = randomToken();
  const at = now();
  const { clinicId, id } = member;
  const tokenHash = hashToken(token);
  await write(() => [
    ...second,
    insertMemberSession({ tokenHash, clinicId, memberId: id, createdAt: at, lastSeenAt: at }),
    putKnownPlace({ place, at }),
    audit({
      clinicId,
      at,
      actor: { kind: 'member', id, session: sessionName(tokenHash) },
      verb: 'signed in',
      subject: { kind: 'member', id },
    }),
  ]);
  return { token, memberId: id };
}

/** The active members with this address and password; a wrong one is kept in the audit of each. */
async function whosePassword(email: string, password: string) {
  const found = await membersToSignIn(email);
  // As long for an address nobody has: all at once, and one that fits nothing.
  const fits = await Promise.all(
    (found.length === 0 ? [null] : found).map((one) =>
      passwordFits(one?.member.passwordHash ?? null, password),
    ),
  );
  const fitting = found.filter(({ member }, index) => fits[index] === true && member.active);
  if (fitting.length > 0) return fitting;
  if (found.length > 0)
    await write(() => found.map(({ member }) => refused(member, 'refused to sign in')));
  throw new Problem(401, 'The e-mail address or the password is not right.');
}

const refused = (member: { clinicId: ClinicId; id: string }, verb: string) =>
  audit({
    clinicId: member.clinicId,
    at: now(),
    actor: { kind: 'system', id: 'sign-in' },
    verb,
    subject: { kind: 'member', id: member.id },
  });

/**
 * Looks at a member's second factor, where there is one.
 *
 * @param forgotten what a right password forgets: at once where a code is wanted too, so that it is not
 *   forgotten twice
 * @returns what goes into the write that signs in
 */
async function secondFactorOf(
  member: { readonly clinicId: ClinicId; readonly id: string },
  code: string | undefined,
  forgotten: readonly Statement[],
): Promise<readonly Statement[]> {
  const factor = await factorOf(member.clinicId, member.id);
  if (!factor || factor.confirmedAt === null) return forgotten;
  await write(() => forgotten);
  if (code === undefined || code.trim() === '')
    throw new Problem(401, 'Now the code of your second factor.', ['code']);
  const tried = [{ purpose: 'second factor' as const, what: member.id }];
  await countTry(tried);
  const use = codeUse(factor, code);
  if (!use) {
    await write(() => [refused(member, 'refused a code of')]);
    throw new Problem(401, 'This code is not right.', ['code']);
  }
  return [...use, ...forgetTries(tried)];
}

export async function signOut(member: SignedIn): Promise<void> {
  const at = now();
  const { clinicId, id, tokenHash } = member;
  await write(() => [
    endMemberSession(tokenHash, at),
    audit({
      clinicId,
      at,
      actor: actorOf(member),
      verb: 'signed out',
      subject: { kind: 'member', id },
    }),
  ]);
}
