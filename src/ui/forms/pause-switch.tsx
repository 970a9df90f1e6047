'use client';

import type { PatientId } from '@/core/units';
import { Button } from '../primitives/button';
import { useSend } from './use-send';

/** Pauses the programme from today, or lets it go on. */
export function PauseSwitch({
  patientId,
  paused,
  allowed,
}: {
  patientId: PatientId;
  paused: boolean;
  allowed: boolean;
}) {
  const { busy, send } = useSend();
  async function set(next: boolean) {
    await send(
      '/api/v1/pauses',
      { patientId, paused: next },
      {
        said: next
          ? 'Paused from today; paused days never count.'
          : 'The programme goes on from today.',
      },
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
