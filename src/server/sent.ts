import type { z } from 'zod';
import { Problem } from './problem';

/** The head of a request, of whichever kind: names are lower case. */
export type Head = { readonly get: (name: string) => string | null };

/** What every answer to a write says; the proxy, which says the same of pages, is passed by at times. */
export const NO_STORE = {
  'Cache-Control': 'no-store',
  'X-Content-Type-Options': 'nosniff',
  'Referrer-Policy': 'no-referrer',
  'Cross-Origin-Resource-Policy': 'same-origin',
} as const;

/**
 * That a request brings a record as JSON, and says that it is no larger than it may be.
 *
 * @param limit bytes
 * @throws Problem 415, 413
 */
export function checkIsRecord(head: Head, limit: number): void {
  if (!(head.get('content-type') ?? '').startsWith('application/json'))
    throw new Problem(415, 'This was not sent as a form of ours.');
  if (Number(head.get('content-length') ?? 0) > limit) throw tooLarge(limit);
}

/** The refusal of a record that is larger than so many bytes. */
export function tooLarge(limit: number): Problem {
  return new Problem(
    413,
    `This is too large (at most ${Math.round(limit / 1024)} kB). Nothing was saved.`,
  );
}

/**
 * The record in some JSON.
 *
 * @throws Problem 400 where it is none, with the place in it
 */
export function recordOf<S extends z.ZodType>(schema: S, bytes: Buffer): z.infer<S> {
  return checked(schema, jsonOf(bytes));
}

/** A value that is as a schema says. @throws Problem 400 with the place in it */
export function checked<S extends z.ZodType>(schema: S, value: unknown): z.infer<S> {
  const parsed = schema.safeParse(value);
  if (parsed.success) return parsed.data;
  const issue = parsed.error.issues[0];
  const at = (issue?.path ?? []).map((key) => (typeof key === 'number' ? key : String(key)));
  throw new Problem(400, issue?.message ?? 'Something in the form is not right.', at);
}

function jsonOf(bytes: Buffer): unknown {
  try {
    return withoutNul(bytes.toString('utf8'));
  } catch {
    throw new Problem(400, 'What was sent could not be read. Nothing was saved; try again.');
  }
}

/**
 * A record as it was sent, without the character U+0000: the database ends a text there on reading, so
 * that what follows it would be lost.
 */
function withoutNul(text: string): unknown {
  // Only where it may be looked for at all: a reviver costs.
  return /\\u0000/.test(text)
    ? JSON.parse(text, (_, value: unknown) =>
        typeof value === 'string' ? value.replaceAll('\u0000', '') : value,
      )
    : JSON.parse(text);
}
