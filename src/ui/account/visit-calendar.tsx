'use client';

import { useState } from 'react';
import { useSend } from '../forms/use-send';
import { Button } from '../primitives/button';
import { ShownOnce } from './handed-over';

/** The address by which a calendar program shows the next visits of one's own patients. */
export function VisitCalendar({ since }: { since: string | null }) {
  const { busy, send } = useSend();
  const [address, setAddress] = useState('');
  return (
    <div className="grid justify-items-start gap-3">
      {since !== null && <p>An address is in use since {since}. A new one ends it.</p>}
      {address !== '' && (
        <ShownOnce secret={address}>
          The address, shown once: subscribe to it in your calendar program. It tells initials and
          when, never who or what for.
        </ShownOnce>
      )}
      <div className="flex flex-wrap gap-2">
        <Button
          disabled={busy}
          onClick={() =>
            void send<{ address: string }>(
              '/api/v1/visit-calendar',
              {},
              { done: (value) => setAddress(value.address) },
            )
          }
        >
          {since === null ? 'Make the address' : 'Make a new address'}
        </Button>
        {since !== null && (
          <Button
            disabled={busy}
            onClick={() =>
              void send(
                '/api/v1/visit-calendar/end',
                {},
                { done: () => setAddress(''), said: 'The address is ended.' },
              )
            }
          >
            End it
          </Button>
        )}
      </div>
    </div>
  );
}
