import { ENGLISH, type Language, type PatientWord } from '@/catalogue';
import { logError } from './log';
import { AlreadyThere, DatabaseFailure, GuardRefused, Unreadable } from '@/db';

/** Why something was not done, in a sentence for the person, and where in the form. */
export class Problem extends Error {
  constructor(
    readonly status: 400 | 401 | 403 | 404 | 409 | 413 | 415 | 429 | 500 | 503,
    readonly say: string,
    /** Path of the field that is wrong, such as ["lines", 2, "dose"]. */
    readonly at: readonly (string | number)[] = [],
    readonly details: Readonly<Record<string, string | number>> = {},
  ) {
    super(`problem ${status}`);
    this.name = 'Problem';
  }
}

/** A refusal whose sentence is in the words of the patient who reads it. */
export class ToldProblem extends Problem {}

/**
 * Why something was not done, as a patient reads it: in their language where it was said in it, else what
 * is true of every refusal of its kind.
 */
export function sayRefusal(problem: Problem, language: Language): string {
  if (language.tag === ENGLISH.tag || problem instanceof ToldProblem) return problem.say;
  return language.texts[REFUSALS[problem.status] ?? 'problem.notDone'];
}

const REFUSALS: Readonly<Partial<Record<Problem['status'], PatientWord>>> = {
  401: 'problem.linkGone',
  413: 'problem.tooLarge',
  429: 'problem.tooMuch',
  500: 'problem.broken',
  503: 'problem.broken',
};

export const NOT_SIGNED_IN =
  'You are not signed in, or were away too long. Sign in again; what you typed stays here.';
export const NOT_ALLOWED = 'Your role does not allow this. Ask the clinic’s lead.';
export const FACTOR_FIRST =
  'Your clinic wants a second factor from everybody. Set yours up under Account first.';
export const NOT_FOUND = 'There is no such record in your clinic.';
export const LINK_GONE = ENGLISH.texts['problem.linkGone'];
export const SCREENING_BLOCKS =
  'The screening blocks prescribing. Record under Screen what was done and why; your lines are kept here.';
export const ONE_LEAD =
  'A clinic has at least one lead who can sign in. Make somebody else the lead first.';
const BUSY = 'The record is busy just now. Nothing was saved; wait a moment and try again.';
const BROKEN =
  'The record cannot be reached. Nothing was saved; tell whoever looks after the server.';

/** Any failure as a problem a person can understand; unknown ones say nothing of their insides. */
export function asProblem(error: unknown): Problem {
  if (error instanceof Problem) return error;
  if (error instanceof GuardRefused) {
    switch (error.guard) {
      case 'access':
        return new Problem(403, NOT_ALLOWED);
      case 'version':
        return new Problem(
          409,
          'Somebody saved another version in the meantime. Your lines are kept here: look at theirs, then save again.',
        );
      case 'day':
        return new Problem(
          409,
          'The patient has already begun today’s session. Let this version begin tomorrow.',
          ['effectiveFrom'],
        );
      case 'empty':
        return new Problem(409, 'This clinic has been set up already. Sign in instead.');
      case 'code':
        return new Problem(401, 'This code was used already. Take the next one.', ['code']);
      case 'episode':
        return new Problem(
          409,
          'The episodes of this patient have changed in the meantime. Nothing was saved; what you typed stays here. Load the page again.',
        );
      case 'erased':
        return new Problem(409, 'This patient’s record was erased. Begin a new one.');
      case 'newest':
        return new Problem(
          409,
          'This was written anew in the meantime. What you typed stays here: load the page again to see theirs, then save.',
        );
      case 'alert':
        return new Problem(
          409,
          'Something the phone told is still open. Look at it and acknowledge it first: whoever is archived is on no list.',
        );
      case 'leads':
        return new Problem(409, ONE_LEAD);
      case 'screening':
        return new Problem(409, SCREENING_BLOCKS);
      case 'screened':
        return new Problem(
          409,
          'Something was told or answered in the meantime that the screening has not seen. Look under Screen, then send again; your lines are kept here.',
        );
      case 'consent':
        return new Problem(409, 'The consent was taken back in the meantime. Nothing was saved.');
      case 'room':
        return new Problem(409, 'There are three photos of this set-up already. Delete one first.');
      case 'attempts':
      case 'offered':
      case 'triage':
      case 'other':
        return new Problem(
          409,
          'The record has changed in the meantime. Look at it again, then repeat.',
        );
    }
  }
  if (error instanceof AlreadyThere) return new Problem(409, 'This is there already.');
  if (error instanceof Unreadable) return new Problem(409, error.say);
  if (error instanceof DatabaseFailure)
    return new Problem(503, error.kind === 'busy' ? BUSY : BROKEN);
  return new Problem(500, 'Something went wrong on our side. Nothing was saved; try again.');
}

/** What to say of a record that cannot be read; null for every other failure. */
export function unreadableIn(error: unknown): string | null {
  return error instanceof Unreadable ? error.say : null;
}

/** One line for the log: the kind of failure and where in the code, never its words or values. */
export function logFailure(where: string, error: unknown): void {
  const name = error instanceof Error ? error.name : typeof error;
  const place = error instanceof Error ? (/\n\s+at (.*)/.exec(error.stack ?? '')?.[1] ?? '') : '';
  logError({
    where: withoutIds(where),
    failure: name,
    ...(error instanceof DatabaseFailure ? { database: `${error.kind} ${error.code}` } : {}),
    place: place.replace(/\(.*[\\/]/, '('),
  });
}

/** A path without whose it is. */
const withoutIds = (path: string) => path.replace(/[^/]*\d[^/]{7,}/g, ':id');
