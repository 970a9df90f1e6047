'use client';

import { useRouter } from 'next/navigation';
import { toast } from 'sonner';
import type { TriageLimits } from '@/core/triage';
import { Refusal } from '../forms/refusal';
import { numberOf, useForm } from '../forms/use-form';
import { Button } from '../primitives/button';
import { Field } from '../primitives/field';

const FIELDS: readonly (readonly [keyof TriageLimits, string])[] = [
  ['painOver', 'Call when pain is over (of 10)'],
  ['painTimes', '… on so many days'],
  ['painDays', '… of the last days'],
  ['flares', 'Call after next-morning flares'],
  ['spreadingDays', 'Call after days of spreading'],
  ['silentDays', 'Decide after silent days'],
  ['fallPercent', 'Decide when the dose done falls by (%)'],
  ['plateauWeeks', 'Decide after weeks without change'],
  ['unopenedDays', 'Decide after days of an unopened link'],
  ['escalateHours', 'An alert goes to the lead after hours'],
  ['goodSessions', 'Good days in a row before a line grows'],
  ['leastRungDays', 'Days on a step before the next'],
];

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
    <form onSubmit={form.onSubmit} className="grid gap-3" noValidate>
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
    </form>
  );
}
