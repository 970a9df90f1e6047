'use client';

import { useRouter } from 'next/navigation';
import { useState } from 'react';
import { toast } from '../primitives/toast';
import type { MailDraft } from '@/core/records';
import { Refusal } from '../forms/refusal';
import { numberOf, textOf, useForm } from '../forms/use-form';
import { useSend } from '../forms/use-send';
import { Button } from '../primitives/button';
import { Choice, Field } from '../primitives/field';
import { Form } from '../forms/form';

const SECURITY = {
  starttls: 'begins open, then STARTTLS (port 587)',
  tls: 'TLS from the first byte (port 465)',
  none: 'not protected (only within this house)',
} as const;

/** The clinic's own mail server, and a test of it. */
export function MailForm({
  start,
}: {
  start: (Omit<MailDraft, 'password'> & { readonly hasPassword: boolean }) | null;
}) {
  const router = useRouter();
  const { busy, send } = useSend();
  const [said, setSaid] = useState('');
  const form = useForm(
    '/api/v1/clinic/mail',
    (fields) => ({
      on: fields.get('on') === 'on',
      host: textOf(fields, 'host'),
      port: numberOf(fields, 'port'),
      security: textOf(fields, 'security'),
      user: textOf(fields, 'user'),
      password: textOf(fields, 'password'),
      from: textOf(fields, 'from'),
      mostADay: numberOf(fields, 'mostADay'),
    }),
    () => {
      setSaid('');
      toast('Saved.');
      router.refresh();
    },
  );
  return (
    <Form onSubmit={form.onSubmit} className="grid max-w-xl gap-4" noValidate>
      <Refusal say={form.say} />
      <label className="flex items-center gap-2">
        <input
          type="checkbox"
          name="on"
          defaultChecked={start?.on ?? false}
          className="size-4 shrink-0"
        />
        Reminders by e-mail leave by this server
      </label>
      <div className="grid grid-cols-[minmax(0,1fr)_7rem] gap-4">
        <Field
          label="Mail server"
          name="host"
          autoComplete="off"
          defaultValue={start?.host}
          error={form.errorAt('host')}
        />
        <Field
          label="Port"
          name="port"
          inputMode="numeric"
          defaultValue={start?.port ?? 587}
          error={form.errorAt('port')}
        />
      </div>
      <Choice
        label="The way there"
        name="security"
        defaultValue={start?.security ?? 'starttls'}
        error={form.errorAt('security')}
      >
        {Object.entries(SECURITY).map(([security, words]) => (
          <option key={security} value={security}>
            {words}
          </option>
        ))}
      </Choice>
      <div className="grid gap-4 sm:grid-cols-2">
        <Field
          label="User"
          name="user"
          autoComplete="off"
          defaultValue={start?.user}
          error={form.errorAt('user')}
        />
        <Field
          label="Password"
          name="password"
          type="password"
          autoComplete="new-password"
          hint={start?.hasPassword ? 'Empty keeps the one that is set.' : ''}
          error={form.errorAt('password')}
        />
        <Field
          label="Sent from"
          name="from"
          type="email"
          autoComplete="off"
          defaultValue={start?.from}
          error={form.errorAt('from')}
        />
        <Field
          label="At most a day"
          name="mostADay"
          inputMode="numeric"
          defaultValue={start?.mostADay ?? 200}
          error={form.errorAt('mostADay')}
        />
      </div>
      <div className="flex flex-wrap gap-3">
        <Button type="submit" disabled={form.busy}>
          Save
        </Button>
        {start && (
          <Button
            type="button"
            disabled={busy}
            onClick={() =>
              void send<{ say: string }>(
                '/api/v1/clinic/mail/test',
                { test: true },
                { done: ({ say }) => setSaid(say) },
              )
            }
          >
            {busy ? 'Sending …' : 'Send a test to me'}
          </Button>
        )}
      </div>
      <p role="status">{said}</p>
    </Form>
  );
}
