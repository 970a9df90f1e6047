import type { Dose } from '../../dose';
import { holdOf, repsOfSet } from '../../dose';
import type { Exercise } from '../../exercise';
import { HOLD_LADDERS } from '../../school';
import { type Range, type Seconds, exactly, seconds, itemAt } from '../../units';

/** From so many repetitions in a set the holds stay short: ten times a minute is nobody's dose. */
const MANY = 5;

/** Between stations a hold grows by half, or by five seconds where that is more; never to over its double. */
export const HOLD_STEP = { share: 0.5, seconds: 5, times: 2 } as const;
/** From here on, seconds, a step between stations ends on a multiple of five. */
const ROUND_FROM = 15;

/** From so much of its first station on a hold is of the method's own kind. Ours. */
const WITHIN_REACH = 0.3;

/** The ladder a hold stands on: the given one, else the trade's for so many repetitions. */
export function ladderFor(hold: number, reps: number, given: readonly number[]): readonly number[] {
  if (given.length > 0) return given;
  const [short = [], ...long] = HOLD_LADDERS;
  const fitting = reps >= MANY ? [short] : [...long, short];
  return fitting.find((ladder) => hold >= itemAt(ladder, 0) && hold < itemAt(ladder, -1)) ?? [hold];
}

/**
 * The stations a hold goes through, and where it ends: the clinician's own, else those of the
 * exercise's method, else the trade's for so many repetitions. A hold below the trade's first station
 * begins there.
 *
 * @example stationsFor(parse('3x10s in 6 directions'), sixWayHold, []) // [10]: its own end
 */
export function stationsFor(
  dose: Dose,
  exercise: Pick<Exercise, 'growth'>,
  given: readonly number[],
): readonly number[] {
  if (given.length > 0) return given;
  const hold = holdOf(dose);
  if (!hold) return [];
  const { holds = null } = exercise.growth ?? {};
  const [first = 0] = holds ?? [];
  // A dose of another kind, far below the method's own: it climbs as the trade does, to the same end.
  if (holds && hold.most >= first * WITHIN_REACH) return holds;
  const end = holds?.at(-1) ?? Infinity;
  const reps = repsOfSet(dose.head, 0).most;
  const [short = []] = HOLD_LADDERS;
  const trade = hold.most < itemAt(short, 0) ? short : ladderFor(hold.most, reps, []);
  return trade.filter((one) => one <= end);
}

/** A dose with another hold, wherever it is written: beside the head or in it. */
export function withHold(dose: Dose, hold: Range<Seconds>): Dose {
  return dose.head.kind === 'bouts'
    ? { ...dose, head: { ...dose.head, span: hold } }
    : { ...dose, hold };
}

/** The longest hold that one step may reach from another, seconds. @example longestStep(10) // 15 */
export function longestStep(hold: number): number {
  const wider = Math.max(hold * HOLD_STEP.share, HOLD_STEP.seconds);
  return Math.min(hold + wider, hold * HOLD_STEP.times);
}

/** One bounded step from a hold towards another, on whole seconds, longer ones on fives. */
export function towards(hold: number, target: number): number {
  const most = longestStep(hold);
  if (target <= most) return target;
  const fives = Math.floor(most / 5) * 5;
  return most >= ROUND_FROM && fives > hold ? fives : Math.max(Math.floor(most), hold);
}

export type HoldStep = {
  readonly dose: Dose;
  /** The station straight away, where the step ends before it: a clinician may choose it. */
  readonly straight: Dose | null;
};

/**
 * The next longer hold: first within its own range, whose lower end rises to the upper; then towards
 * the next station, by a bounded step.
 *
 * @returns null at the last station, or where nothing is held
 * @example nextHold(parse('10x3s'), [3, 5, 10]) // 10x5s
 * @example nextHold(parse('3x10-15s'), [10, 15]) // 3x15s
 * @example nextHold(parse('3x30s'), [30, 60]) // 3x45s, and 3x60s straight
 */
export function nextHold(dose: Dose, stations: readonly number[]): HoldStep | null {
  const hold = holdOf(dose);
  if (!hold) return null;
  if (hold.least < hold.most) {
    const least = towards(hold.least, hold.most);
    if (least <= hold.least) return null;
    return { dose: withHold(dose, { least: seconds(least), most: hold.most }), straight: null };
  }
  const station = stations.find((one) => one > hold.most);
  if (station === undefined) return null;
  const next = towards(hold.most, station);
  if (next <= hold.most) return null;
  const to = (value: number) => withHold(dose, exactly(seconds(value)));
  return { dose: to(next), straight: next < station ? to(station) : null };
}
