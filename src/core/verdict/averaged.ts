import { Z95 } from '../statistics';
import {
  type Flare,
  SHAPE_KINDS,
  type Shape,
  type ShapeKind,
  flaresOver,
  shapesOver,
} from './shapes';
import { belowT } from './student';

/** One reading: the day since the first one, and its value. Days rise. */
export type At = { readonly day: number; readonly value: number };

/** So much of a day's deviation is still there the next day, 0–1, and how likely that is. */
export type Memory = { readonly rho: number; readonly prior: number };

/** Day-to-day correlation of what is left, and how likely each is before anything is told. Ours. */
export const MEMORIES: readonly Memory[] = [
  { rho: 0, prior: 0.12 },
  { rho: 0.2, prior: 0.23 },
  { rho: 0.45, prior: 0.35 },
  { rho: 0.65, prior: 0.3 },
];
/** The scatter that is expected, as a share of the change that matters, and what that is worth. Ours. */
const SCATTER = 0.45;
const SCATTER_WORTH = 1;
/** How far start, change and flare may lie from none, in standard deviations of the scatter. Ours. */
const START_WIDTH = 10;

const CHANGE_WIDTH = 2;
const FLARE_WIDTH = 3;
/** Models believed so much less than the best one are left out. */
const LEAST_WEIGHT = 1e-5;

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
export type Averaged = {
  readonly models: readonly Model[];
  readonly freedom: number;
  /** Fitted at the start and now, flares left out; their difference is the change. */
  readonly start: number;
  readonly now: number;
  readonly change: number;
};

/**
 * All shapes of a course weighed by how well they say what was told (model averaging: Hoeting et al.
 * 1999; memory). Each is a normal linear model whose errors hang together from day to day as a first-order
 * process, with the exact gaps of the days that were not told, under a normal–inverse-gamma prior (Chib
 * 1993; memory): its share of belief and its answer have a closed form. The priors are in the unit of the
 * change that matters, so that another unit gives the same answer.
 *
 * @param told two readings or more, of two days or more
 * @param matters the change that matters, over 0
 */
export function averaged(told: readonly At[], matters: number): Averaged {
  const days = (told.at(-1)?.day ?? 0) + 1;
  return averagedOver(told, matters, shapesOver(days), flaresOver(days));
}

/**
 * The same over any shapes, each alone and beside each of some others.
 *
 * @param flares what may be there beside; that nothing is has what their shares leave of 1
 */
