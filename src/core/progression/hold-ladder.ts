import type { Dose } from '../dose';
import { holdOf, repsOfSet } from '../dose';
import { type Range, type Seconds, exactly, seconds } from '../units';

/** Holds to climb through, seconds (common practice, no source): the trade has three ladders. */
export const HOLD_LADDERS: readonly (readonly number[])[] = [
  [3, 5, 10],
  [10, 30, 60],
  [30, 60],
];

/** From so many repetitions in a set the holds stay short: ten times a minute is nobody's dose. */
const MANY = 5;

/** The ladder a hold stands on: the given one, else the trade's for so many repetitions. */
export function ladderFor(hold: number, reps: number, given: readonly number[]): readonly number[] {
  if (given.length > 0) return given;
  const [short = [], ...long] = HOLD_LADDERS;
  const fitting = reps >= MANY ? [short] : [...long, short];
  return (
    fitting.find((ladder) => hold >= (ladder[0] ?? 0) && hold < (ladder.at(-1) ?? 0)) ?? [hold]
  );
}

/** A dose with another hold, wherever it is written: beside the head or in it. */
export function withHold(dose: Dose, hold: Range<Seconds>): Dose {
  return dose.head.kind === 'bouts'
    ? { ...dose, head: { ...dose.head, span: hold } }
    : { ...dose, hold };
}

/**
 * The same dose with the next longer hold of its ladder; null at its top, or where nothing is held.
 *
 * @example nextHold(parse('10x3s'), []) // 10x5s
 */
export function nextHold(dose: Dose, given: readonly number[]): Dose | null {
  const hold = holdOf(dose);
  if (!hold) return null;
  const ladder = ladderFor(hold.most, repsOfSet(dose.head, 0).most, given);
  const next = ladder.find((step) => step > hold.most);
  return next === undefined ? null : withHold(dose, exactly(seconds(next)));
}
