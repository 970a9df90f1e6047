'use client';

import { useRouter } from 'next/navigation';
import { toast } from '../primitives/toast';
import { LIMIT_WORDS, type TriageLimits } from '@/core/triage';
import { Refusal } from '../forms/refusal';
import { numberOf, useForm } from '../forms/use-form';
import { Button } from '../primitives/button';
import { Field } from '../primitives/field';
import { Form } from '../forms/form';

const FIELDS = Object.entries(LIMIT_WORDS) as [keyof TriageLimits, string][];

/** The clinic's own limits of triage. */
export function LimitsForm({ limits }: { limits: TriageLimits }) {
  const router = useRouter();
  const form = useForm(
    '/api/v1/triage/limits',
    (fields) => Object.fromEntries(FIELDS.map(([name]) => [name, numberOf(fields, name)])),
    () => {
      toast('Saved.');
      router.refresh();
    },
  );
  return (
    <Form onSubmit={form.onSubmit} className="grid gap-3" noValidate>
      <Refusal say={form.say} />
      <div className="grid items-end gap-3 sm:grid-cols-2 lg:grid-cols-4">
        {FIELDS.map(([name, label]) => (
          <Field
            key={name}
            label={label}
            name={name}
            type="number"
            defaultValue={limits[name]}
            error={form.errorAt(name)}
          />
        ))}
      </div>
      <Button type="submit" disabled={form.busy} className="justify-self-start">
        Save the limits
      </Button>
    </Form>
  );
}
