import { Z95 } from './normal';

/** A mean with its 95 % interval, in the unit of the values. */
export type Mean = { readonly mean: number; readonly low: number; readonly high: number };

/**
 * The mean of values with its 95 % interval by Student's t.
 *
 * @returns null for fewer than two values
 * @example meanInterval([1, 2, 3]) // { mean: 2, low: -0.484, high: 4.484 }
 */
export function meanInterval(values: readonly number[]): Mean | null {
  const n = values.length;
  if (n < 2) return null;
  const mean = values.reduce((sum, value) => sum + value, 0) / n;
  const variance = values.reduce((sum, value) => sum + (value - mean) ** 2, 0) / (n - 1);
  const half = t95(n - 1) * Math.sqrt(variance / n);
  return { mean, low: mean - half, high: mean + half };
}

/** The 97.5 % point of Student's t for the freedoms at which the expansion below is not yet good. */
const FEW = [12.7062, 4.3027, 3.1824, 2.7764, 2.5706, 2.4469, 2.3646, 2.306] as const;

/**
 * The 97.5 % point of Student's t: the Cornish–Fisher expansion round the normal's (Abramowitz & Stegun
 * 26.7.5), right to three decimals from nine degrees of freedom on.
 */
function t95(freedom: number): number {
  const z = Z95;
  return (
    FEW[freedom - 1] ??
    z +
      (z ** 3 + z) / (4 * freedom) +
      (5 * z ** 5 + 16 * z ** 3 + 3 * z) / (96 * freedom ** 2) +
      (3 * z ** 7 + 19 * z ** 5 + 17 * z ** 3 - 15 * z) / (384 * freedom ** 3)
  );
}
