'use client';

import { Refusal } from '../forms/refusal';
import { FileMaking, useFile } from '../forms/use-file';
import { Button } from '../primitives/button';

/** What is shown as a table that other programs read. */
export function AuditFile({
  asked,
}: {
  asked: {
    readonly show: string;
    readonly who: string | null;
    readonly from: string | null;
    readonly to: string | null;
  };
}) {
  const { making, make, cancel, refusal } = useFile();
  return (
    <>
      <Button
        disabled={making !== ''}
        onClick={() => void make('table', '/api/v1/audit/file', asked, 'audit.csv')}
      >
        CSV
      </Button>
      <FileMaking making={making} cancel={cancel} />
      <Refusal say={refusal} />
    </>
  );
}
