'use client';

import { useState } from 'react';
import { ERASURE_REASONS, type ErasureReason } from '@/core/record-choices';
import type { PatientId } from '@/core/units';
import { Refusal } from '../forms/refusal';
import { textOf, useForm } from '../forms/use-form';
import { Button } from '../primitives/button';
import { Choice, Field } from '../primitives/field';
import { Form } from '../forms/form';

const REASONS: Readonly<Record<ErasureReason, string>> = {
  asked: 'The patient asked for it',
  'kept long enough': 'It was kept as long as it has to be',
  'by mistake': 'It was made by mistake',
};

/** The two steps of erasing: first that the documents are not needed, then everything that shows it is meant. */
export function EraseForm({ patientId, name }: { patientId: PatientId; name: string }) {
  const [seen, setSeen] = useState(false);
  const [second, setSecond] = useState(false);
  const [done, setDone] = useState<{ purged: boolean } | null>(null);
  const form = useForm<{ purged: boolean }>(
    '/api/v1/patients/erase',
    (fields) => ({
      patientId,
      name: textOf(fields, 'name'),
      reason: textOf(fields, 'reason'),
      password: textOf(fields, 'password'),
      documentsSeen: true,
    }),
    setDone,
  );
  if (done)
    return (
      <div role="status" className="grid gap-2">
        <p className="font-semibold">The record is erased.</p>
        {!done.purged && (
          <p>
            What was deleted could not be taken out of the file at once, because others were using
            it. The next clean end of the server does it; tell whoever looks after it.
          </p>
        )}
        {/* A full load: nothing of the file stays in this browser. */}
        <p>
          <a href="/" className="text-action underline">
            To the morning list
          </a>
        </p>
      </div>
    );
  if (!second)
    return (
      <div className="grid gap-3">
        <label className="flex items-baseline gap-2">
          <input
            type="checkbox"
            checked={seen}
            onChange={(event) => setSeen(event.target.checked)}
          />
          I took what has to be kept, or nothing has to be.
        </label>
        <Button disabled={!seen} className="justify-self-start" onClick={() => setSecond(true)}>
          Go on to the second step
        </Button>
      </div>
    );
  return (
    <Form onSubmit={form.onSubmit} className="grid max-w-xl gap-4" noValidate>
      <Refusal say={form.say} />
      <Choice label="Why" name="reason" defaultValue="" error={form.errorAt('reason')}>
        <option value="">choose …</option>
        {ERASURE_REASONS.map((reason) => (
          <option key={reason} value={reason}>
            {REASONS[reason]}
          </option>
        ))}
      </Choice>
      <Field
        label="The patient’s name, typed once more"
        name="name"
        dir="auto"
        autoComplete="off"
        hint={`As it stands in the record: ${name}`}
        error={form.errorAt('name')}
      />
      <Field
        label="Your password"
        name="password"
        type="password"
        autoComplete="current-password"
        error={form.errorAt('password')}
      />
      <div className="flex flex-wrap gap-2">
        <Button type="submit" look="stop" disabled={form.busy}>
          {form.busy ? 'Erasing …' : 'Erase this record for good'}
        </Button>
        <Button type="button" onClick={() => setSecond(false)}>
          Back
        </Button>
      </div>
    </Form>
  );
}
