'use client';

import { useRouter } from 'next/navigation';
import { useState } from 'react';
import { v4 as uuid } from 'uuid';
import { Refusal } from '../forms/refusal';
import { textOf, useForm } from '../forms/use-form';
import { Button } from '../primitives/button';
import { Field, TextField } from '../primitives/field';
import { Form } from '../forms/form';

/** Opens a file that is closed to a member, with a reason. */
export function ClosedFileForm({ patientId }: { patientId: string | null }) {
  const router = useRouter();
  const [id] = useState(() => uuid());
  const form = useForm<{ patientId: string }>(
    '/api/v1/patients/open',
    (fields) => ({
      id,
      patientId,
      name: textOf(fields, 'name'),
      reason: textOf(fields, 'reason'),
    }),
    (opened) => router.push(`/patients/${opened.patientId}`),
  );
  return (
    <Form onSubmit={form.onSubmit} className="grid max-w-xl gap-4 pt-4" noValidate>
      <Refusal say={form.say} />
      {patientId === null && (
        <Field
          label="The patient’s whole name"
          name="name"
          dir="auto"
          autoComplete="off"
          hint="As it stands in the record."
          error={form.errorAt('name')}
        />
      )}
      <TextField
        label="Why you have to open this file"
        name="reason"
        rows={3}
        hint="The lead reads it, with your name and the time. The file stays open to you for twelve hours."
        error={form.errorAt('reason')}
      />
      <Button type="submit" disabled={form.busy} className="justify-self-start">
        Open the file
      </Button>
    </Form>
  );
}
