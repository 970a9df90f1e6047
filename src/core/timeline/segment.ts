import type { Range, Seconds } from '../units';
import type { PaceName } from './paces';

export type SegmentKind =
  | 'get-ready'
  | 'move'
  | 'hold'
  | 'release'
  | 'gap'
  | 'rest'
  | 'change-side'
  | 'next-direction'
  | 'next-angle'
  | 'change-position'
  | 'next-exercise';

/**
 * Where in a line a segment stands. Counts are 1-based; `set`, `rep`, `station`, `direction` and
 * `barrier` are 0 where the segment is outside them (getting ready, changing over).
 */
export type Place = {
  /** Index of the line in the session, 0-based. */
  readonly line: number;
  readonly round: number;
  readonly side: 'left' | 'right' | null;
  readonly direction: number;
  /** Which angle or degree. */
  readonly station: number;
  readonly set: number;
  readonly rep: number;
  readonly barrier: number;
};

/** How long: what the dose wrote, what the pace says, or the longer of the two. */
export type Length = {
  readonly written?: Range<Seconds>;
  readonly pace?: PaceName;
  readonly paceShare?: number;
};

export type Segment = Place & {
  readonly kind: SegmentKind;
  readonly length: Length;
  /** Only in the most of a range of counts: the fourth of 3-5 repetitions. */
  readonly beyondLeast: boolean;
  /** In a set done until form fails: it may be the last one, or never come. */
  readonly untilFormFails: boolean;
  /** Prescribed work, as opposed to getting into and out of it; null for pauses and transitions. */
  readonly work: 'held' | 'moved' | null;
  /** The last segment of a repetition or bout: when it ends, one more is done. */
  readonly endsRep: boolean;
};

/** A segment with its seconds fixed. */
export type PlayedSegment = Segment & {
  readonly seconds: Seconds;
  /** Seconds from the start of the session. */
  readonly startsAt: Seconds;
};
