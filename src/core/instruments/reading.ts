import { type Seconds, itemAt } from '../units';

/** One reading of an instrument: when, on its own clock, and how much, in its unit. */
export type Reading = { readonly at: Seconds; readonly value: number };

/** A stream is broken where two readings are further apart than this, seconds. */
export const LONGEST_SILENCE = 0.5;

/** True when the stream had a hole, so that what happened in it is not known. */
export function isBroken(readings: readonly Reading[], longest = LONGEST_SILENCE): boolean {
  return readings.some((reading, index) => {
    const before = readings[index - 1];
    return before !== undefined && reading.at - before.at > longest;
  });
}

function median(values: readonly number[]): number {
  const sorted = [...values].sort((a, b) => a - b);
  const middle = Math.floor(sorted.length / 2);
  const [low, high] = [sorted[middle - 1] ?? 0, sorted[middle] ?? 0];
  return sorted.length % 2 === 1 ? high : (low + high) / 2;
}

/** The readings of a window that ends at `end`, seconds. */
function windowBefore(readings: readonly Reading[], end: number, length: number): Reading[] {
  return readings.filter(({ at }) => at > end - length - 1e-9 && at <= end + 1e-9);
}

/** A spike shorter than half of this is not a push, seconds. */
const PEAK_WINDOW = 0.25;

/**
 * The peak of a push: the highest running median over a quarter of a second, so that one noisy
 * reading is no peak.
 *
 * @returns in the stream's unit; null for an empty stream
 */
export function peakOf(readings: readonly Reading[]): number | null {
  const peaks = readings.map(({ at }) =>
    median(windowBefore(readings, at, PEAK_WINDOW).map(({ value }) => value)),
  );
  return peaks.length === 0 ? null : Math.max(...peaks);
}

export type PlateauOptions = {
  /** How long it must stay level. */
  readonly seconds: number;
  /** How far the readings of that time may lie apart, in the unit. */
  readonly within: number;
};

/**
 * The last level stretch of the stream: its median, once readings stay within a band for a time.
 *
 * @returns in the stream's unit; null while nothing was level for long enough
 */
export function plateauOf(
  readings: readonly Reading[],
  { seconds, within }: PlateauOptions = { seconds: 1, within: 3 },
): number | null {
  for (let index = readings.length - 1; index >= 0; index -= 1) {
    const end = itemAt(readings, index).at;
    const part = windowBefore(readings, end, seconds);
    const first = part[0]?.at ?? end;
    if (end - first < seconds * 0.8) return null;
    const values = part.map(({ value }) => value);
    if (Math.max(...values) - Math.min(...values) <= within && !isBroken(part))
      return median(values);
  }
  return null;
}

export type Hold = {
  readonly seconds: number;
  /** The signal was lost meanwhile, so that the time is what is known of it, not all of it. */
  readonly broken: boolean;
};

/** A reading outside the band for less than this, seconds, is noise and does not end a hold. */
const SLIP = 0.4;

/**
 * The longest time the stream stayed within a band, counting across slips shorter than 0.4 s. A
 * silence ends a hold: what happened in it is not known.
 *
 * @param from least and most of the band, in the unit
 */
export function longestHold(
  readings: readonly Reading[],
  [least, most]: readonly [number, number],
): Hold {
  let best: Hold = { seconds: 0, broken: false };
  let start: number | null = null;
  let lastInside = 0;
  let last: Reading | null = null;
  const close = (broken: boolean) => {
    if (start !== null && lastInside - start >= best.seconds)
      best = { seconds: lastInside - start, broken };
    start = null;
  };
  for (const reading of readings) {
    const silent = last !== null && reading.at - last.at > LONGEST_SILENCE;
    if (silent) close(true);
    const inside = reading.value >= least && reading.value <= most;
    if (inside) {
      start ??= reading.at;
      lastInside = reading.at;
    } else if (start !== null && reading.at - lastInside > SLIP) close(false);
    last = reading;
  }
  close(false);
  return best;
}
