import { type Against, changeFitted, changeSpread, explainedBy, priceOf } from './closed-form';
import type { At } from './model';
import type { Flare, Shape } from './shapes';
import { type Memory, type Whitened, betweenOf, columnsOf, whitenedBy } from './whitened';

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

/** Models believed so much less than the best one are left out. */
const LEAST_WEIGHT = 1e-5;
const LEAST_LOG = Math.log(LEAST_WEIGHT);

/** One model that is believed: which shape and flare, at which memory, and what its fit leaves. */
export type Believed = {
  readonly memory: Whitened;
  /** Among the shapes. */
  readonly shape: number;
  readonly change: Against | null;
  readonly flare: Against | null;
  readonly between: number;
  /** The scatter that is left, squared. */
  readonly variance: number;
};

/** Every way to say what was told, as far as it is believed, and how far the change lies in each. */
export type Weighed = {
  /** Beside the best one, which has 1. */
  readonly weights: Float64Array;
  /** Student's t of the change from start to now; a scale of 0 where nothing changes. */
  readonly middles: Float64Array;
  readonly scales: Float64Array;
  readonly freedom: number;
};

/** All models as they were tried, by memory, shape and flare, in rows of numbers: they are hundreds. */
type Tried = {
  /** Logarithm of belief; minus infinity where there is no such model. */
  readonly logs: Float64Array;
  readonly betweens: Float64Array;
  readonly variances: Float64Array;
  /** Of the change; 0 where nothing changes. */
  readonly middles: Float64Array;
  readonly scales: Float64Array;
};

/**
 * All shapes weighed by how well they say what was told, each alone and beside each flare, at each memory.
 *
 * @param told two readings or more, of two days or more
 * @param matters the change that matters, over 0
 * @param flares what may be there beside; that nothing is has what their shares leave of 1
 */
export function weighed(
  told: readonly At[],
  matters: number,
  shapes: readonly Shape[],
  flares: readonly Flare[],
  memories: readonly Memory[] = MEMORIES,
): Weighed & { readonly mean: number; readonly believed: () => readonly Believed[] } {
  const columns = columnsOf(told, shapes, flares);
  const worth = SCATTER_WORTH + told.length / 2;
  const begin = SCATTER_WORTH * (matters * SCATTER) ** 2;
  const priors = logPriors(shapes, flares);
  const size = memories.length * priors.length;
  const tried: Tried = {
    logs: new Float64Array(size),
    betweens: new Float64Array(size),
    variances: new Float64Array(size),
    middles: new Float64Array(size),
    scales: new Float64Array(size),
  };
  const whitened = memories.map((memory) => whitenedBy(columns, memory));
  whitened.forEach((memory, nth) =>
    tryAll(memory, { priors, begin, worth }, tried, nth * priors.length),
  );
  const kept = believable(tried.logs);
  const at = (index: number): Believed => {
    const memory = whitened[Math.floor(index / priors.length)] as Whitened;
    const model = index % priors.length;
    const shape = Math.floor(model / (flares.length + 1));
    return {
      memory,
      shape,
      change: memory.changes[shape] ?? null,
      flare: memory.flares[(model % (flares.length + 1)) - 1] ?? null,
      between: tried.betweens[index] as number,
      variance: tried.variances[index] as number,
    };
  };
  return {
    ...changesOf(kept, tried),
    freedom: 2 * worth,
    mean: columns.mean,
    believed: () => kept.map(at),
  };
}

/** Of each shape without a flare and beside each, in the order in which they are tried. */
function logPriors(shapes: readonly Shape[], flares: readonly Flare[]): Float64Array {
  const alone = 1 - flares.reduce((sum, { prior }) => sum + prior, 0);
  const priors = new Float64Array(shapes.length * (flares.length + 1));
  let model = 0;
  for (const { prior } of shapes)
    for (let which = -1; which < flares.length; which += 1, model += 1)
      priors[model] = Math.log(prior * (which === -1 ? alone : (flares[which] as Flare).prior));
  return priors;
}

/** @param from where the row of this memory begins */
function tryAll(
  { base, precision, value, changes, flares }: Whitened,
  { priors, begin, worth }: { priors: Float64Array; begin: number; worth: number },
  { logs, betweens, variances, middles, scales }: Tried,
  from: number,
): void {
  let at = from;
  for (const change of changes) {
    for (let which = -1; which < flares.length; which += 1, at += 1) {
      const flare = which === -1 ? null : (flares[which] as Against | null);
      if (which !== -1 && !flare) {
        logs[at] = -Infinity;
        continue;
      }
      const between = betweenOf(change, flare, precision);
      const rest = begin + 0.5 * Math.max(0, value.square - explainedBy(change, flare, between));
      const variance = rest / worth;
      logs[at] =
        base +
        (priors[at - from] as number) +
        priceOf(change, flare, between) -
        worth * Math.log(rest);
      betweens[at] = between;
      variances[at] = variance;
      if (!change) continue;
      middles[at] = changeFitted(change, flare, between);
      scales[at] = Math.sqrt(variance * changeSpread(change, flare, between));
    }
  }
}

/** Which of them are left, most not by far. */
function believable(logs: Float64Array): readonly number[] {
  const least = bestOf(logs) + LEAST_LOG;
  const kept: number[] = [];
  for (let index = 0; index < logs.length; index += 1)
    if ((logs[index] as number) >= least) kept.push(index);
  return kept;
}

function bestOf(logs: Float64Array): number {
  let best = -Infinity;
  for (const log of logs) if (log > best) best = log;
  return best;
}

function changesOf(
  kept: readonly number[],
  { logs, middles, scales }: Tried,
): Omit<Weighed, 'freedom'> {
  const best = bestOf(logs);
  const weights = new Float64Array(kept.length);
  for (let nth = 0; nth < kept.length; nth += 1)
    weights[nth] = Math.exp((logs[kept[nth] as number] as number) - best);
  return { weights, middles: only(kept, middles), scales: only(kept, scales) };
}

function only(kept: readonly number[], all: Float64Array): Float64Array {
  const found = new Float64Array(kept.length);
  for (let nth = 0; nth < kept.length; nth += 1) found[nth] = all[kept[nth] as number] as number;
  return found;
}
