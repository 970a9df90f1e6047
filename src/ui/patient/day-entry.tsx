'use client';

import { type FormEvent, useState } from 'react';
import type { Soreness } from '@/core/adherence';
import type { PatientPack } from '@/core/exchange';
import type { RegionId } from '@/core/symptoms';
import { type LocalDate, addDays } from '@/core/units';
import { BeginButton } from './begin-button';
import { LimbMap } from './limb-map';
import { shiftedDate } from './local-today';
import { tellDay } from './device/recorder';
import { Scale } from './scale';
import { useDay, useSay } from './say';
import { Title } from './title';
import { dayTold } from './told';
import { Form } from '../forms/form';

/** What a morning is told by where there is room for more than one touch. */
const MORNING = ['none', 'settled', 'still sore', 'flare'] as const satisfies Soreness[];

/** A short word about a day: only what the clinic uses is asked. */
export default function DayEntry({
  pack,
  today,
  onDone,
}: {
  pack: PatientPack;
  today: LocalDate;
  /** @param isTold false where it was left without a word */
  onDone: (isTold: boolean) => void;
}) {
  const say = useSay();
  const inWords = useDay();
  const { questions } = pack;
  const { complaints = [] } = questions;
  const [back, setBack] = useState(0);
  const [soreness, setSoreness] = useState<Soreness | null>(null);
  const [worst, setWorst] = useState<number | null>(null);
  const [worstOf, setWorstOf] = useState<Readonly<Record<string, number>>>({});
  const [where, setWhere] = useState<readonly RegionId[]>([]);
  const [headache, setHeadache] = useState<boolean | null>(null);
  const [note, setNote] = useState('');
  const [scores, setScores] = useState<Readonly<Record<string, number>>>({});
  const [saving, setSaving] = useState(false);
  const days = [0, 1, 2, 3].map((ago) => shiftedDate(today, -ago));
  const date = days[back] ?? today;
  const told = dayTold(
    { soreness, worst, worstOf, where, headache, note, scores },
    today,
    date,
    questions.morningOf ? addDays(questions.morningOf, 1) : today,
  );
  const nothing = told.length === 0;

  async function save(event: FormEvent) {
    event.preventDefault();
    if (saving || nothing) return;
    setSaving(true);
    for (const body of told) await tellDay(pack, today, body);
    onDone(true);
  }

  return (
    <Form className="grid gap-6" onSubmit={save}>
      <Title>{say('day.title')}</Title>
      {questions.morning && (
        <Choice
          legend={say('day.morning')}
          name="soreness"
          options={MORNING.map((one) => [one, say(`day.morning.${one}`)])}
          value={soreness}
          onChange={setSoreness}
        />
      )}
      <label className="grid gap-1">
        <span className="font-semibold">{say('day.about')}</span>
        <select
          value={back}
          onChange={(event) => setBack(Number(event.target.value))}
          className="min-h-12 rounded border border-edge bg-sheet px-3"
        >
          {days.map((day, ago) => (
            <option key={day} value={ago}>
              {ago === 0
                ? say('day.today')
                : ago === 1
                  ? say('day.yesterday')
                  : say('day.before', { date: inWords(day) })}
            </option>
          ))}
        </select>
      </label>
      {complaints.length === 0 ? (
        <Scale legend={say('day.worst')} name="worst" value={worst} onChange={setWorst} />
      ) : (
        complaints.map(({ id, name }) => (
          <Scale
            key={id}
            legend={say('day.worstOf', { complaint: name })}
            name={`worst ${id}`}
            value={worstOf[id] ?? null}
            onChange={(one) => setWorstOf({ ...worstOf, [id]: one })}
          />
        ))
      )}
      {questions.limb && <LimbMap legend={say('day.limb')} marked={where} onChange={setWhere} />}
      {questions.headache && (
        <Choice
          legend={say('day.headache')}
          name="headache"
          options={[
            ['yes', say('day.yes')],
            ['no', say('day.no')],
          ]}
          value={headache === null ? null : headache ? 'yes' : 'no'}
          onChange={(value) => setHeadache(value === 'yes')}
        />
      )}
      {questions.activities.length > 0 && (
        <section className="grid gap-4">
          <h2 className="text-xl">{say('week.title')}</h2>
          <p className="text-soft">{say('week.scale')}</p>
          {questions.activities.map((activity) => (
            <Scale
              key={activity}
              legend={activity}
              name={`activity ${activity}`}
              value={scores[activity] ?? null}
              onChange={(score) => setScores({ ...scores, [activity]: score })}
            />
          ))}
        </section>
      )}
      <label className="grid gap-1">
        <span>{say('day.note')}</span>
        <input
          value={note}
          onChange={(event) => setNote(event.target.value)}
          maxLength={200}
          dir="auto"
          className="min-h-12 rounded border border-edge bg-sheet px-3"
        />
      </label>
      <BeginButton type="submit" disabled={saving || nothing}>
        {say('day.save')}
      </BeginButton>
      <button
        type="button"
        className="min-h-11 text-action underline"
        onClick={() => onDone(false)}
      >
        {say('first.notNow')}
      </button>
    </Form>
  );
}

function Choice<T extends string>({
  legend,
  name,
  options,
  value,
  onChange,
}: {
  legend: string;
  name: string;
  options: readonly (readonly [T, string])[];
  value: T | null;
  onChange: (value: T) => void;
}) {
  return (
    <fieldset className="grid gap-2">
      <legend className="pb-2 text-lg font-semibold">{legend}</legend>
      {options.map(([option, words]) => (
        <label
          key={option}
          className="flex min-h-12 items-center gap-3 rounded border border-edge bg-sheet px-4"
        >
          <input
            type="radio"
            name={name}
            checked={value === option}
            onChange={() => onChange(option)}
            className="size-5 accent-action"
          />
          {words}
        </label>
      ))}
    </fieldset>
  );
}
