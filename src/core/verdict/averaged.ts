import {
  type Column,
  type Support,
  CHANGE_WIDTH,
  FLARE_WIDTH,
  START_WIDTH,
  dot,
  explainedBy,
  fitted,
  priceOf,
  startBeside,
  supportOf,
  whitener,
} from './closed-form';
import type { At, Averaged, Model } from './model';
import { type Flare, type Shape, flaresOver, shapesOver } from './shapes';
import { Tries } from './tries';

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
  const whole = { from: 0, to: told.length };
  const shapeColumns = shapes.map(({ at }) => at && told.map(({ day }) => at(day)));
  const flareColumns = flares.map(({ at }) => {
    const raw = told.map(({ day }) => at(day));
    return { raw, where: supportOf(raw) };
  });
  const worth = SCATTER_WORTH + told.length / 2;
  const begin = SCATTER_WORTH * (matters * SCATTER) ** 2;
  const tries = new Tries(memories.length * shapes.length * (flares.length + 1));
  for (const { rho, prior } of memories) {
    const { white, jacobian } = whitener(told, rho);
    const one = white(told.map(() => 1));
    const precision = dot(one, one) + START_WIDTH ** -2;
    /** A column with what the start explains taken out of it. */
    const column = (raw: readonly number[], where: Support, width: number) => {
      const own = white(raw, where);
      const onStart = dot(one, own, where);
      const square = dot(own, own, where) - onStart ** 2 / precision + width ** -2;
      return { own, onStart, square, from: where.from, to: where.to };
    };
    const y = column(values, whole, Infinity);
    /** @param a the one that may be zero in most readings */
    const across = (a: Column, b: Column) =>
      dot(a.own, b.own, a) - (a.onStart * b.onStart) / precision;
    const against = (raw: readonly number[], where: Support, width: number) => {
      const own = column(raw, where, width);
      return { ...own, onValue: across(own, y) };
    };
    const flaring = flareColumns.map(({ raw, where }) => against(raw, where, FLARE_WIDTH));
    const base = Math.log(prior) + jacobian - 0.5 * Math.log(precision) - Math.log(START_WIDTH);
    for (const [nth, { prior: shapePrior }] of shapes.entries()) {
      const raw = shapeColumns[nth];
      const change = raw ? against(raw, whole, CHANGE_WIDTH) : null;
      for (let which = -1; which < flaring.length; which += 1) {
        const flare = flaring[which] ?? null;
        // Where nobody told anything of those days, a flare there explains nothing.
        if (flare && flare.square <= FLARE_WIDTH ** -2 + 1e-9) continue;
        const between = change && flare ? across(flare, change) : 0;
        const flarePrior = flare ? (flares[which]?.prior ?? 0) : alone;
        const rest = begin + 0.5 * Math.max(0, y.square - explainedBy(change, flare, between));
        const log =
          base +
          Math.log(shapePrior * flarePrior) +
          priceOf(change, flare, between) -
          worth * Math.log(rest);
        // Most are not believed: their answer need not be reckoned.
        if (tries.isBeyondBelief(log)) continue;
        const fit = fitted(change, flare, between);
        const onStart =
          y.onStart -
          (change ? change.onStart * fit.change : 0) -
          (flare ? flare.onStart * fit.flare : 0);
        const beside = startBeside(change, flare, between);
        tries.add({
          log,
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
