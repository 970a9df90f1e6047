'use client';

import { VISIT_WAYS, type VisitWay as Way } from '@/core/record-choices';
import type { PatientId } from '@/core/units';
import { newId } from '../forms/new-id';
import { useSend } from '../forms/use-send';
import { Choice } from '../primitives/field';

/** How today's visit takes place. */
export function VisitWay({
  patientId,
  today,
  way,
}: {
  patientId: PatientId;
  today: string;
  way: Way | null;
}) {
  const { busy, send } = useSend();
  return (
    <div className="w-fit">
      <Choice
        label="Today’s visit"
        value={way ?? ''}
        disabled={busy}
        onChange={({ target }) =>
          void send('/api/v1/entries', {
            id: newId(),
            patientId,
            kind: 'visit-way',
            supersedes: null,
            on: today,
            body: { way: target.value },
          })
        }
      >
        <option value="" disabled>
          how it takes place
        </option>
        {VISIT_WAYS.map((one) => (
          <option key={one} value={one}>
            {one}
          </option>
        ))}
      </Choice>
    </div>
  );
}
