import { Z95 } from './normal';

export type NonOverlap = {
  /** Share of pairs in which the later value is better, ties counting half, 0–1; 0.5 is no difference. */
  readonly share: number;
  /** The 95 % interval. */
  readonly low: number;
  readonly high: number;
};

/**
 * Non-overlap of all pairs: (pairs improved + ½ ties) ÷ all pairs of a value before and one after
 * (Parker & Vannest 2009). The interval is Newcombe's for the same number (2006, his method 5;
 * memory): it stays within 0–1 and does not collapse when nothing overlaps. It takes the readings
 * as independent.
 *
 * @param better which way is an improvement
 * @returns null when either side is empty
 * @example nonOverlap([5, 6], [4, 5], 'less')?.share // 0.875
 */
export function nonOverlap(
  before: readonly number[],
  after: readonly number[],
  better: 'more' | 'less',
): NonOverlap | null {
  if (before.length === 0 || after.length === 0) return null;
  let improved = 0;
  for (const then of before)
    for (const now of after)
      improved += 0.5 + 0.5 * Math.sign(better === 'more' ? now - then : then - now);
  const share = improved / (before.length * after.length);
  return { share, ...interval(share, before.length, after.length) };
}

/** Where |share − true| is 1.96 standard errors of that true share. */
function interval(share: number, m: number, n: number): { low: number; high: number } {
  const beyond = (truth: number) => {
    const typical = (m + n) / 2 - 1;
    const variance =
      (truth *
        (1 - truth) *
        (1 + (typical * (1 - truth)) / (2 - truth) + (typical * truth) / (1 + truth))) /
      (m * n);
    return Math.abs(share - truth) - Z95 * Math.sqrt(variance);
  };
  return { low: bisect(beyond, share, 0), high: bisect(beyond, share, 1) };
}

/** The point between a place that is inside and an end that may be outside. */
function bisect(beyond: (truth: number) => number, inside: number, end: number): number {
  let [near, far] = [inside, end];
  for (let step = 0; step < 60; step += 1) {
    const middle = (near + far) / 2;
    if (beyond(middle) > 0) far = middle;
    else near = middle;
  }
  return (near + far) / 2;
}
