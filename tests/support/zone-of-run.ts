const HOME = 'Europe/Lisbon';
const WEST = 'America/Los_Angeles';
/** A long run takes most of an hour. */
const LAST_HOURS_OF_DAY = 21;

/**
 * The zone of the clinics of a run of the interface's tests: where the day of the usual one is about to end,
 * one in which it is afternoon. A session that is played across midnight is of yesterday, as it should be,
 * and a journey that looks for it on today would not find it.
 */
export function zoneOfRun(at: Date): string {
  const hour = new Intl.DateTimeFormat('en', { timeZone: HOME, hour: 'numeric', hourCycle: 'h23' });
  return Number(hour.format(at)) >= LAST_HOURS_OF_DAY ? WEST : HOME;
}
