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

/** What begins within the next seconds as things stand at this moment; oldest first. */
export type Ahead = () => readonly Coming[];

/** How often tones are asked for ahead. A page out of sight is woken once a second at most. */
const EVERY_MS = 500;
/** Two moments of one change differ by no more, in milliseconds: what the clocks round. */
const SAME_MS = 30;

type Asked = { readonly at: number; readonly end: () => void };

/**
 * The tones of a session, asked for ahead on the sound's own clock, so that they come when they should
 * also where the page's timers are late. What is no longer to come is taken back.
 *
 * @param segment under way; one that nobody foresaw, as after a touch, sounds at once
 */
export function useTones(segment: PlayedSegment | null, sounds: boolean, ahead: Ahead) {
  const audio = useRef<AudioContext | null>(null);
  const asked = useRef(new Map<number, Asked>());
  const foresee = useRef(ahead);
  useEffect(() => {
    foresee.current = ahead;
  }, [ahead]);

  /** Must be called from a touch: browsers make no sound before one. */
  const wake = useCallback(() => {
    try {
      audio.current ??= new AudioContext();
      void audio.current.resume();
    } catch {
      // No sound in this browser; the screen says everything too.
    }
  }, []);

  const askAhead = useCallback(() => {
    const context = audio.current;
    if (!context) return;
    const now = performance.now();
    const coming = new Map(foresee.current().map((one) => [one.index, one]));
    for (const [index, { at, end }] of asked.current) {
      const still = coming.get(index);
      if (at > now && (!still || Math.abs(still.at - at) > SAME_MS)) {
        end();
        asked.current.delete(index);
      }
    }
    for (const { index, at, kind } of coming.values())
      if (!asked.current.has(index) && at > now)
        asked.current.set(index, {
          at,
          end: tone(context, hertzOf(kind), context.currentTime + (at - now) / 1000),
        });
  }, []);

  const startsAt = segment?.startsAt ?? -1;
  const kind = segment?.kind ?? null;
  useEffect(() => {
    const context = audio.current;
    if (!sounds || kind === null || startsAt < 0 || !context) return;
    const now = performance.now();
    const foreseen = [...asked.current.values()].some(({ at }) => Math.abs(at - now) < LATE_MS);
    if (!foreseen) tone(context, hertzOf(kind), context.currentTime);
    askAhead();
  }, [kind, startsAt, sounds, askAhead]);

  useEffect(() => {
    if (!sounds) return;
    const kept = asked.current;
    const timer = setInterval(askAhead, EVERY_MS);
    return () => {
      clearInterval(timer);
      const now = performance.now();
      for (const { at, end } of kept.values()) if (at > now) end();
      kept.clear();
    };
  }, [sounds, askAhead]);

  return { wake };
}

/** A segment is seen to begin no later than this after its tone, in milliseconds. */
const LATE_MS = 1_200;

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
