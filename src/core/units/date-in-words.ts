import type { LocalDate } from './local-date';

/**
 * A date in words, without a zone, as a person reads it: weekday, day and month.
 *
 * @param tag the language, BCP 47; plain English is written day before month
 * @example dateInWords('2026-11-23', 'en') // "Monday 23 November"
 */
export function dateInWords(date: LocalDate, tag: string): string {
  return new Intl.DateTimeFormat(tag === 'en' ? 'en-GB' : tag, {
    weekday: 'long',
    day: 'numeric',
    month: 'long',
    timeZone: 'UTC',
  }).format(Date.parse(`${date}T00:00:00Z`));
}
