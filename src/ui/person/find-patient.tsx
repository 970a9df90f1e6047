'use client';

import { type KeyboardEvent, useId, useState } from 'react';
import { useRouter } from 'next/navigation';
import type { PatientFound } from '@/core/records';
import { useFound } from '../forms/use-found';
import { INPUT_CLASS } from '../primitives/field';

/**
 * Finds a patient from anywhere: by name, the clinic's number, a telephone number or the complaint. What is
 * typed is posted, and leaves no trace in an address.
 */
export function FindPatient() {
  const router = useRouter();
  const list = useId();
  const [typed, setTyped] = useState('');
  const [at, setAt] = useState(0);
  /** Left, it shows nobody's name. */
  const [isIn, setIsIn] = useState(false);
  const { found, refusal } = useFound<PatientFound>('/api/v1/patients/seek', typed, (words) => ({
    typed: words,
  }));
  // Another answer begins at its first.
  const marked = Math.min(at, Math.max(0, (found?.length ?? 0) - 1));
  const say = refusal || (found?.length === 0 ? 'Nobody is found by that.' : '');

  function open(one: PatientFound | undefined) {
    if (!one) return;
    setTyped('');
    router.push(`/patients/${one.id}`);
  }
  function onKeyDown(event: KeyboardEvent) {
    const count = found?.length ?? 0;
    if (event.key === 'Escape') setTyped('');
    else if (event.key === 'Enter') open(found?.[marked]);
    else if (event.key === 'ArrowDown' && count > 0) setAt((marked + 1) % count);
    else if (event.key === 'ArrowUp' && count > 0) setAt((marked + count - 1) % count);
    else return;
    event.preventDefault();
  }
  const isOpen = isIn && (found?.length ?? 0) > 0;
  return (
    <search className="relative">
      <input
        type="search"
        role="combobox"
        aria-label="Find a patient by name, number, telephone or complaint"
        aria-expanded={isOpen}
        aria-controls={list}
        aria-autocomplete="list"
        aria-activedescendant={isOpen ? `${list}-${marked}` : undefined}
        placeholder="Find a patient"
        autoComplete="off"
        maxLength={120}
        value={typed}
        onChange={({ target }) => {
          setTyped(target.value);
          setAt(0);
        }}
        onKeyDown={onKeyDown}
        onFocus={() => setIsIn(true)}
        onBlur={() => setIsIn(false)}
        className={`${INPUT_CLASS} w-52!`}
      />
      <p
        role="status"
        className={say === '' ? 'sr-only' : 'absolute z-30 rounded bg-sheet px-2 py-1 shadow'}
      >
        {say || (found === null ? '' : `${found.length} found`)}
      </p>
      {isOpen && (
        <ul
          id={list}
          role="listbox"
          aria-label="Patients found"
          className="absolute right-0 z-30 w-80 max-w-[90vw] divide-y divide-hair rounded border border-edge bg-sheet shadow-lg sm:right-auto"
        >
          {(found ?? []).map((one, index) => (
            <li
              key={one.id}
              id={`${list}-${index}`}
              role="option"
              aria-selected={index === marked}
              // The pointer must not take the focus away before the choice is heard.
              onPointerDown={(event) => {
                event.preventDefault();
                open(one);
              }}
              className={`cursor-pointer px-3 py-2 ${index === marked ? 'bg-wash' : ''}`}
            >
              <span className="font-medium" dir="auto">
                {one.name}
              </span>{' '}
              {one.clinicNumber !== '' && <span className="text-soft">{one.clinicNumber}</span>}
              {one.archived && <span className="text-soft"> archived</span>}
              <span className="block truncate text-small text-soft" dir="auto">
                {one.complaint}
              </span>
            </li>
          ))}
        </ul>
      )}
    </search>
  );
}
