'use client';

import { useRouter } from 'next/navigation';
import { useState } from 'react';
import { v4 as uuid } from 'uuid';
import type { PatientId } from '@/core/units';
import { useSend } from '../forms/use-send';
import { Button } from '../primitives/button';
import { Form } from '../forms/form';

/** Ends a review: the letter from the record, and at discharge the end of the episode. */
export function CloseReview({
  patientId,
  mayShare,
  version,
}: {
  patientId: PatientId;
  mayShare: boolean;
  /** The newest version; 0 without a programme. */
  version: number;
}) {
  const router = useRouter();
  const [kind, setKind] = useState<'review' | 'discharge'>('review');
  const [forReferrer, setForReferrer] = useState(false);
  const [words, setWords] = useState('');
  const [id, setId] = useState(() => uuid());
  const { busy, send } = useSend();
  const [say, setSay] = useState('');

  async function sign() {
    setSay('');
    const letter = { id, patientId, kind, words, forReferrer };
    await send<{ id: string }>('/api/v1/letters', letter, {
      done: (signed) => {
        setId(uuid());
        router.push(`/patients/${patientId}/review/${signed.id}`);
      },
      refused: (answer) => setSay(answer.say),
    });
  }
  async function keepGoing() {
    await send<{ number: number }>(
      '/api/v1/keep-going',
      { patientId, basedOn: version },
      {
        said: ({ number }) => `Version ${number}: the keep-going programme.`,
      },
    );
  }

  return (
    <Form
      className="grid gap-3"
      onSubmit={(event) => {
        event.preventDefault();
        void sign();
      }}
    >
      <fieldset className="flex flex-wrap gap-4">
        <legend className="sr-only">What follows</legend>
        {(
          [
            ['review', 'The plan goes on'],
            ['discharge', 'Discharge: the episode of care ends'],
          ] as const
        ).map(([value, label]) => (
          <label key={value} className="flex items-center gap-2">
            <input
              type="radio"
              name="kind"
              value={value}
              checked={kind === value}
              onChange={() => setKind(value)}
            />
            {label}
          </label>
        ))}
      </fieldset>
      {kind === 'discharge' && version > 0 && (
        <p className="flex flex-wrap items-center gap-3">
          <span>
            The newest version stays on the patient’s phone. To keep going, every line once a day,
            every other day, without an end:
          </span>
          <Button disabled={busy} onClick={() => void keepGoing()}>
            Write the keep-going programme
          </Button>
        </p>
      )}
      <label className="flex items-center gap-2">
        <input
          type="checkbox"
          checked={forReferrer}
          disabled={!mayShare}
          onChange={(event) => setForReferrer(event.target.checked)}
        />
        For the one who referred
        {!mayShare && (
          <span className="text-soft">(the patient has not agreed to sharing yet)</span>
        )}
      </label>
      <label className="grid gap-1">
        <span className="font-medium">Your words, beside the numbers</span>
        <textarea
          className="min-h-20 w-full rounded border border-edge bg-sheet px-2.5 py-1.5"
          value={words}
          maxLength={2000}
          onChange={(event) => setWords(event.target.value)}
        />
      </label>
      {say !== '' && (
        <p role="alert" className="font-semibold text-stop">
          {say}
        </p>
      )}
      <Button type="submit" look="main" disabled={busy} className="justify-self-start">
        {kind === 'discharge' ? 'Sign the letter and discharge' : 'Sign the letter'}
      </Button>
    </Form>
  );
}
