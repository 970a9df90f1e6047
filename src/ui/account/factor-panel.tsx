'use client';

import { QuietLink } from '@/ui/primitives/quiet-link';
import { useRouter } from 'next/navigation';
import { useState } from 'react';
import { toast } from '../primitives/toast';
import { Refusal } from '../forms/refusal';
import { textOf, useForm } from '../forms/use-form';
import { Button, buttonClass } from '../primitives/button';
import { Field } from '../primitives/field';
import { BackupCodes } from './backup-codes';
import { Form } from '../forms/form';

/** How the own second factor stands, and what can be done about it. */
export function FactorPanel({
  since,
  left,
  required,
}: {
  /** When it was set up, in words; null where there is none. */
  since: string | null;
  left: number;
  required: boolean;
}) {
  const [codes, setCodes] = useState<readonly string[] | null>(null);
  if (since === null)
    return (
      <div className="grid justify-items-start gap-2">
        <p>
          Not set up. With it, a stolen password alone opens nothing: signing in also asks for a
          code from your phone.
        </p>
        <QuietLink href="/account/second-factor" className={buttonClass()}>
          Set up a second factor
        </QuietLink>
      </div>
    );
  if (codes) return <BackupCodes codes={codes} onKept={() => setCodes(null)} />;
  return (
    <div className="grid gap-3">
      <p>
        Set up on {since}. {left} {left === 1 ? 'backup code is' : 'backup codes are'} left
        {required && '; your clinic wants a second factor from everybody'}.
      </p>
      <WithPassword
        what="Make new backup codes"
        path="/api/v1/account/factor/codes"
        onDone={setCodes}
      />
      <WithPassword what="Take the second factor away" path="/api/v1/account/factor/remove" />
    </div>
  );
}

/** Something that asks for the own password first. */
function WithPassword({
  what,
  path,
  onDone,
}: {
  what: string;
  path: string;
  onDone?: (codes: readonly string[]) => void;
}) {
  const router = useRouter();
  const form = useForm<{ codes?: readonly string[] } | null>(
    path,
    (fields) => ({ password: textOf(fields, 'password') }),
    (value) => {
      if (value?.codes) onDone?.(value.codes);
      else toast('Taken away.');
      router.refresh();
    },
  );
  return (
    <details className="border-l-2 border-hair pl-3">
      <summary className="cursor-pointer text-action">{what}</summary>
      <Form onSubmit={form.onSubmit} className="grid max-w-md gap-3 pt-2" noValidate>
        <Refusal say={form.say} />
        <Field
          label="Your password"
          name="password"
          type="password"
          autoComplete="current-password"
          error={form.errorAt('password')}
        />
        <Button type="submit" disabled={form.busy} className="justify-self-start">
          {what}
        </Button>
      </Form>
    </details>
  );
}
