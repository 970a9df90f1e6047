import { itemAt } from '../units';
import type { Dose, Head, Load } from '../dose';
import { isUntilFormFails, repsOfSet, setsOf } from '../dose';
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

/** The ten-repetition maximum as a share of the one-repetition maximum: the formulas agree on it. */
const TEN_OF_ONE = 0.75;

/** How far repetitions may lie from what the formulas allow: people and exercises differ so much. */
const SPREAD = 0.2;

export type LoadContradiction = {
  readonly kind: 'too heavy' | 'too light';
  /** The first set it is about, from 1. */
  readonly set: number;
  /** Repetitions the line asks there: most of a too heavy one, least of a too light one. */
  readonly asked: number;
  /** As written. */
  readonly percent: number;
  readonly of: '1rm' | '10rm';
  /** What the formulas allow at that load. */
  readonly allowed: { readonly least: number; readonly most: number };
};

/**
 * Where a load of a known maximum and its repetitions contradict each other, judged set by set: a set
 * fits when its repetitions lie within 20 % of what the formulas allow (Epley 1985, Brzycki 1993;
 * memory). One set that is too heavy is enough; too light is said only where every set is, since the
 * first sets of many schemes are light on purpose. A set done until form fails fits any load that can
 * be lifted at all.
 *
 * @returns null where there is no such load, or nothing contradicts
 * @example loadContradiction(parse('3x10 80% 1rm')) // too heavy: about 7.5 to 8.2 can be done
 */
export function loadContradiction(dose: Dose): LoadContradiction | null {
  const { load, head } = dose;
  if (load?.kind !== 'percent') return null;
  const found = Array.from({ length: setsOf(head).most }, (_, set) => judgedSet(head, load, set));
  const heavy = found.find((one) => one?.kind === 'too heavy');
  const light = found.every((one) => one?.kind === 'too light') ? found[0] : null;
  return heavy ?? light ?? null;
}

function judgedSet(
  head: Head,
  load: Extract<Load, { kind: 'percent' }>,
  set: number,
): LoadContradiction | null {
  const percent = itemAt(load.perSet, Math.min(set, load.perSet.length - 1));
  const share = (percent / 100) * (load.of === '10rm' ? TEN_OF_ONE : 1);
  const allowed = repsAllowed(fraction(Math.min(1, share)));
  const { least, most } = repsOfSet(head, set);
  const found = { set: set + 1, percent, of: load.of, allowed };
  const untilFormFails = isUntilFormFails(head, set);
  // Beyond the one-repetition maximum nothing can be done at all.
  if (share > 1 || (!untilFormFails && most > allowed.most * (1 + SPREAD)))
    return { ...found, kind: 'too heavy', asked: untilFormFails ? 1 : most };
  // As many as it allows is what it asks for.
  if (untilFormFails) return null;
  return least < allowed.least * (1 - SPREAD)
    ? { ...found, kind: 'too light', asked: least }
    : null;
}
