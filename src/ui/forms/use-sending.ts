'use client';

import { useCallback, useRef } from 'react';
import { type Answer, post } from './post';
import { idAnswered, isNewId } from './new-id';
import { type Unanswered, hasId, sentAgain } from './sent-again';
import { useOneAtATime } from './use-one-at-a-time';

/**
 * Posts records one at a time: while one is on its way another is not sent. One that is sent again because
 * its answer was lost goes under the same id.
 */
export function useSending() {
  const { busy, once } = useOneAtATime();
  const lost = useRef<Unanswered | null>(null);

  /** The server's answer; null when one is on its way already, so that nothing was sent. */
  const sending = useCallback(
    <T = unknown>(path: string, body: unknown): Promise<Answer<T> | null> =>
      once(async () => {
        const sent = sentAgain(path, body, lost.current, isNewId);
        const answer = await post<T>(path, sent);
        const isLost = !answer.ok && answer.status === 0;
        lost.current = isLost ? { path, body: sent } : null;
        if (answer.ok && hasId(sent)) idAnswered(sent.id);
        return answer;
      }),
    [once],
  );
  return { busy, sending };
}
