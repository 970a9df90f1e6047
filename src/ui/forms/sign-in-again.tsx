'use client';

import { useCallback, useEffect, useRef, useState } from 'react';
import { part, usePart } from '../primitives/on-demand';
import { whenToLock } from './lock';
import { post, whenSignedOut } from './post';
import type { WhySignIn } from './sign-in-dialog';

/**
 * A desk nobody touches for so long locks itself: longer than a session is counted aloud, shorter than
 * the server keeps it open. Common practice, no source.
 */
const UNTOUCHED_MS = 25 * 60_000;
const TOUCHES = ['pointerdown', 'keydown', 'wheel'] as const;

/** Milliseconds until the form is asked for again where it did not come. */
const AGAIN_MS = 3000;

const FORM = part(() => import('./sign-in-dialog').then((made) => made.SignInDialog));

/**
 * Opens beside the page when the session is over, and over it when the desk is locked: the page and what
 * was typed stay, and what was to be sent is sent once the same member has signed in. Another one gets a
 * page of their own. A locked page shows and prints nothing of a patient, whether the form is there or not.
 */
export function SignInAgain({ memberId }: { memberId: string }) {
  const [why, setWhy] = useState<WhySignIn>('no');
  const [tries, setTries] = useState(0);
  const waiting = useRef<((again: boolean) => void)[]>([]);
  const lock = useCallback(() => {
    setWhy('locked');
    // The session ends as well: whoever opens another page has to sign in.
    void post('/api/v1/sign-out', {});
  }, []);

  useEffect(() => {
    whenSignedOut(
      () =>
        new Promise((resolve) => {
          waiting.current.push(resolve);
          setWhy((now) => (now === 'locked' ? now : 'over'));
        }),
    );
    whenToLock(lock);
    return () => {
      whenSignedOut(null);
      whenToLock(null);
    };
  }, [lock]);

  useEffect(() => {
    let timer = setTimeout(lock, UNTOUCHED_MS);
    const touched = () => {
      clearTimeout(timer);
      timer = setTimeout(lock, UNTOUCHED_MS);
    };
    for (const touch of TOUCHES) window.addEventListener(touch, touched, { passive: true });
    return () => {
      clearTimeout(timer);
      for (const touch of TOUCHES) window.removeEventListener(touch, touched);
    };
  }, [lock]);

  useEffect(() => {
    document.documentElement.toggleAttribute('data-locked', why === 'locked');
    return () => document.documentElement.removeAttribute('data-locked');
  }, [why]);

  function close(again: boolean) {
    setWhy('no');
    for (const resolve of waiting.current.splice(0)) resolve(again);
  }

  const Form = usePart(
    FORM,
    why !== 'no',
    // Nobody is let in because a part of the page did not come: it is asked for again.
    useCallback(() => setTimeout(() => setTries(tries + 1), AGAIN_MS), [tries]),
  );
  return Form && <Form why={why} memberId={memberId} onClose={close} />;
}
