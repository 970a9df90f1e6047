'use client';

import { useCallback, useEffect, useMemo, useRef } from 'react';
import type { Instant } from '@/core/schedule';
import { type ClockSample, clockAhead } from '@/core/share';

/** Askings in one go; the one that took the shortest way counts. */
const ASKINGS = 4;
/** Clocks drift slowly, ms. */
const AGAIN_MS = 60_000;

/**
 * The server's time as this screen knows it, so that two screens count in step.
 * Until the server has answered once it is the own clock.
 */
export function useServerClock(): { readonly now: () => Instant } {
  const ahead = useRef(0);
  useEffect(() => {
    let isHere = true;
    const ask = async () => {
      const samples: ClockSample[] = [];
      for (let nth = 0; nth < ASKINGS && isHere; nth += 1) {
        const one = await sample();
        if (one) samples.push(one);
      }
      const found = clockAhead(samples);
      if (found === null || !isHere) return;
      ahead.current = found;
    };
    void ask();
    const timer = setInterval(() => void ask(), AGAIN_MS);
    return () => {
      isHere = false;
      clearInterval(timer);
    };
  }, []);
  const now = useCallback(() => Math.round(Date.now() + ahead.current) as Instant, []);
  return useMemo(() => ({ now }), [now]);
}

async function sample(): Promise<ClockSample | null> {
  const sent = Date.now();
  try {
    const answer = (await (await fetch('/api/v1/clock', { cache: 'no-store' })).json()) as {
      readonly value: number;
    };
    return { sent, told: answer.value, received: Date.now() };
  } catch {
    return null;
  }
}
