'use client';

import type { PatientId } from '@/core/units';
import { useSend } from '../forms/use-send';
import { Button } from '../primitives/button';

/** Off every list, or back on them. */
export function ArchiveButton({
  patientId,
  archived,
}: {
  patientId: PatientId;
  archived: boolean;
}) {
  const { busy, send } = useSend();
  return (
    <div className="grid justify-items-start gap-2">
      <p className="text-soft">
        {archived
          ? 'Archived: on no list. Fetched back, the patient needs a new link.'
          : 'The archive takes the patient off every list and ends their link; the record stays, and can be fetched back.'}
      </p>
      <Button
        disabled={busy}
        onClick={() =>
          void send(
            '/api/v1/patients/archive',
            { patientId, archived: !archived },
            { said: archived ? 'Fetched back.' : 'Archived.' },
          )
        }
      >
        {archived ? 'Fetch back from the archive' : 'Put into the archive'}
      </Button>
    </div>
  );
}
