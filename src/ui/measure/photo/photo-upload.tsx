'use client';

import { useRouter } from 'next/navigation';
import { useState } from 'react';
import { v4 as uuid } from 'uuid';
import type { PatientId } from '@/core/units';
import { Refusal } from '../../forms/refusal';
import { Button } from '../../primitives/button';
import { Field } from '../../primitives/field';
import { useOneAtATime } from '../../forms/use-one-at-a-time';
import { sendPhoto } from './send-photo';
import { Form } from '../../forms/form';

/** Takes or chooses a side photo, and goes on to marking it. */
export function PhotoUpload({
  patientId,
  today,
  consented,
}: {
  patientId: PatientId;
  today: string;
  consented: boolean;
}) {
  const router = useRouter();
  const { busy, once } = useOneAtATime();
  // One for each photo of a day: sent again after a lost answer it is the same, another one is not.
  const [id, setId] = useState(() => uuid());
  const [say, setSay] = useState('');
  const [takenOn, setTakenOn] = useState(today);
  const [file, setFile] = useState<File | null>(null);

  async function send() {
    if (!file) return setSay('Choose a photo first.');
    setSay('');
    const answer = await once(() => sendPhoto(file, { id, patientId, takenOn }));
    if (!answer) return;
    if (!answer.ok) return setSay(answer.say);
    router.push(`/patients/${patientId}/measure/photos/${id}`);
    router.refresh();
  }

  if (!consented)
    return (
      <p className="text-soft">
        Consent for photos is not recorded. Ask for it under Screen, then take the photo.
      </p>
    );
  return (
    <Form
      className="grid gap-3"
      noValidate
      onSubmit={(event) => {
        event.preventDefault();
        void send();
      }}
    >
      <div className="flex flex-wrap items-end gap-3">
        <Field
          label="Side photo"
          type="file"
          accept="image/jpeg,image/png,image/webp"
          onChange={(event) => {
            setFile(event.target.files?.[0] ?? null);
            setId(uuid());
          }}
          hint="Ear, C7 and shoulder free, something upright or level in the picture."
        />
        <Field
          label="Taken on"
          type="date"
          max={today}
          value={takenOn}
          onChange={(event) => {
            setTakenOn(event.target.value);
            setId(uuid());
          }}
        />
      </div>
      <Refusal say={say} />
      <Button type="submit" look="main" disabled={busy} className="justify-self-start">
        {busy ? 'Sending …' : 'Send and mark it'}
      </Button>
    </Form>
  );
}
