'use client';

import { copyText } from '../forms/copy-text';
import { Button } from '../primitives/button';

/** A one-time link, shown once to whoever hands it over. */
export function HandedOver({ name, address }: { name: string; address: string }) {
  return (
    <div className="grid gap-2 border-l-2 border-lit pl-2" role="status">
      <p>
        Give this link to <span dir="auto">{name}</span> in person. It works once, for a day, and is
        not shown again.
      </p>
      <p className="figures rounded border border-hair bg-wash p-2 break-all select-all">
        {address}
      </p>
      <Button className="justify-self-start" onClick={() => void copyText(address)}>
        Copy it
      </Button>
    </div>
  );
}
