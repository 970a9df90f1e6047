import { type LocalDate, daysBetween } from '../units';

/** Days after which a screening asks to be redone, unless the clinic says otherwise. Common practice. */
export const SCREENING_LASTS_DAYS = 90;

/** True when a screening of that date is older than the clinic lets one stand, in days. */
export function isScreeningOld(on: LocalDate, today: LocalDate, lastsDays: number): boolean {
  return daysBetween(on, today) > lastsDays;
}
