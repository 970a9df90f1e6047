import type { WallMinute } from '../schedule';
import { type Weekday, clockText } from '../units';

/** A time of a day in which the clinic answers, by the wall clock; it ends before midnight. */
export type OpenTime = { readonly from: WallMinute; readonly to: WallMinute };

/** When the clinic answers; a weekday that is left out is closed. */
export type OpeningHours = Readonly<Partial<Record<Weekday, readonly OpenTime[]>>>;

/** A day has room for a break or two. */
export const MOST_OPEN_TIMES = 3;

type ReadTimes =
  | { readonly ok: true; readonly times: readonly OpenTime[] }
  | { readonly ok: false; readonly say: string };

const refused = (say: string): ReadTimes => ({ ok: false, say });

/**
 * The times of a day as people write them.
 *
 * @example readOpenTimes('8–12, 13:30-18') // ok, 480 to 720 and 810 to 1080
 * @example readOpenTimes('') // ok, closed
 */
export function readOpenTimes(text: string): ReadTimes {
  const parts = text
    .split(/[,;]| and /)
    .map((part) => part.trim())
    .filter((part) => part !== '');
  if (parts.length > MOST_OPEN_TIMES)
    return refused(`At most ${MOST_OPEN_TIMES} times a day, such as 08:00–12:00, 13:00–18:00.`);
  const times: OpenTime[] = [];
  for (const part of parts) {
    const found = /^(\d{1,2})(?:[:.](\d{2}))?\s*(?:[-–—]|to)\s*(\d{1,2})(?:[:.](\d{2}))?$/.exec(
      part,
    );
    if (!found) return refused(`“${part}” is no time. Write it as 08:00–12:00.`);
    const [from, to] = [minuteOf(found[1], found[2]), minuteOf(found[3], found[4])];
    if (from === null || to === null) return refused(`“${part}” is no time of a day.`);
    if (to <= from) return refused(`“${part}” ends before it begins.`);
    const before = times.at(-1);
    if (before && from < before.to)
      return refused(`“${part}” begins before the one before it ends.`);
    times.push({ from, to });
  }
  return { ok: true, times };
}

/** Minutes since midnight; 24:00 only as an end would be the day after, so the day ends at 23:59. */
function minuteOf(hour = '', minute = '00'): WallMinute | null {
  const [h, m] = [Number(hour), Number(minute)];
  return h > 23 || m > 59 ? null : ((h * 60 + m) as WallMinute);
}

/** @example sayOpenTimes([{ from: 480, to: 720 }]) // "08:00–12:00" */
export function sayOpenTimes(times: readonly OpenTime[]): string {
  return times.map(({ from, to }) => `${clockText(from)}–${clockText(to)}`).join(', ');
}
