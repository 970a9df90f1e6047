import { type LocalDate, addDays } from '../units';

/** Days looked back; whoever ignored so many is asked seldom enough. */
const MOST_DAYS = 14;

/**
 * Days in a row, up to yesterday, on which something was due and nothing was done. Days on which
 * nothing was due neither count nor end the row.
 *
 * @returns 0–14
 * @example ignoredDays(today, () => true, (date) => date === addDays(today, -3)) // 2
 */
export function ignoredDays(
  today: LocalDate,
  isDue: (date: LocalDate) => boolean,
  isDone: (date: LocalDate) => boolean,
): number {
  let ignored = 0;
  for (let ago = 1; ago <= MOST_DAYS; ago += 1) {
    const date = addDays(today, -ago);
    if (!isDue(date)) continue;
    if (isDone(date)) break;
    ignored += 1;
  }
  return ignored;
}
