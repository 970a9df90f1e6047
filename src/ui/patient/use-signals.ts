import { useEffect, useRef } from 'react';
import type { PlayedSegment } from '@/core/timeline';
import { type Ahead, useTones } from './use-tones';
import { speak } from './voice';

type Chosen = { readonly tones: boolean; readonly voice: boolean; readonly vibration: boolean };

type Playing = {
  readonly segment: PlayedSegment | null;
  /** Of the segment, as in what is ahead. */
  readonly index: number;
  readonly running: boolean;
  /** What begins by itself soon, for its tones. */
  readonly ahead: Ahead;
  readonly chosen: Chosen;
  /** What the voice says when the segment changes. */
  readonly spoken: string;
  /** Of it, BCP 47: a phone without a voice for it stays silent. */
  readonly language: string;
};

/** Tones, voice, vibration and a screen that stays on, where the browser allows each. */
export function useSignals({
  segment,
  index,
  running,
  ahead,
  chosen: { tones, voice, vibration },
  spoken,
  language,
}: Playing) {
  const lock = useRef<WakeLockSentinel | null>(null);

  const { wake } = useTones(segment, index, running && tones, ahead);

  useEffect(() => {
    if (!running) return;
    let mine = true;
    const hold = () =>
      navigator.wakeLock?.request('screen').then(
        (sentinel) => {
          if (mine) lock.current = sentinel;
          else void sentinel.release();
        },
        () => undefined,
      );
    const again = () => document.visibilityState === 'visible' && void hold();
    void hold();
    // The browser lets go of the lock whenever the page is hidden.
    document.addEventListener('visibilitychange', again);
    return () => {
      mine = false;
      document.removeEventListener('visibilitychange', again);
      void lock.current?.release();
      lock.current = null;
    };
  }, [running]);

  const kind = segment?.kind ?? null;
  const startsAt = segment?.startsAt ?? -1;
  useEffect(() => {
    if (!running || startsAt < 0) return;
    if (vibration && (kind === 'hold' || kind === 'change-side')) navigator.vibrate?.(120);
  }, [kind, startsAt, running, vibration]);

  useEffect(() => {
    if (running && voice && startsAt >= 0) speak(spoken, language);
  }, [running, voice, startsAt, spoken, language]);
  useEffect(() => () => quiet(), []);

  return { wake };
}

function quiet(): void {
  if ('speechSynthesis' in window) window.speechSynthesis.cancel();
}
