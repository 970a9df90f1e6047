import type { Model } from './model';
import type { Shape } from './shapes';

/** Models believed so much less than the best one are left out. */
const LEAST_WEIGHT = 1e-5;

/** One model as it was tried. */
type Tried = {
  readonly log: number;
  readonly shape: number;
  readonly flared: number;
  readonly start: number;
  readonly middle: number;
  readonly scale: number;
  readonly startSquare: number;
  readonly together: number;
};
const FIELDS = [
  'log',
  'shape',
  'flared',
  'start',
  'middle',
  'scale',
  'startSquare',
  'together',
] as const;

/** All models that were tried, by thousands: kept in one row of numbers, since few of them are believed. */
export class Tries {
  private readonly numbers: Float64Array;
  private count = 0;
  private best = -Infinity;

  constructor(most: number) {
    this.numbers = new Float64Array(most * FIELDS.length);
  }

  add(one: Tried): void {
    const from = this.count * FIELDS.length;
    for (let at = 0; at < FIELDS.length; at += 1)
      this.numbers[from + at] = one[FIELDS[at] as keyof Tried];
    this.count += 1;
    if (one.log > this.best) this.best = one.log;
  }

  believed(shapes: readonly Shape[]): readonly Model[] {
    const found: Model[] = [];
    for (let nth = 0; nth < this.count; nth += 1) {
      const from = nth * FIELDS.length;
      const weight = Math.exp((this.numbers[from] as number) - this.best);
      if (weight < LEAST_WEIGHT) continue;
      const [
        ,
        shape = 0,
        flared = 0,
        start = 0,
        middle = 0,
        scale = 0,
        startSquare = 0,
        together = 0,
      ] = this.numbers.subarray(from, from + FIELDS.length);
      const { kind, at } = shapes[shape] as Shape;
      found.push({
        kind,
        flared: flared === 1,
        weight,
        start,
        change: at ? { middle, scale } : null,
        at: at ?? (() => 0),
        startSquare,
        together,
      });
    }
    return found;
  }
}
