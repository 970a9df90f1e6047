'use client';

import { useCallback, useState } from 'react';
import type { PatientId } from '@/core/units';
import { newId } from '../forms/new-id';
import { useSend } from '../forms/use-send';
import { Button } from '../primitives/button';
import { part, sayMissing, usePart } from '../primitives/on-demand';
import { type Waiting, waitLabel } from './waiting';

const WAITS = part(() => import('./wait-popover').then((made) => made.WaitPopover));

const NO_WAIT: Waiting = { days: 0, reason: '' };

/** Marks a row of the morning list as done for today, or lets it wait with a reason. */
export function PutAside({
  patientId,
  name,
  rule,
  aside,
}: {
  patientId: PatientId;
  name: string;
  rule: string;
  aside: boolean;
}) {
  const { busy, send } = useSend();
  const [asking, setAsking] = useState(false);
  // Once it was there it stays, with what was typed in it.
  const [asked, setAsked] = useState(false);
  const Waits = usePart(
    WAITS,
    asked,
    useCallback(() => {
      sayMissing();
      setAsked(false);
    }, []),
  );

  async function mark(kind: 'done' | 'snoozed' | 'back', waits = NO_WAIT) {
    await send(
      '/api/v1/triage/marks',
      { id: newId(), patientId, kind, rule, ...waits },
      {
        done: () => setAsking(false),
      },
    );
  }

  if (aside)
    return (
      <Button disabled={busy} onClick={() => mark('back')} aria-label={`Take back: ${name}`}>
        Take back
      </Button>
    );
  return (
    <div className="flex items-center gap-2">
      <Button disabled={busy} onClick={() => mark('done')} aria-label={`Done for today: ${name}`}>
        Done
      </Button>
      {Waits && asked ? (
        <Waits
          name={name}
          busy={busy}
          open={asking}
          onOpen={setAsking}
          onWait={(waits) => mark('snoozed', waits)}
        />
      ) : (
        <Button
          aria-label={waitLabel(name)}
          aria-haspopup="dialog"
          aria-expanded={false}
          onClick={() => {
            setAsked(true);
            setAsking(true);
          }}
        >
          Wait …
        </Button>
      )}
    </div>
  );
}
