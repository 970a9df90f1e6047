'use client';

import { useRouter } from 'next/navigation';
import { useState } from 'react';
import { toast } from '../primitives/toast';
import { v4 as uuid } from 'uuid';
import { PAPER_KINDS, PAPER_LIMIT, PAPER_TOO_LARGE } from '@/core/record-choices';
import type { LocalDate, PatientId } from '@/core/units';
import { daySaid } from '@/core/visits';
import { postBytes } from '../forms/post';
import { useOneAtATime } from '../forms/use-one-at-a-time';
import { Refusal } from '../forms/refusal';
import { FileMaking, useFile } from '../forms/use-file';
import { textOf } from '../forms/use-form';
import { useSend } from '../forms/use-send';
import { Button } from '../primitives/button';
import { Choice, Field } from '../primitives/field';
import { Form } from '../forms/form';

type Paper = {
  readonly id: string;
  readonly kind: string;
  readonly receivedOn: LocalDate;
  readonly isPdf: boolean;
  readonly kilobytes: number;
  readonly by: string;
  readonly readBy: string | null;
};

/** Papers that came in: filed by whoever gets them, read by a practitioner. */
export function Papers({
  patientId,
  today,
  papers,
  mayRead,
}: {
  patientId: PatientId;
  today: LocalDate;
  papers: readonly Paper[];
  mayRead: boolean;
}) {
  const { busy, send } = useSend();
  const file = useFile();
  return (
    <div className="grid gap-6">
      <h2 className="text-xl">Papers that came in</h2>
      <FilePaper patientId={patientId} today={today} />
      <FileMaking making={file.making} cancel={file.cancel} />
      <Refusal say={file.refusal} />
      {papers.length === 0 ? (
        <p className="text-soft">
          None yet: a referral, an imaging report or a letter is filed here as a PDF or a picture.
        </p>
      ) : (
        <ul className="divide-y divide-hair border-y border-hair">
          {papers.map((paper) => {
            const name = `${paper.kind} of ${daySaid(paper.receivedOn, today)}`;
            return (
              <li
                key={paper.id}
                className={`flex flex-wrap items-center gap-3 py-2 ${paper.readBy === null ? 'border-l-2 border-l-lit pl-3' : ''}`}
              >
                <span className="mr-auto">
                  <span className="font-medium">{name.replace(/^./, (a) => a.toUpperCase())}</span>
                  <span className="block text-small text-soft">
                    {paper.isPdf ? 'PDF' : 'picture'}, {paper.kilobytes} kB, filed by{' '}
                    <bdi>{paper.by}</bdi>;{' '}
                    {paper.readBy === null ? (
                      'not read yet'
                    ) : (
                      <>
                        read by <bdi>{paper.readBy}</bdi>
                      </>
                    )}
                  </span>
                </span>
                <Button
                  disabled={file.making !== ''}
                  aria-label={`Save the ${name}`}
                  onClick={() =>
                    void file.make(
                      'paper',
                      '/api/v1/papers/file',
                      { patientId, id: paper.id },
                      `paper-${paper.receivedOn}.${paper.isPdf ? 'pdf' : 'jpg'}`,
                    )
                  }
                >
                  Save
                </Button>
                {mayRead && paper.readBy === null && (
                  <Button
                    disabled={busy}
                    onClick={() => void send('/api/v1/papers/read', { patientId, id: paper.id })}
                  >
                    I have read it<span className="sr-only">: {name}</span>
                  </Button>
                )}
                {mayRead && (
                  <Delete
                    name={name}
                    busy={busy}
                    onDelete={() =>
                      void send(
                        '/api/v1/papers/delete',
                        { patientId, id: paper.id },
                        { said: 'The paper is deleted.' },
                      )
                    }
                  />
                )}
              </li>
            );
          })}
        </ul>
      )}
    </div>
  );
}

/** Deleting is for good: it is asked once more. */
function Delete({ name, busy, onDelete }: { name: string; busy: boolean; onDelete: () => void }) {
  const [asking, setAsking] = useState(false);
  return asking ? (
    <Button look="stop" disabled={busy} onClick={onDelete}>
      Delete it for good<span className="sr-only">: {name}</span>
    </Button>
  ) : (
    <Button look="quiet" onClick={() => setAsking(true)}>
      Delete<span className="sr-only">: {name}</span>
    </Button>
  );
}

/** Files a paper: what it is, when it came, and the file. */
function FilePaper({ patientId, today }: { patientId: PatientId; today: LocalDate }) {
  const router = useRouter();
  const [id, setId] = useState(() => uuid());
  const { busy, once } = useOneAtATime();
  const [say, setSay] = useState('');

  async function file(form: HTMLFormElement) {
    const fields = new FormData(form);
    const chosen = fields.get('paper');
    if (!(chosen instanceof File) || chosen.size === 0) return setSay('Choose a file.');
    if (chosen.size > PAPER_LIMIT) return setSay(PAPER_TOO_LARGE);
    const facts = new URLSearchParams({
      id,
      patientId,
      kind: textOf(fields, 'kind'),
      receivedOn: textOf(fields, 'receivedOn'),
    });
    setSay('');
    const answer = await once(() => postBytes(`/api/v1/papers?${facts}`, chosen));
    if (!answer) return undefined;
    if (!answer.ok) return setSay(answer.say);
    form.reset();
    setId(uuid());
    toast('Filed.');
    router.refresh();
  }
  return (
    <Form
      className="grid max-w-[60rem] items-end gap-3 sm:grid-cols-[auto_auto_minmax(0,1fr)_auto]"
      onSubmit={(event) => {
        event.preventDefault();
        void file(event.currentTarget);
      }}
      noValidate
    >
      <Choice label="What it is" name="kind">
        <option value="">what …</option>
        {PAPER_KINDS.map((kind) => (
          <option key={kind} value={kind}>
            {kind}
          </option>
        ))}
      </Choice>
      <Field
        label="When it came"
        type="date"
        name="receivedOn"
        defaultValue={today}
        max={today}
        key={id}
      />
      <input
        type="file"
        name="paper"
        accept="application/pdf,image/jpeg,image/png,image/webp"
        aria-label="Choose the paper"
        onChange={() => setId(uuid())}
        disabled={busy}
        className="w-full file:mr-3 file:rounded file:border file:border-edge file:bg-sheet file:px-3 file:py-1.5 file:font-medium"
      />
      <Button type="submit" disabled={busy}>
        File it
      </Button>
      <div className="sm:col-span-4">
        <Refusal say={say} />
      </div>
    </Form>
  );
}
