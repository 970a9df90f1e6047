'use client';

import { Dialog } from 'radix-ui';
import { useEffect, useRef, useState } from 'react';
import { Button } from '../primitives/button';
import { whenSignedOut } from './post';
import { SignInForm } from './sign-in-form';

/**
 * Opens beside the page when the session is over: the page and what was typed stay, and what was to be
 * sent is sent once the same member has signed in. Another one gets a page of their own.
 */
export function SignInAgain({ memberId }: { memberId: string }) {
  const [open, setOpen] = useState(false);
  const waiting = useRef<((again: boolean) => void)[]>([]);
  useEffect(() => {
    whenSignedOut(
      () =>
        new Promise((resolve) => {
          waiting.current.push(resolve);
          setOpen(true);
        }),
    );
    return () => whenSignedOut(null);
  }, []);

  function close(again: boolean) {
    setOpen(false);
    for (const resolve of waiting.current.splice(0)) resolve(again);
  }

  return (
    <Dialog.Root open={open} onOpenChange={(wanted) => !wanted && close(false)}>
      <Dialog.Portal>
        <Dialog.Overlay className="fixed inset-0 z-40 bg-black/40" />
        <Dialog.Content className="fixed top-1/2 left-1/2 z-50 grid max-h-[92dvh] w-[min(26rem,94vw)] -translate-x-1/2 -translate-y-1/2 gap-3 overflow-auto rounded border border-hair bg-sheet p-5">
          <Dialog.Title className="text-lg font-semibold">Sign in again</Dialog.Title>
          <Dialog.Description className="text-soft">
            You were away too long, or were signed out elsewhere. The page behind stays as it is;
            what you were about to send is sent once you are signed in.
          </Dialog.Description>
          <SignInForm
            whenDone={(signedIn) => {
              // Somebody else must not go on with what another began.
              if (signedIn === memberId) close(true);
              else window.location.assign('/');
            }}
          />
          <Dialog.Close asChild>
            <Button className="justify-self-start">Not now</Button>
          </Dialog.Close>
        </Dialog.Content>
      </Dialog.Portal>
    </Dialog.Root>
  );
}
