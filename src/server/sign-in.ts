import { later } from '@/core/schedule';
import {
  audit,
  countAttempts,
  endMemberSession,
  forgetAttempts,
  insertFailedAttempt,
  insertMemberSession,
  memberToSignIn,
  write,
} from '@/db';
import { type SignedIn, actorOf } from './access';
import { now } from './clock';
import { passwordFits } from './passwords';
import { Problem } from './problem';
import { hashToken, randomToken } from './secrets';

/** So many failures within the window close a name, or the whole door, for the rest of it. */
const RATE = { windowMs: 15 * 60_000, perName: 5, overall: 200 } as const;
const OVERALL = 'all';

/** Counts attempts at a secret and refuses when there were too many. */
export async function checkRate(what: string): Promise<void> {
  const since = later(now(), -RATE.windowMs);
  const tooMany =
    (await countAttempts(what, since)) >= RATE.perName ||
    (await countAttempts(OVERALL, since)) >= RATE.overall;
  if (tooMany)
    throw new Problem(429, 'Too many attempts. Wait a quarter of an hour, then try again.');
}

export async function recordFailure(what: string): Promise<void> {
  const at = now();
  await write(() => [
    ...forgetAttempts(later(at, -RATE.windowMs)),
    insertFailedAttempt(what, at),
    insertFailedAttempt(OVERALL, at),
  ]);
}

/** Signs a member in; the token goes into the cookie and nowhere else. */
export async function signIn(email: string, password: string): Promise<string> {
  const what = hashToken(`sign-in ${email}`);
  await checkRate(what);
  const member = await memberToSignIn(email);
  const fits = await passwordFits(member?.passwordHash ?? null, password);
  if (!member || !fits || !member.active) {
    await recordFailure(what);
    throw new Problem(401, 'The e-mail address or the password is not right.');
  }
  const token = randomToken();
  const at = now();
  const { clinicId, id } = member;
  await write(() => [
    insertMemberSession({
      tokenHash: hashToken(token),
      clinicId,
      memberId: id,
      createdAt: at,
      lastSeenAt: at,
    }),
    ...forgetAttempts(later(at, -RATE.windowMs), what),
    audit({
      clinicId,
      at,
      actor: { kind: 'member', id },
      verb: 'signed in',
      subject: { kind: 'member', id },
    }),
  ]);
  return token;
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
