import { keptAnswers } from './kept-answers';
import type { LocalDate } from './local-date';

const SHORT = new Intl.DateTimeFormat('en-GB', {
  day: 'numeric',
  month: 'short',
  year: 'numeric',
  timeZone: 'UTC',
});

/** Answers given before: lists say the same days again and again, and asking the reference is slow. */
const MOST_KNOWN = 2_000;
const known = keptAnswers<LocalDate, string>(MOST_KNOWN);

/**
 * A day as a record names it: short, with its year, and no code. Where it is said from today's point of
 * view, `daySaid` is nearer to how people talk; files and tables of a machine keep the date itself.
 *
 * @example shortDay(localDate('2026-11-29')) // "29 Nov 2026"
 */
export function shortDay(date: LocalDate): string {
  // The reference calls September "Sept"; three letters line up.
  return known(date, () => SHORT.format(Date.parse(`${date}T00:00:00Z`)).replace('Sept', 'Sep'));
}
