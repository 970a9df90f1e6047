'use client';

import { useRouter } from 'next/navigation';
import { toast } from 'sonner';
import { Button } from '../primitives/button';
import { Field } from '../primitives/field';
import { Refusal } from './refusal';
import { numberOf, textOf, useForm } from './use-form';
import { ZoneChoice } from './zones';

type Clinic = {
  readonly name: string;
  readonly phone: string;
  readonly emergencyText: string;
  readonly zone: string;
  readonly screeningDays: number;
};

export function ClinicForm({ clinic, zones }: { clinic: Clinic; zones: readonly string[] }) {
  const router = useRouter();
  const form = useForm(
    '/api/v1/clinic',
    (fields) => ({
      name: textOf(fields, 'name'),
      phone: textOf(fields, 'phone'),
      emergencyText: textOf(fields, 'emergencyText'),
      zone: textOf(fields, 'zone'),
      screeningDays: numberOf(fields, 'screeningDays'),
    }),
    () => {
      toast('Saved.');
      router.refresh();
    },
  );
  return (
    <form onSubmit={form.onSubmit} className="grid gap-4" noValidate>
      <Refusal say={form.say} />
      <Field
        label="Clinic’s name"
        name="name"
        defaultValue={clinic.name}
        error={form.errorAt('name')}
      />
      <Field
        label="Phone number for patients"
        name="phone"
        type="tel"
        defaultValue={clinic.phone}
        error={form.errorAt('phone')}
      />
      <Field
        label="In an emergency"
        name="emergencyText"
        defaultValue={clinic.emergencyText}
        hint="Your own words with the local number; shown to a patient who stops."
        error={form.errorAt('emergencyText')}
      />
      <ZoneChoice zones={zones} start={clinic.zone} error={form.errorAt('zone')} />
      <Field
        label="Days until a screening is redone"
        name="screeningDays"
        type="number"
        min={1}
        max={730}
        defaultValue={clinic.screeningDays}
        error={form.errorAt('screeningDays')}
      />
      <Button type="submit" disabled={form.busy} className="justify-self-start">
        Save the clinic
      </Button>
    </form>
  );
}
