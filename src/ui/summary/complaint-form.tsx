'use client';

import { useRouter } from 'next/navigation';
import { useState } from 'react';
import { toast } from '../primitives/toast';
import { v4 as uuid } from 'uuid';
import type { PatientId } from '@/core/units';
import { Refusal } from '../forms/refusal';
import { textOf, useForm } from '../forms/use-form';
import { Button } from '../primitives/button';
import { Field } from '../primitives/field';
import { AreaChoice } from '../forms/area-choice';
import type { ShownEpisode } from './types';
import { Form } from '../forms/form';

/** Puts right what the open episode is about; what stood there before is kept with the record. */
export function ComplaintForm({
  patientId,
  episode,
}: {
  patientId: PatientId;
  episode: ShownEpisode;
}) {
  const router = useRouter();
  const [id, setId] = useState(() => uuid());
  const { complaint, area } = episode;
  const form = useForm(
    '/api/v1/episodes/complaint',
    (fields) => ({
      id,
      patientId,
      episodeId: episode.id,
      complaint: textOf(fields, 'complaint'),
      area: textOf(fields, 'area') || null,
      was: { complaint, area },
    }),
    () => {
      setId(uuid());
      toast('Put right. What stood there before is kept with the record.');
      router.refresh();
    },
  );
  return (
    <details>
      <summary className="text-action">Put the complaint right</summary>
      <Form onSubmit={form.onSubmit} className="grid gap-2 pt-2" noValidate>
        <Field
          label="Complaint"
          name="complaint"
          dir="auto"
          autoComplete="off"
          defaultValue={complaint}
          error={form.errorAt('complaint')}
        />
        <AreaChoice start={area ?? ''} error={form.errorAt('area')} />
        <Refusal say={form.say} />
        <Button type="submit" disabled={form.busy} className="justify-self-start">
          Put right
        </Button>
      </Form>
    </details>
  );
}
