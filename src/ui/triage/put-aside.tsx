'use client';

import { Popover } from 'radix-ui';
import { useState } from 'react';
import { v4 as uuid } from 'uuid';
import type { PatientId } from '@/core/units';
import { useSend } from '../forms/use-send';
import { Button } from '../primitives/button';
import { INPUT_CLASS } from '../primitives/field';
import { Form } from '../forms/form';

/** Days a row can wait for; a done mark lasts the day. */
const WAITS = [1, 3, 7, 14] as const;

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
  const [reason, setReason] = useState('');
  const [days, setDays] = useState<number>(WAITS[1]);

  async function mark(kind: 'done' | 'snoozed' | 'back') {
    const waits = kind === 'snoozed' ? { days, reason } : { days: 0, reason: '' };
    await send(
      '/api/v1/triage/marks',
      { id: uuid(), patientId, kind, rule, ...waits },
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
      <Popover.Root open={asking} onOpenChange={setAsking}>
        <Popover.Trigger asChild>
          <Button aria-label={`Let it wait: ${name}`}>Wait …</Button>
        </Popover.Trigger>
        <Popover.Portal>
          <Popover.Content
            align="end"
            sideOffset={4}
            collisionPadding={12}
            aria-label={`Let it wait: ${name}`}
            className="z-20 w-[min(20rem,92vw)] rounded border border-ink bg-sheet p-4"
          >
            <Form
              className="grid gap-3"
              onSubmit={(event) => {
                event.preventDefault();
                void mark('snoozed');
              }}
            >
              <label className="grid gap-1">
                <span className="text-small text-soft">Why it can wait</span>
                <input
                  className={INPUT_CLASS}
                  value={reason}
                  maxLength={300}
                  onChange={(event) => setReason(event.target.value)}
                />
              </label>
              <label className="grid gap-1">
                <span className="text-small text-soft">Days</span>
                <select
                  className={INPUT_CLASS}
                  value={days}
                  onChange={(event) => setDays(Number(event.target.value))}
                >
                  {WAITS.map((one) => (
                    <option key={one} value={one}>
                      {one}
                    </option>
                  ))}
                </select>
              </label>
              <Button type="submit" disabled={busy}>
                Let it wait
              </Button>
            </Form>
          </Popover.Content>
        </Popover.Portal>
      </Popover.Root>
    </div>
  );
}
