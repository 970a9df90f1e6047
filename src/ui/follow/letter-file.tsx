'use client';

import type { PatientId } from '@/core/units';
import { Refusal } from '../forms/refusal';
import { FileMaking, useFile } from '../forms/use-file';
import { Button } from '../primitives/button';
import { PrintButton } from '../screen/print-button';

/** A letter on paper, or as a file. */
export function LetterFile({ patientId, id }: { patientId: PatientId; id: string }) {
  const { making, make, cancel, refusal } = useFile();
  const save = (paper: 'a4' | 'letter') =>
    void make('PDF', '/api/v1/letters/file', { patientId, id, paper }, 'letter.pdf');
  const busy = making !== '';
  return (
    <div className="no-print flex flex-wrap items-center gap-2">
      <PrintButton />
      <Button disabled={busy} onClick={() => save('a4')}>
        PDF, A4
      </Button>
      <Button disabled={busy} onClick={() => save('letter')}>
        PDF, US letter
      </Button>
      <FileMaking making={making} cancel={cancel} />
      <Refusal say={refusal} />
    </div>
  );
}
