'use client';

import { useCallback, useRef, useState } from 'react';
import { type Answer, post } from './post';

/** Posts records one at a time: while one is on its way another is not sent. */
export function useSending() {
  const [busy, setBusy] = useState(false);
  const under = useRef(false);

  /** The server's answer; null when one is on its way already, so that nothing was sent. */
  const sending = useCallback(
    async <T = unknown>(path: string, body: unknown): Promise<Answer<T> | null> => {
      if (under.current) return null;
      under.current = true;
      setBusy(true);
      const answer = await post<T>(path, body);
      under.current = false;
      setBusy(false);
      return answer;
    },
    [],
  );
  return { busy, sending };
}
