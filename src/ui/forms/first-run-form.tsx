'use client';

import { useEffect, useState } from 'react';
import { v4 as uuid } from 'uuid';
import { Button } from '../primitives/button';
import { Field } from '../primitives/field';
import { Refusal } from './refusal';
import { textOf, useForm } from './use-form';
import { ZoneChoice } from './zones';
import { Form } from './form';

export function FirstRunForm({ zones, zone }: { zones: readonly string[]; zone: string }) {
  const [leadId] = useState(() => uuid());
  const [code, setCode] = useState('');
  const [guessed, setGuessed] = useState(zone);
  // The terminal's address carries the code behind the #, which no server is told.
  useEffect(() => {
    const carried = decodeURIComponent(window.location.hash.slice(1));
    if (carried !== '') setCode(carried);
    const own = Intl.DateTimeFormat().resolvedOptions().timeZone;
    if (zones.includes(own)) setGuessed(own);
  }, [zones]);
  const form = useForm(
    '/api/v1/first-run',
    (fields) => ({
      code: textOf(fields, 'code'),
      clinic: {
        name: textOf(fields, 'clinic'),
        phone: textOf(fields, 'phone'),
        emergencyText: textOf(fields, 'emergencyText'),
        emergencyNumber: textOf(fields, 'emergencyNumber'),
        zone: textOf(fields, 'zone'),
      },
      lead: {
        id: leadId,
        name: textOf(fields, 'name'),
        email: textOf(fields, 'email'),
        password: textOf(fields, 'password'),
      },
    }),
    () => window.location.assign('/sign-in'),
  );
  return (
    <Form onSubmit={form.onSubmit} className="grid gap-4" noValidate>
      <Refusal say={form.say} />
      <Field
        label="Code from the terminal"
        name="code"
        value={code}
        onChange={({ target }) => setCode(target.value)}
        autoComplete="off"
        className="figures"
        error={form.errorAt('code')}
      />
      <Field
        label="Clinic"
        name="clinic"
        autoComplete="organization"
        error={form.errorAt('clinic', 'name')}
      />
      <Field
        label="Phone number for patients"
        name="phone"
        type="tel"
        hint="Shown to a patient who is to call you."
        error={form.errorAt('clinic', 'phone')}
      />
      <Field
        label="In an emergency"
        name="emergencyText"
        hint="Your own words with the local number, for instance: call 112."
        error={form.errorAt('clinic', 'emergencyText')}
      />
      <Field
        label="Emergency number"
        name="emergencyNumber"
        type="tel"
        hint="Dialled by one touch from the stop screen; may stay empty."
        error={form.errorAt('clinic', 'emergencyNumber')}
      />
      <ZoneChoice
        key={guessed}
        zones={zones}
        start={guessed}
        error={form.errorAt('clinic', 'zone')}
      />
      <h2 className="mt-2 text-lg">The clinic’s lead</h2>
      <Field label="Name" name="name" autoComplete="name" error={form.errorAt('lead', 'name')} />
      <Field
        label="E-mail address"
        name="email"
        type="email"
        autoComplete="username"
        error={form.errorAt('lead', 'email')}
      />
      <Field
        label="Password"
        name="password"
        type="password"
        autoComplete="new-password"
        hint="At least 10 characters."
        error={form.errorAt('lead', 'password')}
      />
      <Button type="submit" look="main" disabled={form.busy} className="justify-self-start">
        {form.busy ? 'Setting up …' : 'Set up the clinic'}
      </Button>
    </Form>
  );
}
