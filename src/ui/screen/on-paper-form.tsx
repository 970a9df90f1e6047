'use client';

import { useRouter } from 'next/navigation';
import { useState } from 'react';
import { toast } from '../primitives/toast';
import { v4 as uuid } from 'uuid';
import type { ScreenedOnPaperBody } from '@/core/records';
import { type LocalDate, type PatientId, shortDay } from '@/core/units';
import { Refusal } from '../forms/refusal';
import { textOf, useForm } from '../forms/use-form';
import { Button } from '../primitives/button';
import { Field } from '../primitives/field';
import { Form } from '../forms/form';

/** Why no screening stands here: it was made on paper, on a day. A practitioner signs it. */
export function OnPaperForm({
  patientId,
  today,
  before,
}: {
  patientId: PatientId;
  today: string;
  /** The reason that stands now, or stood at an earlier visit. */
  before: { readonly on: LocalDate; readonly body: ScreenedOnPaperBody } | null;
}) {
  const router = useRouter();
  const [id, setId] = useState(() => uuid());
  const form = useForm(
    '/api/v1/entries',
    (fields) => ({
      id,
      patientId,
      kind: 'screened-on-paper',
      supersedes: null,
      on: today,
      body: { why: textOf(fields, 'why'), screenedOn: textOf(fields, 'screenedOn') },
    }),
    () => {
      setId(uuid());
      toast('Recorded. It holds until the next visit.');
      router.refresh();
    },
  );
  return (
    <Form key={id} onSubmit={form.onSubmit} className="grid max-w-xl gap-3" noValidate>
      <p className="max-w-prose text-soft">
        It stands in for a missing screening in this episode, until the next visit. Answers that
        forbid exercise, or a sign to stop, count whatever is written here.
      </p>
      {before && (
        <p className="text-soft">
          Last written on {shortDay(before.on)}: screened on {shortDay(before.body.screenedOn)},{' '}
          <span dir="auto">{before.body.why}</span>
        </p>
      )}
      <Field
        label="Screened on paper on"
        name="screenedOn"
        type="date"
        max={today}
        error={form.errorAt('body', 'screenedOn')}
      />
      <Field
        label="Why it is not here"
        name="why"
        dir="auto"
        hint="Where the paper lies, and what it came to."
        error={form.errorAt('body', 'why')}
      />
      <Refusal say={form.say} />
      <Button type="submit" disabled={form.busy} className="justify-self-start">
        Record the reason
      </Button>
    </Form>
  );
}
