'use client';

import type { PatientId } from '@/core/units';
import { Refusal } from '../forms/refusal';
import { FileMaking, useFile } from '../forms/use-file';
import { Button } from '../primitives/button';

/** Everything the clinic keeps of one patient, as one file to take along. */
export function WholeRecordOut({ patientId }: { patientId: PatientId }) {
  const { making, make, cancel, refusal } = useFile();
  return (
    <div className="grid justify-items-start gap-2">
      <p className="max-w-[60ch] text-soft">
        One zip with everything: to read and print, for a spreadsheet, for another system (FHIR R4),
        and to be taken into another clinic’s Dry Lantern. Whoever holds it holds the record.
      </p>
      <Button
        disabled={making !== ''}
        onClick={() =>
          void make('record', '/api/v1/whole-records', { patientId }, 'whole-record.zip')
        }
      >
        Take out the whole record
      </Button>
      <FileMaking making={making} cancel={cancel} />
      <Refusal say={refusal} />
    </div>
  );
}
