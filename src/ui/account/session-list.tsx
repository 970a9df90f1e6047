'use client';

import { useSend } from '../forms/use-send';
import { Button } from '../primitives/button';

/** Where a member is signed in; any but this one can be ended. */
export function SessionList({
  sessions,
}: {
  sessions: readonly {
    readonly id: string;
    readonly since: string;
    readonly lastSeen: string;
    readonly isThis: boolean;
  }[];
}) {
  const { busy, send } = useSend();
  return (
    <ul className="divide-y divide-hair border-y border-hair">
      {sessions.map(({ id, since, lastSeen, isThis }) => (
        <li key={id} className="flex flex-wrap items-center gap-3 py-2">
          <span className="mr-auto">
            Since {since}, last used {lastSeen}
            {isThis && ' · this browser'}
          </span>
          {!isThis && (
            <Button
              disabled={busy}
              aria-label={`End it: the session since ${since}`}
              onClick={() =>
                void send('/api/v1/account/sessions', { session: id }, { said: 'Ended.' })
              }
            >
              End it
            </Button>
          )}
        </li>
      ))}
    </ul>
  );
}
