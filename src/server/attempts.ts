import { type Instant, later } from '@/core/schedule';
import {
  GuardRefused,
  forgetAttempts,
  forgetAttemptsAt,
  forgetNewestAttemptAt,
  fewerAttempts,
  guard,
  insertFailedAttempt,
  write,
} from '@/db';
import { now } from './clock';
import { Problem } from './problem';
import { hashToken } from './secrets';

/** What can be guessed; each is counted by itself, so that one never closes another. */
export type Purpose =
  | 'sign-in'
  | 'sign-in from one address'
  | 'account'
  | 'own password'
  | 'birth date'
  | 'first run';

const MINUTE_MS = 60_000;

/**
 * How many wrong tries are let through within the time before anything is checked again. A name is
 * counted with the address it is tried from: whoever guesses elsewhere locks nobody out. The account as
 * a whole is the bound of the OWASP ASVS (2.2.1: at most 100 an hour), from which addresses are free
 * that it was signed in from before. The others: common practice, no source.
 */
export const ATTEMPTS: Readonly<Record<Purpose, { most: number; minutes: number }>> = {
  'sign-in': { most: 5, minutes: 15 },
  'sign-in from one address': { most: 60, minutes: 15 },
  account: { most: 100, minutes: 60 },
  'own password': { most: 5, minutes: 15 },
  'birth date': { most: 5, minutes: 15 },
  'first run': { most: 5, minutes: 15 },
};

/** The longest of them: older attempts are forgotten. */
const LONGEST_MS = Math.max(...Object.values(ATTEMPTS).map(({ minutes }) => minutes)) * MINUTE_MS;

export type Tried = { readonly purpose: Purpose; readonly what: string };

/** What is stored of something tried: nothing that could be read. */
const keyOf = ({ purpose, what }: Tried) => hashToken(`${purpose} ${what}`);

/**
 * Counts a try before anything is checked, in the very write that holds it against the bounds: of many
 * at once no more are let through, over all processes of the server.
 *
 * @throws Problem 429 where there were too many
 */
export async function countTry(tried: readonly Tried[]): Promise<void> {
  const at = now();
  try {
    await write(() => [
      ...forgetAttempts(later(at, -LONGEST_MS), at),
      ...tried.map((one) =>
        guard('attempts', fewerAttempts(keyOf(one), sinceOf(one, at), mostOf(one))),
      ),
      ...tried.map((one) => insertFailedAttempt(keyOf(one), at)),
    ]);
  } catch (error) {
    if (error instanceof GuardRefused && error.guard === 'attempts')
      throw new Problem(429, 'Too many attempts. Wait a quarter of an hour, then try again.');
    throw error;
  }
}

const mostOf = ({ purpose }: Tried) => ATTEMPTS[purpose].most;
const sinceOf = ({ purpose }: Tried, at: Instant) =>
  later(at, -ATTEMPTS[purpose].minutes * MINUTE_MS);

/** Statements that forget every try at these, once one was right. */
export function forgetTries(tried: readonly Tried[]) {
  return tried.map((one) => forgetAttemptsAt(keyOf(one)));
}

/** Statements that take one try back: what was right does not count among the wrong ones of others. */
export function takeBack(tried: readonly Tried[]) {
  return tried.map((one) => forgetNewestAttemptAt(keyOf(one)));
}
