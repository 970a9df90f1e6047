'use client';

import { type KeyboardEvent, useId } from 'react';
import type { DoseError } from '@/core/dose';
import { type ReadLine, minutesText } from '../draft';

/** The id of a line's dose field, for whoever jumps to it. */
export function doseFieldId(uid: string): string {
  return `dose-${uid}`;
}

/** The typed dose line, read back in plain words while typing, a mistake marked at its character. */
export function DoseField({
  uid,
  name,
  dose,
  read,
  onType,
  onKeyDown,
  autoFocus,
}: {
  uid: string;
  name: string;
  dose: string;
  read: ReadLine;
  onType: (dose: string) => void;
  onKeyDown: (event: KeyboardEvent<HTMLInputElement>) => void;
  autoFocus: boolean;
}) {
  const id = useId();
  return (
    <div className="min-w-0">
      <input
        id={doseFieldId(uid)}
        aria-label={`Dose of ${name}`}
        aria-describedby={`${id}-reading`}
        aria-invalid={read.ok ? undefined : true}
        value={dose}
        onChange={(event) => onType(event.target.value)}
        onKeyDown={onKeyDown}
        // Left, the line stands in the words it is kept in.
        onBlur={() => read.ok && read.rewritten !== null && onType(read.rewritten)}
        onFocus={(event) => event.target.select()}
        // The desk moves to a line it has just added: that is what the clinician types next.
        autoFocus={autoFocus}
        autoComplete="off"
        autoCapitalize="off"
        spellCheck={false}
        className="figures w-full rounded text-small border border-edge bg-sheet px-2.5 py-1.5 aria-invalid:border-stop"
      />
      <div id={`${id}-reading`} className="pt-1" aria-live="polite">
        {read.ok ? <Reading read={read} /> : <Mistake dose={dose} error={read.error} />}
      </div>
    </div>
  );
}

function Reading({ read }: { read: Extract<ReadLine, { ok: true }> }) {
  return (
    <>
      <p>
        {read.words}. <span className="text-soft">{minutesText(read.time)}</span>
      </p>
      {read.rewritten !== null && (
        <p className="text-soft">
          Written as <span className="figures">{read.rewritten}</span>
        </p>
      )}
      {read.missing.length > 0 && (
        <p className="text-lit-ink">
          <strong className="font-semibold">Not written:</strong> {read.missing.join('; ')}
        </p>
      )}
      {read.assumed.length > 0 && (
        <p className="text-small text-soft">Assumed: {read.assumed.join('; ')}</p>
      )}
    </>
  );
}

/** The line once more with the wrong characters marked, and what would be right there. */
function Mistake({ dose, error }: { dose: string; error: DoseError }) {
  const end = Math.min(dose.length, error.at + error.length);
  return (
    <div className="text-stop">
      <p className="figures whitespace-pre-wrap pb-1.5 text-small" aria-hidden>
        {dose.slice(0, error.at)}
        <mark className="rounded-sm bg-transparent text-stop underline decoration-wavy decoration-2 underline-offset-4">
          {dose.slice(error.at, end) || '▁'}
        </mark>
        {dose.slice(end)}
      </p>
      <p>
        <strong className="font-semibold">
          At character {error.at + 1}: {error.say}
        </strong>
      </p>
      {error.expected.length > 0 && (
        <p className="text-soft">
          Expected: <span className="figures">{error.expected.slice(0, 8).join(' · ')}</span>
          {error.expected.length > 8 && ' …'}
        </p>
      )}
    </div>
  );
}
