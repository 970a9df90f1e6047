import { Z95 } from '../statistics';
import type { Averaged, Model } from './model';
import { SHAPE_KINDS, type ShapeKind } from './shapes';
import { belowT } from './student';
import type { Weighed } from './weighed';

/** The course by all shapes together on a day, flares left out, with its 95 % band. */
export type FittedDay = {
  readonly day: number;
  readonly value: number;
  readonly low: number;
  readonly high: number;
};

/**
 * The fitted course on some days: its middle, and 1.96 standard deviations to either side, within each
 * shape and between them.
 */
export function fittedCourse({ models, freedom }: Averaged, days: readonly number[]): FittedDay[] {
  const all = models.reduce((sum, { weight }) => sum + weight, 0);
  const spread = freedom / (freedom - 2);
  return days.map((day) => {
    let [mean, square] = [0, 0];
    let [shape, part]: [Model['at'] | null, number] = [null, 0];
    for (const { weight, start, change, at, startSquare, together } of models) {
      // Models of one shape stand together.
      if (at !== shape) [shape, part] = [at, at(day)];
      const value = start + (change?.middle ?? 0) * part;
      const within = startSquare + 2 * part * together + part ** 2 * (change?.scale ?? 0) ** 2;
      mean += (weight / all) * value;
      square += (weight / all) * (value ** 2 + spread * Math.max(0, within));
    }
    const half = Z95 * Math.sqrt(Math.max(0, square - mean ** 2));
    return { day, value: mean, low: mean - half, high: mean + half };
  });
}

/**
 * How likely the change from start to now is below a value.
 *
 * @returns 0–1
 * @example belowChange(found, -0.5) // 0.93: it is 93 % sure that it has come down by more than 0.5
 */
export function belowChange({ weights, middles, scales, freedom }: Weighed, value: number): number {
  let below = 0;
  let all = 0;
  for (let nth = 0; nth < weights.length; nth += 1) {
    const weight = weights[nth] as number;
    const scale = scales[nth] as number;
    all += weight;
    if (scale > 0) below += weight * belowT((value - (middles[nth] as number)) / scale, freedom);
    else if (value > 0) below += weight;
  }
  return below / all;
}

/**
 * The value below which the change lies with a probability: looked for outwards from the middle, a
 * standard deviation at a time, then by false position with the bound that stays pulled in (the Illinois
 * method, Dowell & Jarratt 1971; memory).
 *
 * @param share 0–1, not at the ends
 */
export function changeAt(found: Weighed, share: number): number {
  // Whoever believes in no change at all makes a leap at 0, which false position would go round for long.
  if (belowChange(found, 0) < share && belowChange(found, Number.MIN_VALUE) >= share) return 0;
  let { low, high, under, over } = boundsOf(found, share);
  let moved: 'low' | 'high' | null = null;
  for (let step = 0; step < MOST_STEPS; step += 1) {
    const between = low + ((high - low) * under) / (under - over);
    const off = belowChange(found, between) - share;
    if (Math.abs(off) < NEAR) return between;
    if (off < 0) {
      if (moved === 'low') over /= 2;
      [low, under, moved] = [between, off, 'low'];
    } else {
      if (moved === 'high') under /= 2;
      [high, over, moved] = [between, off, 'high'];
    }
  }
  return (low + high) / 2;
}

const MOST_STEPS = 60;
/** So near to the probability asked for is near enough. */
const NEAR = 1e-6;

/** Two values between which it lies, and how far the probability at each is from the one asked for. */
function boundsOf(found: Weighed, share: number) {
  const { mean, deviation } = momentsOf(found);
  const step = Math.max(deviation, 1e-9);
  let [low, under] = [mean, belowChange(found, mean) - share];
  let [high, over] = [low, under];
  while (under >= 0) {
    [high, over] = [low, under];
    low -= step;
    under = belowChange(found, low) - share;
  }
  while (over < 0) {
    [low, under] = [high, over];
    high += step;
    over = belowChange(found, high) - share;
  }
  return { low, high, under, over };
}

/** Mean and standard deviation of the change over all models. */
function momentsOf({ weights, middles, scales, freedom }: Weighed) {
  const spread = freedom / (freedom - 2);
  let [all, mean, square] = [0, 0, 0];
  for (let nth = 0; nth < weights.length; nth += 1) {
    const weight = weights[nth] as number;
    const middle = middles[nth] as number;
    all += weight;
    mean += weight * middle;
    square += weight * (middle ** 2 + spread * (scales[nth] as number) ** 2);
  }
  mean /= all;
  return { mean, deviation: Math.sqrt(Math.max(0, square / all - mean ** 2)) };
}

/** How likely each kind of shape is, and that a flare passed. */
export function likely({ models }: Averaged): {
  readonly kinds: Readonly<Record<ShapeKind, number>>;
  readonly flared: number;
} {
  const kinds: Record<ShapeKind, number> = { none: 0, line: 0, levelling: 0, step: 0 };
  let all = 0;
  let flared = 0;
  for (const model of models) {
    all += model.weight;
    kinds[model.kind] += model.weight;
    if (model.flared) flared += model.weight;
  }
  for (const kind of SHAPE_KINDS) kinds[kind] /= all;
  return { kinds, flared: flared / all };
}
