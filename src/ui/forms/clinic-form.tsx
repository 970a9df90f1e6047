'use client';

import { useRouter } from 'next/navigation';
import { toast } from '../primitives/toast';
import { type OpeningHours, sayOpenTimes } from '@/core/opening-hours';
import { WEEKDAYS, type Weekday } from '@/core/units';
import { Button } from '../primitives/button';
import { Field } from '../primitives/field';
import { Refusal } from './refusal';
import { numberOf, textOf, useForm } from './use-form';
import { ZoneChoice } from './zones';
import { Form } from './form';

type Clinic = {
  readonly name: string;
  readonly phone: string;
  readonly emergencyText: string;
  readonly zone: string;
  readonly screeningDays: number;
  readonly emergencyNumber: string;
  readonly afterHoursPhone: string;
  readonly openingHours: OpeningHours;
  readonly readsReports: string;
};

const DAYS: Readonly<Record<Weekday, string>> = {
  mon: 'Monday',
  tue: 'Tuesday',
  wed: 'Wednesday',
  thu: 'Thursday',
  fri: 'Friday',
  sat: 'Saturday',
  sun: 'Sunday',
};

export function ClinicForm({ clinic, zones }: { clinic: Clinic; zones: readonly string[] }) {
  const router = useRouter();
  const form = useForm(
    '/api/v1/clinic',
    (fields) => ({
      name: textOf(fields, 'name'),
      phone: textOf(fields, 'phone'),
      emergencyText: textOf(fields, 'emergencyText'),
      emergencyNumber: textOf(fields, 'emergencyNumber'),
      afterHoursPhone: textOf(fields, 'afterHoursPhone'),
      openingHours: Object.fromEntries(WEEKDAYS.map((day) => [day, textOf(fields, day)])),
      readsReports: textOf(fields, 'readsReports'),
      zone: textOf(fields, 'zone'),
      screeningDays: numberOf(fields, 'screeningDays'),
    }),
    () => {
      toast('Saved.');
      router.refresh();
    },
  );
  return (
    <Form onSubmit={form.onSubmit} className="grid gap-4" noValidate>
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
      <Field
        label="Emergency number"
        name="emergencyNumber"
        type="tel"
        defaultValue={clinic.emergencyNumber}
        hint="Dialled by one touch from the stop screen. Left empty, only your words stand there."
        error={form.errorAt('emergencyNumber')}
      />
      <fieldset className="grid gap-2">
        <legend className="font-medium">When the phone is answered</legend>
        <p className="text-small text-soft">
          Such as 08:00–12:00, 13:00–18:00; empty for closed. A patient who stops reads whether it
          is answered now.
        </p>
        <div className="grid gap-x-4 gap-y-1 sm:grid-cols-2">
          {WEEKDAYS.map((day) => (
            <Field
              key={day}
              label={DAYS[day]}
              name={day}
              defaultValue={sayOpenTimes(clinic.openingHours[day] ?? [])}
              autoComplete="off"
              error={form.errorAt('openingHours', day)}
            />
          ))}
        </div>
      </fieldset>
      <Field
        label="Number while it is closed"
        name="afterHoursPhone"
        type="tel"
        defaultValue={clinic.afterHoursPhone}
        hint="A colleague, or your region’s medical line. Left empty, the clinic’s own number stands there."
        error={form.errorAt('afterHoursPhone')}
      />
      <Field
        label="Who reads what is told, and when"
        name="readsReports"
        defaultValue={clinic.readsReports}
        hint="Such as: Pia, on working days at 8 and at 13. Patients read it when they stop."
        error={form.errorAt('readsReports')}
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
    </Form>
  );
}
