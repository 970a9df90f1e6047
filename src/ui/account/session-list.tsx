'use client';

import { useSend } from '../forms/use-send';
import { Button } from '../primitives/button';

/** When one began, and which of those it is that began in the same minute. */
function beginningOf(since: string, at: number, all: readonly string[]): string {
  const many = all.filter((one) => one === since).length;
  if (many < 2) return since;
  const which = all.slice(0, at + 1).filter((one) => one === since).length;
  return `${since} (${which} of ${many})`;
}

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
  const beginnings = sessions.map(({ since }) => since);
  return (
    <ul className="divide-y divide-hair border-y border-hair">
      {sessions.map(({ id, lastSeen, isThis, ...session }, at) => {
        const since = beginningOf(session.since, at, beginnings);
        return (
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
        );
      })}
    </ul>
  );
}
