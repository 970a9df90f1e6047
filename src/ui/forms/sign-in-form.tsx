'use client';

import { Button } from '../primitives/button';
import { Field } from '../primitives/field';
import { Refusal } from './refusal';
import { textOf, useForm } from './use-form';

export function SignInForm() {
  const form = useForm(
    '/api/v1/sign-in',
    (fields) => ({ email: textOf(fields, 'email'), password: textOf(fields, 'password') }),
    // A full load, so that nothing of an earlier person stays in the browser.
    () => window.location.assign('/'),
  );
  return (
    <form onSubmit={form.onSubmit} className="grid gap-4" noValidate>
      <Refusal say={form.say} />
      <Field label="E-mail address" name="email" type="email" autoComplete="username" required />
      <Field
        label="Password"
        name="password"
        type="password"
        autoComplete="current-password"
        required
      />
      <Button type="submit" look="main" disabled={form.busy} className="justify-self-start">
        {form.busy ? 'Signing in …' : 'Sign in'}
      </Button>
    </form>
  );
}
