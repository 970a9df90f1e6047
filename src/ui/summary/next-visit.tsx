'use client';

import { useRouter } from 'next/navigation';
import { useState } from 'react';
import { newId } from '../forms/new-id';
import { toast } from '../primitives/toast';
import { v4 as uuid } from 'uuid';
import { VISIT_WAYS } from '@/core/record-choices';
import type { NextVisitBody } from '@/core/records';
import { type LocalDate, type PatientId, clockText, clockMinute } from '@/core/units';
import { daySaid } from '@/core/visits';
import { Refusal } from '../forms/refusal';
import { textOf, useForm } from '../forms/use-form';
import { useSend } from '../forms/use-send';
import { Button } from '../primitives/button';
import { Choice, Field } from '../primitives/field';
import { Form } from '../forms/form';

/** When the patient comes next. It is a note of what was agreed, not an appointment book. */
export function NextVisit({
  patientId,
  today,
  next,
}: {
  patientId: PatientId;
  today: LocalDate;
  next: { readonly id: string; readonly body: NextVisitBody } | null;
}) {
  const router = useRouter();
  const { busy, send } = useSend();
  const [id, setId] = useState(() => uuid());
  const form = useForm(
    '/api/v1/entries',
    (fields) => ({
      id,
      patientId,
      kind: 'next-visit',
      supersedes: next?.id ?? null,
      on: today,
      body: {
        date: textOf(fields, 'date'),
        minute: textOf(fields, 'time') === '' ? null : clockMinute(textOf(fields, 'time')),
        way: textOf(fields, 'way'),
        note: textOf(fields, 'note'),
      },
    }),
    () => {
      setId(uuid());
      toast('The next visit stands on the phone, the handout and the calendar.');
      router.refresh();
    },
  );
  return (
    <div className="grid gap-2">
      {next && (
        <p className="flex flex-wrap items-baseline gap-x-3">
          <span>
            <span className="font-medium">{daySaid(next.body.date, today)}</span>
            {next.body.minute !== null && ` at ${clockText(next.body.minute)}`}, {next.body.way}
            {next.body.note !== '' && (
              <>
                : <bdi>{next.body.note}</bdi>
              </>
            )}
          </span>
          <Button
            disabled={busy}
            onClick={() =>
              void send('/api/v1/entries/withdraw', { id: newId(), patientId, supersedes: next.id })
            }
          >
            Take it out
          </Button>
        </p>
      )}
      <details>
        <summary className="text-action">{next ? 'Another day instead' : 'Write it down'}</summary>
        <Form key={id} onSubmit={form.onSubmit} className="grid gap-2 pt-2" noValidate>
          <div className="grid grid-cols-2 gap-2">
            <Field
              label="Day"
              name="date"
              type="date"
              min={today}
              error={form.errorAt('body', 'date')}
            />
            <Field label="Time" name="time" type="time" error={form.errorAt('body', 'minute')} />
          </div>
          <Choice label="How" name="way" error={form.errorAt('body', 'way')}>
            {VISIT_WAYS.map((way) => (
              <option key={way} value={way}>
                {way}
              </option>
            ))}
          </Choice>
          <Field
            label="What for"
            name="note"
            dir="auto"
            autoComplete="off"
            error={form.errorAt('body', 'note')}
          />
          <Refusal say={form.say} />
          <Button type="submit" disabled={form.busy} className="justify-self-start">
            Write it down
          </Button>
        </Form>
      </details>
    </div>
  );
}
