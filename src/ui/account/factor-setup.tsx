'use client';

import { useRouter } from 'next/navigation';
import { useState } from 'react';
import { Refusal } from '../forms/refusal';
import { textOf, useForm } from '../forms/use-form';
import { QrCode } from '../handout/qr';
import { Button } from '../primitives/button';
import { Field } from '../primitives/field';
import { BackupCodes } from './backup-codes';
import { Form } from '../forms/form';

type Begun = { readonly secret: string; readonly address: string };

/** Sets up a second factor: the password, a code to scan, the first code typed, the backup codes shown once. */
export function FactorSetup() {
  const router = useRouter();
  const [begun, setBegun] = useState<Begun | null>(null);
  const [codes, setCodes] = useState<readonly string[] | null>(null);
  if (codes)
    return (
      <BackupCodes
        codes={codes}
        onKept={() => {
          router.push('/account');
          router.refresh();
        }}
      />
    );
  if (begun) return <FirstCode begun={begun} onCodes={setCodes} />;
  return <Begin onBegun={setBegun} />;
}

function Begin({ onBegun }: { onBegun: (begun: Begun) => void }) {
  const form = useForm<Begun>(
    '/api/v1/account/factor/begin',
    (fields) => ({ password: textOf(fields, 'password') }),
    onBegun,
  );
  return (
    <Form onSubmit={form.onSubmit} className="grid max-w-md gap-4" noValidate>
      <Refusal say={form.say} />
      <Field
        label="Your password"
        name="password"
        type="password"
        autoComplete="current-password"
        error={form.errorAt('password')}
      />
      <Button type="submit" look="main" disabled={form.busy} className="justify-self-start">
        Begin
      </Button>
    </Form>
  );
}

function FirstCode({
  begun,
  onCodes,
}: {
  begun: Begun;
  onCodes: (codes: readonly string[]) => void;
}) {
  const form = useForm<{ codes: readonly string[] }>(
    '/api/v1/account/factor/confirm',
    (fields) => ({ code: textOf(fields, 'code') }),
    (value) => onCodes(value.codes),
  );
  return (
    <Form onSubmit={form.onSubmit} className="grid max-w-md gap-4" noValidate>
      <Refusal say={form.say} />
      <p>Scan this with the app for one-time codes on your phone, or type the letters into it.</p>
      <QrCode
        text={begun.address}
        label="The second factor as a code to scan with the phone"
        className="w-56 rounded bg-white"
      />
      <p className="figures break-all rounded border border-hair bg-wash p-2 select-all">
        {begun.secret.match(/.{1,4}/g)?.join(' ')}
      </p>
      <Field
        label="The code it shows now"
        name="code"
        inputMode="numeric"
        autoComplete="one-time-code"
        autoFocus
        error={form.errorAt('code')}
      />
      <Button type="submit" look="main" disabled={form.busy} className="justify-self-start">
        Set it up
      </Button>
    </Form>
  );
}
