'use client';

import { useEffect, useRef, useState } from 'react';
import type { PutAsked, ToPrescribe } from '@/core/records';
import { post } from '../forms/post';
import { QuietLink } from '../primitives/quiet-link';
import { INPUT_CLASS } from '../primitives/field';

/** So many are told of at most. */
const MOST_FOUND = 8;
/** Typing is asked about when it has rested so long, in milliseconds. */
const REST_MS = 200;

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
  const [found, setFound] = useState<readonly ToPrescribe[] | null>(null);
  const [refusal, setRefusal] = useState('');
  const newest = useRef(0);
  useEffect(() => {
    const name = typed.trim();
    newest.current += 1;
    const mine = newest.current;
    if (name === '') {
      setFound(null);
      return;
    }
    async function ask() {
      const exerciseId = what === 'exercise' ? id : null;
      const answer = await post<readonly ToPrescribe[]>('/api/v1/patients/find', {
        name,
        exerciseId,
      });
      if (mine !== newest.current) return;
      setRefusal(answer.ok ? '' : answer.say);
      setFound(answer.ok ? answer.value : null);
    }
    const timer = setTimeout(() => void ask(), REST_MS);
    return () => clearTimeout(timer);
  }, [typed, what, id]);
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
