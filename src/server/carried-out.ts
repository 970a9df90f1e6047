import type { Language } from '@/catalogue';
import { roomInTurn } from '@/db';
import { Problem, asProblem, logFailure, sayRefusal } from './problem';
import type { Head } from './sent';

/** A write as it reached us, before anything of it is read but its head. */
type Sent = {
  readonly head: Head;
  /** Which of our addresses it was sent to. */
  readonly path: string;
  /** Where our pages are, such as "https://clinic.example". */
  readonly own: string;
  /** Whether whoever sent it does not wait any more. */
  readonly hasLeft: () => boolean;
};

/** What a page of ours reads of a write that was not carried out, and with which status. */
type Refusal = {
  readonly status: Problem['status'];
  readonly body: {
    readonly ok: false;
    readonly say: string;
    readonly at: Problem['at'];
    readonly details: Problem['details'];
  };
};

/**
 * Carries out a write of our own pages: where it comes from, its turn, the work; whatever goes wrong becomes
 * a sentence, and a line in the log where it is ours.
 *
 * @param work looks at who asks and what was sent, in this order, and does it
 * @param language finds the language a refusal is read in; it is asked only where there is one
 */
export async function carriedOut<T>(
  { head, path, own, hasLeft }: Sent,
  work: () => Promise<T>,
  language: () => Language | Promise<Language>,
): Promise<{ readonly done: T } | { readonly refused: Refusal }> {
  try {
    checkOrigin(head, own);
    await roomInTurn();
    return { done: await work() };
  } catch (error) {
    const problem = asProblem(error);
    // Whoever left is told nothing, and nothing went wrong.
    if (problem.status >= 500 && !hasLeft()) logFailure(path, error);
    const { status, at, details } = problem;
    const say = sayRefusal(problem, await language());
    return { refused: { status, body: { ok: false, say, at, details } } };
  }
}

/**
 * A write must come from our own pages.
 *
 * @param own where our pages are, such as "https://clinic.example"
 * @throws Problem 403
 */
function checkOrigin(head: Head, own: string): void {
  const origin = head.get('origin');
  const site = head.get('sec-fetch-site');
  const isOwn = origin === null ? site === 'same-origin' : origin === own || site === 'same-origin';
  if (!isOwn)
    throw new Problem(
      403,
      'This request did not come from our own pages, so it was not carried out.',
    );
}
