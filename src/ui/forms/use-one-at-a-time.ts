'use client';

import { useCallback, useRef, useState } from 'react';

/** Lets one thing be done at a time: what is asked for while another is under way is not begun. */
export function useOneAtATime() {
  const [busy, setBusy] = useState(false);
  const under = useRef(false);

  /** What the work came to; null when other work was under way, so that it was not begun. */
  const once = useCallback(async <T>(work: () => Promise<T>): Promise<T | null> => {
    if (under.current) return null;
    under.current = true;
    setBusy(true);
    try {
      return await work();
    } finally {
      under.current = false;
      setBusy(false);
    }
  }, []);
  return { busy, once };
}
