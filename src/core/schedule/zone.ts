import { Temporal } from 'temporal-polyfill';
import { type LocalDate, dateRange } from '../units';

/** An IANA time-zone name that this runtime knows, such as Europe/Lisbon. */
export type Zone = string & { readonly __unit: 'time zone' };

/** Milliseconds since 1970-01-01T00:00Z. */
export type Instant = number & { readonly __unit: 'instant' };

/** The minute of the wall clock, 0–1439; a day that ends after midnight goes on past 1440. */
export type WallMinute = number & { readonly __unit: 'wall minute' };

/** The instant `milliseconds` later (earlier when negative). */
export function later(instant: Instant, milliseconds: number): Instant {
  return (instant + milliseconds) as Instant;
}

/** Reads a time-zone name; null when it is unknown. */
export function parseZone(name: string): Zone | null {
  try {
    return new Intl.DateTimeFormat('en', { timeZone: name }).resolvedOptions().timeZone
      ? (name as Zone)
      : null;
  } catch {
    return null;
  }
}

/** The calendar date in a zone at an instant. */
export function dateIn(zone: Zone, instant: Instant): LocalDate {
  return Temporal.Instant.fromEpochMilliseconds(instant)
    .toZonedDateTimeISO(zone)
    .toPlainDate()
    .toString() as LocalDate;
}

/** The minute of the wall clock in a zone at an instant, 0–1439. */
export function minuteIn(zone: Zone, instant: Instant): WallMinute {
  const { hour, minute } = Temporal.Instant.fromEpochMilliseconds(instant).toZonedDateTimeISO(zone);
  return (hour * 60 + minute) as WallMinute;
}

/**
 * The instant at which the clocks of a zone show this date and minute. In the hour that a clock
 * change skips it is as much later; in an hour that happens twice it is the first.
 */
export function instantAt(zone: Zone, date: LocalDate, minute: WallMinute): Instant {
  return Temporal.PlainDate.from(date)
    .toPlainDateTime()
    .add({ minutes: minute })
    .toZonedDateTime(zone, { disambiguation: 'compatible' }).epochMilliseconds as Instant;
}

/** Answers of `dateExists`, which never change; asking the calendar is slow and lists ask often. */
const known = new Map<string, boolean>();
const MOST_KNOWN = 20_000;

/** False for a date that the zone left out, such as 2011-12-30 in Pacific/Apia. */
export function dateExists(zone: Zone, date: LocalDate): boolean {
  const key = `${zone} ${date}`;
  const answer = known.get(key);
  if (answer !== undefined) return answer;
  const start = Temporal.PlainDate.from(date).toZonedDateTime(zone);
  const exists = start.toPlainDate().toString() === date;
  if (known.size >= MOST_KNOWN) known.clear();
  known.set(key, exists);
  return exists;
}

/** Answers of `calendarDays`: a list of patients asks for the same weeks again and again. */
const knownDays = new Map<string, readonly LocalDate[]>();
const MOST_KNOWN_DAYS = 200;

/** The dates from `from` to `to` that a zone really had, in order, both ends included. */
export function calendarDays(zone: Zone, from: LocalDate, to: LocalDate): readonly LocalDate[] {
  const key = `${zone} ${from} ${to}`;
  const answer = knownDays.get(key);
  if (answer) return answer;
  const days = dateRange(from, to).filter((date) => dateExists(zone, date));
  if (knownDays.size >= MOST_KNOWN_DAYS) knownDays.clear();
  knownDays.set(key, days);
  return days;
}
