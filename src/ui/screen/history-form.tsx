'use client';

import { useMemo, useState } from 'react';
import type { HistoryBody, KeptHistory } from '@/core/records';
import { PROVOKED_BY, SETTLES_WITHIN, irritability } from '@/core/symptoms';
import type { PatientId } from '@/core/units';
import { newId } from '../forms/new-id';
import { useSend } from '../forms/use-send';
import { KEEP_WORDS, useVisitDraft } from '../forms/use-visit-draft';
import { Refusal } from '../forms/refusal';
import { Button } from '../primitives/button';
import { Choice, Field, TextField } from '../primitives/field';
import { Form } from '../forms/form';

const TEXTS = [
  ['onset', 'Onset', 'When and how it began.'],
  ['aggravates', 'Aggravates', ''],
  ['eases', 'Eases', ''],
  ['morning', 'Morning', ''],
  ['day', 'Through the day', ''],
  ['night', 'Night', ''],
  ['medicines', 'Medicines', ''],
  ['earlierCare', 'Earlier and current hands-on care', 'What was done, and what it did.'],
] as const satisfies readonly (readonly [keyof HistoryBody, string, string])[];

const EMPTY: HistoryBody = {
  onset: '',
  aggravates: '',
  eases: '',
  morning: '',
  day: '',
  night: '',
  medicines: '',
  earlierCare: '',
  irritability: null,
};

/** How it began, how it goes, and how easily it flares. */
export function HistoryForm({
  patientId,
  today,
  before,
  kept,
}: {
  patientId: PatientId;
  today: string;
  before: { id: string; on: string; body: HistoryBody } | null;
  /** As far as it was written before the page was left. */
  kept: KeptHistory | null;
}) {
  const saved = before?.body ?? EMPTY;
  const [body, setBody] = useState<HistoryBody>({ ...saved, ...kept?.body });
  const [provokedBy, setProvokedBy] = useState<string>(
    kept?.provokedBy ?? saved.irritability?.provokedBy ?? '',
  );
  const [worst, setWorst] = useState(kept?.worst ?? String(saved.irritability?.worst ?? ''));
  const [settlesWithin, setSettlesWithin] = useState<string>(
    kept?.settlesWithin ?? saved.irritability?.settlesWithin ?? '',
  );
  const written = useMemo(
    (): KeptHistory => ({ body, provokedBy, worst, settlesWithin, before: before?.id ?? null }),
    [body, provokedBy, worst, settlesWithin, before?.id],
  );
  const draft = useVisitDraft(patientId, 'history', written);
  const { busy, send } = useSend();
  const [refusal, setRefusal] = useState<{ say: string; at: string }>({ say: '', at: '' });

  const asked = provokedBy !== '' || worst.trim() !== '' || settlesWithin !== '';
  const facts = {
    provokedBy,
    worst: worst.trim() === '' ? Number.NaN : Number(worst),
    settlesWithin,
  } as NonNullable<HistoryBody['irritability']>;
  const whole = provokedBy !== '' && settlesWithin !== '' && facts.worst >= 0 && facts.worst <= 10;
  const reckoned = whole ? irritability(facts) : null;
  const errorAt = (path: string) => (refusal.at === path ? refusal.say : '');

  async function save() {
    const entry = {
      id: newId(),
      patientId,
      kind: 'history',
      supersedes: before?.id ?? null,
      on: today,
      body: { ...body, irritability: asked ? facts : null },
    };
    await send('/api/v1/entries', entry, {
      done: () => {
        draft.forget();
        setRefusal({ say: '', at: '' });
      },
      said: 'History saved.',
      refused: ({ say, at }) => setRefusal({ say, at: at.join('.') }),
    });
  }

  return (
    <Form
      className="grid gap-3"
      noValidate
      onSubmit={(event) => {
        event.preventDefault();
        void save();
      }}
    >
      <div className="grid gap-3 sm:grid-cols-2">
        {TEXTS.map(([key, label, hint]) => (
          <TextField
            key={key}
            label={label}
            hint={hint}
            rows={2}
            dir="auto"
            value={body[key]}
            onChange={(event) => setBody({ ...body, [key]: event.target.value })}
            error={errorAt(`body.${key}`)}
          />
        ))}
      </div>
      <fieldset className="grid gap-3 border-t border-hair pt-2">
        <legend className="float-left w-full font-semibold">Irritability</legend>
        <div className="grid gap-3 sm:grid-cols-3">
          <Choice
            label="Provoked by"
            value={provokedBy}
            onChange={(event) => setProvokedBy(event.target.value)}
            error={errorAt('body.irritability.provokedBy')}
          >
            <option value="">Not asked</option>
            {PROVOKED_BY.map((one) => (
              <option key={one}>{one}</option>
            ))}
          </Choice>
          <Field
            label="Worst pain then, 0–10"
            type="number"
            inputMode="numeric"
            min={0}
            max={10}
            value={worst}
            onChange={(event) => setWorst(event.target.value)}
            error={errorAt('body.irritability.worst')}
          />
          <Choice
            label="Settles within"
            value={settlesWithin}
            onChange={(event) => setSettlesWithin(event.target.value)}
            error={errorAt('body.irritability.settlesWithin')}
          >
            <option value="">Not asked</option>
            {SETTLES_WITHIN.map((one) => (
              <option key={one}>{one}</option>
            ))}
          </Choice>
        </div>
        <p role="status">
          {reckoned && (
            <>
              Irritability <strong className="font-semibold">{reckoned.level}</strong>:{' '}
              {reckoned.reasons.join(', ')} ({reckoned.points} of 6 points; common practice).
            </>
          )}
        </p>
      </fieldset>
      <Refusal say={refusal.say} />
      <p className="text-small text-soft" role="status">
        {KEEP_WORDS[draft.state]}
      </p>
      <Button type="submit" disabled={busy} className="justify-self-start">
        {before ? 'Save as the newest history' : 'Save the history'}
      </Button>
    </Form>
  );
}