export function averagedOver(
  told: readonly At[],
  matters: number,
  shapes: readonly Shape[],
  flares: readonly Flare[],
  memories: readonly Memory[] = MEMORIES,
): Averaged {
  const alone = 1 - flares.reduce((sum, { prior }) => sum + prior, 0);
  const mean = told.reduce((sum, { value }) => sum + value, 0) / told.length;
  const values = told.map(({ value }) => value - mean);
  const shapeColumns = shapes.map(({ at }) => at && told.map(({ day }) => at(day)));
  const flareColumns = flares.map(({ at }) => told.map(({ day }) => at(day)));
  const worth = SCATTER_WORTH + told.length / 2;
  const begin = SCATTER_WORTH * (matters * SCATTER) ** 2;
  const tries = new Tries(memories.length * shapes.length * (flares.length + 1));
  for (const { rho, prior } of memories) {
    const { white, jacobian } = whitener(told, rho);
    const one = white(told.map(() => 1));
    const precision = dot(one, one) + START_WIDTH ** -2;
    /** A column with what the start explains taken out of it. */
    const column = (raw: readonly number[], width: number) => {
      const own = white(raw);
      const onStart = dot(one, own);
      return { own, onStart, square: dot(own, own) - onStart ** 2 / precision + width ** -2 };
    };
    const y = column(values, Infinity);
    const across = (a: Column, b: Column) =>
      dot(a.own, b.own) - (a.onStart * b.onStart) / precision;
    const against = (raw: readonly number[], width: number) => {
      const own = column(raw, width);
      return { ...own, onValue: across(own, y) };
    };
    const flaring = flareColumns.map((raw) => against(raw, FLARE_WIDTH));
    const base = Math.log(prior) + jacobian - 0.5 * Math.log(precision) - Math.log(START_WIDTH);
    for (const [nth, { prior: shapePrior }] of shapes.entries()) {
      const raw = shapeColumns[nth];
      const change = raw ? against(raw, CHANGE_WIDTH) : null;
      for (let which = -1; which < flaring.length; which += 1) {
        const flare = flaring[which] ?? null;
        // Where nobody told anything of those days, a flare there explains nothing.
        if (flare && flare.square <= FLARE_WIDTH ** -2 + 1e-9) continue;
        const between = change && flare ? across(change, flare) : 0;
        const fit = fitted(change, flare, between);
        const rest = begin + 0.5 * Math.max(0, y.square - fit.explained);
        const flarePrior = flare ? (flares[which]?.prior ?? 0) : alone;
        const onStart =
          y.onStart -
          (change ? change.onStart * fit.change : 0) -
          (flare ? flare.onStart * fit.flare : 0);
        const beside = startBeside(change, flare, between);
        tries.add({
          log: base + Math.log(shapePrior * flarePrior) + fit.log - worth * Math.log(rest),
          shape: nth,
          flared: flare ? 1 : 0,
          start: mean + onStart / precision,
          middle: fit.change,
          scale: Math.sqrt((rest / worth) * fit.spread),
          startSquare: (rest / worth) * (1 / precision + beside.square / precision ** 2),
          together: (-(rest / worth) * beside.change) / precision,
        });
      }
    }
  }
  const models = tries.believed(shapes);
  const kept = models.reduce((sum, { weight }) => sum + weight, 0);
  const meanOf = (of: (model: Model) => number) =>
    models.reduce((sum, model) => sum + model.weight * of(model), 0) / kept;
  const start = meanOf((model) => model.start);
  const change = meanOf((model) => model.change?.middle ?? 0);
  return { models, freedom: 2 * worth, start, change, now: start + change };
}

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
class Tries {
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

type Column = { readonly own: Float64Array; readonly onStart: number; readonly square: number };
type Against = Column & { readonly onValue: number };

function dot(a: Float64Array, b: Float64Array): number {
  let sum = 0;
  for (let at = 0; at < a.length; at += 1) sum += (a[at] as number) * (b[at] as number);
  return sum;
}

/** Takes the day-to-day correlation out of a column; `jacobian` is what that does to the likelihood. */
function whitener(told: readonly At[], rho: number) {
  const left = told.map(({ day }, at) => {
    const before = told[at - 1];
    return before && rho > 0 ? rho ** (day - before.day) : 0;
  });
  const jacobian = left.reduce((sum, one) => sum - 0.5 * Math.log(1 - one * one), 0);
  const scale = left.map((one) => 1 / Math.sqrt(1 - one * one));
  const white = (column: readonly number[]) => {
    const own = new Float64Array(column.length);
    for (let at = 0; at < own.length; at += 1)
      own[at] =
        ((column[at] as number) -
          (at > 0 ? (left[at] as number) * (column[at - 1] as number) : 0)) *
        (scale[at] as number);
    return own;
  };
  return { white, jacobian };
}

/** The closed form of one model, the start taken out of all: of change and flare, one of them, or none. */
function fitted(change: Against | null, flare: Against | null, between: number) {
  if (!change && !flare) return { log: 0, explained: 0, change: 0, flare: 0, spread: 0 };
  if (!change || !flare) {
    const only = (change ?? flare) as Against;
    const width = change ? CHANGE_WIDTH : FLARE_WIDTH;
    const middle = only.onValue / only.square;
    return {
      log: -0.5 * Math.log(only.square) - Math.log(width),
      explained: middle * only.onValue,
      change: change ? middle : 0,
      flare: change ? 0 : middle,
      spread: 1 / only.square,
    };
  }
  const volume = change.square * flare.square - between ** 2;
  const middle = (flare.square * change.onValue - between * flare.onValue) / volume;
  const beside = (change.square * flare.onValue - between * change.onValue) / volume;
  return {
    log: -0.5 * Math.log(volume) - Math.log(CHANGE_WIDTH) - Math.log(FLARE_WIDTH),
    explained: middle * change.onValue + beside * flare.onValue,
    change: middle,
    flare: beside,
    spread: flare.square / volume,
  };
}

/** What the start owes to change and flare: the inverse of their part, by how each hangs on the start. */
function startBeside(change: Against | null, flare: Against | null, between: number) {
  const [a, b] = [change?.onStart ?? 0, flare?.onStart ?? 0];
  if (change && flare) {
    const volume = change.square * flare.square - between ** 2;
    const onChange = (flare.square * a - between * b) / volume;
    const onFlare = (change.square * b - between * a) / volume;
    return { change: onChange, square: a * onChange + b * onFlare };
  }
  const only = change ?? flare;
  if (!only) return { change: 0, square: 0 };
  const on = only.onStart / only.square;
  return { change: change ? on : 0, square: only.onStart * on };
}

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
