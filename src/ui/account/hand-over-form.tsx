'use client';

import { useState } from 'react';
import type { MemberId, PatientId } from '@/core/units';
import { useSend } from '../forms/use-send';
import { Button } from '../primitives/button';

type Person = { readonly id: MemberId; readonly name: string };

/** Hands all patients of a practitioner over to another. */
export function HandOverForm({
  from,
  count,
  others,
}: {
  from: Person;
  count: number;
  others: readonly Person[];
}) {
  return (
    <details className="border-l-2 border-hair pl-3">
      <summary className="cursor-pointer text-action">
        {count} {count === 1 ? 'patient' : 'patients'}: hand over
      </summary>
      <HandOver
        from={from}
        patientId={null}
        others={others}
        what={count === 1 ? 'the patient' : `all ${count}`}
      />
    </details>
  );
}

/** Chooses who takes over, and does it by a button of its own: a key that slips changes nothing. */
export function HandOver({
  from,
  patientId,
  others,
  what,
}: {
  from: Person;
  /** One patient; all of them where it is null. */
  patientId: PatientId | null;
  others: readonly Person[];
  /** What is handed over, in words. */
  what: string;
}) {
  const { busy, send } = useSend();
  const [to, setTo] = useState('');
  const taker = others.find(({ id }) => id === to);
  return (
    <div className="flex flex-wrap items-center gap-2 pt-2">
      <select
        aria-label={`Who takes over the patients of ${from.name}`}
        className="rounded border border-edge bg-sheet px-2 py-1"
        value={to}
        onChange={(event) => setTo(event.target.value)}
      >
        <option value="">to whom …</option>
        {others.map(({ id, name }) => (
          <option key={id} value={id}>
            {name}
          </option>
        ))}
      </select>
      {taker && (
        <Button
          look="main"
          disabled={busy}
          onClick={() =>
            void send(
              '/api/v1/patients/hand-over',
              { from: from.id, to: taker.id, patientId },
              { said: `Handed over to ${taker.name}.` },
            )
          }
        >
          Hand {what} over to {taker.name}
        </Button>
      )}
    </div>
  );
}
