import { passwordFault } from '@/core/account';
import type { PasswordChange, PasswordReset, RoleChange } from '@/core/records';
import { later } from '@/core/schedule';
import type { ClinicId, MemberId } from '@/core/units';
import {
  type Actor,
  type Statement,
  audit,
  endAllSessionsOf,
  endOtherSessionsOf,
  endResetsOf,
  endSessionOf,
  guard,
  insertReset,
  memberById,
  membersToSignIn,
  removeFactor,
  resetBehind,
  resetHolds,
  sessionsOf,
  setPassword,
  setRole,
  someLead,
  write,
} from '@/db';
import { type SignedIn, actorOf, stillMay } from './access';
import { countTry, forgetTries } from './attempts';
import { now } from './clock';
import { hashPassword, passwordFits } from './passwords';
import { PERIODS_MS } from './periods';
import { NOT_FOUND, Problem } from './problem';
import { hashToken, randomToken } from './secrets';

/** Common passwords, read when the first one is set: they are a megabyte. */
let common: Promise<ReadonlySet<string>> | undefined;
async function commonPasswords(): Promise<ReadonlySet<string>> {
  const { dictionary } = await import('@zxcvbn-ts/language-common');
  return new Set(dictionary.passwords as readonly string[]);
}

/** @throws Problem 400 for a password that is too easy to guess */
export async function checkPassword(
  password: string,
  who: { readonly name: string; readonly email: string },
  at: readonly string[] = ['password'],
): Promise<void> {
  common ??= commonPasswords();
  const list = await common;
  const fault = passwordFault(password, who, (one) => list.has(one));
  if (fault !== null) throw new Problem(400, fault, at);
}

/**
 * A member's own new password; every other session of theirs is ended.
 *
 * @throws Problem 403 for a wrong old one, 429 after too many of them
 */
export async function changePassword(member: SignedIn, change: PasswordChange): Promise<void> {
  const { clinicId, id, tokenHash } = member;
  const tried = [{ purpose: 'own password' as const, what: id }];
  await countTry(tried);
  const known = await memberById(clinicId, id);
  if (!known || !(await passwordFits(known.passwordHash, change.old)))
    throw new Problem(403, 'The password of before is not right.', ['old']);
  await checkPassword(change.password, known);
  const passwordHash = await hashPassword(change.password);
  const at = now();
  await write(() => [
    stillMay(member, 'assistant'),
    setPassword(clinicId, id, passwordHash),
    endOtherSessionsOf(clinicId, id, tokenHash, at),
    endResetsOf(clinicId, id, at),
    ...forgetTries(tried),
    audit({
      clinicId,
      at,
      actor: actorOf(member),
      verb: 'changed the password of',
      subject: { kind: 'member', id },
    }),
  ]);
}

/**
 * Makes a one-time link by which a member sets a password, and ends those of before. The lead hands it
 * over and never knows the password; the one of before stays until then.
 */
export async function issueReset(lead: SignedIn, memberId: MemberId): Promise<{ token: string }> {
  const { clinicId } = lead;
  if (!(await memberById(clinicId, memberId))) throw new Problem(404, NOT_FOUND);
  return newLink({ clinicId, memberId }, actorOf(lead), [stillMay(lead, 'lead')]);
}

/** A one-time link in the place of those of before. */
async function newLink(
  { clinicId, memberId }: { readonly clinicId: ClinicId; readonly memberId: MemberId },
  actor: Actor,
  guards: readonly Statement[],
): Promise<{ token: string }> {
  const token = randomToken();
  const at = now();
  await write(() => [
    ...guards,
    endResetsOf(clinicId, memberId, at),
    insertReset({ tokenHash: hashToken(token), clinicId, memberId, createdAt: at }),
    audit({
      clinicId,
      at,
      actor,
      verb: 'issued a password link for',
      subject: { kind: 'member', id: memberId },
    }),
  ]);
  return { token };
}

