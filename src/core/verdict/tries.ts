import type { Model } from './model';
import type { Shape } from './shapes';

/** Models believed so much less than the best one are left out. */
const LEAST_WEIGHT = 1e-5;
const LEAST_LOG = Math.log(LEAST_WEIGHT);

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
/** How many numbers one of them is. */
const FIELDS = 8;

/** How much of no change is there on a day. */
const NOTHING = () => 0;

/** All models that were tried, by thousands: kept in one row of numbers, since few of them are believed. */
export class Tries {
  private readonly numbers: Float64Array;
  private count = 0;
  private best = -Infinity;

  constructor(most: number) {
    this.numbers = new Float64Array(most * FIELDS);
  }

  /** Whether a better one has been tried that leaves nothing for this. */
  isBeyondBelief(log: number): boolean {
    return log - this.best < LEAST_LOG;
  }

  add(one: Tried): void {
    const { numbers } = this;
    const from = this.count * FIELDS;
    numbers[from] = one.log;
    numbers[from + 1] = one.shape;
    numbers[from + 2] = one.flared;
    numbers[from + 3] = one.start;
    numbers[from + 4] = one.middle;
    numbers[from + 5] = one.scale;
    numbers[from + 6] = one.startSquare;
    numbers[from + 7] = one.together;
    this.count += 1;
    if (one.log > this.best) this.best = one.log;
  }

  believed(shapes: readonly Shape[]): readonly Model[] {
    const found: Model[] = [];
    for (let nth = 0; nth < this.count; nth += 1) {
      const log = this.number(nth, 0) - this.best;
      if (log < LEAST_LOG) continue;
      const { kind, at } = shapes[this.number(nth, 1)] as Shape;
      found.push({
        kind,
        flared: this.number(nth, 2) === 1,
        weight: Math.exp(log),
        start: this.number(nth, 3),
        change: at ? { middle: this.number(nth, 4), scale: this.number(nth, 5) } : null,
        at: at ?? NOTHING,
        startSquare: this.number(nth, 6),
        together: this.number(nth, 7),
      });
    }
    return found;
  }

  private number(nth: number, field: number): number {
    return this.numbers[nth * FIELDS + field] as number;
  }
}
