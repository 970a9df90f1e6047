'use client';

import { Popover } from 'radix-ui';
import { useState } from 'react';
import { Form } from '../forms/form';
import { Button } from '../primitives/button';
import { INPUT_CLASS } from '../primitives/field';
import { type Waiting, waitLabel } from './waiting';

/** Days a row can wait for; a done mark lasts the day. */
const WAITS = [1, 3, 7, 14] as const;

/** The button of a row, and open below it why and for how long the row waits. */
export function WaitPopover({
  name,
  busy,
  open,
  onOpen,
  onWait,
}: {
  readonly name: string;
  readonly busy: boolean;
  readonly open: boolean;
  readonly onOpen: (open: boolean) => void;
  readonly onWait: (waits: Waiting) => void;
}) {
  const [reason, setReason] = useState('');
  const [days, setDays] = useState<number>(WAITS[1]);
  return (
    <Popover.Root open={open} onOpenChange={onOpen}>
      <Popover.Trigger asChild>
        <Button aria-label={waitLabel(name)}>Wait …</Button>
      </Popover.Trigger>
      <Popover.Portal>
        <Popover.Content
          align="end"
          sideOffset={4}
          collisionPadding={12}
          aria-label={waitLabel(name)}
          className="z-20 w-[min(20rem,92vw)] rounded border border-ink bg-sheet p-4"
        >
          <Form
            className="grid gap-3"
            onSubmit={(event) => {
              event.preventDefault();
              onWait({ days, reason });
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
  );
}
