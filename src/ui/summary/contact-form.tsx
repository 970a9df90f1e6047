'use client';

import { useRouter } from 'next/navigation';
import { useState } from 'react';
import { toast } from '../primitives/toast';
import { v4 as uuid } from 'uuid';
import { CONTACT_WAYS } from '@/core/record-choices';
import type { PatientId } from '@/core/units';
import { Refusal } from '../forms/refusal';
import { textOf, useForm } from '../forms/use-form';
import { Button } from '../primitives/button';
import { Choice, TextField } from '../primitives/field';
import { Form } from '../forms/form';

const WORDS = { call: 'Called', message: 'Wrote', video: 'Spoke by video' } as const;

/** That the clinic called or wrote, and what was agreed. It is kept with the day's visit. */
export function ContactForm({ patientId, today }: { patientId: PatientId; today: string }) {
  const router = useRouter();
  const [id, setId] = useState(() => uuid());
  const form = useForm(
    '/api/v1/entries',
    (fields) => ({
      id,
      patientId,
      kind: 'contact',
      supersedes: null,
      on: today,
      body: {
        way: textOf(fields, 'way'),
        reached: fields.get('missed') !== 'on',
        agreed: textOf(fields, 'agreed'),
      },
    }),
    () => {
      setId(uuid());
      toast('Kept with today’s visit.');
      router.refresh();
    },
  );
  return (
    <Form key={id} onSubmit={form.onSubmit} className="grid gap-2" noValidate>
      <div className="flex flex-wrap items-end gap-4">
        <Choice label="What was done" name="way" error={form.errorAt('body', 'way')}>
          {CONTACT_WAYS.map((way) => (
            <option key={way} value={way}>
              {WORDS[way]}
            </option>
          ))}
        </Choice>
        <label className="flex items-center gap-2 py-1.5">
          <input type="checkbox" name="missed" className="size-4" />
          Not reached
        </label>
      </div>
      <TextField
        label="What was agreed"
        name="agreed"
        rows={2}
        dir="auto"
        error={form.errorAt('body', 'agreed')}
      />
      <Refusal say={form.say} />
      <Button type="submit" disabled={form.busy} className="justify-self-start">
        Write it down
      </Button>
    </Form>
  );
}
