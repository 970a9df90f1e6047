import { HOUR_MS, type LocalDate, dateRange } from '../units';
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
const known = new Map<string, boolean>();
const MOST_KNOWN = 20_000;

/** False for a date that the zone left out, such as 2011-12-30 in Pacific/Apia. */
export function dateExists(zone: Zone, date: LocalDate): boolean {
  const key = `${zone} ${date}`;
  const answer = known.get(key);
  if (answer !== undefined) return answer;
  const exists = isShown(zone, date);
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
