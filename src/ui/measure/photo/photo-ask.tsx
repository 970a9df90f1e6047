'use client';

import { type LocalDate, type PatientId, shortDay } from '@/core/units';
import { newId } from '../../forms/new-id';
import { useSend } from '../../forms/use-send';
import { Button } from '../../primitives/button';

/** Asks the patient for a side photo from home, or takes the wish back. */
export function PhotoAsk({
  patientId,
  today,
  asked,
}: {
  patientId: PatientId;
  today: string;
  asked: { readonly id: string; readonly on: LocalDate } | null;
}) {
  const { busy, send } = useSend();

  async function ask() {
    const entry = { id: newId(), patientId, supersedes: asked?.id ?? null };
    if (asked) await send('/api/v1/entries/withdraw', entry);
    else
      await send('/api/v1/entries', {
        ...entry,
        kind: 'photo-request',
        on: today,
        body: { note: '' },
      });
  }

  return (
    <p className="flex flex-wrap items-center gap-3 pt-3">
      {asked
        ? `Asked for a photo from home on ${shortDay(asked.on)}.`
        : 'Or let a helper take it at home:'}
      <Button disabled={busy} onClick={() => void ask()}>
        {asked ? 'Take the wish back' : 'Ask for a photo on the phone'}
      </Button>
    </p>
  );
}
