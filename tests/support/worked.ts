import { createHash } from 'node:crypto';
import fc from 'fast-check';

/**
 * Worked examples: many cases of a computation, drawn once by a fixed seed, whose answers are kept
 * beside the test and change only on purpose (`npx jest -u`, and a look at what changed). They pin
 * what the tests of single rules leave loose.
 */
export function drawnCases<T>(cases: fc.Arbitrary<T>, count: number, seed = 20_261_127): T[] {
  return fc.sample(cases, { numRuns: count, seed });
}

/** One line of a listing: everything that was asked and answered, short. */
export function asLine(...parts: readonly unknown[]): string {
  return parts.map((part) => (typeof part === 'string' ? part : JSON.stringify(part))).join(' | ');
}

/** A long answer as its hash. */
export function digest(value: unknown): string {
  const text = typeof value === 'string' ? value : JSON.stringify(value);
  return createHash('sha256').update(text).digest('hex').slice(0, 12);
}

/** Numbers shortened, so that another processor's last digit changes nothing. */
export function rounded(value: unknown, digits = 3): unknown {
  if (typeof value === 'number') return Number(value.toFixed(digits)) + 0;
  if (Array.isArray(value)) return value.map((one) => rounded(one, digits));
  if (typeof value === 'object' && value !== null)
    return Object.fromEntries(
      Object.entries(value).map(([name, one]) => [name, rounded(one, digits)]),
    );
  return value;
}
