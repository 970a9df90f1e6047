'use client';

import { useRouter } from 'next/navigation';
import { useRef, useState } from 'react';
import { toast } from 'sonner';
import { v4 as uuid } from 'uuid';
import { Button } from '../primitives/button';
import { Choice, Field } from '../primitives/field';
import { Refusal } from './refusal';
import { textOf, useForm } from './use-form';

export function MemberForm() {
  const router = useRouter();
  const element = useRef<HTMLFormElement>(null);
  const [id, setId] = useState(() => uuid());
  const form = useForm(
    '/api/v1/members',
    (fields) => ({
      id,
      name: textOf(fields, 'name'),
      email: textOf(fields, 'email'),
      role: textOf(fields, 'role'),
      password: textOf(fields, 'password'),
    }),
    () => {
      toast('Added. Hand the password over in person.');
      setId(uuid());
      element.current?.reset();
      router.refresh();
    },
  );
  return (
    <form ref={element} onSubmit={form.onSubmit} className="grid gap-4" noValidate>
      <Refusal say={form.say} />
      <Field label="Name" name="name" autoComplete="off" error={form.errorAt('name')} />
      <Field
        label="E-mail address"
        name="email"
        type="email"
        autoComplete="off"
        error={form.errorAt('email')}
      />
      <Choice label="Role" name="role" defaultValue="practitioner" error={form.errorAt('role')}>
        <option value="practitioner">Practitioner: prescribes</option>
        <option value="assistant">Assistant: follows, hands over links</option>
        <option value="lead">Lead: prescribes, keeps the clinic</option>
      </Choice>
      <Field
        label="First password"
        name="password"
        type="password"
        autoComplete="new-password"
        hint="At least 10 characters."
        error={form.errorAt('password')}
      />
      <Button type="submit" disabled={form.busy} className="justify-self-start">
        Add the member
      </Button>
    </form>
  );
}
