import { itemAt } from '../units';
import { Z95 } from './normal';
import { type Point, medianPairwiseSlope } from './pairwise-slopes';

/** Longer memory than this many readings is not looked for: a fortnight of daily ones. */
const MOST_LAGS = 14;

/** Ranks from 1, ties sharing their mean. */
export function ranks(values: readonly number[]): number[] {
  const order = values.map((value, index) => ({ value, index }));
  order.sort((a, b) => a.value - b.value);
  const found = new Array<number>(values.length).fill(0);
  for (let from = 0; from < order.length;) {
    let to = from;
    while (to + 1 < order.length && order[to + 1]?.value === order[from]?.value) to += 1;
    for (let i = from; i <= to; i += 1) found[itemAt(order, i).index] = (from + to) / 2 + 1;
    from = to + 1;
  }
  return found;
}

/** Correlation of a series with itself `lag` readings later, −1–1; 0 where nothing varies. */
export function autocorrelation(values: readonly number[], lag: number): number {
  const mean = values.reduce((sum, value) => sum + value, 0) / values.length;
  let variance = 0;
  let product = 0;
  values.forEach((value, index) => {
    variance += (value - mean) ** 2;
    const later = values[index + lag];
    if (later !== undefined) product += (value - mean) * (later - mean);
  });
  return variance === 0 ? 0 : product / variance;
}

/**
 * How many times larger the variance of the trend's score is than for independent readings, because
 * a bad day is followed by a bad day: n ∕ n* = 1 + 2 ∕ (n(n−1)(n−2)) · Σ (n−i)(n−i−1)(n−i−2) ρ(i),
 * ρ being the autocorrelation of the ranks once the median slope is taken out, where it is beyond
 * chance (Hamed & Rao 1998; memory). Lag 1 always counts when positive: short series rarely show it
 * beyond chance. Never below 1, so that it can only make a verdict more careful.
 *
 * @param points one reading a day or so, in the order of time
 */
export function varianceInflation(points: readonly Point[]): number {
  const n = points.length;
  if (n < 4) return 1;
  const slope = medianPairwiseSlope(points)?.slope ?? 0;
  const detrended = ranks(points.map(({ x, y }) => y - slope * x));
  const chance = Z95 / Math.sqrt(n);
  let sum = 0;
  for (let lag = 1; lag <= Math.min(MOST_LAGS, n - 3); lag += 1) {
    const found = autocorrelation(detrended, lag);
    const counts = lag === 1 ? found > 0 : Math.abs(found) > chance;
    if (counts) sum += (n - lag) * (n - lag - 1) * (n - lag - 2) * found;
  }
  return Math.max(1, 1 + (2 / (n * (n - 1) * (n - 2))) * sum);
}
