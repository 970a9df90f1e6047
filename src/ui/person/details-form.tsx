'use client';

import { useRouter } from 'next/navigation';
import { useState } from 'react';
import { toast } from '../primitives/toast';
import { REACHED_BY, SEXES } from '@/core/record-choices';
import type { PatientDetails } from '@/core/records';
import type { PatientId } from '@/core/units';
import { Refusal } from '../forms/refusal';
import { textOf, useForm } from '../forms/use-form';
import { Button } from '../primitives/button';
import { Choice, Field } from '../primitives/field';
import { Form } from '../forms/form';

const MOST_PHONES = 4;
const BY_WORDS = { phone: 'a call', text: 'a text', 'e-mail': 'an e-mail' } as const;

/** How a patient is reached, and who stands beside them. All of it may stay empty. */
export function DetailsForm({
  patientId,
  details,
  basedOn,
}: {
  patientId: PatientId;
  details: PatientDetails;
  /** When what is shown was written. */
  basedOn: number;
}) {
  const router = useRouter();
  const [rows, setRows] = useState(Math.max(1, details.phones.length));
  const form = useForm(
    '/api/v1/patients/details',
    (fields) => {
      const somebody = (who: string) => ({
        name: textOf(fields, `${who}-name`),
        phone: textOf(fields, `${who}-phone`),
        what: textOf(fields, `${who}-what`),
      });
      return {
        patientId,
        basedOn,
        details: {
          phones: Array.from({ length: rows }, (_, at) => ({
            number: textOf(fields, `phone-${at}`),
            what: textOf(fields, `phone-what-${at}`),
          })).filter(({ number, what }) => number.trim() !== '' || what.trim() !== ''),
          email: textOf(fields, 'email'),
          reachedBy: textOf(fields, 'by') || null,
          hours: textOf(fields, 'hours'),
          emergency: somebody('emergency'),
          guardian: somebody('guardian'),
          sex: textOf(fields, 'sex') || null,
          clinicNumber: textOf(fields, 'number'),
          referrer: { name: textOf(fields, 'referrer'), address: textOf(fields, 'referrer-at') },
        },
      };
    },
    () => {
      toast('Written.');
      router.refresh();
    },
  );
  const error = (...path: string[]) => form.errorAt('details', ...path);
  const somebody = (who: 'emergency' | 'guardian', title: string, whatLabel: string) => (
    <fieldset className="grid gap-2 sm:grid-cols-3">
      <legend className="pb-1 font-semibold">{title}</legend>
      <Field
        label="Name"
        name={`${who}-name`}
        dir="auto"
        autoComplete="off"
        defaultValue={details[who].name}
        error={error(who, 'name')}
      />
      <Field
        label="Telephone"
        name={`${who}-phone`}
        type="tel"
        autoComplete="off"
        defaultValue={details[who].phone}
        error={error(who, 'phone')}
      />
      <Field
        label={whatLabel}
        name={`${who}-what`}
        dir="auto"
        autoComplete="off"
        defaultValue={details[who].what}
        error={error(who, 'what')}
      />
    </fieldset>
  );
  return (
    <Form onSubmit={form.onSubmit} className="grid max-w-xl gap-5" noValidate>
      <Refusal say={form.say} />
      <fieldset className="grid gap-2">
        <legend className="pb-1 font-semibold">Telephone</legend>
        {Array.from({ length: rows }, (_, at) => (
          <div key={at} className="grid gap-2 sm:grid-cols-2">
            <Field
              label={at === 0 ? 'Number' : `Number ${at + 1}`}
              name={`phone-${at}`}
              type="tel"
              autoComplete="off"
              defaultValue={details.phones[at]?.number}
              error={error('phones', String(at), 'number')}
            />
            <Field
              label={at === 0 ? 'What number it is' : `What number ${at + 1} is`}
              name={`phone-what-${at}`}
              dir="auto"
              autoComplete="off"
              defaultValue={details.phones[at]?.what}
              error={error('phones', String(at), 'what')}
            />
          </div>
        ))}
        {rows < MOST_PHONES && (
          <Button type="button" className="justify-self-start" onClick={() => setRows(rows + 1)}>
            Another number
          </Button>
        )}
      </fieldset>
      <div className="grid gap-4 sm:grid-cols-2">
        <Field
          label="E-mail"
          name="email"
          type="email"
          autoComplete="off"
          defaultValue={details.email}
          error={error('email')}
        />
        <Choice label="Rather reached by" name="by" defaultValue={details.reachedBy ?? ''}>
          <option value="">not said</option>
          {REACHED_BY.map((by) => (
            <option key={by} value={by}>
              {BY_WORDS[by]}
            </option>
          ))}
        </Choice>
        <Field
          label="When"
          name="hours"
          dir="auto"
          autoComplete="off"
          defaultValue={details.hours}
          hint="In the patient’s words, such as “after six”."
          error={error('hours')}
        />
        <Field
          label="The clinic’s own number"
          name="number"
          autoComplete="off"
          defaultValue={details.clinicNumber}
          error={error('clinicNumber')}
        />
        <Choice
          label="Sex"
          name="sex"
          defaultValue={details.sex ?? ''}
          hint="As far as reference values need it; not asked shows both."
        >
          <option value="">not asked</option>
          {SEXES.map((sex) => (
            <option key={sex} value={sex}>
              {sex}
            </option>
          ))}
        </Choice>
      </div>
      {somebody('emergency', 'In an emergency', 'Relation')}
      {somebody('guardian', 'Guardian, for a minor', 'Relation')}
      <fieldset className="grid gap-2 sm:grid-cols-2">
        <legend className="pb-1 font-semibold">Referred by</legend>
        <Field
          label="Name"
          name="referrer"
          dir="auto"
          autoComplete="off"
          defaultValue={details.referrer.name}
          error={error('referrer', 'name')}
        />
        <Field
          label="Address"
          name="referrer-at"
          dir="auto"
          autoComplete="off"
          defaultValue={details.referrer.address}
          error={error('referrer', 'address')}
        />
      </fieldset>
      <Button type="submit" disabled={form.busy} className="justify-self-start">
        Write it down
      </Button>
    </Form>
  );
}
