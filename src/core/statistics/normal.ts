/**
 * Share of a standard normal distribution beyond `z` on both sides: the two-sided p of a z-score.
 *
 * By the complementary error function in the rational form of Press et al., Numerical Recipes
 * (`erfcc`), whose relative error is below 1.2e-7.
 *
 * @returns 0–1
 * @example twoSidedP(1.96) // 0.05
 */
export function twoSidedP(z: number): number {
  const x = Math.abs(z) / Math.SQRT2;
  const t = 1 / (1 + 0.5 * x);
  let series = 0;
  for (let power = SERIES.length - 1; power >= 0; power -= 1)
    series = series * t + (SERIES[power] as number);
  return t * Math.exp(-x * x + series);
}

const SERIES = [
  -1.26551223, 1.00002368, 0.37409196, 0.09678418, -0.18628806, 0.27886807, -1.13520398, 1.48851587,
  -0.82215223, 0.17087277,
] as const;

/** Half-width of a 95 % interval in standard errors: the 97.5 % point of the standard normal. */
export const Z95 = 1.959963984540054;
