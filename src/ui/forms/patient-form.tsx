'use client';

import { clockMinute } from '@/core/units';
import { useRouter } from 'next/navigation';
import { useState } from 'react';
import { v4 as uuid } from 'uuid';
import { Button } from '../primitives/button';
import { Field } from '../primitives/field';
import type { KeptFields } from '@/core/records';
import { AreaChoice } from './area-choice';
import { KeptLine } from './kept-line';
import { Refusal } from './refusal';
import { useKeptForm } from './use-kept-form';
import { textOf, useForm } from './use-form';
import { ZoneChoice } from './zones';
import { Form } from './form';

export function PatientForm({
  zones,
  zone,
  kept,
}: {
  zones: readonly string[];
  zone: string;
  /** As far as it was filled in before the page was left. */
  kept: KeptFields | null;
}) {
  const router = useRouter();
  // Made here, so that sending twice makes one patient; kept with the form.
  const [id] = useState(() => kept?.id ?? uuid());
  const draft = useKeptForm({ kind: 'new patient' });
  const form = useForm<{ id: string }>(
    '/api/v1/patients',
    (fields) => ({
      id,
      name: textOf(fields, 'name'),
      complaint: textOf(fields, 'complaint'),
      area: textOf(fields, 'area') === '' ? null : textOf(fields, 'area'),
      another: fields.get('another') === 'on',
      zone: textOf(fields, 'zone'),
      wakeMinute: clockMinute(textOf(fields, 'wake')),
      sleepMinute: clockMinute(textOf(fields, 'sleep')),
      contact: textOf(fields, 'contact'),
      birthDate: textOf(fields, 'birth') === '' ? null : textOf(fields, 'birth'),
      minutesADay: textOf(fields, 'minutes') === '' ? null : Number(textOf(fields, 'minutes')),
    }),
    (patient) => {
      draft.forget();
      router.push(`/patients/${patient.id}/screen`);
    },
  );
  // Stays until it is sent: whoever was named as alike is looked at first.
  const alike = form.errorAt('another') !== '';
  return (
    <Form onSubmit={form.onSubmit} onInput={draft.onInput} className="mt-4 grid gap-4" noValidate>
      <input type="hidden" name="id" value={id} />
      <Refusal say={form.say} />
      {alike && (
        <label className="flex items-start gap-2">
          <input type="checkbox" name="another" className="mt-1 size-4 shrink-0" />
          This is another person
        </label>
      )}
      <Field
        label="Name"
        name="name"
        defaultValue={kept?.name}
        autoComplete="off"
        autoFocus
        dir="auto"
        error={form.errorAt('name')}
      />
      <Field
        label="Complaint"
        name="complaint"
        defaultValue={kept?.complaint}
        autoComplete="off"
        dir="auto"
        hint="What this episode of care is about, in a few words."
        error={form.errorAt('complaint')}
      />
      <AreaChoice start={kept?.area ?? ''} error={form.errorAt('area')} />
      <div className="grid grid-cols-2 gap-4 sm:grid-cols-3">
        <Field
          label="Gets up at"
          name="wake"
          type="time"
          defaultValue={kept?.wake ?? '07:00'}
          error={form.errorAt('wakeMinute')}
        />
        <Field
          label="Goes to bed at"
          name="sleep"
          type="time"
          defaultValue={kept?.sleep ?? '22:00'}
          error={form.errorAt('sleepMinute')}
        />
        <Field
          label="Minutes a day"
          name="minutes"
          defaultValue={kept?.minutes}
          type="number"
          inputMode="numeric"
          min={1}
          hint="What the patient says they have."
          error={form.errorAt('minutesADay')}
        />
      </div>
      <Field
        label="Birth date"
        name="birth"
        defaultValue={kept?.birth}
        type="date"
        hint="If you write it, the phone asks for it before it shows how things are going."
        error={form.errorAt('birthDate')}
      />
      <Field
        label="How to reach the patient"
        name="contact"
        defaultValue={kept?.contact}
        autoComplete="off"
        dir="auto"
        hint="A telephone number or an address, for the clinic alone."
        error={form.errorAt('contact')}
      />
      <ZoneChoice zones={zones} start={kept?.zone ?? zone} error={form.errorAt('zone')} />
      <KeptLine state={draft.state} wasKept={kept !== null} />
      <Button type="submit" look="main" disabled={form.busy} className="justify-self-start">
        {form.busy ? 'Adding …' : 'Add and write the programme'}
      </Button>
    </Form>
  );
}
