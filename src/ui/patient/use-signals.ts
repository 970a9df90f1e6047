import { useCallback, useEffect, useRef } from 'react';
import type { PlayedSegment } from '@/core/timeline';
import { speak } from './voice';

/** A tone for each kind of change, in hertz: work is higher than rest. */
const TONE = { hold: 660, move: 520, release: 440, pause: 330 } as const;

type Chosen = { readonly tones: boolean; readonly voice: boolean; readonly vibration: boolean };

/**
 * Tones, voice, vibration and a screen that stays on, where the browser allows each.
 *
 * @param spoken what the voice says when the segment changes
 * @param language of it, BCP 47: a phone without a voice for it stays silent
 */
export function useSignals(
  segment: PlayedSegment | null,
  running: boolean,
  { tones, voice, vibration }: Chosen,
  spoken: string,
  language: string,
) {
  const audio = useRef<AudioContext | null>(null);
  const lock = useRef<WakeLockSentinel | null>(null);

  /** Must be called from a touch: browsers make no sound before one. */
  const wake = useCallback(() => {
    try {
      audio.current ??= new AudioContext();
      void audio.current.resume();
    } catch {
      // No sound in this browser; the screen says everything too.
    }
  }, []);

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
    if (!running || kind === null || startsAt < 0) return;
    const tone = kind === 'hold' || kind === 'move' || kind === 'release' ? TONE[kind] : TONE.pause;
    if (tones && audio.current) beep(audio.current, tone);
    if (vibration && (kind === 'hold' || kind === 'change-side')) navigator.vibrate?.(120);
  }, [kind, startsAt, running, tones, vibration]);

  useEffect(() => {
    if (running && voice && startsAt >= 0) speak(spoken, language);
  }, [running, voice, startsAt, spoken, language]);
  useEffect(() => () => quiet(), []);

  return { wake };
}

function quiet(): void {
  if ('speechSynthesis' in window) window.speechSynthesis.cancel();
}

function beep(context: AudioContext, hertz: number): void {
  const at = context.currentTime;
  const oscillator = context.createOscillator();
  const gain = context.createGain();
  oscillator.frequency.value = hertz;
  gain.gain.setValueAtTime(0.0001, at);
  gain.gain.exponentialRampToValueAtTime(0.18, at + 0.02);
  gain.gain.exponentialRampToValueAtTime(0.0001, at + 0.22);
  oscillator.connect(gain).connect(context.destination);
  oscillator.start(at);
  oscillator.stop(at + 0.25);
}
