import { type LocalDate, daysBetween } from '../units';

/**
 * A day as people say it, from where they stand: "today", "yesterday", "Tue 24 Nov", with the year where it
 * is another one.
 *
 * @example daySaid(localDate('2026-11-28'), localDate('2026-11-29')) // 'yesterday'
 */
export function daySaid(date: LocalDate, today: LocalDate): string {
  const away = daysBetween(today, date);
  if (away === 0) return 'today';
  if (away === -1) return 'yesterday';
  if (away === 1) return 'tomorrow';
  const sameYear = date.slice(0, 4) === today.slice(0, 4);
  return (sameYear ? THIS_YEAR : ANOTHER_YEAR)
    .format(Date.parse(`${date}T00:00:00Z`))
    .replaceAll(',', '');
}

const SHORT = { weekday: 'short', day: 'numeric', month: 'short', timeZone: 'UTC' } as const;
const THIS_YEAR = new Intl.DateTimeFormat('en-GB', SHORT);
const ANOTHER_YEAR = new Intl.DateTimeFormat('en-GB', { ...SHORT, year: 'numeric' });
