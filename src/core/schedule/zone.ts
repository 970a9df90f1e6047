import { Temporal } from 'temporal-polyfill';
import { DAY_MS, type LocalDate, keptAnswers } from '../units';

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

/** A day of a zone: the first instant of it, and the first after it. */
type Day = { readonly date: LocalDate; readonly from: number; readonly before: number };
/** The day each zone was asked about last: a list asks of thousands of patients what day it is with them. */
const days = new Map<Zone, Day>();
const MOST_ZONES = 600;

/** The calendar date in a zone at an instant. */
export function dateIn(zone: Zone, instant: Instant): LocalDate {
  const known = days.get(zone);
  if (known && instant >= known.from && instant < known.before) return known.date;
  const there = Temporal.Instant.fromEpochMilliseconds(instant).toZonedDateTimeISO(zone);
  const date = there.toPlainDate();
  const found: Day = {
    date: date.toString() as LocalDate,
    from: there.startOfDay().epochMilliseconds,
    before: date.add({ days: 1 }).toZonedDateTime(zone).epochMilliseconds,
  };
  // Where clocks are put back past midnight a day comes twice: only whole days are kept.
  if (found.before - found.from === DAY_MS) {
    if (days.size >= MOST_ZONES) days.clear();
    days.set(zone, found);
  }
  return found.date;
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

/** Answers of `dayBegins`, which never change: a list of patients asks for the same midnights again and again. */
const MOST_BEGINNINGS = 500;
const beginnings = keptAnswers<string, Instant>(MOST_BEGINNINGS);

/** The first instant of a date in a zone: midnight, or as much later as a clock change skips. */
export function dayBegins(zone: Zone, date: LocalDate): Instant {
  return beginnings(`${zone} ${date}`, () => instantAt(zone, date, 0 as WallMinute));
}
