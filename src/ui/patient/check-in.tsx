'use client';

import { type FormEvent, useState } from 'react';
import { BeginButton } from './begin-button';

const PAINS = Array.from({ length: 11 }, (_, pain) => pain);

/** After a session: pain now, 0 to 10, and a word if the patient likes. */
export function CheckIn({
  title,
  onSave,
  onLeave,
}: {
  title: string;
  onSave: (pain: number | null, word: string) => Promise<void>;
  onLeave: () => void;
}) {
  const [pain, setPain] = useState<number | null>(null);
  const [word, setWord] = useState('');
  const [saving, setSaving] = useState(false);

  async function save(event: FormEvent) {
    event.preventDefault();
    if (saving) return;
    setSaving(true);
    if (pain !== null || word.trim() !== '') await onSave(pain, word.trim());
    onLeave();
  }

  return (
    <form className="grid gap-5" onSubmit={save}>
      <h1 className="text-2xl">{title}. What you did is saved.</h1>
      <fieldset>
        <legend className="pb-2 text-lg font-semibold">
          Pain now, from 0 (none) to 10 (the worst you can imagine)
        </legend>
        <div className="grid grid-cols-6 gap-2">
          {PAINS.map((value) => (
            <label
              key={value}
              className={`figures grid min-h-12 place-items-center rounded border text-lg has-focus-visible:outline-2 has-focus-visible:outline-action ${
                pain === value ? 'border-plum bg-plum text-paper' : 'border-hair bg-sheet'
              }`}
            >
              <input
                type="radio"
                name="pain"
                value={value}
                checked={pain === value}
                onChange={() => setPain(value)}
                className="sr-only"
              />
              {value}
            </label>
          ))}
        </div>
      </fieldset>
      <label className="grid gap-1">
        <span>A word about it, if you like</span>
        <input
          value={word}
          onChange={(event) => setWord(event.target.value)}
          maxLength={200}
          dir="auto"
          className="min-h-12 rounded border border-hair bg-sheet px-3"
        />
      </label>
      <BeginButton type="submit" disabled={saving}>
        {pain === null && word.trim() === '' ? 'Leave without telling' : 'Save'}
      </BeginButton>
    </form>
  );
}
