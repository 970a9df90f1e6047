'use client';

import { useRouter } from 'next/navigation';
import { useState } from 'react';
import { toast } from '../primitives/toast';
import { v4 as uuid } from 'uuid';
import type { PatientId } from '@/core/units';
import { Refusal } from '../forms/refusal';
import { textOf, useForm } from '../forms/use-form';
import { Button } from '../primitives/button';
import { Field } from '../primitives/field';
import { Form } from '../forms/form';

/** Puts right who a patient is. */
export function CorrectForm({
  patientId,
  start,
}: {
  patientId: PatientId;
  start: { readonly name: string; readonly birthDate: string | null; readonly contact: string };
}) {
  const router = useRouter();
  const [id, setId] = useState(() => uuid());
  const form = useForm(
    '/api/v1/patients/correct',
    (fields) => ({
      id,
      patientId,
      name: textOf(fields, 'name'),
      birthDate: textOf(fields, 'birth') === '' ? null : textOf(fields, 'birth'),
      contact: textOf(fields, 'contact'),
      was: { name: start.name, birthDate: start.birthDate, contact: start.contact },
    }),
    () => {
      toast('Put right. What stood there before is kept below.');
      setId(uuid());
      router.refresh();
    },
  );
  return (
    <Form onSubmit={form.onSubmit} className="grid max-w-xl gap-4" noValidate>
      <Refusal say={form.say} />
      <Field
        label="Name"
        name="name"
        dir="auto"
        autoComplete="off"
        defaultValue={start.name}
        error={form.errorAt('name')}
      />
      <Field
        label="Birth date"
        name="birth"
        type="date"
        defaultValue={start.birthDate ?? ''}
        hint="Another date asks for it anew on every phone."
        error={form.errorAt('birthDate')}
      />
      <Field
        label="Another way to reach them"
        name="contact"
        dir="auto"
        autoComplete="off"
        defaultValue={start.contact}
        hint="In words, where the fields below do not fit; for the clinic alone."
        error={form.errorAt('contact')}
      />
      <Button type="submit" disabled={form.busy} className="justify-self-start">
        Put right
      </Button>
    </Form>
  );
}
