import { type PaceName, type Paces, DEFAULT_PACES } from '../timeline';
import { seconds, toTenth } from '../units';
import { type Playhead, type Step, advance, currentSegment, startAt } from './playhead';

/** The newest tap counts this much; one hasty tap does not change the whole session. */
const WEIGHT = 0.4;
/** A learned pace stays within these shares of the usual one. */
const LEAST_SHARE = 0.3;
const MOST_SHARE = 4;

/**
 * A patient's own pace after one more tap of "ready".
 *
 * @param took seconds from the start of the segment to the tap
 * @example learnPace(DEFAULT_PACES, 'getReady', 8).getReady // 5: from 3 towards 8
 */
export function learnPace(paces: Paces, name: PaceName, took: number): Paces {
  const usual = DEFAULT_PACES[name];
  const learned = paces[name] * (1 - WEIGHT) + took * WEIGHT;
  const bounded = Math.min(Math.max(learned, usual * LEAST_SHARE), usual * MOST_SHARE);
  return { ...paces, [name]: seconds(toTenth(bounded)) };
}

/** The pace whose length the segment has, where nothing was written; null otherwise. */
export function paceOf(playhead: Playhead): PaceName | null {
  const segment = currentSegment(playhead);
  return segment && segment.length.written === undefined ? (segment.length.pace ?? null) : null;
}

/**
 * Ends the segment under way now, because the patient says so: what was held is told as it was,
 * shorter or longer than asked.
 *
 * @param elapsed seconds of the segment that really passed
 */
export function tapDone(playhead: Playhead, elapsed: number): Step {
  const segment = currentSegment(playhead);
  if (!segment) return { playhead, reps: [] };
  // The segment as long as it really was, then over.
  const real = { ...segment, seconds: seconds(Math.max(elapsed, playhead.elapsed)) };
  const segments = playhead.segments.map((one, index) => (index === playhead.index ? real : one));
  const left = seconds(Math.max(0, real.seconds - playhead.elapsed));
  const step = advance({ ...playhead, segments }, left);
  return { ...step, playhead: { ...step.playhead, segments: playhead.segments } };
}

/** Back to the first segment of the exercise under way, in this round. */
export function restartLine(playhead: Playhead): Playhead {
  const now = currentSegment(playhead);
  if (!now) return playhead;
  const first = playhead.segments.findIndex(
    ({ line, round }) => line === now.line && round === now.round,
  );
  return startAt(playhead.segments, Math.max(0, first));
}
