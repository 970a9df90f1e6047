'use client';

import { useRouter } from 'next/navigation';
import { useState } from 'react';
import { CARE_KINDS } from '@/core/record-choices';
import type { CareBody, GoalBody, KeptFields } from '@/core/records';
import { type LocalDate, type PatientId, shortDay } from '@/core/units';
import { newId } from '../forms/new-id';
import { useKeptForm } from '../forms/use-kept-form';
import { useSend } from '../forms/use-send';
import { Refusal } from '../forms/refusal';
import { textOf, useForm } from '../forms/use-form';
import { Button } from '../primitives/button';
import { Choice, Field } from '../primitives/field';
import { Form } from '../forms/form';

type Entry<T> = { readonly id: string; readonly on: LocalDate; readonly body: T };

/** Takes an entry out of the file; it stays in the record. */
function useTakeOut(patientId: PatientId) {
  const { send } = useSend();
  return (supersedes: string) =>
    send(
      '/api/v1/entries/withdraw',
      { id: newId(), patientId, supersedes },
      {
        said: 'Taken out; the record keeps it.',
      },
    );
}

/** A form that adds one dated entry, kept while it is filled in. */
function useEntryForm(
  patientId: PatientId,
  kind: 'goal' | 'care',
  record: (fields: FormData) => { on: string; body: unknown },
  onAdded: () => void,
) {
  const router = useRouter();
  const draft = useKeptForm({ patientId, kind });
  const form = useForm(
    '/api/v1/entries',
    (fields) => ({ id: newId(), patientId, kind, supersedes: null, ...record(fields) }),
    () => {
      draft.forget();
      onAdded();
      router.refresh();
    },
  );
  return { ...form, onInput: draft.onInput };
}

type NewEntry = {
  readonly patientId: PatientId;
  readonly today: string;
  /** As far as it was filled in before the page was left. */
  readonly kept: KeptFields | null;
  readonly onAdded: () => void;
};

/** A new form after each entry: what was kept belongs to the first one alone. */
function useRound(kept: KeptFields | null) {
  const [round, setRound] = useState(0);
  return { key: round, kept: round === 0 ? kept : null, onAdded: () => setRound(round + 1) };
}

/** What the patient wants to do again, and by when. */
export function Goals({
  patientId,
  today,
  goals,
  kept,
}: {
  patientId: PatientId;
  today: string;
  goals: readonly Entry<GoalBody>[];
  /** A goal that was begun before the page was left. */
  kept: KeptFields | null;
}) {
  const { send } = useSend();
  const takeOut = useTakeOut(patientId);
  const { key, ...round } = useRound(kept);

  async function reached(goal: Entry<GoalBody>) {
    await send('/api/v1/entries', {
      id: newId(),
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
                {goal.body.by && ` by ${shortDay(goal.body.by)}`}
                {goal.body.reachedOn && `, reached on ${shortDay(goal.body.reachedOn)}`}
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
      <NewGoal key={key} patientId={patientId} today={today} {...round} />
    </div>
  );
}

/** A new goal. */
function NewGoal({ patientId, today, kept, onAdded }: NewEntry) {
  const form = useEntryForm(
    patientId,
    'goal',
    (fields) => ({
      on: today,
      body: {
        activity: textOf(fields, 'activity'),
        by: textOf(fields, 'by') || null,
        reachedOn: null,
      },
    }),
    onAdded,
  );
  return (
    <Form
      onSubmit={form.onSubmit}
      onInput={form.onInput}
      className="grid gap-2 sm:grid-cols-[minmax(0,1fr)_10rem_auto] sm:items-end"
      noValidate
    >
      <Field
        label="Wants to do again"
        name="activity"
        defaultValue={kept?.activity}
        dir="auto"
        error={form.errorAt('body', 'activity')}
      />
      <Field
        label="By"
        name="by"
        defaultValue={kept?.by}
        type="date"
        min={today}
        error={form.errorAt('body', 'by')}
      />
      <Button type="submit" disabled={form.busy}>
        Add<span className="sr-only"> the goal</span>
      </Button>
      <div className="sm:col-span-3">
        <Refusal say={form.say} />
      </div>
    </Form>
  );
}

/** Hands-on care, injections, medicines and work, each on its date. */
export function CareLog({
  patientId,
  today,
  care,
  kept,
}: {
  patientId: PatientId;
  today: string;
  care: readonly Entry<CareBody>[];
  /** An entry that was begun before the page was left. */
  kept: KeptFields | null;
}) {
  const takeOut = useTakeOut(patientId);
  const { key, ...round } = useRound(kept);
  return (
    <div className="grid gap-3">
      <ul className="divide-y divide-hair border-y border-hair">
        {care.length === 0 && <li className="py-1 text-soft">Nothing noted yet.</li>}
        {care.map((entry) => (
          <li key={entry.id} className="flex flex-wrap items-center gap-3 py-1">
            <span className="text-soft">{shortDay(entry.on)}</span>
            <span className="mr-auto min-w-0" dir="auto">
              {entry.body.kind}: {entry.body.what}
            </span>
            <Button look="quiet" onClick={() => takeOut(entry.id)}>
              Take out<span className="sr-only">: {entry.body.what}</span>
            </Button>
          </li>
        ))}
      </ul>
      <NewCare key={key} patientId={patientId} today={today} {...round} />
    </div>
  );
}

/** A new entry of what else is going on. */
function NewCare({ patientId, today, kept, onAdded }: NewEntry) {
  const form = useEntryForm(
    patientId,
    'care',
    (fields) => ({
      on: textOf(fields, 'on'),
      body: { kind: textOf(fields, 'kind'), what: textOf(fields, 'what') },
    }),
    onAdded,
  );
  return (
    <Form
      onSubmit={form.onSubmit}
      onInput={form.onInput}
      className="grid gap-2 sm:grid-cols-[10rem_11rem_minmax(0,1fr)_auto] sm:items-end"
      noValidate
    >
      <Field
        label="On"
        name="on"
        type="date"
        max={today}
        defaultValue={kept?.on ?? today}
        error={form.errorAt('on')}
      />
      <Choice
        label="Kind"
        name="kind"
        defaultValue={kept?.kind}
        error={form.errorAt('body', 'kind')}
      >
        {CARE_KINDS.map((kind) => (
          <option key={kind}>{kind}</option>
        ))}
      </Choice>
      <Field
        label="What"
        name="what"
        defaultValue={kept?.what}
        dir="auto"
        error={form.errorAt('body', 'what')}
      />
      <Button type="submit" disabled={form.busy}>
        Add<span className="sr-only"> the care</span>
      </Button>
      <div className="sm:col-span-4">
        <Refusal say={form.say} />
      </div>
    </Form>
  );
}
