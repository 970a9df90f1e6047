import { type Range, type Seconds, seconds } from '../units';
import { DEFAULT_PACES, type Paces } from './paces';
import { type Timeline, resolve } from './timeline';
import type { PlayedSegment } from './segment';

/** Prescribed work: what is held, what is moved, and how often. Pauses are not work. */
export type Work = {
  readonly heldSeconds: Seconds;
  /** Includes movements whose seconds come from a pace. */
  readonly movedSeconds: Seconds;
  readonly reps: number;
  /** Single holds, a repetition with three barriers having three. */
  readonly holds: number;
};

/** Work in these played segments. */
export function workIn(played: readonly PlayedSegment[]): Work {
  let heldSeconds = 0;
  let movedSeconds = 0;
  let reps = 0;
  let holds = 0;
  for (const segment of played) {
    if (segment.work === 'held') {
      heldSeconds += segment.seconds;
      holds += 1;
    }
    if (segment.work === 'moved') movedSeconds += segment.seconds;
    if (segment.endsRep) reps += 1;
  }
  return { heldSeconds: seconds(heldSeconds), movedSeconds: seconds(movedSeconds), reps, holds };
}

/** Work of a whole timeline at its least and at its most. */
export function workOf(
  timeline: Timeline,
  paces: Paces = DEFAULT_PACES,
): { readonly least: Work; readonly most: Work } {
  return {
    least: workIn(resolve(timeline, 'least', paces)),
    most: workIn(resolve(timeline, 'most', paces)),
  };
}

/**
 * One number for how much work this is, in seconds held and moved. It weighs lines against each
 * other in adherence; a line of repetitions without a tempo weighs by the pace of a movement.
 */
export function workSeconds(work: Work): Seconds {
  return seconds(work.heldSeconds + work.movedSeconds);
}

/** Held and moving seconds as least and most. */
export function workRange(timeline: Timeline, paces: Paces = DEFAULT_PACES): Range<Seconds> {
  const { least, most } = workOf(timeline, paces);
  return { least: workSeconds(least), most: workSeconds(most) };
}
