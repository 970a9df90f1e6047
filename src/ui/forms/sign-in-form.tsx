'use client';

import { type FormEvent, useState } from 'react';
import { Button } from '../primitives/button';
import { Choice, Field } from '../primitives/field';
import { Refusal } from './refusal';
import { textOf } from './use-form';
import { useSending } from './use-sending';
import { Form } from './form';

/** Signs a member in; a code or the choice of a clinic is asked for once the password was right. */
export function SignInForm({ whenDone = toStart }: { whenDone?: (memberId: string) => void }) {
  const { busy, sending } = useSending();
  const [say, setSay] = useState('');
  const [wrongAt, setWrongAt] = useState('');
  const [asksCode, setAsksCode] = useState(false);
  const [clinics, setClinics] = useState<readonly (readonly [string, string])[]>([]);

  async function onSubmit(event: FormEvent<HTMLFormElement>) {
    event.preventDefault();
    const fields = new FormData(event.currentTarget);
    const [code, clinicId] = [textOf(fields, 'code'), textOf(fields, 'clinicId')];
    setSay('');
    const answer = await sending<{ memberId: string }>('/api/v1/sign-in', {
      email: textOf(fields, 'email'),
      password: textOf(fields, 'password'),
      ...(code === '' ? {} : { code }),
      ...(clinicId === '' ? {} : { clinicId }),
    });
    if (!answer) return;
    if (answer.ok) return whenDone(answer.value.memberId);
    const at = String(answer.at[0] ?? '');
    const asksMore = (at === 'code' && !asksCode) || (at === 'clinicId' && clinics.length === 0);
    if (at === 'code') setAsksCode(true);
    if (at === 'clinicId')
      setClinics(Object.entries(answer.details).map(([id, name]) => [id, String(name)]));
    // The password was right: what else is wanted is asked for, and nothing is wrong.
    if (asksMore) return setWrongAt('');
    setWrongAt(at);
    setSay(answer.say);
  }

  return (
    <Form onSubmit={onSubmit} className="grid gap-4" noValidate>
      <Refusal say={say} />
      <Field label="E-mail address" name="email" type="email" autoComplete="username" required />
      <Field
        label="Password"
        name="password"
        type="password"
        autoComplete="current-password"
        required
      />
      {clinics.length > 0 && (
        <Choice
          label="Clinic"
          name="clinicId"
          hint="This address works in several clinics."
          error={wrongAt === 'clinicId' ? say : ''}
        >
          {clinics.map(([id, name]) => (
            <option key={id} value={id}>
              {name}
            </option>
          ))}
        </Choice>
      )}
      {asksCode && (
        <Field
          label="Code"
          name="code"
          autoComplete="one-time-code"
          autoFocus
          hint="From the app on your phone, or a backup code."
          error={wrongAt === 'code' ? say : ''}
        />
      )}
      <Button type="submit" look="main" disabled={busy} className="justify-self-start">
        {busy ? 'Signing in …' : 'Sign in'}
      </Button>
    </Form>
  );
}

/** A full load, so that nothing of an earlier person stays in the browser. */
const toStart = () => window.location.assign('/');
