'use client';

import { useState } from 'react';
import { newId } from '../forms/new-id';
import { Refusal } from '../forms/refusal';
import { FileMaking, useFile } from '../forms/use-file';
import { useSend } from '../forms/use-send';
import { Button } from '../primitives/button';

/** A language as its row shows it. */
export type LanguageRow = {
  readonly tag: string;
  readonly name: string;
  readonly hash: string;
  /** "Ruben Vasari, 12 Nov 2026"; null while nobody stands for its texts. */
  readonly checked: string | null;
  readonly changedSince: boolean;
};

/** The languages patients can read, and who of the clinic stands for the words of each. */
export function LanguagesBox({ languages }: { languages: readonly LanguageRow[] }) {
  const { busy, send } = useSend();
  const [refusal, setRefusal] = useState('');
  const { making, make, cancel, refusal: fileRefusal } = useFile();
  const refused = ({ say }: { readonly say: string }) => setRefusal(say);
  return (
    <div className="grid gap-2">
      <Refusal say={refusal || fileRefusal} />
      <FileMaking making={making} cancel={cancel} />
      <ul className="divide-y divide-hair border-y border-hair">
        {languages.map(({ tag, name, hash, checked, changedSince }) => (
          <li key={tag} className="flex flex-wrap items-center gap-x-4 gap-y-1 py-2">
            <strong className="own-name w-28 font-semibold" lang={tag}>
              {name}
            </strong>
            <span className="mr-auto max-w-[60ch]">
              {checked === null
                ? changedSince
                  ? 'Its texts have changed since somebody stood for them: to be checked anew.'
                  : 'Drafted, to be checked by a native clinician.'
                : `Checked by ${checked}.`}
            </span>
            <Button
              disabled={making !== ''}
              onClick={() =>
                void make(
                  'spreadsheet',
                  '/api/v1/languages/file',
                  { language: tag },
                  `texts-${tag}.csv`,
                )
              }
            >
              Texts as a spreadsheet<span className="sr-only">: {name}</span>
            </Button>
            {checked === null ? (
              <Button
                disabled={busy}
                onClick={() => {
                  setRefusal('');
                  void send(
                    '/api/v1/languages/check',
                    { id: newId(), language: tag, hash },
                    { said: `Your clinic stands for the words in ${name}.`, refused },
                  );
                }}
              >
                I have checked it<span className="sr-only">: {name}</span>
              </Button>
            ) : (
              <Button
                disabled={busy}
                onClick={() => {
                  setRefusal('');
                  void send(
                    '/api/v1/languages/uncheck',
                    { language: tag },
                    { said: `The words in ${name} are to be checked again.`, refused },
                  );
                }}
              >
                Take it back<span className="sr-only">: {name}</span>
              </Button>
            )}
          </li>
        ))}
      </ul>
    </div>
  );
}
