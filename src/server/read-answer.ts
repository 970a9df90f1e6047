import 'server-only';
import { NextResponse } from 'next/server';
import { ENGLISH, type Language } from '@/catalogue';
import { Problem, asProblem, logFailure, sayRefusal } from './problem';

/** What every answer to a read of ours says: it is for who asked, and is kept nowhere on the way. */
export const FOR_WHO_ASKED = {
  'Cache-Control': 'private, no-store',
  'X-Content-Type-Options': 'nosniff',
} as const;

/**
 * Answers a read of ours; whatever goes wrong becomes a sentence, and a line in the log where it was not
 * refused on purpose.
 *
 * @param what as it is called in the log
 * @param work looks at who asks and what for, and answers it; what it throws is why it does not
 * @param language finds the language a refusal is read in; it is asked only where there is one
 */
export async function readAnswer(
  what: string,
  work: () => Promise<NextResponse>,
  language: () => Language | Promise<Language> = () => ENGLISH,
): Promise<NextResponse> {
  try {
    return await work();
  } catch (error) {
    if (!(error instanceof Problem)) logFailure(what, error);
    const problem = asProblem(error);
    const say = sayRefusal(problem, await language());
    return NextResponse.json(
      { ok: false, say },
      { status: problem.status, headers: FOR_WHO_ASKED },
    );
  }
}
