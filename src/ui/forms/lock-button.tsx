'use client';

import { Button } from '../primitives/button';
import { lockDesk } from './lock';

/** Covers the desk until its member signs in again; what was typed stays. */
export function LockButton() {
  return (
    <Button look="quiet" onClick={lockDesk} title="Cover this page; what you typed stays">
      Lock
    </Button>
  );
}
