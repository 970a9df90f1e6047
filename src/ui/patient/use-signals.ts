import { useEffect, useRef } from 'react';
import type { PlayedSegment } from '@/core/timeline';
import { type Ahead, useTones } from './use-tones';
import { speak } from './voice';

type Chosen = { readonly tones: boolean; readonly voice: boolean; readonly vibration: boolean };

/**
 * Tones, voice, vibration and a screen that stays on, where the browser allows each.
 *
 * @param ahead what begins by itself soon, for its tones
 * @param spoken what the voice says when the segment changes
 * @param language of it, BCP 47: a phone without a voice for it stays silent
 */
export function useSignals(
  segment: PlayedSegment | null,
  running: boolean,
  ahead: Ahead,
  { tones, voice, vibration }: Chosen,
  spoken: string,
  language: string,
) {
  const lock = useRef<WakeLockSentinel | null>(null);

  const { wake } = useTones(segment, running && tones, ahead);

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
