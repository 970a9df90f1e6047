'use client';

import { useState } from 'react';
import type { SeenFault, TaughtLine } from '@/core/teach';
import { Button } from '../primitives/button';
import { INPUT_CLASS } from '../primitives/field';
import type { TeachPage } from './teach-desk';
import { Tick } from './tick';

/** Faults of this exercise, each ticked when it was seen, with the fix that was used. */
export function FaultRows({
  page,
  line,
  set,
}: {
  page: TeachPage;
  line: TaughtLine;
  set: (part: Partial<TaughtLine>) => void;
}) {
  const [another, setAnother] = useState('');
  const known = new Set(page.faults.map(({ fault }) => fault));
  const rows: readonly SeenFault[] = [
    ...page.faults,
    ...line.faults.filter(({ fault }) => !known.has(fault)),
  ];
  const seen = (fault: string) => line.faults.find((one) => one.fault === fault);
  const without = (fault: string) => line.faults.filter((one) => one.fault !== fault);
  function add() {
    const fault = another.trim();
    if (fault === '' || seen(fault)) return;
    set({ faults: [...line.faults, { fault, fix: '' }] });
    setAnother('');
  }
  return (
    <section aria-label="Faults" className="grid gap-1">
      <h3 className="text-lg">What was seen, and what put it right</h3>
      <ul className="divide-y divide-hair border-y border-hair">
        {rows.map(({ fault, fix }, index) => {
          const mine = seen(fault);
          return (
            <li key={fault} className="grid items-center gap-x-4 sm:grid-cols-2">
              <Tick
                on={mine !== undefined}
                id={`fault-${index}`}
                onChange={() =>
                  set({ faults: mine ? without(fault) : [...line.faults, { fault, fix }] })
                }
              >
                <span dir="auto">{fault}</span>
              </Tick>
              {mine ? (
                <input
                  aria-label={`What put right: ${fault}`}
                  className={`${INPUT_CLASS} mb-2 sm:mb-0`}
                  value={mine.fix}
                  maxLength={200}
                  dir="auto"
                  placeholder="What put it right"
                  onChange={(event) =>
                    set({
                      faults: line.faults.map((one) =>
                        one.fault === fault ? { fault, fix: event.target.value } : one,
                      ),
                    })
                  }
                />
              ) : (
                <span className="hidden text-soft sm:block">{fix}</span>
              )}
            </li>
          );
        })}
      </ul>
      <div className="flex gap-2 pt-1">
        <input
          aria-label="Another fault"
          placeholder="Another fault"
          className={`${INPUT_CLASS} max-w-80`}
          value={another}
          maxLength={200}
          dir="auto"
          onChange={(event) => setAnother(event.target.value)}
          onKeyDown={(event) => event.key === 'Enter' && add()}
        />
        <Button onClick={add}>Add</Button>
      </div>
    </section>
  );
}
