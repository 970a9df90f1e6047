'use client';

import { useState } from 'react';
import { writtenWay } from '@/catalogue/messages/written-way';
import type { PatientId } from '@/core/units';
import { Refusal } from '../forms/refusal';
import { FileMaking, useFile } from '../forms/use-file';
import { Button } from '../primitives/button';
import { PrintButton } from '../screen/print-button';

/**
 * A letter on paper, or as a file.
 *
 * @param own the patient's language, where the letter is written in it too
 */
export function LetterFile({
  patientId,
  id,
  own,
}: {
  patientId: PatientId;
  id: string;
  own: { readonly tag: string; readonly name: string } | null;
}) {
  const { making, make, cancel, refusal } = useFile();
  const [inOwn, setInOwn] = useState(own !== null);
  const save = (paper: 'a4' | 'letter') =>
    void make('PDF', '/api/v1/letters/file', { patientId, id, paper, own: inOwn }, 'letter.pdf');
  const printedOnly = inOwn && own !== null && writtenWay(own.tag) === 'rtl';
  const busy = making !== '' || printedOnly;
  return (
    <div className="no-print grid gap-2">
      <div className="flex flex-wrap items-center gap-2">
        <PrintButton />
        {own && (
          <label className="flex items-center gap-2">
            PDF in
            <select
              value={inOwn ? 'own' : 'clinic'}
              onChange={(event) => setInOwn(event.target.value === 'own')}
            >
              <option value="own">{own.name}</option>
              <option value="clinic">English</option>
            </select>
          </label>
        )}
        <Button disabled={busy} onClick={() => save('a4')}>
          PDF, A4
        </Button>
        <Button disabled={busy} onClick={() => save('letter')}>
          PDF, US letter
        </Button>
        <FileMaking making={making} cancel={cancel} />
        <Refusal say={refusal} />
      </div>
      {printedOnly && (
        <p className="max-w-prose text-small text-soft">
          This language is written from right to left, and the PDF’s own drawing of it cannot be
          trusted with every dot and bracket. Print it, also to a PDF, from here: the browser sets
          it right.
        </p>
      )}
    </div>
  );
}
