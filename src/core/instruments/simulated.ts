import type { Seconds } from '../units';
import type { Reading } from './reading';

/** How a simulated instrument differs from the truth. */
export type Imperfection = {
  /** Standard deviation of the noise, in the unit. */
  readonly noise: number;
  /** Share of readings that never arrive, 0–1. */
  readonly dropOut: number;
};

/** What each kind of simulated instrument is like; made up for the bench. */
export const SIMULATED = {
  inclinometer: { unit: '°', range: [-180, 180], noise: 0.4, dropOut: 0.02 },
  'push dynamometer': { unit: 'N', range: [0, 400], noise: 1.2, dropOut: 0.02 },
  'air cuff': { unit: 'mmHg', range: [0, 60], noise: 0.3, dropOut: 0.02 },
} as const;
export type SimulatedName = keyof typeof SIMULATED;

/** Seconds between two readings. */
export const READING_EVERY = 0.05;

/** A repeatable source of chance (linear congruential, Numerical Recipes), values 0 ≤ x < 1. */
export function seededChance(seed: number): () => number {
  let state = seed >>> 0;
  return () => {
    state = (Math.imul(state, 1664525) + 1013904223) >>> 0;
    return state / 4294967296;
  };
}

/**
 * The next reading of a simulated instrument: the truth with normal noise (Box–Muller), or null
 * where it drops out.
 */
export function simulatedReading(
  truth: number,
  at: Seconds,
  { noise, dropOut }: Imperfection,
  chance: () => number,
): Reading | null {
  const [a, b, dropped] = [chance(), chance(), chance()];
  if (dropped < dropOut) return null;
  const normal = Math.sqrt(-2 * Math.log(1 - a)) * Math.cos(2 * Math.PI * b);
  return { at, value: truth + noise * normal };
}
