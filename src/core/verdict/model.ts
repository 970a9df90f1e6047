import type { ShapeKind } from './shapes';
import type { Weighed } from './weighed';

/** One reading: the day since the first one, and its value. Days rise. */
export type At = { readonly day: number; readonly value: number };

/** One way to say what was told: what it says of start and change, and its share of belief. */
export type Model = {
  readonly kind: ShapeKind;
  /** With a flare that passed. */
  readonly flared: boolean;
  /** Beside the best one, which has 1. */
  readonly weight: number;
  readonly start: number;
  /** Student's t of the change from start to now; null where nothing changes. */
  readonly change: { readonly middle: number; readonly scale: number } | null;
  /** How much of the change is there on a day, 0–1. */
  readonly at: (day: number) => number;
  /** Squared scale of the start, and how start and change hang together. */
  readonly startSquare: number;
  readonly together: number;
};

/** Every way together. */
export type Averaged = Weighed & {
  readonly models: readonly Model[];
  /** Fitted at the start and now, flares left out; their difference is the change. */
  readonly start: number;
  readonly now: number;
  readonly change: number;
};
