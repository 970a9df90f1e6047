'use client';

import { useState } from 'react';
import { toast } from '../primitives/toast';
import { useSend } from '../forms/use-send';
import { FileLabel } from '../forms/file-label';
import { Refusal } from '../forms/refusal';
import { buttonClass } from '../primitives/button';

type Imported = {
  readonly taken: number;
  readonly problems: readonly { readonly row: number; readonly say: string }[];
};

const MOST_SHOWN = 50;

/** Exercises as a file, out and in: CSV and JSON. */
export function ExerciseFiles() {
  const { send } = useSend();
  const [problems, setProblems] = useState<Imported['problems']>([]);
  const [refusal, setRefusal] = useState('');

  async function take(text: string, name: string) {
    setProblems([]);
    setRefusal('');
    const format = name.toLowerCase().endsWith('.json') ? 'json' : 'csv';
    await send<Imported>(
      '/api/v1/exercises/import',
      { format, text },
      {
        done: ({ taken, problems: found }) =>
          found.length > 0 ? setProblems(found) : toast(`${taken} exercises taken in.`),
        refused: ({ say }) => setRefusal(say),
      },
    );
  }

  return (
    <section className="grid gap-2 pt-6">
      <h2 className="text-lg">As files</h2>
      <div className="flex flex-wrap items-center gap-3">
        {(['csv', 'json'] as const).map((format) => (
          <span key={format} className="flex gap-2">
            <a href={`/api/v1/exercises/file?format=${format}&of=own`} className={buttonClass()}>
              Own as {format.toUpperCase()}
            </a>
            <a
              href={`/api/v1/exercises/file?format=${format}&of=all`}
              className={buttonClass('quiet')}
            >
              all as {format.toUpperCase()}
            </a>
          </span>
        ))}
        <FileLabel accept=".csv,.json,text/csv,application/json" onText={take}>
          Take in a file
        </FileLabel>
      </div>
      <p className="text-soft">
        A file is taken in whole or not at all. One with the name of an own exercise replaces it.
      </p>
      <Refusal say={refusal} />
      {problems.length > 0 && (
        <div role="alert" className="border-l-2 border-stop pl-3">
          <p className="font-semibold text-stop">Nothing was taken in. Mend these rows first:</p>
          <ul>
            {problems.slice(0, MOST_SHOWN).map(({ row, say }) => (
              <li key={`${row} ${say}`}>
                <span className="figures">Row {row}:</span> {say}
              </li>
            ))}
          </ul>
          {problems.length > MOST_SHOWN && <p>and {problems.length - MOST_SHOWN} more.</p>}
        </div>
      )}
    </section>
  );
}
