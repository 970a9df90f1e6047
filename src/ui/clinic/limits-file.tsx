'use client';

import { useState } from 'react';
import type { LimitChange } from '@/core/exchange';
import { FileLabel, WrongInFile } from '../forms/file-label';
import { Refusal } from '../forms/refusal';
import { useSend } from '../forms/use-send';
import { Button, buttonClass } from '../primitives/button';

type Preview =
  | { readonly kind: 'wrong'; readonly problems: readonly string[] }
  | { readonly kind: 'right'; readonly changes: readonly LimitChange[]; readonly over: string };
type Looked = { readonly text: string; readonly preview: Preview };

/** The clinic's limits to another clinic and from one: looked at first, taken whole or not at all. */
export function LimitsFileBox() {
  const { busy, send } = useSend();
  const [refusal, setRefusal] = useState('');
  const [looked, setLooked] = useState<Looked | null>(null);
  const refused = ({ say }: { say: string }) => setRefusal(say);

  async function look(text: string) {
    setRefusal('');
    setLooked(null);
    await send<Preview>(
      '/api/v1/clinic/limits/preview',
      { text },
      { done: (preview) => setLooked({ text, preview }), refused },
    );
  }

  const take = (text: string, over: string) =>
    send(
      '/api/v1/clinic/limits',
      { text, over },
      {
        done: () => setLooked(null),
        said: 'The file’s limits are your clinic’s now.',
        refused,
      },
    );

  const { preview, text } = looked ?? {};
  return (
    <div className="grid gap-2">
      <div className="flex flex-wrap items-center gap-3">
        <a href="/api/v1/clinic/limits/file" className={buttonClass()} download>
          Save as a file
        </a>
        <FileLabel label="Choose a file of limits" accept=".json,application/json" onText={look}>
          Look at a file
        </FileLabel>
        <span className="text-soft">
          It is looked at first; nothing is written until you say so.
        </span>
      </div>
      <Refusal say={refusal} />
      {preview?.kind === 'wrong' && (
        <WrongInFile what="Nothing was taken." problems={preview.problems} />
      )}
      {preview?.kind === 'right' && preview.changes.length === 0 && (
        <p role="status">Your clinic has these very limits already.</p>
      )}
      {preview?.kind === 'right' && preview.changes.length > 0 && text !== undefined && (
        <div className="grid gap-2 border-l-2 border-lit pl-3">
          <table className="w-full max-w-[64rem]">
            <caption className="pb-1 text-left">
              What would change. What your clinic asks, and when, is yours to answer for.
            </caption>
            <thead className="border-b border-hair text-left">
              <tr>
                {['', 'Now', 'By the file'].map((name) => (
                  <th key={name} scope="col" className="py-1 pr-4 font-semibold">
                    {name || <span className="sr-only">Limit</span>}
                  </th>
                ))}
              </tr>
            </thead>
            <tbody>
              {preview.changes.map(({ what, before, after }) => (
                <tr key={what} className="border-b border-hair align-top">
                  <th scope="row" className="py-1 pr-4 text-left font-normal" dir="auto">
                    {what}
                  </th>
                  <td className="py-1 pr-4 text-soft">{before || 'none'}</td>
                  <td className="py-1 font-medium">{after || 'none'}</td>
                </tr>
              ))}
            </tbody>
          </table>
          <div className="flex gap-2">
            <Button look="main" disabled={busy} onClick={() => void take(text, preview.over)}>
              Take these limits
            </Button>
            <Button onClick={() => setLooked(null)}>Leave it</Button>
          </div>
        </div>
      )}
    </div>
  );
}
