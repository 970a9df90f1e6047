import { type LocalDate, dateFormat } from '@/core/units';

/** Today's date in a zone, by this device's clock: what decides which day of the pack is shown. */
export function localToday(zone: string, at: number): LocalDate {
  try {
    // "en-CA" writes a date as year-month-day.
    return dateFormat('en-CA', { timeZone: zone }).format(at) as LocalDate;
  } catch {
    return new Date(at).toISOString().slice(0, 10) as LocalDate;
  }
}

/** A date so many days on; dates have no zone. */
export function shiftedDate(date: LocalDate, days: number): LocalDate {
  const at = Date.parse(`${date}T00:00:00Z`) + days * 86_400_000;
  return new Date(at).toISOString().slice(0, 10) as LocalDate;
}
