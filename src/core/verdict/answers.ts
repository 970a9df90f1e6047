import { Z95 } from '../statistics';
import type { Averaged } from './model';
import { SHAPE_KINDS, type ShapeKind } from './shapes';
import { belowT } from './student';

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
    for (const { weight, start, change, at, startSquare, together } of models) {
      const part = at(day);
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
export function belowChange({ models, freedom }: Averaged, value: number): number {
  let below = 0;
  let all = 0;
  for (const { weight, change } of models) {
    all += weight;
    if (change) below += weight * belowT((value - change.middle) / change.scale, freedom);
    else if (value > 0) below += weight;
  }
  return below / all;
}

/**
 * The value below which the change lies with a probability, by halving.
 *
 * @param share 0–1, not at the ends
 */
export function changeAt(found: Averaged, share: number): number {
  const reach = found.models.reduce(
    (most, { change }) =>
      change ? Math.max(most, Math.abs(change.middle) + 12 * change.scale) : most,
    1e-9,
  );
  let [low, high] = [-reach, reach];
  for (let step = 0; step < HALVINGS; step += 1) {
    const middle = (low + high) / 2;
    if (belowChange(found, middle) < share) low = middle;
    else high = middle;
  }
  return (low + high) / 2;
}

const HALVINGS = 24;

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
