'use client';

import { useRouter } from 'next/navigation';
import { useState } from 'react';
import { toast } from 'sonner';
import { Button } from '../primitives/button';
import { post } from './post';

/** Pauses the programme from today, or lets it go on. */
export function PauseSwitch({
  patientId,
  paused,
  allowed,
}: {
  patientId: string;
  paused: boolean;
  allowed: boolean;
}) {
  const router = useRouter();
  const [busy, setBusy] = useState(false);
  async function set(next: boolean) {
    setBusy(true);
    const answer = await post('/api/v1/pauses', { patientId, paused: next });
    setBusy(false);
    if (!answer.ok) return toast.error(answer.say);
    router.refresh();
    return toast(
      next ? 'Paused from today; paused days never count.' : 'The programme goes on from today.',
    );
  }
  return (
    <>
      {paused && <strong className="font-semibold">Paused</strong>}
      {allowed && (
        <Button disabled={busy} onClick={() => set(!paused)}>
          {paused ? 'Let it go on' : 'Pause'}
        </Button>
      )}
    </>
  );
}
