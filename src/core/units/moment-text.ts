import { clockText } from './clock';
import { dateFormat } from './date-format';
import { DAY_MS } from './milliseconds';

/** Where the time stands in what `momentsOfWeek` gives. */
const TIME = '{time}';

/** 1970-01-04, a Sunday. */
const A_SUNDAY_MS = 3 * DAY_MS;

/**
 * How a moment of each day of the week is said in a language, with a place for its time, Sunday first as
 * `Date` counts: for a phone, whose own calendar is slow to answer for the first time.
 *
 * @param tag BCP 47
 * @example momentsOfWeek('de')[1] // "Montag um {time}", where the calendar says it so
 */
export function momentsOfWeek(tag: string): readonly string[] {
  const format = dateFormat(tag, {
    weekday: 'long',
    hour: '2-digit',
    minute: '2-digit',
    hourCycle: 'h23',
    timeZone: 'UTC',
  });
  return Array.from({ length: 7 }, (_, day) => {
    const parts = format.formatToParts(A_SUNDAY_MS + day * DAY_MS);
    const from = parts.findIndex(({ type }) => type === 'hour');
    const to = parts.findIndex(({ type }) => type === 'minute');
    const said = (of: typeof parts) => of.map(({ value }) => value).join('');
    return `${said(parts.slice(0, from))}${TIME}${said(parts.slice(to + 1))}`;
  });
}

/** The time of a moment by this device's own clock. */
export function ownClockText(at: number): string {
  const there = new Date(at);
  return clockText(there.getHours() * 60 + there.getMinutes());
}

/**
 * A moment by this device's own clock, with its day of the week.
 *
 * @param week what `momentsOfWeek` gives
 * @param at milliseconds since 1970
 */
export function momentText(week: readonly string[], at: number): string {
  return (week[new Date(at).getDay()] ?? TIME).replace(TIME, ownClockText(at));
}
