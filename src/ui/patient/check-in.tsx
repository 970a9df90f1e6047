'use client';

import { type FormEvent, useState } from 'react';
import { BeginButton } from './begin-button';
import { Scale } from './scale';
import { useSay } from './say';
import { Title } from './title';
import { checkInTold } from './told';
import { Form } from '../forms/form';

/** After a session: pain now, how hard it was, and a word if the patient likes. */
export function CheckIn({
  title,
  onSave,
  onLeave,
}: {
  title: string;
  onSave: (pain: number | null, effort: number | null, word: string) => Promise<void>;
  onLeave: () => void;
}) {
  const say = useSay();
  const [pain, setPain] = useState<number | null>(null);
  const [effort, setEffort] = useState<number | null>(null);
  const [word, setWord] = useState('');
  const [saving, setSaving] = useState(false);
  const told = checkInTold(pain, effort, word);

  async function save(event: FormEvent) {
    event.preventDefault();
    if (saving) return;
    setSaving(true);
    if (told) await onSave(told.pain, told.effort, told.word);
    onLeave();
  }

  return (
    <Form className="grid gap-5" onSubmit={save}>
      <Title>{say('checkin.saved', { title })}</Title>
      <Scale legend={say('checkin.pain')} name="pain" value={pain} onChange={setPain} />
      <Scale legend={say('checkin.effort')} name="effort" value={effort} onChange={setEffort} />
      <label className="grid gap-1">
        <span>{say('checkin.word')}</span>
        <input
          value={word}
          onChange={(event) => setWord(event.target.value)}
          maxLength={200}
          dir="auto"
          className="min-h-12 rounded border border-edge bg-sheet px-3"
        />
      </label>
      <BeginButton type="submit" disabled={saving}>
        {say(told ? 'checkin.save' : 'checkin.leave')}
      </BeginButton>
    </Form>
  );
}
