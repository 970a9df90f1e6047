import { PERIODS_MS } from './periods';
import { later } from '@/core/schedule';
import {
  audit,
  endMemberSession,
  insertMemberSession,
  isKnownPlace,
  memberToSignIn,
  putKnownPlace,
  write,
} from '@/db';
import { type SignedIn, actorOf } from './access';
import { type Tried, countTry, forgetTries, takeBack } from './attempts';
import { now } from './clock';
import { passwordFits } from './passwords';
import { Problem } from './problem';
import { hashToken, randomToken } from './secrets';

/**
 * Signs a member in; the token goes into the cookie and nowhere else. Every try is counted before the
 * password is looked at, and forgotten once it was right.
 *
 * @param address the browser's, as the server sees it
 */
export async function signIn(email: string, password: string, address: string): Promise<string> {
  const account = email.toLowerCase();
  const place = hashToken(`place ${account} ${address}`);
  const own: Tried = { purpose: 'sign-in', what: `${account} ${address}` };
  const known = await isKnownPlace(place, later(now(), -PERIODS_MS.knownPlace), now());
  const shared: readonly Tried[] = [
    { purpose: 'sign-in from one address', what: address },
    ...(known ? [] : [{ purpose: 'account' as const, what: account }]),
  ];
  await countTry([own, ...shared]);
  const member = await memberToSignIn(email);
  const fits = await passwordFits(member?.passwordHash ?? null, password);
  if (!member || !fits || !member.active) {
    if (member)
      await write(() => [
        audit({
          clinicId: member.clinicId,
          at: now(),
          actor: { kind: 'system', id: 'sign-in' },
          verb: 'refused to sign in',
          subject: { kind: 'member', id: member.id },
        }),
      ]);
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
    // What others tried, at the account or from the same address, stays counted.
    ...forgetTries([own]),
    ...takeBack(shared),
    putKnownPlace({ place, at }),
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
