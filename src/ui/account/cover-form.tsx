'use client';

import { useRouter } from 'next/navigation';
import { useState } from 'react';
import { toast } from '../primitives/toast';
import { v4 as uuid } from 'uuid';
import { daySaid } from '@/core/visits';
import type { LocalDate } from '@/core/units';
import { Refusal } from '../forms/refusal';
import { textOf, useForm } from '../forms/use-form';
import { useSend } from '../forms/use-send';
import { Button } from '../primitives/button';
import { Choice, Field } from '../primitives/field';
import { Form } from '../forms/form';

type Cover = {
  readonly id: string;
  readonly memberId: string;
  readonly away: string;
  readonly by: string;
  readonly fromDate: LocalDate;
  readonly toDate: LocalDate;
};

/**
 * Who answers for a practitioner who is away: shown on the morning list and on their patients' phones.
 *
 * @param forOthers the lead writes it down for everybody: who fell ill cannot
 */
export function CoverForm({
  memberId,
  covers,
  others,
  today,
  forOthers,
}: {
  memberId: string;
  covers: readonly Cover[];
  others: readonly { readonly id: string; readonly name: string }[];
  today: LocalDate;
  forOthers: boolean;
}) {
  const router = useRouter();
  const { busy, send } = useSend();
  const [id, setId] = useState(() => uuid());
  const form = useForm(
    '/api/v1/covers',
    (fields) => ({
      id,
      memberId: forOthers ? textOf(fields, 'memberId') : memberId,
      coveredBy: textOf(fields, 'coveredBy'),
      from: textOf(fields, 'from'),
      to: textOf(fields, 'to'),
    }),
    () => {
      setId(uuid());
      toast('Written down. The list and the patients’ phones say it.');
      router.refresh();
    },
  );
  return (
    <div className="grid gap-3">
      {covers.map((cover) => (
        <p key={cover.id} className="flex flex-wrap items-center gap-3">
          <span className="mr-auto">
            <bdi>{cover.by}</bdi> answers
            {cover.memberId !== memberId && (
              <>
                {' '}
                for <bdi>{cover.away}</bdi>
              </>
            )}{' '}
            from {daySaid(cover.fromDate, today)} to {daySaid(cover.toDate, today)}.
          </span>
          <Button
            disabled={busy}
            onClick={() => void send('/api/v1/covers/end', { id: cover.id }, { said: 'Ended.' })}
          >
            End it
          </Button>
        </p>
      ))}
      {others.length === 0 ? (
        <p className="text-soft">Nobody else in the clinic can answer yet.</p>
      ) : (
        <Form onSubmit={form.onSubmit} className="grid gap-3" noValidate>
          <Refusal say={form.say} />
          {forOthers && (
            <Choice
              label="Who is away"
              name="memberId"
              defaultValue={memberId}
              error={form.errorAt('memberId')}
            >
              <option value={memberId}>you</option>
              {others.map((one) => (
                <option key={one.id} value={one.id}>
                  {one.name}
                </option>
              ))}
            </Choice>
          )}
          <div className="grid gap-3 sm:grid-cols-2">
            <Field
              label="First day away"
              type="date"
              name="from"
              defaultValue={today}
              min={today}
              error={form.errorAt('from')}
            />
            <Field
              label="Last day away"
              type="date"
              name="to"
              min={today}
              error={form.errorAt('to')}
            />
          </div>
          <Choice label="Who answers" name="coveredBy" error={form.errorAt('coveredBy')}>
            <option value="">whom …</option>
            {forOthers && <option value={memberId}>you</option>}
            {others.map((one) => (
              <option key={one.id} value={one.id}>
                {one.name}
              </option>
            ))}
          </Choice>
          <Button type="submit" disabled={form.busy} className="justify-self-start">
            Write it down
          </Button>
        </Form>
      )}
    </div>
  );
}
