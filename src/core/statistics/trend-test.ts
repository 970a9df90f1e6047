import { twoSidedP } from './normal';
import { type Point, pairCountVariance, tieCounts } from './pairwise-slopes';

export type TrendTest = {
  /** Rising pairs less falling ones. */
  readonly score: number;
  /** Of the score when nothing trends, for independent readings, corrected for ties. */
  readonly variance: number;
  /** Kendall's tau-b, −1–1; 0 where everything is tied. */
  readonly tau: number;
  /** The score in standard errors with the correction for continuity. */
  readonly z: number;
  /** Two-sided. */
  readonly p: number;
};

/**
 * Test of a monotone trend that corrects for ties (Mann 1945; Kendall 1975).
 *
 * @param points in any order
 * @param inflation how many times larger the variance is than for independent readings; 1 or more
 * @example trendTest([{ x: 0, y: 1 }, { x: 1, y: 2 }, { x: 2, y: 3 }]).tau // 1
 */
export function trendTest(points: readonly Point[], inflation = 1): TrendTest {
  const count = points.length;
  let score = 0;
  for (let i = 1; i < count; i += 1) {
    const a = points[i] as Point;
    for (let j = 0; j < i; j += 1) {
      const b = points[j] as Point;
      score += Math.sign(a.x - b.x) * Math.sign(a.y - b.y);
    }
  }
  const tiesX = tieCounts(points.map(({ x }) => x));
  const tiesY = tieCounts(points.map(({ y }) => y));
  const variance = pairCountVariance(count, tiesX, tiesY) + jointTies(count, tiesX, tiesY);
  const pairs = (n: number) => (n * (n - 1)) / 2;
  const untied = (ties: readonly number[]) =>
    pairs(count) - ties.reduce((sum, tie) => sum + pairs(tie), 0);
  const most = Math.sqrt(untied(tiesX) * untied(tiesY));
  const error = Math.sqrt(Math.max(0, variance) * inflation);
  const z = error === 0 ? 0 : (score - Math.sign(score)) / error;
  return { score, variance, tau: most === 0 ? 0 : score / most, z, p: twoSidedP(z) };
}

/** What ties in both variables add to the variance (Kendall 1975); 0 for readings at different times. */
function jointTies(n: number, tiesX: readonly number[], tiesY: readonly number[]): number {
  if (n < 3) return 0;
  const twos = (ties: readonly number[]) => ties.reduce((sum, t) => sum + t * (t - 1), 0);
  const threes = (ties: readonly number[]) =>
    ties.reduce((sum, t) => sum + t * (t - 1) * (t - 2), 0);
  return (
    (twos(tiesX) * twos(tiesY)) / (2 * n * (n - 1)) +
    (threes(tiesX) * threes(tiesY)) / (9 * n * (n - 1) * (n - 2))
  );
}
