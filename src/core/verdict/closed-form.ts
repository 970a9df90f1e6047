import type { At } from './model';

/** How far start, change and flare may lie from none, in standard deviations of the scatter. Ours. */
export const START_WIDTH = 10;
export const CHANGE_WIDTH = 2;
export const FLARE_WIDTH = 3;

/** The readings in which a column is not zero: from the first of them to behind the last. */
export type Support = { readonly from: number; readonly to: number };

/** What a column is where it is not zero. */
export type Own = { readonly from: number; readonly own: readonly number[] };

/** A column with the day-to-day correlation, and what the start explains, taken out of it. */
export type Column = Own & {
  readonly onStart: number;
  readonly square: number;
};
/** The same, with how it hangs on what was told. */
export type Against = Column & { readonly onValue: number };

/** @param b told of wherever the other is: a flare is a few days of many weeks */
export function dot(a: Own, b: Own): number {
  const apart = a.from - b.from;
  let sum = 0;
  for (let at = 0; at < a.own.length; at += 1)
    sum += (a.own[at] as number) * (b.own[at + apart] as number);
  return sum;
}

/** Where a column is not zero once the day-to-day correlation is taken out of it: one reading longer. */
export function supportOf(column: readonly number[]): Support {
  const from = column.findIndex((value) => value !== 0);
  if (from === -1) return { from: 0, to: 0 };
  const last = column.findLastIndex((value) => value !== 0);
  return { from, to: Math.min(column.length, last + 2) };
}

/** Takes the day-to-day correlation out of a column; `jacobian` is what that does to the likelihood. */
export function whitener(told: readonly At[], rho: number) {
  const left = new Float64Array(told.length);
  const scale = new Float64Array(told.length);
  let jacobian = 0;
  told.forEach(({ day }, at) => {
    const before = told[at - 1];
    const kept = before && rho > 0 ? rho ** (day - before.day) : 0;
    left[at] = kept;
    scale[at] = 1 / Math.sqrt(1 - kept * kept);
    jacobian -= 0.5 * Math.log(1 - kept * kept);
  });
  const white = (column: readonly number[], { from, to }: Support) => {
    const own: number[] = [];
    let before = from > 0 ? (column[from - 1] as number) : 0;
    for (let at = from; at < to; at += 1) {
      const value = column[at] as number;
      own.push((value - (left[at] as number) * before) * (scale[at] as number));
      before = value;
    }
    return { from, own };
  };
  return { white, jacobian };
}

/** How much of the squares change and flare explain together: what a fit leaves is the less for it. */
export function explainedBy(
  change: Against | null,
  flare: Against | null,
  between: number,
): number {
  if (!change || !flare) {
    const only = change ?? flare;
    return only ? only.onValue ** 2 / only.square : 0;
  }
  const { square: a, onValue: x } = change;
  const { square: b, onValue: y } = flare;
  return (b * x * x - 2 * between * x * y + a * y * y) / (a * b - between ** 2);
}

const LOG_CHANGE = Math.log(CHANGE_WIDTH);
const LOG_FLARE = Math.log(FLARE_WIDTH);

/** What the widths of a model's priors cost it: the logarithm of its share of belief but for the fit. */
export function priceOf(change: Against | null, flare: Against | null, between: number): number {
  if (!change || !flare) {
    const only = change ?? flare;
    return only ? -0.5 * Math.log(only.square) - (change ? LOG_CHANGE : LOG_FLARE) : 0;
  }
  return -0.5 * Math.log(change.square * flare.square - between ** 2) - LOG_CHANGE - LOG_FLARE;
}

/** The change in the closed form of one model, the start taken out of all. */
export function changeFitted(change: Against, flare: Against | null, between: number): number {
  if (!flare) return change.onValue / change.square;
  return (
    (flare.square * change.onValue - between * flare.onValue) /
    (change.square * flare.square - between ** 2)
  );
}

/** How wide the change lies about that, in variances of the scatter. */
export function changeSpread(change: Against, flare: Against | null, between: number): number {
  if (!flare) return 1 / change.square;
  return flare.square / (change.square * flare.square - between ** 2);
}

/** The flare in the closed form of one model. */
export function flareFitted(change: Against | null, flare: Against, between: number): number {
  if (!change) return flare.onValue / flare.square;
  return (
    (change.square * flare.onValue - between * change.onValue) /
    (change.square * flare.square - between ** 2)
  );
}

/** What the start owes to change and flare: the inverse of their part, by how each hangs on the start. */
export function startBeside(change: Against | null, flare: Against | null, between: number) {
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
