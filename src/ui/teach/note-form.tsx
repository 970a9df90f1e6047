'use client';

import { useRef, useState } from 'react';
import { v4 as uuid } from 'uuid';
import { NOTE_PARTS, NOTE_TITLES, type NoteText, noteAsText } from '@/core/teach';
import type { PatientId } from '@/core/units';
import { copyText } from '../forms/copy-text';
import { useSend } from '../forms/use-send';
import { Refusal } from '../forms/refusal';
import { KEEP_WORDS, useVisitDraft } from '../forms/use-visit-draft';
import { Button } from '../primitives/button';
import { TextField } from '../primitives/field';

function noteIn(kept: unknown): NoteText | null {
  const note = kept as Partial<NoteText> | null;
  return note && NOTE_PARTS.every((part) => typeof note[part] === 'string')
    ? (note as NoteText)
    : null;
}

/** The visit's note: drafted from the record, edited, signed. */
export function NoteForm({
  patientId,
  draft,
  kept,
  maySign,
}: {
  patientId: PatientId;
  draft: NoteText;
  kept: unknown;
  maySign: boolean;
}) {
  const [note, setNote] = useState<NoteText>(() => noteIn(kept) ?? draft);
  const { busy, send } = useSend();
  const [refusal, setRefusal] = useState('');
  const id = useRef('');
  const { state, forget } = useVisitDraft(patientId, 'note', note);
  const changed = NOTE_PARTS.some((part) => note[part] !== draft[part]);

  async function sign() {
    setRefusal('');
    id.current ||= uuid();
    await send(
      '/api/v1/visit-notes',
      { id: id.current, patientId, ...note },
      {
        done: forget,
        said: 'Signed. It stands in the record.',
        refused: ({ say }) => setRefusal(say),
      },
    );
  }

  return (
    <section aria-label="Visit note" className="grid gap-4">
      <div className="flex flex-wrap items-baseline gap-x-4">
        <h2 className="mr-auto text-xl">Visit note</h2>
        <p className="text-soft" role="status">
          {KEEP_WORDS[state]}
        </p>
      </div>
      <p className="max-w-[70ch] text-soft">
        Drafted from what is in the record. Change what you like; nothing counts before you sign.
      </p>
      <div className="grid gap-4 lg:grid-cols-2">
        {NOTE_PARTS.map((part) => (
          <TextField
            key={part}
            label={NOTE_TITLES[part]}
            value={note[part]}
            rows={Math.min(20, Math.max(6, note[part].split('\n').length + 1))}
            maxLength={8000}
            readOnly={!maySign}
            dir="auto"
            onChange={(event) => setNote({ ...note, [part]: event.target.value })}
          />
        ))}
      </div>
      <Refusal say={refusal} />
      <div className="flex flex-wrap items-center gap-2">
        {maySign && (
          <Button look="main" disabled={busy} onClick={sign}>
            Sign the note
          </Button>
        )}
        <Button onClick={() => void copyText(noteAsText(note))}>Copy as text</Button>
        {changed && maySign && <Button onClick={() => setNote(draft)}>Draft it anew</Button>}
      </div>
    </section>
  );
}
