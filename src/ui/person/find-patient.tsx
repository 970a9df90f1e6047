'use client';

import { type KeyboardEvent, useEffect, useId, useRef, useState } from 'react';
import { useRouter } from 'next/navigation';
import type { PatientFound } from '@/core/records';
import { post } from '../forms/post';
import { INPUT_CLASS } from '../primitives/field';

/** Typing is asked about when it has rested so long, in milliseconds. */
const REST_MS = 200;

/**
 * Finds a patient from anywhere: by name, the clinic's number, a telephone number or the complaint. What is
 * typed is posted, and leaves no trace in an address.
 */
export function FindPatient() {
  const router = useRouter();
  const list = useId();
  const [typed, setTyped] = useState('');
  const [found, setFound] = useState<readonly PatientFound[] | null>(null);
  const [say, setSay] = useState('');
  const [at, setAt] = useState(0);
  const newest = useRef(0);
  useEffect(() => {
    const asked = typed.trim();
    newest.current += 1;
    const mine = newest.current;
    if (asked === '') {
      setFound(null);
      setSay('');
      return;
    }
    async function ask() {
      const answer = await post<readonly PatientFound[]>('/api/v1/patients/seek', { typed: asked });
      if (mine !== newest.current) return;
      setFound(answer.ok ? answer.value : null);
      setAt(0);
      setSay(
        answer.ok ? (answer.value.length === 0 ? 'Nobody is found by that.' : '') : answer.say,
      );
    }
    const timer = setTimeout(() => void ask(), REST_MS);
    return () => clearTimeout(timer);
  }, [typed]);

  function open(one: PatientFound | undefined) {
    if (!one) return;
    setTyped('');
    setFound(null);
    router.push(`/patients/${one.id}`);
  }
  function onKeyDown(event: KeyboardEvent) {
    const count = found?.length ?? 0;
    if (event.key === 'Escape') setTyped('');
    else if (event.key === 'Enter') open(found?.[at]);
    else if (event.key === 'ArrowDown' && count > 0) setAt((at + 1) % count);
    else if (event.key === 'ArrowUp' && count > 0) setAt((at + count - 1) % count);
    else return;
    event.preventDefault();
  }
  const isOpen = (found?.length ?? 0) > 0;
  return (
    <search className="relative">
      <input
        type="search"
        role="combobox"
        aria-label="Find a patient by name, number, telephone or complaint"
        aria-expanded={isOpen}
        aria-controls={list}
        aria-autocomplete="list"
        aria-activedescendant={isOpen ? `${list}-${at}` : undefined}
        placeholder="Find a patient"
        autoComplete="off"
        maxLength={120}
        value={typed}
        onChange={({ target }) => setTyped(target.value)}
        onKeyDown={onKeyDown}
        onBlur={() => setFound(null)}
        className={`${INPUT_CLASS} w-52!`}
      />
      <p
        role="status"
        className={say === '' ? 'sr-only' : 'absolute z-20 rounded bg-sheet px-2 py-1 shadow'}
      >
        {say || (found === null ? '' : `${found.length} found`)}
      </p>
      {isOpen && (
        <ul
          id={list}
          role="listbox"
          aria-label="Patients found"
          className="absolute right-0 z-20 w-80 max-w-[90vw] divide-y divide-hair rounded border border-hair bg-sheet shadow-lg sm:right-auto"
        >
          {(found ?? []).map((one, index) => (
            <li
              key={one.id}
              id={`${list}-${index}`}
              role="option"
              aria-selected={index === at}
              // The pointer must not take the focus away before the choice is heard.
              onPointerDown={(event) => {
                event.preventDefault();
                open(one);
              }}
              className={`cursor-pointer px-3 py-2 ${index === at ? 'bg-wash' : ''}`}
            >
              <span className="font-medium" dir="auto">
                {one.name}
              </span>{' '}
              {one.clinicNumber !== '' && <span className="text-soft">{one.clinicNumber}</span>}
              {one.archived && <span className="text-soft"> archived</span>}
              <span className="block truncate text-[0.93em] text-soft" dir="auto">
                {one.complaint}
              </span>
            </li>
          ))}
        </ul>
      )}
    </search>
  );
}
