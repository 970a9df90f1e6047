'use client';

import { type FormEvent, useState } from 'react';
import { useSending } from '../forms/use-sending';
import { Refusal } from '../forms/refusal';
import { BeginButton } from './begin-button';
import { useSay } from './say';
import { Form } from '../forms/form';

/** Asks for the birth date before a phone shows how its patient is. */
export function BirthForm() {
  const say = useSay();
  const [birthDate, setBirthDate] = useState('');
  const [refusal, setRefusal] = useState('');
  const { busy, sending } = useSending();

  async function show(event: FormEvent) {
    event.preventDefault();
    const answer = await sending('/api/v1/patient/birth', { birthDate });
    if (answer?.ok) window.location.reload();
    else if (answer) setRefusal(answer.status === 403 ? say('progress.birth.wrong') : answer.say);
  }

  return (
    <Form className="grid gap-4" onSubmit={show}>
      <p>{say('progress.birth.about')}</p>
      <label className="grid min-w-0 grid-cols-1 gap-1">
        {say('progress.birth')}
        <input
          type="date"
          required
          value={birthDate}
          onChange={(event) => setBirthDate(event.target.value)}
          className="min-h-12 rounded border border-edge bg-sheet px-3"
        />
      </label>
      <Refusal say={refusal} />
      <BeginButton type="submit" disabled={busy}>
        {say('progress.birth.show')}
      </BeginButton>
    </Form>
  );
}
