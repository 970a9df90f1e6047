import type { Dose } from '../dose';
import type { PlayedSegment } from '../timeline';

/** What a patient is reminded of at a moment, as key and values. */
export type PlayerCue =
  | { readonly kind: 'breath'; readonly phase: 'in' | 'hold' | 'out'; readonly count: number }
  | { readonly kind: 'shoulders' }
  | { readonly kind: 'own'; readonly text: string };

/** On every third repetition the shoulders have crept up (common practice, no source). */
const SHOULDERS_EVERY = 3;

/** The phase of a breath so many seconds into a repetition; the last phase goes on to the end. */
export function breathAt(
  { in: inhale, hold, out }: NonNullable<Dose['breath']>,
  elapsed: number,
): { phase: 'in' | 'hold' | 'out'; count: number } {
  // In and out are a second each at the least.
  const at = elapsed % (inhale + hold + out);
  if (at < inhale) return { phase: 'in', count: Math.floor(at) + 1 };
  if (at < inhale + hold) return { phase: 'hold', count: Math.floor(at - inhale) + 1 };
  return { phase: 'out', count: Math.floor(at - inhale - hold) + 1 };
}

/**
 * The reminder of a moment: the breath where the dose has one, the shoulders on every third
 * repetition, else the exercise's own reminders in turn. Nothing while nothing is done.
 */
export function cueAt(
  segment: Pick<PlayedSegment, 'work' | 'rep' | 'kind'>,
  elapsed: number,
  breath: Dose['breath'],
  cues: readonly string[],
): PlayerCue | null {
  if (segment.work === null) return null;
  if (breath) return { kind: 'breath', ...breathAt(breath, elapsed) };
  if (segment.rep > 0 && segment.rep % SHOULDERS_EVERY === 0) return { kind: 'shoulders' };
  const text = cues[Math.max(0, segment.rep - 1) % cues.length];
  return text === undefined ? null : { kind: 'own', text };
}
