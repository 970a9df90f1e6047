'use client';

import { useCallback, useEffect, useRef, useState } from 'react';
import type { ShareMessage } from '@/core/share';
import { SHARE_BEAT_MS } from '@/core/share';

/** Without a beat for so long the connection is taken as gone, ms. */
const LOST_MS = 3 * SHARE_BEAT_MS;

/** What the clinic shows, as it comes; `lost` while nothing comes any more. */
export function useLookingOn() {
  const [message, setMessage] = useState<ShareMessage | null>(null);
  const [lost, setLost] = useState(false);
  const [round, setRound] = useState(0);
  const heardAt = useRef(0);
  useEffect(() => {
    const source = new EventSource('/api/v1/patient/together');
    heardAt.current = performance.now();
    const heard = () => {
      heardAt.current = performance.now();
      setLost(false);
    };
    source.addEventListener('beat', heard);
    source.addEventListener('open', heard);
    // It asks again by itself.
    source.addEventListener('error', () => setLost(true));
    source.addEventListener('message', ({ data }: MessageEvent<string>) => {
      heard();
      const told = JSON.parse(data) as ShareMessage;
      setMessage(told);
      if (told.kind === 'ended') source.close();
    });
    const timer = setInterval(() => {
      const isOver = source.readyState === EventSource.CLOSED;
      if (!isOver && performance.now() - heardAt.current > LOST_MS) setLost(true);
    }, 1000);
    // A phone that has slept asks anew at once, and is told where it stands.
    const woken = () => {
      if (document.visibilityState === 'visible' && performance.now() - heardAt.current > LOST_MS)
        setRound((before) => before + 1);
    };
    document.addEventListener('visibilitychange', woken);
    return () => {
      clearInterval(timer);
      document.removeEventListener('visibilitychange', woken);
      source.close();
    };
  }, [round]);
  const again = useCallback(() => {
    setMessage(null);
    setRound((before) => before + 1);
  }, []);
  return { message, lost, again };
}
