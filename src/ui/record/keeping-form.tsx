'use client';

import { useRouter } from 'next/navigation';
import { toast } from '../primitives/toast';
import { Refusal } from '../forms/refusal';
import { numberOf, textOf, useForm } from '../forms/use-form';
import { Button } from '../primitives/button';
import { Field, TextField } from '../primitives/field';
import { Form } from '../forms/form';

/** What a clinic sets about keeping records safe. */
export function KeepingForm({
  start,
}: {
  start: {
    readonly privacyText: string;
    readonly keepYears: number | null;
    readonly linkDays: number;
    readonly deviceDays: number;
    readonly factorRequired: boolean;
  };
}) {
  const router = useRouter();
  const form = useForm(
    '/api/v1/clinic/keeping',
    (fields) => ({
      privacyText: textOf(fields, 'privacyText'),
      keepYears: textOf(fields, 'keepYears').trim() === '' ? null : numberOf(fields, 'keepYears'),
      linkDays: numberOf(fields, 'linkDays'),
      deviceDays: numberOf(fields, 'deviceDays'),
      factorRequired: fields.get('factorRequired') === 'on',
    }),
    () => {
      toast('Saved.');
      router.refresh();
    },
  );
  return (
    <Form onSubmit={form.onSubmit} className="grid gap-4" noValidate>
      <Refusal say={form.say} />
      <TextField
        label="Notice to patients"
        name="privacyText"
        rows={8}
        dir="auto"
        defaultValue={start.privacyText}
        hint="In your own words: what you keep, why, how long, who sees it, whom to ask. Shown on the first opening on a phone, and under Settings."
        error={form.errorAt('privacyText')}
      />
      <Field
        label="Years a record is kept after its last entry"
        name="keepYears"
        type="number"
        min={1}
        max={100}
        className="max-w-32"
        defaultValue={start.keepYears ?? ''}
        hint="Empty: for ever. What is older is listed on this page; nothing is erased by itself. Your local rules say how long."
        error={form.errorAt('keepYears')}
      />
      <div className="grid gap-4 sm:grid-cols-2">
        <Field
          label="Days a new link can be opened"
          name="linkDays"
          type="number"
          min={1}
          max={1000}
          defaultValue={start.linkDays}
          error={form.errorAt('linkDays')}
        />
        <Field
          label="Days an unused phone stays signed in"
          name="deviceDays"
          type="number"
          min={1}
          max={1000}
          defaultValue={start.deviceDays}
          error={form.errorAt('deviceDays')}
        />
      </div>
      <label className="flex items-baseline gap-2">
        <input type="checkbox" name="factorRequired" defaultChecked={start.factorRequired} />
        Every member signs in with a second factor
      </label>
      <Button type="submit" disabled={form.busy} className="justify-self-start">
        Save these rules
      </Button>
    </Form>
  );
}
