'use client';

import { useRouter } from 'next/navigation';
import { useRef, useState } from 'react';
import { v4 as uuid } from 'uuid';
import { Refusal } from '../forms/refusal';
import { textOf, useForm } from '../forms/use-form';
import { Button } from '../primitives/button';
import { Choice, Field } from '../primitives/field';
import { HandedOver } from './handed-over';
import { Form } from '../forms/form';

/** Adds a member, who sets a password by the link that is handed over. */
export function MemberForm() {
  const router = useRouter();
  const element = useRef<HTMLFormElement>(null);
  const [id, setId] = useState(() => uuid());
  const [added, setAdded] = useState<{ name: string; address: string } | null>(null);
  const name = useRef('');
  const form = useForm<{ address: string }>(
    '/api/v1/members',
    (fields) => {
      name.current = textOf(fields, 'name');
      return {
        id,
        name: name.current,
        email: textOf(fields, 'email'),
        role: textOf(fields, 'role'),
      };
    },
    ({ address }) => {
      setAdded({ name: name.current, address });
      setId(uuid());
      element.current?.reset();
      router.refresh();
    },
  );
  return (
    <>
      {added && <HandedOver {...added} />}
      <Form ref={element} onSubmit={form.onSubmit} className="grid gap-4" noValidate>
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
        <Button type="submit" disabled={form.busy} className="justify-self-start">
          Add the member
        </Button>
      </Form>
    </>
  );
}
