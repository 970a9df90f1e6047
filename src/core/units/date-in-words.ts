import { dateFormat } from './date-format';
import type { LocalDate } from './local-date';

const FULL = { weekday: 'long', day: 'numeric', month: 'long', timeZone: 'UTC' } as const;
const MONTH = { day: 'numeric', month: 'short', timeZone: 'UTC' } as const;
const YEAR = { day: 'numeric', month: 'short', year: 'numeric', timeZone: 'UTC' } as const;
const WEEKDAY = { weekday: 'short', day: 'numeric', timeZone: 'UTC' } as const;

const say = (
  date: LocalDate,
  tag: string,
  kind: typeof FULL | typeof MONTH | typeof WEEKDAY | typeof YEAR,
): string => dateFormat(tag, kind).format(Date.parse(`${date}T00:00:00Z`));

/**
 * A date in words, without a zone, as a person reads it: weekday, day and month.
 *
 * @param tag the language, BCP 47; plain English is written day before month
 * @example dateInWords('2026-11-23', 'en') // "Monday 23 November"
 */
export function dateInWords(date: LocalDate, tag: string): string {
  return say(date, tag, FULL);
}

/** A day of a week's table. @example dayOfWeekText('2026-11-23', 'en') // "Mon 23" */
export function dayOfWeekText(date: LocalDate, tag: string): string {
  return say(date, tag, WEEKDAY);
}

/** A day among many. @example dayAndMonthText('2026-11-23', 'en') // "23 Nov" */
export function dayAndMonthText(date: LocalDate, tag: string): string {
  return say(date, tag, MONTH);
}

/** A day on paper that is kept, with its year. @example dayOfYearText('2026-11-23', 'de') // "23. Nov. 2026" */
export function dayOfYearText(date: LocalDate, tag: string): string {
  return say(date, tag, YEAR);
}
