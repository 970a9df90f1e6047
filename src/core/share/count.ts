import { type Playhead, advance, startAt } from '../player';
import type { Instant } from '../schedule';
import type { PlayedSegment } from '../timeline';
import { seconds } from '../units';

/** Where a count stood that two screens show at once, and whether it goes on from there. */
export type SharedCount = {
  /** Of the segment, in the order in which the exercise is played. */
  readonly index: number;
  /** Seconds into it. */
  readonly elapsed: number;
  readonly running: boolean;
  /** When this was so, by the server's clock. */
  readonly at: Instant;
};

/**
 * Where a shared count is now. The desk and the phone both ask this, so that what they show is one
 * computation: a word that arrives late moves nothing that was already going on.
 *
 * @param now by the server's clock, as this screen knows it; before `at` the count stands where it was
 * @example at 3 s of a hold of 10 s, running, asked 4 s later: 7 s of the hold
 */
export function headOfShared(
  segments: readonly PlayedSegment[],
  { index, elapsed, running, at }: SharedCount,
  now: Instant,
): Playhead {
  const start = advance(startAt(segments, index), seconds(elapsed)).playhead;
  if (!running) return start;
  return advance(start, seconds(Math.max(0, now - at) / 1000)).playhead;
}
