'use client';

import { Button } from '../primitives/button';
import { useSending } from './use-sending';

/** Ends the session, and everything that this browser kept of it; also one that is over already. */
export function SignOut() {
  const { busy, sending } = useSending();
  return (
    <Button
      look="quiet"
      disabled={busy}
      onClick={async () => {
        if (!(await sending('/api/v1/sign-out', {}))) return;
        sessionStorage.clear();
        window.location.assign('/sign-in');
      }}
    >
      Sign out
    </Button>
  );
}
