'use client';

import { type FormEvent, useState } from 'react';
import { v4 as uuid } from 'uuid';
import { useSending } from '../forms/use-sending';
import { Refusal } from '../forms/refusal';
import { BeginButton } from './begin-button';
import { useSay } from './say';
import { Form } from '../forms/form';

const REASONS = ['ill', 'travelling', 'other'] as const;
const INPUT = 'min-h-12 w-full min-w-0 rounded border border-edge bg-sheet px-3';

/** Days on which the patient is ill or away. */
export function PauseForm({ today }: { today: string }) {
  const say = useSay();
  const [id] = useState(() => uuid());
  const [reason, setReason] = useState<(typeof REASONS)[number]>('ill');
  const [from, setFrom] = useState(today);
  const [to, setTo] = useState(today);
  const { busy, sending } = useSending();
  const [refusal, setRefusal] = useState('');

  async function save(event: FormEvent) {
    event.preventDefault();
    setRefusal('');
    const answer = await sending('/api/v1/patient/pauses', { id, from, to, reason });
    if (answer?.ok) window.location.assign('/today');
    else if (answer) setRefusal(answer.say);
  }

  return (
    <Form className="grid grid-cols-1 gap-5" onSubmit={save}>
      <p>{say('pause.about')}</p>
      <fieldset className="grid min-w-0 grid-cols-1 gap-2">
        <legend className="pb-2 text-lg font-semibold">{say('pause.reason')}</legend>
        {REASONS.map((one) => (
          <label
            key={one}
            className="flex min-h-12 items-center gap-3 rounded border border-edge bg-sheet px-4"
          >
            <input
              type="radio"
              name="reason"
              checked={reason === one}
              onChange={() => setReason(one)}
              className="size-5 accent-action"
            />
            {say(`pause.${one}`)}
          </label>
        ))}
      </fieldset>
      <label className="grid min-w-0 grid-cols-1 gap-1">
        {say('pause.from')}
        <input
          type="date"
          required
          value={from}
          onChange={(event) => setFrom(event.target.value)}
          className={INPUT}
        />
      </label>
      <label className="grid min-w-0 grid-cols-1 gap-1">
        {say('pause.to')}
        <input
          type="date"
          required
          value={to}
          onChange={(event) => setTo(event.target.value)}
          className={INPUT}
        />
      </label>
      <Refusal say={refusal} />
      <BeginButton type="submit" disabled={busy}>
        {say('pause.save')}
      </BeginButton>
    </Form>
  );
}
