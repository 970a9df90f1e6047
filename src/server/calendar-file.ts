import ICAL from 'ical.js';
import type { Instant } from '@/core/schedule';
import { now } from './clock';

/**
 * A calendar to be subscribed to (iCalendar, RFC 5545), with nothing in it yet.
 *
 * @param kind what made it, such as "Sessions"
 */
export function newCalendar(kind: string, name: string) {
  const calendar = new ICAL.Component(['vcalendar', [], []]);
  calendar.updatePropertyWithValue('version', '2.0');
  calendar.updatePropertyWithValue('prodid', `-//Dry Lantern//${kind}//EN`);
  calendar.updatePropertyWithValue('calscale', 'GREGORIAN');
  calendar.updatePropertyWithValue('method', 'PUBLISH');
  calendar.updatePropertyWithValue('x-wr-calname', name);
  return calendar;
}

/** An instant in UTC, so that a change of clocks or zones moves nothing. */
export const calendarTime = (at: Instant) => ICAL.Time.fromJSDate(new Date(at), true);

/** An event of this id, stamped with when the calendar was asked for. */
export function newEvent(uid: string, sequence: number) {
  const event = new ICAL.Component('vevent');
  event.updatePropertyWithValue('uid', uid);
  event.updatePropertyWithValue('dtstamp', calendarTime(now()));
  event.updatePropertyWithValue('sequence', sequence);
  return event;
}
