'use client';

import type { ReactNode } from 'react';
import { copyText } from '../forms/copy-text';
import { Button } from '../primitives/button';

/** A one-time link, shown once to whoever hands it over. */
export function HandedOver({ name, address }: { name: string; address: string }) {
  return (
    <ShownOnce secret={address}>
      Give this link to <span dir="auto">{name}</span> in person. It works once, for a day, and is
      not shown again.
    </ShownOnce>
  );
}

/** Something secret that is shown once, to be copied. */
export function ShownOnce({ secret, children }: { secret: string; children: ReactNode }) {
  return (
    <div className="grid gap-2 border-l-2 border-lit pl-2" role="status">
      <p>{children}</p>
      <p className="figures rounded border border-hair bg-wash p-2 break-all select-all">
        {secret}
      </p>
      <Button className="justify-self-start" onClick={() => void copyText(secret)}>
        Copy it
      </Button>
    </div>
  );
}
