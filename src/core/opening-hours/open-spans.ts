import { type Instant, type Zone, calendarDays, instantAt } from '../schedule';
import { type LocalDate, addDays, weekday } from '../units';
import type { OpeningHours } from './open-times';

/** A time in which the clinic answers, as moments: what a phone can tell without knowing the clinic's zone. */
export type OpenSpan = { readonly from: Instant; readonly to: Instant };

/** The times of some days, from a date on; empty where no hours are written. */
export function openSpans(
  hours: OpeningHours,
  zone: Zone,
  from: LocalDate,
  days: number,
): OpenSpan[] {
  return calendarDays(zone, from, addDays(from, days - 1)).flatMap((date) =>
    (hours[weekday(date)] ?? []).map((time) => ({
      from: instantAt(zone, date, time.from),
      to: instantAt(zone, date, time.to),
    })),
  );
}
