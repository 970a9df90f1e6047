'use client';

import { Button } from '../primitives/button';
import { post } from './post';

export function SignOut() {
  return (
    <Button
      look="quiet"
      onClick={async () => {
        await post('/api/v1/sign-out', {});
        sessionStorage.clear();
        window.location.assign('/sign-in');
      }}
    >
      Sign out
    </Button>
  );
}
