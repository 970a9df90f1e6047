import { randomBytes } from 'node:crypto';
import { Secret, TOTP } from 'otpauth';
import { readFactorCode, shownBackupCode } from '@/core/account';
import type { MemberId } from '@/core/units';
import {
  type Factor,
  type Statement,
  audit,
  backupCodeHolds,
  backupCodesLeft,
  confirmFactor,
  factorOf,
  guard,
  memberById,
  putBackupCodes,
  putFactor,
  removeFactor,
  spendBackupCode,
  stepIsFresh,
  spendStep,
  write,
} from '@/db';
import { type AnyMember, type SignedIn, actorOf, stillMay } from './access';
import { countTry, forgetTries } from './attempts';
import { clinicOf } from './clinic';
import { now } from './clock';
import { passwordFits } from './passwords';
import { NOT_FOUND, Problem } from './problem';
import { hashToken } from './secrets';

/** Time-based one-time codes of RFC 6238: six digits, 30 s, SHA-1, as the apps for them read it. */
const PERIOD_S = 30;
/** A code of the period before or after is taken too: clocks differ. */
const WINDOW = 1;
/** Codes for a lost phone, each of which works once. */
const BACKUP_CODES = 10;
/** 160 bits, the length RFC 4226 recommends (4, R6). */
const SECRET_BYTES = 20;

const totpOf = (secret: string, label = '', issuer = '') =>
  new TOTP({ secret: Secret.fromBase32(secret), label, issuer, period: PERIOD_S });

/** The period whose code this is; null when it is of none near now. */
function stepOf(secret: string, code: string): number | null {
  const at = now();
  const delta = totpOf(secret).validate({ token: code, timestamp: at, window: WINDOW });
  return delta === null ? null : Math.floor(at / 1000 / PERIOD_S) + delta;
}

const hashOf = (memberId: string, code: string) => hashToken(`backup code ${memberId} ${code}`);

/**
 * What a right code writes: each works once, also when two send it at the same moment.
 *
 * @returns null when the code is not right
 */
export function codeUse(factor: Factor, typed: string): Statement[] | null {
  const { clinicId, memberId } = factor;
  const read = readFactorCode(typed);
  if (read === null) return null;
  if (read.kind === 'backup') {
    const hash = hashOf(memberId, read.code);
    return [
      guard('code', backupCodeHolds(clinicId, memberId, hash)),
      spendBackupCode(clinicId, memberId, hash, now()),
    ];
  }
  const step = stepOf(factor.secret, read.code);
  if (step === null) return null;
  return [
    guard('code', stepIsFresh(clinicId, memberId, step)),
    spendStep(clinicId, memberId, step),
  ];
}

/** How a member's second factor stands. */
export async function factorState(member: AnyMember) {
  const [factor, left, clinic] = await Promise.all([
    factorOf(member.clinicId, member.id),
    backupCodesLeft(member.clinicId, member.id),
    clinicOf(member),
  ]);
  return { since: factor?.confirmedAt ?? null, left, required: clinic.factorRequired };
}

/** @throws Problem 403 for a wrong password, 429 after too many */
async function checkOwnPassword(member: AnyMember, password: string): Promise<Statement[]> {
  const tried = [{ purpose: 'own password' as const, what: member.id }];
  await countTry(tried);
  const known = await memberById(member.clinicId, member.id);
  if (!known || !(await passwordFits(known.passwordHash, password)))
    throw new Problem(403, 'Your password is not right.', ['password']);
  return forgetTries(tried);
}

const auditOf = (member: AnyMember, verb: string, id: string = member.id) =>
  audit({
    clinicId: member.clinicId,
    at: now(),
    actor: actorOf(member),
    verb,
    subject: { kind: 'member', id },
  });

/**
 * Begins to set up a second factor.
 *
 * @returns the secret to be typed, and the address that an app reads from a code on the screen
 */
