'use client';

import { useRouter } from 'next/navigation';
import { useState } from 'react';
import { v4 as uuid } from 'uuid';
import { CARE_KINDS, type CareBody, type GoalBody } from '@/core/records';
import type { PatientId } from '@/core/units';
import { useSend } from '../forms/use-send';
import { Refusal } from '../forms/refusal';
import { textOf, useForm } from '../forms/use-form';
import { Button } from '../primitives/button';
import { Choice, Field } from '../primitives/field';

type Entry<T> = { readonly id: string; readonly on: string; readonly body: T };

/** Takes an entry out of the file; it stays in the record. */
function useTakeOut(patientId: PatientId) {
  const { send } = useSend();
  return (supersedes: string) =>
    send(
      '/api/v1/entries/withdraw',
      { id: uuid(), patientId, supersedes },
      {
        said: 'Taken out; the record keeps it.',
      },
    );
}

/** A form that adds one dated entry and is empty again afterwards. */
function useEntryForm(
  patientId: PatientId,
  kind: 'goal' | 'care',
  record: (fields: FormData) => { on: string; body: unknown },
) {
  const router = useRouter();
  const [round, setRound] = useState(0);
  const form = useForm(
    '/api/v1/entries',
    (fields) => ({ id: uuid(), patientId, kind, supersedes: null, ...record(fields) }),
    () => {
      setRound(round + 1);
      router.refresh();
    },
  );
  return { form, round };
}

/** What the patient wants to do again, and by when. */
export function Goals({
  patientId,
  today,
  goals,
}: {
  patientId: PatientId;
  today: string;
  goals: readonly Entry<GoalBody>[];
}) {
  const { send } = useSend();
  const takeOut = useTakeOut(patientId);
  const { form, round } = useEntryForm(patientId, 'goal', (fields) => ({
    on: today,
    body: {
      activity: textOf(fields, 'activity'),
      by: textOf(fields, 'by') || null,
      reachedOn: null,
    },
  }));

  async function reached(goal: Entry<GoalBody>) {
    await send('/api/v1/entries', {
      id: uuid(),
      patientId,
      kind: 'goal',
      supersedes: goal.id,
      on: goal.on,
      body: { ...goal.body, reachedOn: goal.body.reachedOn === null ? today : null },
    });
  }

  return (
    <div className="grid gap-3">
      <ul className="divide-y divide-hair border-y border-hair">
        {goals.length === 0 && <li className="py-1 text-soft">No goal yet.</li>}
        {goals.map((goal) => (
          <li key={goal.id} className="flex flex-wrap items-center gap-2 py-1">
            <span className="mr-auto min-w-0" dir="auto">
              {goal.body.activity}
              <span className="text-soft">
                {goal.body.by && ` by ${goal.body.by}`}
                {goal.body.reachedOn && `, reached on ${goal.body.reachedOn}`}
              </span>
            </span>
            <Button onClick={() => reached(goal)}>
              {goal.body.reachedOn === null ? 'Reached' : 'Not reached after all'}
            </Button>
            <Button look="quiet" onClick={() => takeOut(goal.id)}>
              Take out<span className="sr-only">: {goal.body.activity}</span>
            </Button>
          </li>
        ))}
      </ul>
      <form
        key={round}
        onSubmit={form.onSubmit}
        className="grid gap-2 sm:grid-cols-[minmax(0,1fr)_10rem_auto] sm:items-end"
        noValidate
      >
        <Field
          label="Wants to do again"
          name="activity"
          dir="auto"
          error={form.errorAt('body', 'activity')}
        />
        <Field label="By" name="by" type="date" min={today} error={form.errorAt('body', 'by')} />
        <Button type="submit" disabled={form.busy}>
          Add
        </Button>
        <div className="sm:col-span-3">
          <Refusal say={form.say} />
        </div>
      </form>
    </div>
  );
}

/** Hands-on care, injections, medicines and work, each on its date. */
export function CareLog({
  patientId,
  today,
  care,
}: {
  patientId: PatientId;
  today: string;
  care: readonly Entry<CareBody>[];
}) {
  const takeOut = useTakeOut(patientId);
  const { form, round } = useEntryForm(patientId, 'care', (fields) => ({
    on: textOf(fields, 'on'),
    body: { kind: textOf(fields, 'kind'), what: textOf(fields, 'what') },
  }));
  return (
    <div className="grid gap-3">
      <ul className="divide-y divide-hair border-y border-hair">
        {care.length === 0 && <li className="py-1 text-soft">Nothing noted yet.</li>}
        {care.map((entry) => (
          <li key={entry.id} className="flex flex-wrap items-center gap-3 py-1">
            <span className="figures text-soft">{entry.on}</span>
            <span className="mr-auto min-w-0" dir="auto">
              {entry.body.kind}: {entry.body.what}
            </span>
            <Button look="quiet" onClick={() => takeOut(entry.id)}>
              Take out<span className="sr-only">: {entry.body.what}</span>
            </Button>
          </li>
        ))}
      </ul>
      <form
        key={round}
        onSubmit={form.onSubmit}
        className="grid gap-2 sm:grid-cols-[10rem_11rem_minmax(0,1fr)_auto] sm:items-end"
        noValidate
      >
        <Field
          label="On"
          name="on"
          type="date"
          max={today}
          defaultValue={today}
          error={form.errorAt('on')}
        />
        <Choice label="Kind" name="kind" error={form.errorAt('body', 'kind')}>
          {CARE_KINDS.map((kind) => (
            <option key={kind}>{kind}</option>
          ))}
        </Choice>
        <Field label="What" name="what" dir="auto" error={form.errorAt('body', 'what')} />
        <Button type="submit" disabled={form.busy}>
          Add
        </Button>
        <div className="sm:col-span-4">
          <Refusal say={form.say} />
        </div>
      </form>
    </div>
  );
}
