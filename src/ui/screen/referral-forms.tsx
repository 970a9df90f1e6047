'use client';

import { useRouter } from 'next/navigation';
import { useState } from 'react';
import { toast } from '../primitives/toast';
import { v4 as uuid } from 'uuid';
import type { PatientId, ReferralId, ScreeningId } from '@/core/units';
import { Refusal } from '../forms/refusal';
import { textOf, useForm } from '../forms/use-form';
import { Button } from '../primitives/button';
import { Field, TextField } from '../primitives/field';
import { Form } from '../forms/form';

/** The letter from the record, to be changed and kept. */
export function LetterForm({
  patientId,
  screeningId,
  letter,
}: {
  patientId: PatientId;
  screeningId: ScreeningId;
  letter: string;
}) {
  const router = useRouter();
  const [id] = useState(() => uuid());
  const [to, setTo] = useState('');
  const [text, setText] = useState(letter);
  const form = useForm(
    '/api/v1/referrals',
    () => ({ id, patientId, screeningId, to, text }),
    () => {
      toast('Letter kept. It stays open until an answer is recorded.');
      router.push(`/patients/${patientId}/letter/${id}`);
    },
  );
  return (
    <Form onSubmit={form.onSubmit} className="grid max-w-2xl gap-3" noValidate>
      <Field
        label="To"
        value={to}
        dir="auto"
        onChange={(event) => {
          const name = event.target.value;
          // The letter's own line follows, as long as nobody has rewritten it.
          setText((before) => before.replace(/^To: .*$|^To:$/m, `To: ${name}`));
          setTo(name);
        }}
        error={form.errorAt('to')}
      />
      <TextField
        label="Letter"
        rows={18}
        value={text}
        dir="auto"
        onChange={(event) => setText(event.target.value)}
        error={form.errorAt('text')}
      />
      <Refusal say={form.say} />
      <Button type="submit" disabled={form.busy} className="justify-self-start">
        Keep the letter
      </Button>
    </Form>
  );
}

/** The answer that closes a referral. */
export function AnswerForm({
  patientId,
  referralId,
  today,
}: {
  patientId: PatientId;
  referralId: ReferralId;
  today: string;
}) {
  const router = useRouter();
  const [id] = useState(() => uuid());
  const form = useForm(
    '/api/v1/referrals/answer',
    (fields) => ({
      id,
      patientId,
      referralId,
      answeredOn: textOf(fields, 'answeredOn'),
      text: textOf(fields, 'text'),
    }),
    () => {
      toast('Answer recorded.');
      router.refresh();
    },
  );
  return (
    <Form onSubmit={form.onSubmit} className="grid max-w-xl gap-3" noValidate>
      <Field
        label="Answered on"
        name="answeredOn"
        type="date"
        max={today}
        defaultValue={today}
        error={form.errorAt('answeredOn')}
      />
      <TextField label="Answer" name="text" rows={3} dir="auto" error={form.errorAt('text')} />
      <Refusal say={form.say} />
      <Button type="submit" disabled={form.busy} className="justify-self-start">
        Record the answer
      </Button>
    </Form>
  );
}