export async function beginFactor(
  member: AnyMember,
  password: string,
): Promise<{ secret: string; address: string }> {
  const forgotten = await checkOwnPassword(member, password);
  const { clinicId } = member;
  const [known, clinic, there] = await Promise.all([
    memberById(clinicId, member.id),
    clinicOf(member),
    factorOf(clinicId, member.id),
  ]);
  if (there && there.confirmedAt !== null)
    throw new Problem(409, 'Your second factor is set up already. Take it away first.');
  const secret = new Secret({ buffer: new Uint8Array(randomBytes(SECRET_BYTES)).buffer }).base32;
  await write(() => [
    stillMay(member, 'assistant'),
    ...forgotten,
    ...putFactor({
      clinicId,
      memberId: member.id,
      secret,
      confirmedAt: null,
      lastStep: 0,
    }),
    auditOf(member, 'began a second factor of'),
  ]);
  return { secret, address: totpOf(secret, known?.email ?? '', clinic.name).toString() };
}

/**
 * Confirms it by a first code.
 *
 * @returns the backup codes, told once
 */
export async function confirmOwnFactor(member: AnyMember, typed: string): Promise<string[]> {
  const { clinicId, id } = member;
  const tried = [{ purpose: 'second factor' as const, what: id }];
  await countTry(tried);
  const factor = await factorOf(clinicId, id);
  if (!factor) throw new Problem(409, 'Begin anew: the code on the screen is not known any more.');
  const read = readFactorCode(typed);
  const step = read?.kind === 'one-time' ? stepOf(factor.secret, read.code) : null;
  if (step === null)
    throw new Problem(
      403,
      'This code is not right. Look whether the clock of your phone is, then type the newest one.',
      ['code'],
    );
  const { codes, statements } = newCodes(member);
  await write(() => [
    stillMay(member, 'assistant'),
    ...forgetTries(tried),
    confirmFactor(clinicId, id, now(), step),
    ...statements,
    auditOf(member, 'set up a second factor of'),
  ]);
  return codes;
}

function newCodes(member: AnyMember): { codes: string[]; statements: Statement[] } {
  const { clinicId, id } = member;
  const codes = Array.from({ length: BACKUP_CODES }, () =>
    new Secret({ buffer: new Uint8Array(randomBytes(10)).buffer }).base32.slice(0, 16),
  );
  return {
    codes: codes.map(shownBackupCode),
    statements: putBackupCodes(
      clinicId,
      id,
      codes.map((code) => hashOf(id, code)),
    ),
  };
}

/** New backup codes in the place of all of before; told once. */
export async function renewBackupCodes(member: SignedIn, password: string): Promise<string[]> {
  const forgotten = await checkOwnPassword(member, password);
  const factor = await factorOf(member.clinicId, member.id);
  if (!factor || factor.confirmedAt === null)
    throw new Problem(409, 'There is no second factor set up.');
  const { codes, statements } = newCodes(member);
  await write(() => [
    stillMay(member, 'assistant'),
    ...forgotten,
    ...statements,
    auditOf(member, 'made new backup codes for'),
  ]);
  return codes;
}

/** Takes the own second factor away; where the clinic wants one, the next page asks for a new one. */
export async function removeOwnFactor(member: SignedIn, password: string): Promise<void> {
  const forgotten = await checkOwnPassword(member, password);
  await write(() => [
    stillMay(member, 'assistant'),
    ...forgotten,
    ...removeFactor(member.clinicId, member.id),
    auditOf(member, 'took away the second factor of'),
  ]);
}

/** A lead takes a member's second factor away, whose device was lost. */
export async function removeFactorOf(lead: SignedIn, memberId: MemberId): Promise<void> {
  if (!(await memberById(lead.clinicId, memberId))) throw new Problem(404, NOT_FOUND);
  await write(() => [
    stillMay(lead, 'lead'),
    ...removeFactor(lead.clinicId, memberId),
    auditOf(lead, 'took away the second factor of', memberId),
  ]);
}
