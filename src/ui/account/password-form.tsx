'use client';

import { useRef } from 'react';
import { toast } from '../primitives/toast';
import { Refusal } from '../forms/refusal';
import { textOf, useForm } from '../forms/use-form';
import { Button } from '../primitives/button';
import { Field } from '../primitives/field';
import { NewPassword } from './new-password';
import { Form } from '../forms/form';

/** A member's own new password. */
export function PasswordForm() {
  const element = useRef<HTMLFormElement>(null);
  const form = useForm(
    '/api/v1/account/password',
    (fields) => ({ old: textOf(fields, 'old'), password: textOf(fields, 'password') }),
    () => {
      toast('Your password is changed, and you are signed out everywhere else.');
      element.current?.reset();
    },
  );
  return (
    <Form ref={element} onSubmit={form.onSubmit} className="grid gap-4" noValidate>
      <Refusal say={form.say} />
      <Field
        label="Password until now"
        name="old"
        type="password"
        autoComplete="current-password"
        error={form.errorAt('old')}
      />
      <NewPassword error={form.errorAt('password')} />
      <Button type="submit" disabled={form.busy} className="justify-self-start">
        Change the password
      </Button>
    </Form>
  );
}
