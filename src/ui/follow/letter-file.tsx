'use client';

import { toast } from 'sonner';
import type { PatientId } from '@/core/units';
import { saveFile } from '../forms/save-file';
import { Button } from '../primitives/button';
import { PrintButton } from '../screen/print-button';

/** A letter on paper, or as a file. */
export function LetterFile({ patientId, id }: { patientId: PatientId; id: string }) {
  async function save(paper: 'a4' | 'letter') {
    const say = await saveFile('/api/v1/letters/file', { patientId, id, paper }, 'letter.pdf');
    if (say !== '') toast.error(say);
  }
  return (
    <div className="no-print flex flex-wrap gap-2">
      <PrintButton />
      <Button onClick={() => void save('a4')}>PDF, A4</Button>
      <Button onClick={() => void save('letter')}>PDF, US letter</Button>
    </div>
  );
}
