'use client';

import { useState } from 'react';
import { v4 as uuid } from 'uuid';
import type { ProgrammePreview } from '@/core/records';
import { FileLabel, WrongInFile } from '../forms/file-label';
import { Refusal } from '../forms/refusal';
import { useSend } from '../forms/use-send';
import { Button } from '../primitives/button';
import { Field } from '../primitives/field';
import { Form } from '../forms/form';

type Right = Extract<ProgrammePreview, { kind: 'right' }>;
type Looked = { readonly id: string; readonly text: string; readonly preview: Right };

const FROM: Readonly<Record<Right['lines'][number]['from'], string>> = {
  ships: '',
  yours: 'your clinic has an exercise of this name: yours is kept',
  new: 'comes along with the file',
};

/** A programme of another clinic, from a file: looked at first, then taken in as a template. */
export function TakeInProgramme() {
  const { busy, send } = useSend();
  const [problems, setProblems] = useState<readonly string[]>([]);
  const [refusal, setRefusal] = useState('');
  const [looked, setLooked] = useState<Looked | null>(null);
  const [name, setName] = useState('');

  async function look(text: string) {
    setProblems([]);
    setRefusal('');
    setLooked(null);
    await send<ProgrammePreview>(
      '/api/v1/programme-files/preview',
      { text },
      {
        done: (preview) => {
          if (preview.kind === 'wrong') return setProblems(preview.problems);
          setName(preview.name);
          return setLooked({ id: uuid(), text, preview });
        },
        refused: ({ say }) => setRefusal(say),
      },
    );
  }

  async function take({ id, text }: Looked) {
    setRefusal('');
    await send(
      '/api/v1/programme-files',
      { id, text, name },
      {
        done: () => setLooked(null),
        said: `${name} stands among your clinic’s own now.`,
        refused: ({ say }) => setRefusal(say),
      },
    );
  }

  return (
    <section aria-label="Programme from a file" className="grid gap-2 pb-4">
      <div className="flex flex-wrap items-center gap-3">
        <FileLabel accept=".json,application/json" onText={look}>
          Take in a programme from a file
        </FileLabel>
        <span className="text-soft">
          It is looked at first; nothing is written until you say so.
        </span>
      </div>
      <Refusal say={refusal} />
      <WrongInFile what="Nothing was taken in." problems={problems} />
      {looked && (
        <Form
          className="grid max-w-[56rem] gap-2 border-l-2 border-lit pl-3"
          onSubmit={(event) => {
            event.preventDefault();
            void take(looked);
          }}
        >
          {looked.preview.about && <p dir="auto">{looked.preview.about}</p>}
          <ol className="list-decimal pl-5">
            {looked.preview.lines.map(({ exercise, dose, from }, at) => (
              <li key={`${at} ${exercise}`}>
                <span dir="auto">{exercise}</span>{' '}
                <span className="figures text-small">{dose}</span>
                {FROM[from] && <span className="text-soft">, {FROM[from]}</span>}
              </li>
            ))}
          </ol>
          <p className="text-soft">
            {looked.preview.rounds > 1 && `Gone through ${looked.preview.rounds} times. `}
            Look at each line before you prescribe it: another clinic wrote it.
          </p>
          <Field
            label="Name it"
            value={name}
            maxLength={120}
            onChange={(event) => setName(event.target.value)}
            error={
              looked.preview.nameTaken && name === looked.preview.name
                ? 'A template has this name already: choose another.'
                : ''
            }
          />
          <div className="flex gap-2">
            <Button type="submit" look="main" disabled={busy}>
              Take it in
            </Button>
            <Button onClick={() => setLooked(null)}>Leave it</Button>
          </div>
        </Form>
      )}
    </section>
  );
}
