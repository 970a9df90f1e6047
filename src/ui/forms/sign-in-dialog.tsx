'use client';

import * as Dialog from 'radix-dialog';
import { Button } from '../primitives/button';
import { useFocusBack } from '../primitives/use-focus-back';
import { SignInForm } from './sign-in-form';

/** Nothing, the session that is over, or a desk that somebody locked. */
export type WhySignIn = 'no' | 'over' | 'locked';

/** Signing in again, over the page as it stands. */
export function SignInDialog({
  why,
  memberId,
  onClose: close,
}: {
  readonly why: WhySignIn;
  readonly memberId: string;
  /** True once the same member has signed in. */
  readonly onClose: (again: boolean) => void;
}) {
  const focus = useFocusBack();
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
          {...focus}
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
