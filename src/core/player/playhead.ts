import type { RepDone } from '../adherence';
import type { PlayedSegment } from '../timeline';
import { type Seconds, seconds, toTenth } from '../units';

/** Where a session stands. It knows no clock: it is told how much time has passed. */
export type Playhead = {
  readonly segments: readonly PlayedSegment[];
  /** Of the segment being played; `segments.length` when all are over. */
  readonly index: number;
  /** Seconds into it. */
  readonly elapsed: Seconds;
  /** Prescribed work of the repetition under way, in seconds. */
  readonly held: number;
  readonly moved: number;
};

export type Step = {
  readonly playhead: Playhead;
  /** Repetitions that ended in this step, in order. */
  readonly reps: readonly RepDone[];
};

/** A session from its first segment, or from where it was left. */
export function startAt(segments: readonly PlayedSegment[], index = 0): Playhead {
  return {
    segments,
    index: Math.min(index, segments.length),
    elapsed: seconds(0),
    held: 0,
    moved: 0,
  };
}

export function isOver(playhead: Playhead): boolean {
  return playhead.index >= playhead.segments.length;
}

/** The segment being played; null when all are over. */
export function currentSegment(playhead: Playhead): PlayedSegment | null {
  return playhead.segments[playhead.index] ?? null;
}

/** Seconds left of the current segment. */
export function secondsLeft(playhead: Playhead): Seconds {
  const segment = currentSegment(playhead);
  return seconds(segment ? Math.max(0, segment.seconds - playhead.elapsed) : 0);
}

/** Seconds left of the whole session. */
export function sessionLeft(playhead: Playhead): Seconds {
  const last = playhead.segments.at(-1);
  const segment = currentSegment(playhead);
  if (!last || !segment) return seconds(0);
  return seconds(last.startsAt + last.seconds - segment.startsAt - playhead.elapsed);
}

/**
 * Lets time pass, over as many segments as it covers.
 *
 * @param passed seconds, ≥ 0
 */
export function advance(playhead: Playhead, passed: Seconds): Step {
  const reps: RepDone[] = [];
  let { index, elapsed, held, moved } = playhead;
  let left = passed as number;
  for (;;) {
    const segment = playhead.segments[index];
    if (!segment) break;
    const needed = segment.seconds - elapsed;
    const spent = Math.min(left, needed);
    elapsed = seconds(elapsed + spent);
    left -= spent;
    held += workOf(segment, 'held', spent);
    moved += workOf(segment, 'moved', spent);
    if (spent < needed) break;
    if (segment.endsRep) {
      reps.push(repOf(segment, held, moved));
      held = 0;
      moved = 0;
    }
    index += 1;
    elapsed = seconds(0);
    if (left <= 0) break;
  }
  return { playhead: { ...playhead, index, elapsed, held, moved }, reps };
}

/** Only time the dose writes is told as time; a repetition at one's own pace is told as one. */
function workOf(segment: PlayedSegment, work: 'held' | 'moved', spent: number): number {
  return segment.work === work && segment.length.written !== undefined ? spent : 0;
}

function repOf(segment: PlayedSegment, held: number, moved: number): RepDone {
  const { round, side, direction, station, set, rep } = segment;
  return { round, side, direction, station, set, rep, held: toTenth(held), moved: toTenth(moved) };
}

/** Back to the beginning of this repetition, or of the one before when it has only just begun. */
export function back(playhead: Playhead): Playhead {
  const JUST_BEGUN = 1.5;
  const begin = startOfRep(playhead.segments, playhead.index);
  const segment = playhead.segments[begin];
  const now = currentSegment(playhead);
  const into = segment && now ? now.startsAt - segment.startsAt + playhead.elapsed : 0;
  const target =
    into > JUST_BEGUN || begin === 0 ? begin : startOfRep(playhead.segments, begin - 1);
  return startAt(playhead.segments, target);
}

/** Index of the first segment of the repetition or transition that `index` belongs to. */
function startOfRep(segments: readonly PlayedSegment[], index: number): number {
  let start = Math.min(index, segments.length - 1);
  while (
    start > 0 &&
    !segments[start - 1]?.endsRep &&
    segments[start - 1]?.line === segments[start]?.line
  ) {
    start -= 1;
  }
  return Math.max(0, start);
}

/** A hold broken off after less than this is not told, in seconds. */
const LEAST_TOLD = 1;

/**
 * Breaks the repetition under way off. Its held or moved seconds are told, truthfully; a repetition
 * that is counted only is not.
 */
export function breakOff(playhead: Playhead): RepDone[] {
  const segment = currentSegment(playhead);
  if (!segment || segment.rep === 0 || playhead.held + playhead.moved < LEAST_TOLD) return [];
  return [repOf(segment, playhead.held, playhead.moved)];
}

/** True for two places of one set; where sides alternate within it, whichever side they are on. */
export function isSameSet(a: SetSpot, b: SetSpot, alternating: boolean): boolean {
  return (
    a.line === b.line &&
    a.round === b.round &&
    a.direction === b.direction &&
    a.station === b.station &&
    a.set === b.set &&
    (alternating || a.side === b.side)
  );
}

type SetSpot = Pick<PlayedSegment, 'line' | 'round' | 'direction' | 'station' | 'set' | 'side'>;

/** Leaves the rest of this set out and goes on with what comes after it. */
export function skipSet(playhead: Playhead, alternating: boolean): Step {
  const now = currentSegment(playhead);
  if (!now) return { playhead, reps: [] };
  const next = playhead.segments.findIndex(
    (segment, index) => index > playhead.index && !isSameSet(segment, now, alternating),
  );
  const index = next === -1 ? playhead.segments.length : next;
  return { playhead: startAt(playhead.segments, index), reps: breakOff(playhead) };
}

/** Leaves the rest of this exercise out and goes on with the next. */
export function skipLine(playhead: Playhead): Step {
  const now = currentSegment(playhead);
  if (!now) return { playhead, reps: [] };
  const next = playhead.segments.findIndex(
    (segment, index) =>
      index > playhead.index && (segment.line !== now.line || segment.round !== now.round),
  );
  const index = next === -1 ? playhead.segments.length : next;
  return { playhead: startAt(playhead.segments, index), reps: breakOff(playhead) };
}
