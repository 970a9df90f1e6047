'use client';

import { Dialog } from 'radix-ui';
import { useCallback, useEffect, useRef, useState } from 'react';
import { Button } from '../primitives/button';
import { whenToLock } from './lock';
import { post, whenSignedOut } from './post';
import { SignInForm } from './sign-in-form';

/**
 * A desk nobody touches for so long locks itself: longer than a session is counted aloud, shorter than
 * the server keeps it open. Common practice, no source.
 */
const UNTOUCHED_MS = 25 * 60_000;
const TOUCHES = ['pointerdown', 'keydown', 'wheel'] as const;

/** Nothing, the session that is over, or a desk that somebody locked. */
type Why = 'no' | 'over' | 'locked';

/**
 * Opens beside the page when the session is over, and over it when the desk is locked: the page and what
 * was typed stay, and what was to be sent is sent once the same member has signed in. Another one gets a
 * page of their own. A locked page shows and prints nothing of a patient.
 */
export function SignInAgain({ memberId }: { memberId: string }) {
  const [why, setWhy] = useState<Why>('no');
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

  const isLocked = why === 'locked';
  return (
    <Dialog.Root
      open={why !== 'no'}
      onOpenChange={(wanted) => !wanted && !isLocked && close(false)}
    >
      <Dialog.Portal>
        <Dialog.Overlay
          data-lock
          className={`fixed inset-0 z-40 ${isLocked ? 'bg-paper' : 'bg-black/40'}`}
        />
        <Dialog.Content
          data-lock
          className="fixed top-1/2 left-1/2 z-50 grid max-h-[92dvh] w-[min(26rem,94vw)] -translate-x-1/2 -translate-y-1/2 gap-3 overflow-auto rounded border border-edge bg-sheet p-5"
        >
          <Dialog.Title className="text-lg font-semibold">
            {isLocked ? 'Locked' : 'Sign in again'}
          </Dialog.Title>
          <Dialog.Description className="text-soft">
            {isLocked
              ? 'The page behind stays as it is, with what you typed. Sign in to go on.'
              : 'You were away too long, or were signed out elsewhere. The page behind stays as it is; what you were about to send is sent once you are signed in.'}
          </Dialog.Description>
          <SignInForm
            whenDone={(signedIn) => {
              // Somebody else must not go on with what another began.
              if (signedIn === memberId) close(true);
              else window.location.assign('/');
            }}
          />
          {!isLocked && (
            <Dialog.Close asChild>
              <Button className="justify-self-start">Not now</Button>
            </Dialog.Close>
          )}
        </Dialog.Content>
      </Dialog.Portal>
    </Dialog.Root>
  );
}
