'use client';

import { useRouter } from 'next/navigation';
import { useState } from 'react';
import type { PatientId, PhotoId } from '@/core/units';
import { useSend } from '../../forms/use-send';
import { Button } from '../../primitives/button';

/** Deletes a picture for good, after asking once. */
export function DeletePhoto({ patientId, photoId }: { patientId: PatientId; photoId: PhotoId }) {
  const router = useRouter();
  const [asking, setAsking] = useState(false);
  const { busy, send } = useSend();
  async function remove() {
    await send(
      '/api/v1/photos/delete',
      { patientId, photoId },
      {
        done: () => router.push(`/patients/${patientId}/measure/photos`),
        said: 'The picture is gone for good; its angles stay.',
      },
    );
  }
  if (!asking) return <Button onClick={() => setAsking(true)}>Delete the picture</Button>;
  return (
    <div role="group" aria-label="Delete the picture" className="flex flex-wrap items-center gap-2">
      <span>Nobody can bring it back. The measured angles stay.</span>
      <Button look="stop" disabled={busy} onClick={() => void remove()}>
        Delete for good
      </Button>
      <Button look="quiet" onClick={() => setAsking(false)}>
        Keep it
      </Button>
    </div>
  );
}
