import { useCallback, useEffect, useRef } from 'react';
import type { PlayedSegment } from '@/core/timeline';

/** A tone for each kind of segment, in hertz: work is higher than rest. */
const TONE = { hold: 660, move: 520, release: 440, pause: 330 } as const;

const hertzOf = (kind: PlayedSegment['kind']) =>
  kind === 'hold' || kind === 'move' || kind === 'release' ? TONE[kind] : TONE.pause;

/** A segment that begins by itself, and when by the page's clock, `performance.now()`. */
export type Coming = {
  readonly index: number;
  readonly at: number;
  readonly kind: PlayedSegment['kind'];
};

/** What begins within the next seconds, as the session stood when its clock was last read; soonest first. */
export type Ahead = readonly Coming[];

/** Two moments of one change differ by no more, in milliseconds: what the clocks round. */
const SAME_MS = 30;

type Asked = { readonly at: number; readonly end: () => void };

/**
 * The tones of a session, asked for ahead on the sound's own clock, so that they come when they should
 * also where the page's timers are late. What is no longer to come is taken back.
 *
 * @param segment under way; one that nobody foresaw, as after a touch, sounds at once
 * @param index of it, as in what is ahead: however late the page is, one segment sounds once
 */
export function useTones(
  segment: PlayedSegment | null,
  index: number,
  sounds: boolean,
  ahead: Ahead,
) {
  const audio = useRef<AudioContext | null>(null);
  const asked = useRef(new Map<number, Asked>());

  /** Must be called from a touch: browsers make no sound before one. */
  const wake = useCallback(() => {
    try {
      audio.current ??= new AudioContext();
      void audio.current.resume();
    } catch {
      // No sound in this browser; the screen says everything too.
    }
  }, []);

  const startsAt = segment?.startsAt ?? -1;
  const kind = segment?.kind ?? null;
  useEffect(() => {
    const context = audio.current;
    if (!sounds || kind === null || startsAt < 0 || !context) return;
    const now = performance.now();
    if ((asked.current.get(index)?.at ?? Infinity) > now + SAME_MS)
      tone(context, hertzOf(kind), context.currentTime);
    // What has sounded is done with: the same segment sounds anew when it is gone back to.
    for (const [before, { at }] of asked.current)
      if (at <= now + SAME_MS) asked.current.delete(before);
  }, [kind, startsAt, index, sounds]);

  // With every reading of the session's clock, so that no wake-up is too late for what comes before the next.
  useEffect(() => {
    if (sounds && audio.current) askAhead(audio.current, asked.current, ahead);
  }, [ahead, sounds]);

  useEffect(() => {
    if (!sounds) return;
    const kept = asked.current;
    return () => {
      takeBack(kept, () => true);
      kept.clear();
    };
  }, [sounds]);

  return { wake };
}

function askAhead(context: AudioContext, asked: Map<number, Asked>, ahead: Ahead): void {
  const coming = new Map(ahead.map((one) => [one.index, one]));
  takeBack(asked, (index, at) => Math.abs((coming.get(index)?.at ?? Infinity) - at) > SAME_MS);
  const now = performance.now();
  for (const { index, at, kind } of ahead)
    if (!asked.has(index) && at > now)
      asked.set(index, {
        at,
        end: tone(context, hertzOf(kind), context.currentTime + (at - now) / 1000),
      });
}

/** Takes back the tones to come that are not wanted any more; what has sounded stays known. */
function takeBack(
  asked: Map<number, Asked>,
  unwanted: (index: number, at: number) => boolean,
): void {
  const now = performance.now();
  for (const [index, { at, end }] of asked)
    if (at > now && unwanted(index, at)) {
      end();
      asked.delete(index);
    }
}

/**
 * Asks for one tone.
 *
 * @param at seconds of the context's clock
 * @returns takes it back
 */
function tone(context: AudioContext, hertz: number, at: number): () => void {
  const oscillator = context.createOscillator();
  const gain = context.createGain();
  oscillator.frequency.value = hertz;
  gain.gain.setValueAtTime(0.0001, at);
  gain.gain.exponentialRampToValueAtTime(0.18, at + 0.02);
  gain.gain.exponentialRampToValueAtTime(0.0001, at + 0.22);
  oscillator.connect(gain).connect(context.destination);
  oscillator.start(at);
  oscillator.stop(at + 0.25);
  return () => oscillator.disconnect();
}
