import { type PatientPack, dateByPack } from '@/core/exchange';
import { type LocalDate, dateFormat } from '@/core/units';

/** Today's date with the patient, by this device's clock: what decides which day of the pack is shown. */
export function localToday(pack: Pick<PatientPack, 'zone' | 'days' | 'at'>, at: number): LocalDate {
  return dateByPack(pack, at) ?? dateInZone(pack.zone, at);
}

/** What day it is in a zone, by the browser's calendar: a page that wakes does without where it can. */
export function dateInZone(zone: string, at: number): LocalDate {
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
