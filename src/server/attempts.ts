import { MINUTE_MS } from '@/core/units';
import { type Instant, later } from '@/core/schedule';
import {
  GuardRefused,
  forgetAttempts,
  forgetAttemptsAt,
  forgetNewestAttemptAt,
  fewerAttempts,
  guard,
  insertFailedAttempt,
  waitedLongEnough,
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
  | 'second factor'
  | 'birth date'
  | 'first run'
  | 'mail test'
  | 'read by a key';

/**
 * How many wrong tries are let through before anything is checked again.
 *
 * - A wait that grows: after the free ones each wrong try doubles it, from half a minute to a quarter of
 *   an hour; an hour without any forgets them. A name is counted with the address it is tried from:
 *   whoever guesses elsewhere makes nobody wait.
 * - A bound: so many within the time. The account as a whole has that of the OWASP ASVS (2.2.1: at most
 *   100 an hour), from which addresses are free that it was signed in from before.
 *
 * The numbers but that one: common practice, no source.
 */
export const ATTEMPTS: Readonly<
  Record<
    Purpose,
    | { kind: 'bound'; most: number; minutes: number }
    | { kind: 'wait'; free: number; firstSeconds: number; longestSeconds: number; minutes: number }
  >
> = {
  'sign-in': growing(5),
  'sign-in from one address': { kind: 'bound', most: 60, minutes: 15 },
  account: { kind: 'bound', most: 100, minutes: 60 },
  'own password': growing(5),
  'second factor': growing(5),
  'birth date': growing(5),
  'first run': growing(5),
  'mail test': { kind: 'bound', most: 10, minutes: 60 },
  'read by a key': { kind: 'bound', most: 60, minutes: 15 },
};

function growing(free: number) {
  return { kind: 'wait', free, firstSeconds: 30, longestSeconds: 900, minutes: 60 } as const;
}

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
      ...tried.map((one) => guard('attempts', holdsFor(one, at))),
      ...tried.map((one) => insertFailedAttempt(keyOf(one), at)),
    ]);
  } catch (error) {
    if (error instanceof GuardRefused && error.guard === 'attempts') throw tooMany(tried);
    throw error;
  }
}

/** Why one more try at these is not let through, with how long to wait. */
function tooMany(tried: readonly Tried[]): Problem {
  const bounds = tried.map(({ purpose }) => ATTEMPTS[purpose]);
  if (bounds.every(({ kind }) => kind === 'bound')) {
    const minutes = Math.max(...bounds.map((bound) => bound.minutes));
    return new Problem(429, `Too many attempts. Wait up to ${minutes} minutes, then try again.`);
  }
  return new Problem(
    429,
    'Too many attempts. Wait half a minute, then try again; each wrong one doubles the wait, up to a quarter of an hour.',
  );
}

/** What has to hold for one more try at something. */
function holdsFor(one: Tried, at: Instant) {
  const bound = ATTEMPTS[one.purpose];
  const since = later(at, -bound.minutes * MINUTE_MS);
  return bound.kind === 'bound'
    ? fewerAttempts(keyOf(one), since, bound.most)
    : waitedLongEnough(keyOf(one), at, {
        since,
        free: bound.free,
        firstMs: bound.firstSeconds * 1000,
        longestMs: bound.longestSeconds * 1000,
      });
}

/** Statements that forget every try at these, once one was right. */
export function forgetTries(tried: readonly Tried[]) {
  return tried.map((one) => forgetAttemptsAt(keyOf(one)));
}

/** Statements that take one try back: what was right does not count among the wrong ones of others. */
export function takeBack(tried: readonly Tried[]) {
  return tried.map((one) => forgetNewestAttemptAt(keyOf(one)));
}
