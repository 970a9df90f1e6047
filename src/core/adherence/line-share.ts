import { hasMax } from '../dose';
import {
  DEFAULT_PACES,
  type Paces,
  type PlayedSegment,
  type TimedLine,
  resolve,
  sessionTimeline,
  workIn,
  workSeconds,
} from '../timeline';
import type { RepDone } from './session-event';

/** What one occurrence of a line asks, at its least and its most, over all rounds of the session. */
export type LineTarget = {
  /** Held and moved seconds the dose writes; 0 where it writes only repetitions. */
  readonly seconds: { readonly least: number; readonly most: number };
  readonly reps: { readonly least: number; readonly most: number };
  /** Seconds of work including movements at a pace: what the line weighs beside others. */
  readonly weight: number;
};

/** More than anybody does in a day, in seconds or repetitions. */
const UNBOUNDED = 86_400;

/** What a line asks of one session. */
export function lineTarget(
  line: TimedLine,
  rounds: number,
  paces: Paces = DEFAULT_PACES,
): LineTarget {
  const timeline = sessionTimeline([line], rounds);
  const least = resolve(timeline, 'least', paces);
  const most = resolve(timeline, 'most', paces);
  // What is done until form fails is done with its first repetition, and never too much.
  const atMost = (sum: number) => (hasMax(line.dose) ? UNBOUNDED : sum);
  return {
    seconds: { least: writtenWork(least), most: atMost(writtenWork(most)) },
    reps: { least: workIn(least).reps, most: atMost(workIn(most).reps) },
    weight: workSeconds(workIn(least)),
  };
}

function writtenWork(played: readonly PlayedSegment[]): number {
  return played
    .filter((segment) => segment.work !== null && segment.length.written !== undefined)
    .reduce((sum, segment) => sum + segment.seconds, 0);
}

/** A countdown ends within a frame or two of its second; that much short is still done. */
const TIMING_SLACK = 0.02;

/**
 * The share of a line's least dose that was done, ≥ 0 and uncapped: held and moved seconds where
 * the dose writes them, repetitions where it does not.
 *
 * @example shareDone({ seconds: { least: 100, most: 100 }, … }, fiveHoldsOfTen) // 0.5
 */
export function shareDone(target: LineTarget, reps: readonly RepDone[]): number {
  const { done, least } = doneAndAsked(target, reps);
  if (least === 0) return 0;
  const share = done / least;
  return Math.abs(share - 1) <= TIMING_SLACK ? 1 : share;
}

/** Share of the least dose done beyond the most: over-doing. Between least and most is not extra. */
export function shareBeyondMost(target: LineTarget, reps: readonly RepDone[]): number {
  const { done, least, most } = doneAndAsked(target, reps);
  const beyond = least === 0 ? 0 : (done - most) / least;
  return beyond > TIMING_SLACK ? beyond : 0;
}

function doneAndAsked(target: LineTarget, reps: readonly RepDone[]) {
  if (target.seconds.least > 0) {
    const done = reps.reduce((sum, rep) => sum + rep.held + rep.moved, 0);
    return { done, ...target.seconds };
  }
  return { done: reps.length, ...target.reps };
}
