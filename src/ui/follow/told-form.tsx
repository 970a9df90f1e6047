'use client';

import { QuietLink } from '@/ui/primitives/quiet-link';
import { useRouter } from 'next/navigation';
import { useState } from 'react';
import { toast } from '../primitives/toast';
import { v4 as uuid } from 'uuid';
import { SORENESS, SORENESS_SAID } from '@/core/adherence';
import { TOLD_HOW } from '@/core/record-choices';
import { COMPARED, COMPLAINTS } from '@/core/symptoms';
import { type EpisodeId, type LocalDate, type PatientId, addDays } from '@/core/units';
import { daySaid } from '@/core/visits';
import { Refusal } from '../forms/refusal';
import { useSend } from '../forms/use-send';
import { numberOf, textOf, useForm } from '../forms/use-form';
import { Button, buttonClass } from '../primitives/button';
import { Choice, Field, TextField } from '../primitives/field';
import { Form } from '../forms/form';

type Line = {
  readonly lineage: string;
  readonly name: string;
  readonly words: string;
  readonly room: number;
};

/** One day as a patient told it. What is left empty was not told, and is no "no". */
export function ToldForm({
  patientId,
  date,
  today,
  earliest,
  hasProgramme,
  toldSessions,
  isWrittenDown,
  complaints,
  lines,
}: {
  patientId: PatientId;
  date: LocalDate;
  today: LocalDate;
  earliest: LocalDate;
  hasProgramme: boolean;
  toldSessions: number;
  isWrittenDown: boolean;
  /** Whose worst pain is told of each; empty where one is treated. */
  complaints: readonly { readonly id: EpisodeId; readonly name: string }[];
  lines: readonly Line[];
}) {
  const router = useRouter();
  const [draft, setDraft] = useState(() => ({ id: uuid(), at: Date.now() }));
  const [isWrong, setIsWrong] = useState(false);
  const told = (fields: FormData, name: string) =>
    textOf(fields, name).trim() === '' ? null : numberOf(fields, name);
  const form = useForm(
    '/api/v1/told',
    (fields) => ({
      ...draft,
      patientId,
      date,
      how: textOf(fields, 'how'),
      lines: lines.map(({ lineage }) => ({ lineage, times: told(fields, lineage) ?? 0 })),
      pain: told(fields, 'pain'),
      worst: complaints.length > 0 ? null : told(fields, 'worst'),
      ...(complaints.length > 0
        ? {
            worstOf: complaints.flatMap(({ id }) => {
              const worst = told(fields, `worst ${id}`);
              return worst === null ? [] : [{ episodeId: id, worst }];
            }),
          }
        : {}),
      morning: textOf(fields, 'morning') || null,
      wrong: isWrong
        ? {
            complaint: textOf(fields, 'complaint'),
            severity: numberOf(fields, 'severity'),
            compared: textOf(fields, 'compared'),
          }
        : null,
      note: textOf(fields, 'note'),
    }),
    () => {
      toast(`Written down for ${daySaid(date, today)}.`);
      setDraft({ id: uuid(), at: Date.now() });
      setIsWrong(false);
      router.refresh();
    },
  );
  const day = (to: LocalDate, words: string) =>
    to > today || to < earliest ? null : (
      <QuietLink href={`/patients/${patientId}/told?on=${to}`} className={buttonClass()}>
        {words}
      </QuietLink>
    );
  return (
    <div className="grid max-w-[60rem] gap-4 pt-4">
      <div className="flex flex-wrap items-center gap-3">
        <h3 className="mr-auto text-lg font-semibold">
          {daySaid(date, today).replace(/^./, (first) => first.toUpperCase())}
        </h3>
        {day(addDays(date, -1), 'Day before')}
        {day(addDays(date, 1), 'Day after')}
      </div>
      {toldSessions > 0 && (
        <p className="border-l-2 border-lit pl-3">
          {toldSessions === 1 ? 'One session' : `${toldSessions} sessions`} of this day{' '}
          {toldSessions === 1 ? 'is' : 'are'} in the record already
          {isWrittenDown ? ', written down as told' : ', told by the phone'}. What is written here
          stands beside it.
        </p>
      )}
      {isWrittenDown && <TakeBack key={date} patientId={patientId} date={date} />}
      {!hasProgramme ? (
        <p>There was no programme on this day.</p>
      ) : (
        <Form
          onSubmit={form.onSubmit}
          className="grid gap-5"
          noValidate
          key={draft.id}
          aria-label="What was told"
        >
          <Refusal say={form.say} />
          <div className="max-w-xs">
            <Choice label="How it was told" name="how" error={form.errorAt('how')}>
              <option value="">how …</option>
              {TOLD_HOW.map((how) => (
                <option key={how} value={how}>
                  {how === 'call' ? 'by a call' : 'on a paper sheet'}
                </option>
              ))}
            </Choice>
          </div>
          {lines.length === 0 ? (
            <p>Nothing was due on this day.</p>
          ) : (
            <ul className="divide-y divide-hair border-y border-hair">
              {lines.map(({ lineage, name, words, room }) => (
                <li
                  key={lineage}
                  className="grid grid-cols-[minmax(0,1fr)_auto] items-center gap-x-4 py-2"
                >
                  <span className="min-w-0">
                    <bdi className="font-medium">{name}</bdi>
                    <span className="block text-small text-soft">{words}</span>
                  </span>
                  <label className="flex items-center gap-2">
                    <span>
                      done{' '}
                      <span className="text-soft">
                        {room === 0 ? '(none left)' : `(of ${room})`}
                      </span>
                    </span>
                    <input
                      name={lineage}
                      type="number"
                      inputMode="numeric"
                      min={0}
                      max={room}
                      disabled={room === 0}
                      aria-label={`How often ${name} was done, at most ${room}`}
                      className="w-16 rounded border border-edge bg-sheet px-2 py-1 text-right"
                    />
                  </label>
                </li>
              ))}
            </ul>
          )}
          <div className="grid gap-4 sm:grid-cols-3">
            <Field
              label="Pain after, 0–10"
              name="pain"
              type="number"
              min={0}
              max={10}
              hint="Empty where it was not told."
              error={form.errorAt('pain')}
            />
            {(complaints.length > 0 ? complaints : [null]).map((one, nth) => (
              <Field
                key={one?.id ?? ''}
                label={one ? `Worst pain, 0–10: ${one.name}` : 'Worst pain of the day, 0–10'}
                name={one ? `worst ${one.id}` : 'worst'}
                type="number"
                min={0}
                max={10}
                error={one ? form.errorAt('worstOf', String(nth), 'worst') : form.errorAt('worst')}
              />
            ))}
            <Choice
              label="That morning, from the day before"
              name="morning"
              error={form.errorAt('morning')}
            >
              <option value="">not told</option>
              {SORENESS.map((one) => (
                <option key={one} value={one}>
                  {SORENESS_SAID[one]}
                </option>
              ))}
            </Choice>
          </div>
          <label className="flex items-center gap-2">
            <input
              type="checkbox"
              className="size-4"
              checked={isWrong}
              onChange={({ target }) => setIsWrong(target.checked)}
            />
            Something felt wrong
          </label>
          {isWrong && (
            <div className="grid gap-4 border-l-2 border-stop pl-3 sm:grid-cols-3">
              <Choice label="What" name="complaint" error={form.errorAt('wrong', 'complaint')}>
                <option value="">what …</option>
                {COMPLAINTS.map((one) => (
                  <option key={one} value={one}>
                    {one}
                  </option>
                ))}
              </Choice>
              <Field
                label="How strong, 0–10"
                name="severity"
                type="number"
                min={0}
                max={10}
                error={form.errorAt('wrong', 'severity')}
              />
              <Choice
                label="Compared with before"
                name="compared"
                error={form.errorAt('wrong', 'compared')}
              >
                <option value="">how …</option>
                {COMPARED.map((one) => (
                  <option key={one} value={one}>
                    {one}
                  </option>
                ))}
              </Choice>
            </div>
          )}
          <TextField
            label="In the patient’s words"
            name="note"
            rows={2}
            maxLength={200}
            dir="auto"
          />
          <Button type="submit" look="main" disabled={form.busy} className="justify-self-start">
            Write it down
          </Button>
        </Form>
      )}
    </div>
  );
}

/** What was written down of the day, taken back as a whole: asked once more, since it counts no longer. */
function TakeBack({ patientId, date }: { patientId: PatientId; date: LocalDate }) {
  const { busy, send } = useSend();
  const [asks, setAsks] = useState(false);
  const [id] = useState(() => uuid());
  if (!asks)
    return (
      <Button className="justify-self-start" onClick={() => setAsks(true)}>
        Take back what was written down
      </Button>
    );
  return (
    <div className="flex flex-wrap items-center gap-3 border-l-2 border-stop pl-3">
      <p className="mr-auto">
        All that the clinic wrote down of this day will count for nothing; it stays in the record.
        What a phone told stays, and so does an alert that came of it.
      </p>
      <Button
        look="main"
        disabled={busy}
        onClick={() =>
          void send(
            '/api/v1/told/back',
            { id, patientId, date },
            { said: 'Taken back. The day can be written down anew.' },
          )
        }
      >
        Take it back
      </Button>
      <Button onClick={() => setAsks(false)}>Keep it</Button>
    </div>
  );
}
