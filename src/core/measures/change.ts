import { type Margin, marginAt } from './trials';

export type Change = {
  /** Now less then, in the kind's unit. */
  readonly difference: number;
  /** What it takes to call a change real, in the kind's unit; null when nobody has published it. */
  readonly needed: number | null;
  /** As large as the detectable change, or larger; null when that is not known. */
  readonly real: boolean | null;
  readonly direction: 'better' | 'worse' | 'neither';
};

/** Rounding noise of decimal arithmetic; a change of exactly the detectable size counts. */
const TOLERANCE = 1e-9;

/**
 * The change between two values of one kind, real only from the minimal detectable change on.
 *
 * @param better which way is an improvement
 * @example changeBetween(14, 24, { by: 16 }, 'more') // +10, not real
 */
export function changeBetween(
  then: number,
  now: number,
  detectable: Margin | null,
  better: 'more' | 'less' | 'neither',
): Change {
  const difference = now - then;
  const needed = detectable && marginAt(detectable, then);
  const real = needed === null ? null : Math.abs(difference) + TOLERANCE >= needed;
  const good = better === 'more' ? difference > 0 : difference < 0;
  const direction =
    difference === 0 || better === 'neither' ? 'neither' : good ? 'better' : 'worse';
  return { difference, needed, real, direction };
}

export type SideDifference = {
  /** Right less left. */
  readonly difference: number;
  readonly less: 'left' | 'right' | null;
  /** Larger than the detectable change; null when that is not known. */
  readonly real: boolean | null;
  readonly needed: number | null;
};

/**
 * Left against right.
 *
 * @example sideDifference(45, 34, { by: 10 }) // right is 11 less, beyond error
 */
export function sideDifference(
  left: number,
  right: number,
  detectable: Margin | null,
): SideDifference {
  const difference = right - left;
  const needed = detectable && marginAt(detectable, Math.max(left, right));
  return {
    difference,
    less: difference === 0 ? null : difference < 0 ? 'right' : 'left',
    needed,
    real: needed === null ? null : Math.abs(difference) + TOLERANCE >= needed,
  };
}
