'use client';

import { useState } from 'react';
import { v4 as uuid } from 'uuid';
import { ShownOnce } from '../account/handed-over';
import { Refusal } from '../forms/refusal';
import { textOf, useForm } from '../forms/use-form';
import { useSend } from '../forms/use-send';
import { Button } from '../primitives/button';
import { Field } from '../primitives/field';
import { useRouter } from 'next/navigation';
import { Form } from '../forms/form';

/** A key as the page shows it: moments in words. */
export type ShownKey = {
  readonly id: string;
  readonly name: string;
  readonly since: string;
  readonly used: string | null;
  readonly ended: string | null;
};

/** Keys by which the clinic's own programs read its records. */
export function ApiKeys({ keys }: { keys: readonly ShownKey[] }) {
  const router = useRouter();
  const { busy, send } = useSend();
  const [id, setId] = useState(() => uuid());
  const [token, setToken] = useState('');
  const form = useForm(
    '/api/v1/api-keys',
    (fields) => ({ id, name: textOf(fields, 'name') }),
    (value) => {
      setToken((value as { token: string }).token);
      setId(uuid());
      router.refresh();
    },
  );
  return (
    <div className="grid max-w-xl gap-4">
      {keys.length > 0 && (
        <ul className="divide-y divide-hair border-y border-hair">
          {keys.map((key) => (
            <li key={key.id} className="flex flex-wrap items-center gap-3 py-2">
              <span className="mr-auto">
                <bdi className="font-medium">{key.name}</bdi>
                <span className="block text-soft">
                  Made {key.since};{' '}
                  {key.ended !== null
                    ? `ended ${key.ended}`
                    : key.used === null
                      ? 'nothing was read by it yet'
                      : `last read ${key.used}`}
                </span>
              </span>
              {key.ended === null && (
                <Button
                  disabled={busy}
                  aria-label={`End the key ${key.name}`}
                  onClick={() =>
                    void send('/api/v1/api-keys/end', { id: key.id }, { said: 'The key is ended.' })
                  }
                >
                  End it
                </Button>
              )}
            </li>
          ))}
        </ul>
      )}
      {token !== '' && (
        <ShownOnce secret={token}>
          The key, shown once. Put it where the program keeps its secrets; whoever has it reads
          every record of the clinic.
        </ShownOnce>
      )}
      <Form onSubmit={form.onSubmit} className="grid gap-3" noValidate key={id}>
        <Field
          label="What the key is for"
          name="name"
          autoComplete="off"
          error={form.errorAt('name')}
        />
        <Refusal say={form.say} />
        <Button type="submit" disabled={form.busy} className="justify-self-start">
          Make a key
        </Button>
      </Form>
    </div>
  );
}
