'use client';

import { useRouter } from 'next/navigation';
import { useState } from 'react';
import { toast } from '../primitives/toast';
import { v4 as uuid } from 'uuid';
import { SCREENING_ACTIONS } from '@/core/record-choices';
import type { PatientId, ScreeningId } from '@/core/units';
import { Refusal } from '../forms/refusal';
import { textOf, useForm } from '../forms/use-form';
import { Button } from '../primitives/button';
import { Choice, Field } from '../primitives/field';
import { Form } from '../forms/form';

/** What was done about a screening that blocks, and why; a practitioner signs it. */
export function DecisionForm({
  patientId,
  screeningId,
}: {
  patientId: PatientId;
  screeningId: ScreeningId;
}) {
  const router = useRouter();
  const [id, setId] = useState(() => uuid());
  const form = useForm(
    '/api/v1/screenings/decide',
    (fields) => ({
      id,
      patientId,
      screeningId,
      action: textOf(fields, 'action'),
      what: textOf(fields, 'what'),
      why: textOf(fields, 'why'),
      mayPrescribe: fields.get('mayPrescribe') === 'on',
    }),
    () => {
      setId(uuid());
      toast('Recorded.');
      router.refresh();
    },
  );
  return (
    // A recorded decision leaves an empty form behind.
    <Form key={id} onSubmit={form.onSubmit} className="grid max-w-xl gap-3" noValidate>
      <Choice label="What was done" name="action" defaultValue="" error={form.errorAt('action')}>
        <option value="" disabled>
          Choose …
        </option>
        {SCREENING_ACTIONS.map((action) => (
          <option key={action}>{action}</option>
        ))}
      </Choice>
      <Field label="In your words" name="what" dir="auto" error={form.errorAt('what')} />
      <Field
        label="Why"
        name="why"
        dir="auto"
        hint="What you found, whom you asked, which local rule you followed."
        error={form.errorAt('why')}
      />
      <label className="flex items-center gap-2">
        <input type="checkbox" name="mayPrescribe" className="size-4" />
        Prescribing may go on, on my judgement
      </label>
      <Refusal say={form.say} />
      <Button type="submit" disabled={form.busy} className="justify-self-start">
        Record
      </Button>
    </Form>
  );
}
