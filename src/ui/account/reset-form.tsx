'use client';

import { QuietLink } from '@/ui/primitives/quiet-link';
import { useEffect, useRef, useState } from 'react';
import { Refusal } from '../forms/refusal';
import { textOf, useForm } from '../forms/use-form';
import { Button } from '../primitives/button';
import { NewPassword } from './new-password';
import { Form } from '../forms/form';

/** Sets a password by the one-time link; its token stands behind "#", which no server writes down. */
export function ResetForm() {
  const token = useRef('');
  const [done, setDone] = useState(false);
  useEffect(() => {
    token.current = window.location.hash.slice(1);
    // Out of the address at once, and so out of the browser's history.
    if (token.current !== '') window.history.replaceState(null, '', window.location.pathname);
  }, []);
  const form = useForm(
    '/api/v1/reset',
    (fields) => ({ token: token.current || 'none', password: textOf(fields, 'password') }),
    () => setDone(true),
  );
  if (done)
    return (
      <p role="status">
        Your password is set, and you are signed out everywhere.{' '}
        <QuietLink href="/sign-in" className="text-action underline">
          Sign in
        </QuietLink>
      </p>
    );
  return (
    <Form onSubmit={form.onSubmit} className="grid gap-4" noValidate>
      <Refusal say={form.say} />
      <NewPassword error={form.errorAt('password')} />
      <Button type="submit" look="main" disabled={form.busy} className="justify-self-start">
        {form.busy ? 'Setting …' : 'Set the password'}
      </Button>
    </Form>
  );
}
