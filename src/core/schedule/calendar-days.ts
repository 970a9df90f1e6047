import { HOUR_MS, type LocalDate, dateRange, keptAnswers } from '../units';
import type { Zone } from './zone';

/** Any hour that a date could have anywhere lies so many hours from its midnight at Greenwich. */
const FIRST_HOUR = -14;
const LAST_HOUR = 36;
/** No date that is there is shorter than this, hours. */
const STEP_HOURS = 3;
/** Greenwich’s noon, then its midnight: one of them falls into a date in every zone of today. */
const MOSTLY = [12, 0] as const;

const formats = new Map<Zone, Intl.DateTimeFormat>();

/** The date in a zone, without the arithmetic of time zones, which a page need not carry for this. */
function shownOn(zone: Zone, instantMs: number): string {
  const format =
    formats.get(zone) ??
    new Intl.DateTimeFormat('en', {
      timeZone: zone,
      calendar: 'iso8601',
      year: 'numeric',
      month: '2-digit',
      day: '2-digit',
    });
  formats.set(zone, format);
  const parts = Object.fromEntries(
    format.formatToParts(instantMs).map(({ type, value }) => [type, value]),
  );
  return `${parts.year?.padStart(4, '0')}-${parts.month}-${parts.day}`;
}

function isShown(zone: Zone, date: LocalDate): boolean {
  const midnight = Date.parse(`${date}T00:00Z`);
  const at = (hour: number) => shownOn(zone, midnight + hour * HOUR_MS) === date;
  if (MOSTLY.some(at)) return true;
  for (let hour = FIRST_HOUR; hour <= LAST_HOUR; hour += STEP_HOURS) if (at(hour)) return true;
  return false;
}

/** Answers of `dateExists`, which never change; asking the calendar is slow and lists ask often. */
const MOST_KNOWN = 20_000;
const known = keptAnswers<string, boolean>(MOST_KNOWN);

/** False for a date that the zone left out, such as 2011-12-30 in Pacific/Apia. */
export function dateExists(zone: Zone, date: LocalDate): boolean {
  return known(`${zone} ${date}`, () => isShown(zone, date));
}

/** Answers of `calendarDays`: a list of patients asks for the same weeks again and again. */
const MOST_KNOWN_DAYS = 200;
const knownDays = keptAnswers<string, readonly LocalDate[]>(MOST_KNOWN_DAYS);

/** The dates from `from` to `to` that a zone really had, in order, both ends included. */
export function calendarDays(zone: Zone, from: LocalDate, to: LocalDate): readonly LocalDate[] {
  return knownDays(`${zone} ${from} ${to}`, () =>
    dateRange(from, to).filter((date) => dateExists(zone, date)),
  );
}
