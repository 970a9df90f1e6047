'use client';

import { copyText } from '../forms/copy-text';
import { Button } from '../primitives/button';

/** The backup codes, shown once. */
export function BackupCodes({ codes, onKept }: { codes: readonly string[]; onKept: () => void }) {
  return (
    <div className="grid max-w-md gap-3">
      <h2 className="text-lg">Backup codes</h2>
      <p>
        For when your phone is not at hand: each signs you in once in the place of a code. They are
        shown only now; keep them on paper, away from your password.
      </p>
      <ol className="figures grid gap-1 rounded border border-hair bg-wash p-3 sm:grid-cols-2">
        {codes.map((code) => (
          <li key={code} className="select-all">
            {code}
          </li>
        ))}
      </ol>
      <div className="flex flex-wrap gap-2">
        <Button onClick={() => void copyText(codes.join('\n'))}>Copy</Button>
        <Button onClick={() => window.print()}>Print</Button>
        <Button look="main" onClick={onKept}>
          I have kept them
        </Button>
      </div>
    </div>
  );
}
