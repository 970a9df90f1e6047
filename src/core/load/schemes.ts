import { oneRepMaximum } from './one-rep-max';
import { toHundredth } from '../units';

/** Ten repetitions at these percents of the ten-rep maximum (DeLorme & Watkins 1948). */
export const ASCENDING_PERCENT = [50, 75, 100] as const;
/**
 * Its descending mirror, the textbook form of Zinovieff 1951, whose original used ten sets (memory).
 */
export const DESCENDING_PERCENT = [100, 75, 50] as const;

/** Grams and the like are noise: loads are reckoned to a hundredth. */

/** The loads of a scheme's sets, in the unit of the ten-rep maximum. */
export function schemeLoads(tenRepMaximum: number, percents: readonly number[]): number[] {
  return percents.map((percent) => toHundredth((tenRepMaximum * percent) / 100));
}

/**
 * The ten-rep maximum predicted from any set: 75 % of the one-rep maximum, by the formulas that
 * agree at ten repetitions (Epley 1985, Brzycki 1993; memory).
 *
 * @example tenRepMaximum(20, 15) // 22.5 by the one formula that applies
 */
export function tenRepMaximum(load: number, reps: number): { least: number; most: number } {
  const one = oneRepMaximum(load, reps);
  return { least: toHundredth(one.least * 0.75), most: toHundredth(one.most * 0.75) };
}

export type RoundedLoad = {
  readonly wanted: number;
  /** Null where nothing is owned. */
  readonly load: number | null;
  /** What the rounding did, percent of what was wanted; 0 where it fits. */
  readonly offPercent: number;
};

/**
 * The nearest weight that is owned; the lighter one where two are as near, since too heavy is the
 * worse mistake.
 *
 * @example roundLoad(7.5, [5, 8, 10]) // 8, +7 %
 */
export function roundLoad(wanted: number, owned: readonly number[]): RoundedLoad {
  const [first, ...others] = [...owned].sort((a, b) => a - b);
  if (first === undefined) return { wanted, load: null, offPercent: 0 };
  const load = others.reduce(
    (best, next) => (Math.abs(next - wanted) < Math.abs(best - wanted) ? next : best),
    first,
  );
  return { wanted, load, offPercent: Math.round(((load - wanted) / wanted) * 100) };
}

/**
 * What `reps` repetitions predict for `forReps` of them, by both formulas where they apply (Epley
 * 1985, Brzycki 1993; memory).
 *
 * @example predictedLoad(20, 15, 10).most // 22.5
 */
export function predictedLoad(
  load: number,
  reps: number,
  forReps: number,
): { least: number; most: number } {
  const whole = oneRepMaximum(load, reps);
  const share = oneRepMaximum(1, forReps);
  const answers = [whole.least / share.least, whole.most / share.most].map(toHundredth);
  return { least: Math.min(...answers), most: Math.max(...answers) };
}

/** Less than this share more is a token step. Common practice, no source. */
export const REAL_STEP = 0.05;

export type LoadStep = {
  readonly from: number;
  /** What the repetitions predict for the fewest of the next sets: the bound of the step. */
  readonly bound: number;
  /** The heaviest that is a real step within the bound; null where none is owned. */
  readonly to: number | null;
  /** Why there is none. */
  readonly say: string;
};

/**
 * The next load once every set reached its repetitions: a real step rather than a token one, never
 * beyond what those repetitions predict for the repetitions that are gone back to.
 *
 * @param owned weights there are; empty where any weight can be set
 * @param backTo repetitions of the next sets: ten, or five in performance sets
 * @example loadStep(20, 15, []) // 22.5, the predicted ten-rep maximum
 */
export function loadStep(
  from: number,
  reps: number,
  owned: readonly number[],
  backTo = 10,
): LoadStep {
  const bound = predictedLoad(from, reps, backTo).most;
  const least = from * (1 + REAL_STEP);
  const found = owned.length === 0 ? [bound] : owned;
  const fitting = found.filter((load) => load >= least - 1e-9 && load <= bound + 1e-9);
  const to = fitting.length === 0 ? null : Math.max(...fitting);
  const heavier = owned.filter((load) => load > from);
  const say =
    to !== null
      ? ''
      : bound < least
        ? 'These repetitions do not predict room for a real step yet.'
        : heavier.length === 0
          ? 'No heavier weight is owned.'
          : `The next weight owned (${Math.min(...heavier)}) is beyond the predicted ${backTo === 10 ? 'ten' : backTo}-rep maximum or only a token step.`;
  return { from, bound, to, say };
}
