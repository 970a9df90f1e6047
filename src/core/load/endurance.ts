import { type Range, type Seconds, seconds } from '../units';

/** A share of the maximum voluntary force, 0–1. */
export type Fraction = number & { readonly __unit: 'fraction of maximum' };

export function fraction(value: number): Fraction {
  return value as Fraction;
}

/** Below this share of the maximum the older model has no finite answer. */
const ROHMERT_ABOVE = 0.15;

/**
 * Predicted time to failure of a steady hold.
 *
 * T = 60 · (−1.5 + 2.1∕f − 0.6∕f² + 0.1∕f³) seconds (Rohmert 1960), for 0.15 < f ≤ 1.
 *
 * @returns seconds, or null where the model does not apply
 * @example rohmertEndurance(fraction(0.5)) // 66
 */
export function rohmertEndurance(f: Fraction): Seconds | null {
  if (f <= ROHMERT_ABOVE || f > 1) return null;
  return seconds(60 * (-1.5 + 2.1 / f - 0.6 / f ** 2 + 0.1 / f ** 3));
}

/** T = a · f^−b seconds (Frey Law & Avin 2010, memory): joints pooled, and the trunk. */
export const POWER_MODELS = {
  joints: { a: 14.88, b: 1.8 },
  trunk: { a: 22.69, b: 2.27 },
} as const;

/**
 * Predicted time to failure by the power model of so many studies.
 *
 * @param f 0 < f ≤ 1
 * @example powerEndurance(fraction(0.5), 'joints') // 52
 */
export function powerEndurance(f: Fraction, of: keyof typeof POWER_MODELS): Seconds | null {
  if (f <= 0 || f > 1) return null;
  const { a, b } = POWER_MODELS[of];
  return seconds(a * f ** -b);
}

/**
 * How long a steady hold is predicted to last, as the spread between the models at both ends of the
 * effort. No model is for the neck alone, so the spread is the answer.
 *
 * @param effort least and most share of the maximum
 * @returns the shortest prediction at the most effort and the longest at the least; null without any
 */
export function predictedEndurance(effort: Range<Fraction>): Range<Seconds> | null {
  const all = [effort.least, effort.most].flatMap((f) => [
    rohmertEndurance(f),
    powerEndurance(f, 'joints'),
    powerEndurance(f, 'trunk'),
  ]);
  const known = all.filter((time): time is Seconds => time !== null);
  if (known.length === 0) return null;
  return { least: seconds(Math.min(...known)), most: seconds(Math.max(...known)) };
}
