import { keptAnswers } from './kept-answers';
import { DAY_MS } from './milliseconds';
/**
 * A calendar date in somebody's own zone, written YYYY-MM-DD (proleptic Gregorian).
 * It carries no zone: the patient's zone decides which instants belong to it.
 * Strings compare in date order.
 */
export type LocalDate = string & { readonly __unit: 'local date' };

const SHAPE = /^\d{4}-\d{2}-\d{2}$/;

/**
 * Reads YYYY-MM-DD; null when the text is not a date of the calendar.
 *
 * @example parseLocalDate('2026-02-29') // null, 2026 is no leap year
 */
export function parseLocalDate(text: string): LocalDate | null {
  if (DATES.has(text)) return text as LocalDate;
  if (!SHAPE.test(text) || text < '1000') return null;
  const date = new Date(`${text}T00:00:00Z`);
  // A day that its month has not got is read as one of the next, or not at all.
  if (Number.isNaN(date.getTime()) || !date.toISOString().startsWith(text)) return null;
  if (DATES.size >= MOST_NAMES) DATES.clear();
  DATES.add(text);
  return text as LocalDate;
}

/** Texts that were found to be dates before: rows of days bring the same few hundred. */
const DATES = new Set<string>();

/** As parseLocalDate, for text known to be a date; throws RangeError otherwise. */
export function localDate(text: string): LocalDate {
  const date = parseLocalDate(text);
  if (date === null) throw new RangeError('not a calendar date (YYYY-MM-DD)');
  return date;
}

/** The digits of a date from one place to before another, as a number. */
function digits(date: LocalDate, from: number, to: number): number {
  let value = 0;
  for (let at = from; at < to; at += 1) value = value * 10 + date.charCodeAt(at) - 48;
  return value;
}

/**
 * Days since 1970-01-01, negative before it. Years are counted from 1 March, so that a leap day
 * ends its year; the months from March on have 31, 30, 31, 30, 31 days, again and again, which
 * (153 m + 2) / 5 sums. Lists ask for thousands of days: it makes nothing and calls no Date.
 */
function dayNumber(date: LocalDate): number {
  const month = digits(date, 5, 7);
  const year = digits(date, 0, 4) - (month <= 2 ? 1 : 0);
  const monthsSinceMarch = (month + 9) % 12;
  const dayOfYear = (((153 * monthsSinceMarch + 2) / 5) | 0) + digits(date, 8, 10) - 1;
  const leapDays = ((year / 4) | 0) - ((year / 100) | 0) + ((year / 400) | 0);
  // 0000-03-01 is 719,468 days before 1970-01-01.
  return year * 365 + leapDays + dayOfYear - 719_468;
}

/**
 * The date `days` calendar days later (earlier when negative).
 *
 * @example addDays(localDate('2026-10-24'), 2) // "2026-10-26", across a clock change
 */
export function addDays(date: LocalDate, days: number): LocalDate {
  const number = dayNumber(date) + days;
  return names(number, () => new Date(number * DAY_MS).toISOString().slice(0, 10) as LocalDate);
}

/** Some fifty years of days. */
const MOST_NAMES = 20_000;
/** Days that were written before: lists ask for the same few hundred by the ten thousand. */
const names = keptAnswers<number, LocalDate>(MOST_NAMES);

/** Whole calendar days from `from` to `to`; 0 for the same date, negative when `to` is earlier. */
export function daysBetween(from: LocalDate, to: LocalDate): number {
  return dayNumber(to) - dayNumber(from);
}

/** Every date from `from` to `to`, both included; empty when `to` is earlier. */
export function dateRange(from: LocalDate, to: LocalDate): LocalDate[] {
  const count = daysBetween(from, to) + 1;
  return Array.from({ length: Math.max(0, count) }, (_, index) => addDays(from, index));
}

export const WEEKDAYS = ['mon', 'tue', 'wed', 'thu', 'fri', 'sat', 'sun'] as const;
export type Weekday = (typeof WEEKDAYS)[number];

/** @example weekday(localDate('2026-11-23')) // "mon" */
export function weekday(date: LocalDate): Weekday {
  // 1970-01-01 was a Thursday, three days after a Monday.
  const index = (((dayNumber(date) + 3) % 7) + 7) % 7;
  return WEEKDAYS[index] ?? 'mon';
}
