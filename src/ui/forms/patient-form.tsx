'use client';

import { useRouter } from 'next/navigation';
import { useState } from 'react';
import { v4 as uuid } from 'uuid';
import { Button } from '../primitives/button';
import { Field } from '../primitives/field';
import { Refusal } from './refusal';
import { textOf, useForm } from './use-form';
import { ZoneChoice } from './zones';

/** Minutes of the day from "07:30"; NaN, which the server refuses with a sentence, otherwise. */
function minuteOf(time: string): number {
  const [hours, minutes] = time.split(':').map(Number);
  return (hours ?? Number.NaN) * 60 + (minutes ?? Number.NaN);
}

export function PatientForm({ zones, zone }: { zones: readonly string[]; zone: string }) {
  const router = useRouter();
  // Made here, so that sending twice makes one patient.
  const [id] = useState(() => uuid());
  const form = useForm<{ id: string }>(
    '/api/v1/patients',
    (fields) => ({
      id,
      name: textOf(fields, 'name'),
      complaint: textOf(fields, 'complaint'),
      zone: textOf(fields, 'zone'),
      wakeMinute: minuteOf(textOf(fields, 'wake')),
      sleepMinute: minuteOf(textOf(fields, 'sleep')),
      contact: textOf(fields, 'contact'),
      birthDate: textOf(fields, 'birth') === '' ? null : textOf(fields, 'birth'),
      minutesADay: textOf(fields, 'minutes') === '' ? null : Number(textOf(fields, 'minutes')),
    }),
    (patient) => router.push(`/patients/${patient.id}/screen`),
  );
  return (
    <form onSubmit={form.onSubmit} className="mt-4 grid gap-4" noValidate>
      <Refusal say={form.say} />
      <Field
        label="Name"
        name="name"
        autoComplete="off"
        autoFocus
        dir="auto"
        error={form.errorAt('name')}
      />
      <Field
        label="Complaint"
        name="complaint"
        autoComplete="off"
        dir="auto"
        hint="What this episode of care is about, in a few words."
        error={form.errorAt('complaint')}
      />
      <div className="grid grid-cols-2 gap-4 sm:grid-cols-3">
        <Field
          label="Gets up at"
          name="wake"
          type="time"
          defaultValue="07:00"
          error={form.errorAt('wakeMinute')}
        />
        <Field
          label="Goes to bed at"
          name="sleep"
          type="time"
          defaultValue="22:00"
          error={form.errorAt('sleepMinute')}
        />
        <Field
          label="Minutes a day"
          name="minutes"
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
        type="date"
        hint="If you write it, the phone asks for it before it shows how things are going."
        error={form.errorAt('birthDate')}
      />
      <Field
        label="How to reach the patient"
        name="contact"
        autoComplete="off"
        dir="auto"
        hint="A telephone number or an address, for the clinic alone."
        error={form.errorAt('contact')}
      />
      <ZoneChoice zones={zones} start={zone} error={form.errorAt('zone')} />
      <Button type="submit" look="main" disabled={form.busy} className="justify-self-start">
        {form.busy ? 'Adding …' : 'Add and write the programme'}
      </Button>
    </form>
  );
}
