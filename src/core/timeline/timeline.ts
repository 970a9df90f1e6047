import type { BoutMode, Dose } from '../dose';
import { type Range, type Seconds, seconds } from '../units';
import { lineSegments } from './line-segments';
import { DEFAULT_PACES, type Paces } from './paces';
import type { Place, PlayedSegment, Segment, SegmentKind } from './segment';

/** What the timeline needs to know of one line of a session. */
export type TimedLine = {
  readonly dose: Dose;
  readonly mode: BoutMode;
  /** Lying, sitting, standing …: a change takes time. */
  readonly position: string;
  /** What the patient counted the last time in a set done until form fails; null when nothing was. */
  readonly lastMax?: number | null | undefined;
};

/** The segments of one session in order, their lengths still ranges. */
export type Timeline = readonly Segment[];

/**
 * Turns the lines of one session into its ordered segments.
 *
 * @param lines in the order they are done
 * @param rounds how often the whole list is gone through, ≥ 1
 */
export function sessionTimeline(lines: readonly TimedLine[], rounds = 1): Timeline {
  const segments: Segment[] = [];
  let previous: TimedLine | null = null;
  for (let round = 1; round <= rounds; round += 1) {
    lines.forEach((line, index) => {
      if (previous !== null) {
        segments.push(transition('next-exercise', index, round, 'nextExercise'));
        if (previous.position !== line.position) {
          segments.push(transition('change-position', index, round, 'changePosition'));
        }
      }
      segments.push(transition('get-ready', index, round, 'getReady'));
      for (const segment of segmentsOf(line, index, round)) segments.push(segment);
      previous = line;
    });
  }
  return segments;
}

/** Doses are immutable, and a programme is timed anew at every key: each is laid out once a place. */
const laidOut = new WeakMap<Dose, Map<string, readonly Segment[]>>();

function segmentsOf(
  { dose, mode, lastMax = null }: TimedLine,
  line: number,
  round: number,
): readonly Segment[] {
  const places = laidOut.get(dose) ?? new Map<string, readonly Segment[]>();
  if (places.size === 0) laidOut.set(dose, places);
  const place = `${mode} ${line} ${round} ${lastMax ?? ''}`;
  const known = places.get(place);
  if (known) return known;
  const segments = lineSegments(dose, mode, lastMax).map((segment) => ({
    ...segment,
    line,
    round,
  }));
  places.set(place, segments);
  return segments;
}

function transition(kind: SegmentKind, line: number, round: number, pace: keyof Paces): Segment {
  const place: Place = {
    line,
    round,
    side: null,
    direction: 0,
    station: 0,
    set: 0,
    rep: 0,
    barrier: 0,
  };
  return {
    ...place,
    kind,
    length: { pace },
    beyondLeast: false,
    untilFormFails: false,
    work: null,
    endsRep: false,
  };
}

/** Seconds of one segment at one end of its range. */
function segmentSeconds(segment: Segment, end: 'least' | 'most', paces: Paces): Seconds {
  const { written, pace, paceShare = 1 } = segment.length;
  const writtenSeconds = written ? written[end] : 0;
  const paceSeconds = pace ? paces[pace] * paceShare : 0;
  return seconds(writtenSeconds > paceSeconds ? writtenSeconds : paceSeconds);
}

/** What is left out at the least end of a range. */
const isLeftOut = (segment: Segment, end: 'least' | 'most') =>
  end === 'least' && segment.beyondLeast;

/**
 * Fixes a timeline at its least or its most. The sum of the seconds is the session's time, and
 * these are the segments the player plays (`toPlay`): there is no other reckoning of either.
 */
export function resolve(
  timeline: Timeline,
  end: 'least' | 'most',
  paces: Paces = DEFAULT_PACES,
): PlayedSegment[] {
  return laidOnTime(
    timeline.filter((segment) => !isLeftOut(segment, end)),
    end,
    paces,
  );
}

/**
 * The segments that are played: those of the time at this end, and in a set done until form fails as
 * many repetitions as it may come to, for only whoever does it knows when it ends.
 */
export function toPlay(
  timeline: Timeline,
  end: 'least' | 'most',
  paces: Paces = DEFAULT_PACES,
): PlayedSegment[] {
  return laidOnTime(
    timeline.filter((segment) => segment.untilFormFails || !isLeftOut(segment, end)),
    end,
    paces,
  );
}

function laidOnTime(
  segments: readonly Segment[],
  end: 'least' | 'most',
  paces: Paces,
): PlayedSegment[] {
  const played: PlayedSegment[] = [];
  let startsAt = 0;
  for (const segment of segments) {
    const length = segmentSeconds(segment, end, paces);
    if (length === 0 && segment.work === null && !segment.endsRep) continue;
    played.push({ ...segment, seconds: length, startsAt: seconds(startsAt) });
    startsAt += length;
  }
  return played;
}

/** Seconds from the first segment to the end of the last, as least and most. */
export function sessionSeconds(timeline: Timeline, paces: Paces = DEFAULT_PACES): Range<Seconds> {
  return { least: sumOf(timeline, 'least', paces), most: sumOf(timeline, 'most', paces) };
}

/** As `totalSeconds(resolve(…))`, without laying the segments out: a plan is summed at every key. */
function sumOf(timeline: Timeline, end: 'least' | 'most', paces: Paces): Seconds {
  let sum = 0;
  for (const segment of timeline)
    if (!isLeftOut(segment, end)) sum += segmentSeconds(segment, end, paces);
  return seconds(sum);
}

/** Seconds from the first played segment to the end of the last. */
export function totalSeconds(played: readonly PlayedSegment[]): Seconds {
  const last = played.at(-1);
  return seconds(last ? last.startsAt + last.seconds : 0);
}
