import type { Range } from './range';
/** A length of time in seconds, ≥ 0. */
export type Seconds = number & { readonly __unit: 'seconds' };

/** Brands a plain number of seconds. */
export function seconds(value: number): Seconds {
  return value as Seconds;
}

/**
 * A length of time as a short text: whole minutes and seconds, rounded to the second.
 *
 * @example formatSeconds(seconds(95)) // "1 min 35 s"
 * @example formatSeconds(seconds(120)) // "2 min"
 */
export function formatSeconds(value: Seconds): string {
  const whole = Math.round(value);
  const minutes = Math.floor(whole / 60);
  const rest = whole % 60;
  if (minutes === 0) return `${rest} s`;
  return rest === 0 ? `${minutes} min` : `${minutes} min ${rest} s`;
}

/**
 * A clock reading for a countdown: minutes and two-digit seconds, rounded up so that a count
 * shows 0:00 only when it is over.
 *
 * @example formatClock(seconds(61.2)) // "1:02"
 */
export function formatClock(value: Seconds): string {
  const whole = Math.max(0, Math.ceil(value));
  return `${Math.floor(whole / 60)}:${String(whole % 60).padStart(2, '0')}`;
}

/**
 * A session's time in whole minutes, at least one: "about 6 min", "5 to 7 min".
 *
 * @example formatRange({ least: seconds(300), most: seconds(420) }) // "5 to 7 min"
 */
export function formatRange(time: Range<Seconds>): string {
  const { least, most } = wholeMinutes(time);
  return least === most ? `about ${least} min` : `${least} to ${most} min`;
}

/** Both ends of a time in whole minutes, at least one. */
export function wholeMinutes({ least, most }: Range<Seconds>): Range<number> {
  const minutes = (value: number) => Math.max(1, Math.round(value / 60));
  return { least: minutes(least), most: minutes(most) };
}
