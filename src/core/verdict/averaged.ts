import { flareFitted, startBeside } from './closed-form';
import type { At, Averaged, Model } from './model';
import { type Flare, type Shape, flaresOver, shapesOver } from './shapes';
import { type Believed, type Weighed, weighed } from './weighed';
import type { Memory } from './whitened';

/** How much of no change is there on a day. */
const NOTHING = () => 0;

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
  const days = daysOf(told);
  return averagedOver(told, matters, shapesOver(days), flaresOver(days));
}

/** As much of that as how sure a change is needs: a look at a course takes no more. */
export function changeOf(told: readonly At[], matters: number): Weighed {
  const days = daysOf(told);
  return weighed(told, matters, shapesOver(days), flaresOver(days));
}

const daysOf = (told: readonly At[]) => (told.at(-1)?.day ?? 0) + 1;

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
  memories?: readonly Memory[],
): Averaged {
  const { mean, believed, ...found } = weighed(told, matters, shapes, flares, memories);
  const models = believed().map((one, nth) => modelOf(one, nth, found, mean, shapes));
  const kept = models.reduce((sum, { weight }) => sum + weight, 0);
  const meanOf = (of: (model: Model) => number) =>
    models.reduce((sum, model) => sum + model.weight * of(model), 0) / kept;
  const start = meanOf((model) => model.start);
  const change = meanOf((model) => model.change?.middle ?? 0);
  return { ...found, models, start, change, now: start + change };
}

function modelOf(
  { memory, shape, change, flare, between, variance }: Believed,
  nth: number,
  { weights, middles, scales }: Weighed,
  mean: number,
  shapes: readonly Shape[],
): Model {
  const { kind, at } = shapes[shape] as Shape;
  const middle = middles[nth] as number;
  const onStart =
    memory.value.onStart -
    (change ? change.onStart * middle : 0) -
    (flare ? flare.onStart * flareFitted(change, flare, between) : 0);
  const beside = startBeside(change, flare, between);
  const { precision } = memory;
  return {
    kind,
    flared: flare !== null,
    weight: weights[nth] as number,
    start: mean + onStart / precision,
    change: at ? { middle, scale: scales[nth] as number } : null,
    at: at ?? NOTHING,
    startSquare: variance * (1 / precision + beside.square / precision ** 2),
    together: (-variance * beside.change) / precision,
  };
}
