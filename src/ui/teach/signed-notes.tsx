'use client';

import { type LocalDate, shortDay } from '@/core/units';
import { NOTE_PARTS, NOTE_TITLES, type NoteText, noteAsText } from '@/core/teach';
import { copyText } from '../forms/copy-text';
import { Button } from '../primitives/button';

/** Notes in the record, newest first. */
export function SignedNotes({
  signed,
}: {
  signed: readonly (NoteText & {
    readonly id: string;
    readonly on: LocalDate;
    readonly by: string;
  })[];
}) {
  if (signed.length === 0) return null;
  return (
    <section aria-label="Signed notes" className="border-t border-hair pt-3">
      <h2 className="text-lg">Signed notes</h2>
      <ul className="divide-y divide-hair">
        {signed.map((note) => (
          <li key={note.id}>
            <details className="py-1.5">
              <summary>
                {shortDay(note.on)}, signed by <span dir="auto">{note.by}</span>
              </summary>
              <div className="grid gap-3 py-2">
                {NOTE_PARTS.map((part) => (
                  <div key={part}>
                    <h3 className="font-semibold">{NOTE_TITLES[part]}</h3>
                    <p className="max-w-[80ch] whitespace-pre-line" dir="auto">
                      {note[part] || 'Nothing.'}
                    </p>
                  </div>
                ))}
                <Button
                  className="justify-self-start"
                  onClick={() => void copyText(noteAsText(note))}
                >
                  Copy as text
                </Button>
              </div>
            </details>
          </li>
        ))}
      </ul>
    </section>
  );
}
