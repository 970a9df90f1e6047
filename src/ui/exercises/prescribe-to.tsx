'use client';

import { useState } from 'react';
import type { PutAsked, ToPrescribe } from '@/core/records';
import { useFound } from '../forms/use-found';
import { QuietLink } from '../primitives/quiet-link';
import { INPUT_CLASS } from '../primitives/field';

/** So many are told of at most. */
const MOST_FOUND = 8;

/** Finds a patient by name, with what speaks against the exercise for each, and leads to their desk. */
export function PrescribeTo({
  what,
  id,
}: {
  /** How the desk is told: an exercise, a ready programme or a template, by its id. */
  what: PutAsked['what'];
  id: string;
}) {
  const [typed, setTyped] = useState('');
  const { found, refusal } = useFound<ToPrescribe>('/api/v1/patients/find', typed, (name) => ({
    name,
    exerciseId: what === 'exercise' ? id : null,
  }));
  return (
    <search className="grid max-w-[44rem] gap-3 pt-3">
      <label className="grid gap-1">
        <span className="font-medium">Patient’s name</span>
        <input
          type="search"
          autoComplete="off"
          value={typed}
          onChange={({ target }) => setTyped(target.value)}
          className={INPUT_CLASS}
        />
      </label>
      <p role="status" className="text-soft">
        {refusal ||
          (found === null
            ? 'Nothing is put down yet: the patient’s Plan opens, and you send it from there.'
            : found.length === 0
              ? 'No patient of yours is called so.'
              : found.length === 1
                ? '1 patient'
                : `${found.length} patients${found.length < MOST_FOUND ? '' : ', the first by name: type more for others'}`)}
      </p>
      <ul>
        {(found ?? []).map((patient) => (
          <li key={patient.id} className="border-t border-hair py-1.5">
            <QuietLink
              href={`/patients/${patient.id}/plan?${what}=${id}`}
              className="inline-block min-h-6 font-medium text-action underline"
            >
              <bdi>{patient.name}</bdi>
            </QuietLink>
            {patient.unscreened && <p className="text-stop">{patient.unscreened}</p>}
            {patient.closed.length > 0 && (
              <p className="text-stop">Closed: {patient.closed.join('; ')}</p>
            )}
          </li>
        ))}
      </ul>
    </search>
  );
}
