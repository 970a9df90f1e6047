'use client';

import { useRouter } from 'next/navigation';
import { useState } from 'react';
import { toast } from 'sonner';
import { v4 as uuid } from 'uuid';
import { post } from '../../forms/post';
import { Button } from '../../primitives/button';

/** Asks the patient for a side photo from home, or takes the wish back. */
export function PhotoAsk({
  patientId,
  today,
  asked,
}: {
  patientId: string;
  today: string;
  asked: { readonly id: string; readonly on: string } | null;
}) {
  const router = useRouter();
  const [busy, setBusy] = useState(false);

  async function send() {
    setBusy(true);
    const answer = asked
      ? await post('/api/v1/entries/withdraw', { id: uuid(), patientId, supersedes: asked.id })
      : await post('/api/v1/entries', {
          id: uuid(),
          patientId,
          kind: 'photo-request',
          supersedes: null,
          on: today,
          body: { note: '' },
        });
    setBusy(false);
    if (!answer.ok) return toast.error(answer.say);
    return router.refresh();
  }

  return (
    <p className="flex flex-wrap items-center gap-3 pt-3">
      {asked ? `Asked for a photo from home on ${asked.on}.` : 'Or let a helper take it at home:'}
      <Button disabled={busy} onClick={() => void send()}>
        {asked ? 'Take the wish back' : 'Ask for a photo on the phone'}
      </Button>
    </p>
  );
}
