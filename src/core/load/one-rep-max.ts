import type { Dose, Head } from '../dose';
import { repsOfSet, setsOf } from '../dose';
import { type Fraction, fraction } from './endurance';

/** The second formula holds for this many repetitions at most. */
const BRZYCKI_MOST = 10;

/**
 * One-repetition maximum from a load and the repetitions it allowed, by two formulas that agree at
 * ten: Epley (1985) w·(1 + r∕30) and Brzycki (1993) w·36∕(37 − r), for up to ten repetitions
 * (memory). At one repetition the answer is the load itself. The limb's own weight is not in it.
 *
 * @param load in whatever unit; the answer is in the same
 * @param reps 1 or more
 * @returns the lower and the higher answer, equal where only one formula applies
 * @example oneRepMaximum(75, 10) // 100 and 100
 */
export function oneRepMaximum(
  load: number,
  reps: number,
): { readonly least: number; readonly most: number } {
  if (reps === 1) return { least: load, most: load };
  const epley = load * (1 + reps / 30);
  const brzycki = reps <= BRZYCKI_MOST ? (load * 36) / (37 - reps) : epley;
  return { least: Math.min(epley, brzycki), most: Math.max(epley, brzycki) };
}

/**
 * Repetitions that a share of the one-repetition maximum allows, the same formulas turned round.
 *
 * @returns least and most of the formulas that apply
 * @example repsAllowed(fraction(0.8)) // about 7.5 and 8.2
 */
export function repsAllowed(f: Fraction): { readonly least: number; readonly most: number } {
  if (f >= 1) return { least: 1, most: 1 };
  const epley = 30 * (1 / f - 1);
  const brzycki = 37 - 36 * f;
  const second = brzycki <= BRZYCKI_MOST ? brzycki : epley;
  return { least: Math.min(epley, second), most: Math.max(epley, second) };
}

function mostReps(head: Head): number {
  return Math.max(
    ...Array.from({ length: setsOf(head).most }, (_, set) => repsOfSet(head, set).most),
  );
}

export type LoadContradiction = {
  /** Repetitions the line asks at most. */
  readonly asked: number;
  readonly percent: number;
  readonly allowed: { readonly least: number; readonly most: number };
};

/**
 * A load of the one-repetition maximum that its own repetitions contradict, such as 3 × 10 at 80 %.
 *
 * @returns null where there is no such load, or it allows what is asked
 */
export function loadContradiction(dose: Dose): LoadContradiction | null {
  const { load, head } = dose;
  if (load?.kind !== 'percent' || load.of !== '1rm') return null;
  const percent = Math.max(...load.perSet);
  const allowed = repsAllowed(fraction(percent / 100));
  const asked = mostReps(head);
  return asked > Math.ceil(allowed.most) ? { asked, percent, allowed } : null;
}
