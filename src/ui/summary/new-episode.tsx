'use client';

import { useRouter } from 'next/navigation';
import { useState } from 'react';
import { v4 as uuid } from 'uuid';
import type { PatientId } from '@/core/units';
import { Refusal } from '../forms/refusal';
import { textOf, useForm } from '../forms/use-form';
import { Button } from '../primitives/button';
import { Field } from '../primitives/field';
import { AreaChoice } from '../forms/area-choice';
import { Form } from '../forms/form';

/** Another complaint, after the others or beside them: an episode begins, with a screening of its own. */
export function NewEpisode({
  patientId,
  isBeside,
}: {
  patientId: PatientId;
  /** Another one is treated already. */
  isBeside: boolean;
}) {
  const router = useRouter();
  const [id] = useState(() => uuid());
  const form = useForm(
    '/api/v1/episodes',
    (fields) => ({
      id,
      patientId,
      complaint: textOf(fields, 'complaint'),
      area: textOf(fields, 'area') || null,
    }),
    () => {
      router.push(`/patients/${patientId}/screen`);
      // The head of the file stays from page to page: it is of another complaint now.
      router.refresh();
    },
  );
  return (
    <Form onSubmit={form.onSubmit} className="grid gap-2 border-t border-hair pt-3" noValidate>
      <h3 className="font-semibold">
        {isBeside ? 'Another complaint at the same time' : 'Back with another complaint'}
      </h3>
      <p className="text-soft">
        {isBeside
          ? 'It begins an episode of its own: screened again, with its own measures, lines and verdict. The exercises of both stand on one phone, each for its own complaint, and pain is asked of each.'
          : 'It begins an episode of its own: screened again, with its own findings, programme and verdict. What was before stays here to read.'}
      </p>
      <Field
        label={isBeside ? 'The other complaint' : 'Complaint'}
        name="complaint"
        dir="auto"
        autoComplete="off"
        error={form.errorAt('complaint')}
      />
      <AreaChoice start="" error={form.errorAt('area')} />
      <Refusal say={form.say} />
      <Button type="submit" look="main" disabled={form.busy} className="justify-self-start">
        Begin the episode
      </Button>
    </Form>
  );
}
