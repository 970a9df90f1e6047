import { itemAt } from '../units';
import { medianOfSorted } from './median';
import { Z95 } from './normal';

/** One reading at a time; `x` in any unit, not necessarily whole or evenly spaced. */
export type Point = { readonly x: number; readonly y: number };

export type Slope = {
  /** In units of y for one unit of x. */
  readonly slope: number;
  /** The 95 % interval. */
  readonly low: number;
  readonly high: number;
};

/** So many times each value occurs. */
export function tieCounts(values: readonly number[]): number[] {
  const counts = new Map<number, number>();
  for (const value of values) counts.set(value, (counts.get(value) ?? 0) + 1);
  return [...counts.values()];
}

/**
 * Variance of the count of concordant less discordant pairs when nothing trends, corrected for ties
 * in both variables: (n(n−1)(2n+5) − Σt(t−1)(2t+5) − Σu(u−1)(2u+5)) ∕ 18 (Sen 1968, Kendall 1975).
 */
export function pairCountVariance(
  count: number,
  tiesX: readonly number[],
  tiesY: readonly number[],
): number {
  const term = (n: number) => n * (n - 1) * (2 * n + 5);
  const sum = (ties: readonly number[]) => ties.reduce((total, tie) => total + term(tie), 0);
  return (term(count) - sum(tiesX) - sum(tiesY)) / 18;
}

/**
 * The median of the slopes of all pairs of readings at different times, with its 95 % interval from
 * the ranks of those slopes (Theil 1950; Sen 1968). Outliers hardly move it.
 *
 * @param points in any order, at most some hundreds: all pairs are formed
 * @param inflation how many times larger the variance is than for independent readings; 1 or more
 * @returns null with fewer than three readings, or none at different times
 * @example medianPairwiseSlope([{ x: 0, y: 5 }, { x: 1, y: 4 }, { x: 2, y: 3 }])?.slope // −1
 */
export function medianPairwiseSlope(points: readonly Point[], inflation = 1): Slope | null {
  if (points.length < 3) return null;
  const slopes = pairSlopes(points);
  const count = slopes.length;
  if (count === 0) return null;
  const variance = pairCountVariance(
    points.length,
    tieCounts(points.map(({ x }) => x)),
    tieCounts(points.map(({ y }) => y)),
  );
  const half = Z95 * Math.sqrt(Math.max(0, variance) * inflation);
  const at = (rank: number) => itemAt(slopes, Math.min(count - 1, Math.max(0, rank)));
  return {
    slope: medianOfSorted(slopes),
    low: at(roundHalfEven((count - half) / 2) - 1),
    high: at(roundHalfEven((count + half) / 2)),
  };
}

function pairSlopes(points: readonly Point[]): Float64Array {
  const slopes = new Float64Array((points.length * (points.length - 1)) / 2);
  let count = 0;
  for (let i = 1; i < points.length; i += 1) {
    const a = points[i] as Point;
    for (let j = 0; j < i; j += 1) {
      const b = points[j] as Point;
      if (a.x !== b.x) slopes[count++] = (a.y - b.y) / (a.x - b.x);
    }
  }
  return slopes.subarray(0, count).sort();
}

function roundHalfEven(value: number): number {
  const down = Math.floor(value);
  if (value - down !== 0.5) return Math.round(value);
  return down % 2 === 0 ? down : down + 1;
}