/** Sets a password by a one-time link; every session of the member is ended. */
export async function resetPassword({ token, password }: PasswordReset): Promise<void> {
  const at = now();
  const tokenHash = hashToken(token);
  const found = await resetBehind(tokenHash, later(at, -PERIODS_MS.passwordLink));
  if (!found)
    throw new Problem(
      401,
      'This link was used, is older than a day, or was replaced by a newer one. Ask your clinic’s lead for another.',
    );
  const { clinicId, memberId } = found;
  await checkPassword(password, found);
  const passwordHash = await hashPassword(password);
  await write(() => [
    guard('access', resetHolds(tokenHash)),
    setPassword(clinicId, memberId, passwordHash),
    endResetsOf(clinicId, memberId, at),
    endAllSessionsOf(clinicId, memberId, at),
    audit({
      clinicId,
      at,
      actor: { kind: 'member', id: memberId },
      verb: 'set a password by a link for',
      subject: { kind: 'member', id: memberId },
    }),
  ]);
}

/** Gives a member another role; the clinic keeps somebody who leads it. */
export async function changeRole(lead: SignedIn, { memberId, role }: RoleChange): Promise<void> {
  const { clinicId } = lead;
  const known = await memberById(clinicId, memberId);
  if (!known) throw new Problem(404, NOT_FOUND);
  if (known.role === role) return;
  if (memberId === lead.id)
    throw new Problem(400, 'You cannot change your own role. Another lead can.', ['role']);
  const at = now();
  await write(() => [
    stillMay(lead, 'lead'),
    setRole(clinicId, memberId, role),
    guard('leads', someLead(clinicId)),
    audit({
      clinicId,
      at,
      actor: actorOf(lead),
      verb: `made ${role}`,
      subject: { kind: 'member', id: memberId },
    }),
  ]);
}

export type OwnSession = {
  /** The session's name in an order to end it; nobody can sign in with it. */
  readonly id: string;
  readonly since: number;
  readonly lastSeen: number;
  readonly isThis: boolean;
};

/** Where a member is signed in. */
export async function ownSessions(member: SignedIn): Promise<OwnSession[]> {
  const rows = await sessionsOf(member.clinicId, member.id, now());
  return rows.map(({ tokenHash, createdAt, lastSeenAt }) => ({
    id: hashToken(tokenHash),
    since: createdAt,
    lastSeen: lastSeenAt,
    isThis: tokenHash === member.tokenHash,
  }));
}

/** Ends one of a member's own sessions; one that is over already is as it should be. */
export async function endOwnSession(member: SignedIn, session: string): Promise<void> {
  const at = now();
  const { clinicId, id } = member;
  const rows = await sessionsOf(clinicId, id, at);
  const found = rows.find(({ tokenHash }) => hashToken(tokenHash) === session);
  if (!found) return;
  await write(() => [
    stillMay(member, 'assistant'),
    endSessionOf(clinicId, id, found.tokenHash, at),
    audit({
      clinicId,
      at,
      actor: actorOf(member),
      verb: 'ended a session of',
      subject: { kind: 'member', id },
    }),
  ]);
}

/**
 * A one-time link for a lead who is locked out, made by whoever looks after the server.
 *
 * @param clinicName which clinic, where the address works in several
 * @param withoutFactor takes the second factor away too, where its device was lost
 * @throws Problem 404 when nobody signs in so, 409 where the clinic has to be named
 */
export async function issueResetFor(
  email: string,
  { clinicName, withoutFactor = false }: { clinicName?: string; withoutFactor?: boolean } = {},
): Promise<{ token: string }> {
  const found = (await membersToSignIn(email.trim().toLowerCase())).filter(
    (one) => clinicName === undefined || one.clinicName === clinicName,
  );
  const member = found[0]?.member;
  if (!member) throw new Problem(404, 'Nobody signs in with this e-mail address.');
  if (found.length > 1)
    throw new Problem(
      409,
      `This address works in several clinics. Name one: ${found.map((one) => one.clinicName).join('; ')}.`,
    );
  const { clinicId, id: memberId } = member;
  return newLink({ clinicId, memberId }, { kind: 'system', id: 'command' }, [
    ...(withoutFactor ? removeFactor(clinicId, memberId) : []),
  ]);
}
