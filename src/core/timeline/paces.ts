import type { Seconds } from '../units';
import { seconds } from '../units';

/**
 * How long people take for what a dose does not write: named here once, in seconds.
 * Common practice, no source; a clinic or a patient may have its own (all values ≥ 0).
 */
export type Paces = {
  /** Taking up the starting position before an exercise. */
  readonly getReady: Seconds;
  /** Moving into a hold. */
  readonly moveIn: Seconds;
  /** Easing off a hold: slowly, never let go suddenly. */
  readonly release: Seconds;
  /** One movement out and back where no tempo is written. */
  readonly moveRep: Seconds;
  /** One slow movement out and back. */
  readonly slowRep: Seconds;
  /** Between held repetitions. */
  readonly gapAfterHold: Seconds;
  /** Between moved repetitions. */
  readonly gapAfterMove: Seconds;
  /** Between sets. */
  readonly rest: Seconds;
  /** Turning round, or taking the other hand, for the second side. */
  readonly changeSide: Seconds;
  /** From left to right within alternating repetitions. */
  readonly alternate: Seconds;
  /** To the next direction or angle. */
  readonly changeDirection: Seconds;
  /** From lying to standing and the like. */
  readonly changePosition: Seconds;
  /** Reading what comes next and fetching what it needs. */
  readonly nextExercise: Seconds;
};

export type PaceName = keyof Paces;

export const DEFAULT_PACES: Paces = {
  getReady: seconds(3),
  moveIn: seconds(2),
  release: seconds(2),
  moveRep: seconds(3),
  slowRep: seconds(6),
  gapAfterHold: seconds(2),
  gapAfterMove: seconds(0),
  rest: seconds(30),
  changeSide: seconds(5),
  alternate: seconds(2),
  changeDirection: seconds(5),
  changePosition: seconds(10),
  nextExercise: seconds(6),
};
