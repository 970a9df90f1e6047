'use client';

import { useRouter } from 'next/navigation';
import { useState } from 'react';
import { newId } from '../forms/new-id';
import { toast } from '../primitives/toast';
import type { ConsentBody, KeptFields } from '@/core/records';
import { type LocalDate, type PatientId, shortDay } from '@/core/units';
import { KeptLine } from '../forms/kept-line';
import { useKeptForm } from '../forms/use-kept-form';
import { Refusal } from '../forms/refusal';
import { textOf, useForm } from '../forms/use-form';
import { Button } from '../primitives/button';
import { Field } from '../primitives/field';
import { Form } from '../forms/form';

const ASKED = [
  ['exercise', 'To exercise at home: risk and stop signs were explained'],
  ['photos', 'To photos of posture, kept here only'],
  ['sharing', 'To share the record with other clinicians of this patient'],
  [
    'learning',
    'To learn from my course: counted with others, without a name, by this clinic alone',
  ],
] as const;

/** Consent to exercise, photos, sharing and learning, each apart; a guardian's for a minor. */
export function ConsentForm({
  patientId,
  today,
  before,
  kept,
}: {
  patientId: PatientId;
  today: string;
  before: { id: string; on: LocalDate; body: ConsentBody } | null;
  /** As far as it was filled in before the page was left. */
  kept: KeptFields | null;
}) {
  const router = useRouter();
  const ticked = (name: keyof ConsentBody) =>
    kept ? kept[name] === 'on' : before?.body[name] === true;
  const [minor, setMinor] = useState(ticked('minor'));
  const draft = useKeptForm({ patientId, kind: 'consent' });
  const form = useForm(
    '/api/v1/entries',
    (fields) => ({
      id: newId(),
      patientId,
      kind: 'consent',
      supersedes: before?.id ?? null,
      on: today,
      body: {
        ...Object.fromEntries(ASKED.map(([key]) => [key, fields.get(key) === 'on'])),
        minor,
        guardian: minor ? textOf(fields, 'guardian') : '',
      },
    }),
    () => {
      draft.forget();
      toast('Consent recorded.');
      router.refresh();
    },
  );
  return (
    <Form
      onSubmit={form.onSubmit}
      onInput={draft.onInput}
      className="grid gap-2"
      noValidate
      key={before?.id ?? 'first'}
    >
      {ASKED.map(([key, words]) => (
        <label key={key} className="flex items-start gap-2">
          <input
            type="checkbox"
            name={key}
            defaultChecked={ticked(key)}
            className="mt-1 size-4 shrink-0"
          />
          {words}
        </label>
      ))}
      <label className="flex items-start gap-2">
        <input
          type="checkbox"
          name="minor"
          checked={minor}
          onChange={(event) => setMinor(event.target.checked)}
          className="mt-1 size-4 shrink-0"
        />
        A minor by local law: a guardian consents
      </label>
      {minor && (
        <Field
          label="Guardian’s name"
          name="guardian"
          dir="auto"
          defaultValue={kept?.guardian ?? before?.body.guardian}
          error={form.errorAt('body', 'guardian')}
        />
      )}
      <Refusal say={form.say} />
      <input type="hidden" name="before" value={before?.id ?? ''} />
      <KeptLine state={draft.state} wasKept={kept !== null} />
      <Button type="submit" disabled={form.busy} className="justify-self-start">
        Record the consent
      </Button>
      {before && <p className="text-small text-soft">Last recorded on {shortDay(before.on)}.</p>}
    </Form>
  );
}
