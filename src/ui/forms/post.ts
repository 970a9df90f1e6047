export type Answer<T> =
  | { readonly ok: true; readonly value: T }
  | {
      readonly ok: false;
      readonly status: number;
      readonly say: string;
      readonly at: readonly (string | number)[];
      readonly details: Readonly<Record<string, string | number>>;
    };

/** Posts a record while the page is being left: nobody waits for the answer. */
export function postOnLeaving(path: string, body: unknown): void {
  void fetch(path, { ...jsonOf(body), keepalive: true }).catch(() => undefined);
}

/** Of which patient and episode the page is; null where there is nothing to mistake. */
let atHand: string | null = null;

/** Says of which of a patient's complaints this page is: a write is refused where another one is at hand. */
export function pageIsOf(patientAndEpisode: string | null): void {
  atHand = patientAndEpisode;
}

/** The headers of a write, with the complaint that the page is of. */
export function headersOf(type: string): Record<string, string> {
  return { 'Content-Type': type, ...(atHand === null ? {} : { 'X-Episode-At-Hand': atHand }) };
}

const jsonOf = (body: unknown): RequestInit => ({
  method: 'POST',
  headers: headersOf('application/json'),
  body: JSON.stringify(body),
  credentials: 'same-origin',
});

/** Signs in again beside the page; false where that was not wanted. Set by pages of the clinic. */
let signInAgain: (() => Promise<boolean>) | null = null;

/** What a page does when it learns that nobody is signed in any more. */
export function whenSignedOut(ask: (() => Promise<boolean>) | null): void {
  signInAgain = ask;
}

/** Where "nobody is signed in" is an answer of its own: nothing is to be sent again. */
const OWN_ANSWER: readonly string[] = ['/api/v1/sign-in', '/api/v1/sign-out'];

/**
 * Posts a record as JSON. Never throws: no connection is an answer too. Where the session is over, the
 * page asks to sign in again, and what was to be sent is sent then.
 *
 * @param signal gives it up, as where there is no connection
 */
export function post<T = unknown>(
  path: string,
  body: unknown,
  signal: AbortSignal | null = null,
): Promise<Answer<T>> {
  return twiceAtMost(path, { ...jsonOf(body), signal });
}

/** As `post`, for a file sent as it is. */
export function postBytes<T = unknown>(path: string, file: Blob): Promise<Answer<T>> {
  const headers = headersOf('application/octet-stream');
  return twiceAtMost(path, { method: 'POST', headers, body: file, credentials: 'same-origin' });
}

/** What a patient's page says, in its language, where there is no connection; null on the clinic's pages. */
let unreachable: string | null = null;

/** Says from now on, where there is no connection, this sentence in the language of the page. */
export function whenUnreachable(say: string): void {
  unreachable = say;
}

/** What is said where there is no connection: the page's own sentence, else the clinic's. */
export const unreachableWords = (clinics: string): string => unreachable ?? clinics;

async function twiceAtMost<T>(path: string, request: RequestInit): Promise<Answer<T>> {
  const answer = await postOnce<T>(path, request);
  const over = !answer.ok && answer.status === 401 && !OWN_ANSWER.includes(path);
  return over && signInAgain && (await signInAgain()) ? postOnce<T>(path, request) : answer;
}

async function postOnce<T>(path: string, request: RequestInit): Promise<Answer<T>> {
  try {
    const response = await fetch(path, request);
    const answer = (await response.json()) as Answer<T>;
    return answer.ok ? answer : { ...answer, status: response.status };
  } catch {
    const say = unreachableWords(
      'The clinic’s server cannot be reached. What you typed is still here: send it again.',
    );
    return { ok: false, status: 0, say, at: [], details: {} };
  }
}
