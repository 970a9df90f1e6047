'use client';

import type { PackClinic } from '@/core/exchange';
import { dialled } from '@/core/identity';
import type { PatientWord } from '@/catalogue';
import { useState } from 'react';
import { v4 as uuid } from 'uuid';
import { type Answer, NOTHING_ANSWERED, answerTheRestNo, questionsFor } from '@/core/screen';
import { useSending } from '../forms/use-sending';
import { BeginButton } from './begin-button';
import { useSay } from './say';
import { CALL, PLAIN_CALL } from './whom-to-call';
import { Form } from '../forms/form';

type Clinic = PackClinic;

/** The groups of questions a patient is asked, in the order of the page. */
const ASKED_GROUPS = ['injury', 'serious', 'cord', 'artery', 'heart', 'conditions'] as const;

/** The health questions in plain words, before the visit; the clinician goes through them. */
export function HealthQuestions({ clinic, caution }: { clinic: Clinic; caution: string }) {
  const tell = useSay();
  const [id] = useState(() => uuid());
  const [facts, setFacts] = useState(NOTHING_ANSWERED);
  const [age, setAge] = useState('');
  const { busy, sending } = useSending();
  const [say, setSay] = useState('');
  const [sent, setSent] = useState<{ urgency: 'emergency' | 'same day' | null } | null>(null);

  const typed = { ...facts, age: age.trim() === '' ? null : Number(age) };
  const questions = questionsFor(typed, 'patient');
  const open = questions.filter((question) => facts.answers[question.id] === undefined);

  async function send() {
    setSay('');
    const answer = await sending<{ urgency: 'emergency' | 'same day' | null }>(
      '/api/v1/patient/screening',
      { id, answers: facts.answers, age: typed.age },
    );
    if (answer?.ok) setSent(answer.value);
    else if (answer) setSay(answer.say);
  }

  if (sent) return <Thanks urgency={sent.urgency} clinic={clinic} />;
  return (
    <Form
      className="grid gap-6"
      noValidate
      onSubmit={(event) => {
        event.preventDefault();
        void send();
      }}
    >
      <header className="grid gap-2">
        <p className="text-soft">{clinic.name}</p>
        <h1 className="text-2xl">{tell('health.title')}</h1>
        <p>{tell('health.about')}</p>
        <p>
          <strong className="font-semibold">{tell('health.now')}</strong>{' '}
          <bdi>{clinic.emergencyText}</bdi>
        </p>
      </header>
      <label className="grid gap-1">
        <span className="font-semibold">{tell('health.age')}</span>
        <input
          type="number"
          inputMode="numeric"
          min={0}
          max={120}
          value={age}
          onChange={(event) => setAge(event.target.value)}
          className="min-h-12 w-32 rounded border border-edge bg-sheet px-3"
        />
      </label>
      {ASKED_GROUPS.map((group) => {
        const own = questions.filter((question) => question.group === group);
        if (own.length === 0) return null;
        return (
          <section key={group} aria-labelledby={`group-${group}`} className="grid gap-3">
            <h2 id={`group-${group}`} className="border-b border-ink pb-1 text-lg">
              {tell(`health.group.${group}`)}
            </h2>
            {own.map((question) => (
              <PlainQuestion
                key={question.id}
                id={question.id}
                words={tell(`question.${question.id}` as PatientWord)}
                answer={facts.answers[question.id]}
                onAnswer={(answer) =>
                  setFacts((before) => ({
                    ...before,
                    answers: { ...before.answers, [question.id]: answer },
                  }))
                }
              />
            ))}
          </section>
        );
      })}
      <button
        type="button"
        className="min-h-12 rounded border border-edge bg-sheet px-4"
        onClick={() =>
          setFacts((before) => answerTheRestNo({ ...typed, answers: before.answers }, 'patient'))
        }
      >
        {tell('health.restNo')}
      </button>
      <p role="status" className="text-soft">
        {open.length > 0 && tell('health.open', { count: open.length })}
        {age.trim() === '' && ` ${tell('health.noAge')}`}
      </p>
      <div role="alert">{say && <p className="text-stop">{say}</p>}</div>
      <BeginButton type="submit" disabled={busy}>
        {tell(busy ? 'health.sending' : 'health.send')}
      </BeginButton>
      <p className="text-fine text-soft">{caution}</p>
    </Form>
  );
}

function PlainQuestion({
  id,
  words,
  answer,
  onAnswer,
}: {
  id: string;
  words: string;
  answer: Answer | undefined;
  onAnswer: (answer: Answer) => void;
}) {
  const tell = useSay();
  return (
    <fieldset className="grid gap-1">
      <legend className="pb-1">{words}</legend>
      <div className="grid grid-cols-2 gap-2">
        {(['yes', 'no'] as const).map((choice) => (
          <label
            key={choice}
            className={`grid min-h-11 place-items-center rounded border has-focus-visible:outline-2 has-focus-visible:outline-action ${
              answer === choice
                ? 'border-ink bg-ink font-semibold text-paper'
                : 'border-edge bg-sheet'
            }`}
          >
            <input
              type="radio"
              name={id}
              checked={answer === choice}
              onChange={() => onAnswer(choice)}
              className="sr-only"
            />
            {tell(choice === 'yes' ? 'day.yes' : 'day.no')}
          </label>
        ))}
      </div>
    </fieldset>
  );
}

function Thanks({ urgency, clinic }: { urgency: 'emergency' | 'same day' | null; clinic: Clinic }) {
  const tell = useSay();
  return (
    <section className="grid gap-4" aria-live="assertive">
      <h1 className="text-2xl">{tell('health.thanks', { clinic: clinic.name })}</h1>
      {urgency === 'emergency' && (
        <div className="grid gap-2 rounded border-2 border-stop p-4">
          <p className="text-xl font-semibold">{tell('health.emergency')}</p>
          {clinic.emergencyNumber !== undefined && (
            <a href={dialled(clinic.emergencyNumber)} className={`${CALL} bg-stop text-on-stop`}>
              {tell('stop.emergencyCall', { number: clinic.emergencyNumber })}
            </a>
          )}
          <p>
            <bdi>{clinic.emergencyText}</bdi>
          </p>
          <p>{tell('health.emergency.about')}</p>
        </div>
      )}
      {urgency === 'same day' && (
        <div className="grid gap-2 rounded border-2 border-stop p-4">
          <p className="text-xl font-semibold">{tell('health.today')}</p>
          <p>{tell('health.today.about', { clinic: clinic.name })}</p>
          <p>{tell('health.worse', { text: clinic.emergencyText })}</p>
        </div>
      )}
      <a
        href={dialled(clinic.phone)}
        className={urgency === null ? PLAIN_CALL : `${CALL} bg-action text-on-action`}
        dir="auto"
      >
        {tell('stop.call', { who: clinic.name, number: clinic.phone })}
      </a>
      <p>
        <a href="/today" className="inline-block min-h-11 py-2 text-action underline">
          {tell('health.back')}
        </a>
      </p>
    </section>
  );
}
