import {
  type Against,
  type Column,
  type Support,
  CHANGE_WIDTH,
  FLARE_WIDTH,
  START_WIDTH,
  dot,
  supportOf,
  whitener,
} from './closed-form';
import type { At } from './model';
import type { Flare, Shape } from './shapes';

/** So much of a day's deviation is still there the next day, 0–1, and how likely that is. */
export type Memory = { readonly rho: number; readonly prior: number };

/** What was told beside every shape and flare, as columns over the readings. */
export type Columns = {
  readonly told: readonly At[];
  readonly mean: number;
  readonly values: readonly number[];
  readonly ones: readonly number[];
  /** Null where nothing changes. */
  readonly shapes: readonly (readonly number[] | null)[];
  readonly flares: readonly { readonly raw: readonly number[]; readonly where: Support }[];
};

export function columnsOf(
  told: readonly At[],
  shapes: readonly Shape[],
  flares: readonly Flare[],
): Columns {
  const mean = told.reduce((sum, { value }) => sum + value, 0) / told.length;
  return {
    told,
    mean,
    values: told.map(({ value }) => value - mean),
    ones: told.map(() => 1),
    shapes: shapes.map(({ at }) => at && told.map(({ day }) => at(day))),
    flares: flares.map(({ at }) => {
      const raw = told.map(({ day }) => at(day));
      return { raw, where: supportOf(raw) };
    }),
  };
}

/** All columns at one day-to-day correlation, which is taken out of them, and so is the start. */
export type Whitened = {
  /** What all models here have in common of their logarithm of belief. */
  readonly base: number;
  /** Of the start. */
  readonly precision: number;
  readonly value: Column;
  /** Null where nothing changes. */
  readonly changes: readonly (Against | null)[];
  /** Null where nobody told anything of those days: a flare there explains nothing. */
  readonly flares: readonly (Against | null)[];
};

export function whitenedBy(columns: Columns, { rho, prior }: Memory): Whitened {
  const { told, values, ones, shapes, flares } = columns;
  const whole = { from: 0, to: told.length };
  const { white, jacobian } = whitener(told, rho);
  const one = white(ones, whole);
  const precision = dot(one, one) + START_WIDTH ** -2;
  /** A column with what the start explains taken out of it. */
  const column = (raw: readonly number[], where: Support, width: number): Column => {
    const left = white(raw, where);
    const onStart = dot(left, one);
    const square = dot(left, left) - onStart ** 2 / precision + width ** -2;
    return { from: left.from, own: left.own, onStart, square };
  };
  const value = column(values, whole, Infinity);
  const against = (raw: readonly number[], where: Support, width: number): Against => {
    const { from, own, onStart, square } = column(raw, where, width);
    const onValue = dot({ from, own }, value) - (onStart * value.onStart) / precision;
    return { from, own, onStart, square, onValue };
  };
  return {
    base: Math.log(prior) + jacobian - 0.5 * Math.log(precision) - Math.log(START_WIDTH),
    precision,
    value,
    changes: shapes.map((raw) => raw && against(raw, whole, CHANGE_WIDTH)),
    flares: flares.map(({ raw, where }) => {
      const found = against(raw, where, FLARE_WIDTH);
      return found.square <= FLARE_WIDTH ** -2 + 1e-9 ? null : found;
    }),
  };
}

/** How a flare and a change hang together, the start taken out of both; 0 without either. */
export function betweenOf(
  change: Against | null,
  flare: Against | null,
  precision: number,
): number {
  if (!change || !flare) return 0;
  return dot(flare, change) - (flare.onStart * change.onStart) / precision;
}
