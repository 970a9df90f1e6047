'use client';

import { Refusal } from '../forms/refusal';
import { FileMaking, useFile } from '../forms/use-file';
import { Button } from '../primitives/button';

/** The tables that are shown, for other programs: with the same gaps. */
export function EvidenceFile({ by }: { by: string }) {
  const { making, make, cancel, refusal } = useFile();
  return (
    <>
      <Button
        disabled={making !== ''}
        onClick={() => void make('table', '/api/v1/evidence/file', { by }, 'evidence.csv')}
      >
        CSV
      </Button>
      <FileMaking making={making} cancel={cancel} />
      <Refusal say={refusal} />
    </>
  );
}
