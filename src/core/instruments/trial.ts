import { type Reading, isBroken, peakOf, plateauOf } from './reading';

/** How a number is taken from a stream: the peak of a push, or the level a movement comes to. */
export type TrialMethod = 'peak' | 'level';

export type TrialState =
  | { readonly kind: 'waiting' }
  | { readonly kind: 'running' }
  | { readonly kind: 'done'; readonly value: number }
  /** The signal was lost meanwhile: what was the most is not known, so the trial does not count. */
  | { readonly kind: 'broken' };

/** A trial has begun from this on, in the stream's unit: newtons, or degrees. */
const BEGINS_AT: Readonly<Record<TrialMethod, number>> = { peak: 10, level: 5 };
/** A push is over when it has been below that for so long, seconds. */
const OVER_AFTER = 0.5;

/**
 * How a trial stands, from all readings since it was called for.
 *
 * @example trialState('peak', []) // { kind: 'waiting' }
 */
export function trialState(method: TrialMethod, readings: readonly Reading[]): TrialState {
  const from = readings.findIndex(({ value }) => Math.abs(value) >= BEGINS_AT[method]);
  if (from < 0) return { kind: 'waiting' };
  const trial = readings.slice(from);
  return method === 'peak' ? push(trial) : movement(trial);
}

function push(trial: readonly Reading[]): TrialState {
  const end = trial.findIndex((reading, index) => {
    const rest = trial.slice(index).filter(({ at }) => at <= reading.at + OVER_AFTER);
    const last = rest.at(-1);
    return (
      last !== undefined &&
      last.at - reading.at >= OVER_AFTER * 0.8 &&
      rest.every(({ value }) => value < BEGINS_AT.peak)
    );
  });
  const part = end < 0 ? trial : trial.slice(0, end + 1);
  if (isBroken(part)) return { kind: 'broken' };
  const value = peakOf(part);
  return end < 0 || value === null ? { kind: 'running' } : { kind: 'done', value };
}

function movement(trial: readonly Reading[]): TrialState {
  if (isBroken(trial)) return { kind: 'broken' };
  const value = plateauOf(trial);
  return value === null || Math.abs(value) < BEGINS_AT.level
    ? { kind: 'running' }
    : { kind: 'done', value };
}
