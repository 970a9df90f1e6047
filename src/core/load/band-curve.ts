import { itemAt } from '../units';

/** A point measured by the clinic: stretch beyond the resting length, percent, and force, newtons. */
export type BandPoint = { readonly stretchPercent: number; readonly newtons: number };
export type BandCurve = { readonly name: string; readonly points: readonly BandPoint[] };

/** What a list of points cannot be read as, or null when it is a curve. */
export function bandCurveProblem(points: readonly BandPoint[]): string | null {
  if (points.length < 2) return 'A curve needs two points at least.';
  const sorted = sort(points);
  for (let index = 1; index < sorted.length; index += 1) {
    const [before, after] = [itemAt(sorted, index - 1), itemAt(sorted, index)];
    if (before.stretchPercent === after.stretchPercent)
      return `Stretch ${after.stretchPercent} % stands there twice.`;
    if (after.newtons < before.newtons)
      return `At ${after.stretchPercent} % the force is less than at ${before.stretchPercent} %: a band does not pull less when stretched more.`;
  }
  return null;
}

const sort = (points: readonly BandPoint[]) =>
  [...points].sort((a, b) => a.stretchPercent - b.stretchPercent);

export type BandForce = {
  readonly newtons: number;
  /** Beyond what was measured: carried on along the last slope, and not to be relied on. */
  readonly extrapolated: boolean;
};

/**
 * Force of a band at a stretch, by the monotone cubic through the clinic's points (Fritsch &
 * Carlson 1980): it passes every point and never falls where the points rise. Outside the measured
 * stretches it goes on in a straight line and says so.
 *
 * @returns null where the points are no curve
 * @example bandForce([{stretchPercent: 0, newtons: 0}, {stretchPercent: 100, newtons: 40}], 50) // 20
 */
export function bandForce(points: readonly BandPoint[], stretchPercent: number): BandForce | null {
  if (bandCurveProblem(points) !== null) return null;
  const sorted = sort(points);
  const xs = sorted.map((point) => point.stretchPercent);
  const ys = sorted.map((point) => point.newtons);
  const slopes = tangents(xs, ys);
  const last = xs.length - 1;
  if (stretchPercent < itemAt(xs, 0) || stretchPercent > itemAt(xs, last)) {
    const end = stretchPercent < itemAt(xs, 0) ? 0 : last;
    const newtons = itemAt(ys, end) + itemAt(slopes, end) * (stretchPercent - itemAt(xs, end));
    return { newtons: Math.max(0, newtons), extrapolated: true };
  }
  const k = Math.min(last - 1, Math.max(0, xs.findIndex((x) => x >= stretchPercent) - 1));
  const width = itemAt(xs, k + 1) - itemAt(xs, k);
  const t = (stretchPercent - itemAt(xs, k)) / width;
  const newtons =
    itemAt(ys, k) * (2 * t ** 3 - 3 * t ** 2 + 1) +
    itemAt(slopes, k) * width * (t ** 3 - 2 * t ** 2 + t) +
    itemAt(ys, k + 1) * (3 * t ** 2 - 2 * t ** 3) +
    itemAt(slopes, k + 1) * width * (t ** 3 - t ** 2);
  return { newtons, extrapolated: false };
}

/** Slopes at the points, limited so that the cubic between them stays monotone. */
function tangents(xs: readonly number[], ys: readonly number[]): number[] {
  const secants = xs
    .slice(1)
    .map((x, k) => (itemAt(ys, k + 1) - itemAt(ys, k)) / (x - itemAt(xs, k)));
  const slopes = xs.map((_, k) => {
    if (k === 0) return itemAt(secants, 0);
    if (k === xs.length - 1) return itemAt(secants, k - 1);
    return (itemAt(secants, k - 1) + itemAt(secants, k)) / 2;
  });
  secants.forEach((secant, k) => {
    if (secant === 0) {
      slopes[k] = 0;
      slopes[k + 1] = 0;
      return;
    }
    const [a, b] = [itemAt(slopes, k) / secant, itemAt(slopes, k + 1) / secant];
    const size = Math.hypot(a, b);
    if (size <= 3) return;
    slopes[k] = (3 / size) * a * secant;
    slopes[k + 1] = (3 / size) * b * secant;
  });
  return slopes;
}
