'use client';

import { useMemo, useState } from 'react';
import { v4 as uuid } from 'uuid';
import {
  GROUPS,
  type GroupId,
  type ScreeningAnswers,
  answerTheRestNo,
  answersAdded,
  questionsFor,
  screen,
} from '@/core/screen';
import type { KeptScreening } from '@/core/records';
import type { PatientId } from '@/core/units';
import { useKeys } from '../forms/use-keys';
import { useSend } from '../forms/use-send';
import { KEEP_WORDS, useVisitDraft } from '../forms/use-visit-draft';
import { Refusal } from '../forms/refusal';
import { Button } from '../primitives/button';
import { Field } from '../primitives/field';
import { QuestionRow } from './question-row';
import { FiredRules, GuidedVerdicts, OutcomeName } from './screening-outcome';
import { Form } from '../forms/form';

/** "48 questions answered no, 3 signs not tested."; empty where nothing was open. */
function restInWords(before: ScreeningAnswers['answers'], after: ScreeningAnswers['answers']) {
  const { no, notTested } = answersAdded(before, after);
  const parts = [
    no > 0 && `${no} ${no === 1 ? 'question' : 'questions'} answered no`,
    notTested > 0 && `${notTested} ${notTested === 1 ? 'sign' : 'signs'} not tested`,
  ].filter(Boolean);
  return parts.length > 0 ? `${parts.join(', ')}.` : '';
}

/** A screening as the form types it. */
const asTyped = ({ answers, age, pressure }: ScreeningAnswers, fromId: string | null) => ({
  answers,
  age: age === null ? '' : String(age),
  systolic: String(pressure?.systolic ?? ''),
  diastolic: String(pressure?.diastolic ?? ''),
  fromId,
});

const numberOr = (text: string): number | null => (text.trim() === '' ? null : Number(text));

/** The whole screening on one page: mark the exceptions, and answer the rest with no at once. */
export function ScreeningForm({
  patientId,
  start,
  kept,
  fromId,
  mayConfirm,
  onLeave,
}: {
  patientId: PatientId;
  start: ScreeningAnswers;
  /** As far as it was filled in before the page was left. */
  kept: KeptScreening | null;
  /** The patient's own answers this begins with. */
  fromId: string | null;
  mayConfirm: boolean;
  onLeave?: () => void;
}) {
  const [id] = useState(() => uuid());
  const first = kept ?? asTyped(start, fromId);
  const [facts, setFacts] = useState({ ...start, answers: first.answers });
  const [age, setAge] = useState(first.age);
  const [systolic, setSystolic] = useState(first.systolic);
  const [diastolic, setDiastolic] = useState(first.diastolic);
  const { answers } = facts;
  const filled = useMemo(
    (): KeptScreening => ({ answers, age, systolic, diastolic, fromId }),
    [answers, age, systolic, diastolic, fromId],
  );
  const draft = useVisitDraft(patientId, 'screening', filled);
  const { busy, send } = useSend();
  const [refusal, setRefusal] = useState<{ say: string; at: string } | null>(null);

  const typed = useMemo((): ScreeningAnswers => {
    const pressure = { systolic: Number(systolic), diastolic: Number(diastolic) };
    const whole = systolic.trim() !== '' && diastolic.trim() !== '';
    return { ...facts, age: numberOr(age), pressure: whole ? pressure : null };
  }, [facts, age, systolic, diastolic]);
  const result = useMemo(() => screen(typed), [typed]);
  const questions = questionsFor(typed);

  const [before, setBefore] = useState<ScreeningAnswers['answers'] | null>(null);
  /** What is marked stays; the answers of before are kept until something else is answered. */
  function restNo() {
    const next = answerTheRestNo(typed);
    if (restInWords(facts.answers, next.answers) === '') return;
    setBefore(facts.answers);
    setFacts(next);
  }
  useKeys([{ key: 'n', held: 'alt', whileTyping: true, does: restNo }]);

  async function save() {
    const halfPressure = (systolic.trim() === '') !== (diastolic.trim() === '');
    if (halfPressure)
      return setRefusal({ say: 'Write both numbers of the blood pressure.', at: 'pressure' });
    setRefusal(null);
    await send<{ confirmed: boolean }>(
      '/api/v1/screenings',
      { id, patientId, ...typed, fromId },
      {
        done: () => {
          draft.forget();
          onLeave?.();
        },
        said: ({ confirmed }) => (confirmed ? 'Screening confirmed.' : 'Kept, not confirmed yet.'),
        refused: ({ say, at }) => setRefusal({ say, at: at.join('.') }),
      },
    );
  }

  const confirms = mayConfirm && result.outcome !== 'unfinished';
  return (
    <Form
      className="grid gap-6 lg:grid-cols-[minmax(0,1fr)_20rem]"
      noValidate
      onSubmit={(event) => {
        event.preventDefault();
        void save();
      }}
    >
      <div className="gap-8 xl:columns-2">
        {(Object.keys(GROUPS) as GroupId[]).map((group) => (
          <section key={group} className="pb-4" aria-labelledby={`group-${group}`}>
            <h3 id={`group-${group}`} className="break-after-avoid border-b border-ink pb-1">
              {GROUPS[group]}
            </h3>
            {questions
              .filter((question) => question.group === group)
              .map((question) => (
                <QuestionRow
                  key={question.id}
                  name={question.id}
                  words={question.ask}
                  answer={facts.answers[question.id]}
                  choices={group === 'signs' ? ['yes', 'no', 'not tested'] : ['yes', 'no']}
                  guided={question.calms !== undefined}
                  onAnswer={(answer) => {
                    const given = { [question.id]: answer };
                    setFacts((now) => ({ ...now, answers: { ...now.answers, ...given } }));
                    // An undo keeps what was answered since.
                    setBefore((kept) => kept && { ...kept, ...given });
                  }}
                />
              ))}
          </section>
        ))}
      </div>
      <aside
        aria-label="What it comes to"
        className="grid content-start gap-3 lg:sticky lg:top-14 lg:self-start"
      >
        <Button onClick={restNo}>
          Everything else: no <kbd className="figures text-soft">Alt N</kbd>
        </Button>
        <div role="status" className="flex flex-wrap items-center gap-2 empty:hidden">
          {before && (
            <>
              <span>{restInWords(before, facts.answers)}</span>
              <Button
                look="quiet"
                onClick={() => {
                  setFacts((now) => ({ ...now, answers: before }));
                  setBefore(null);
                }}
              >
                Undo
              </Button>
            </>
          )}
        </div>
        <Field
          label="Age in years"
          type="number"
          inputMode="numeric"
          value={age}
          onChange={(event) => setAge(event.target.value)}
          error={refusal?.at === 'age' ? refusal.say : ''}
        />
        <div className="grid grid-cols-2 gap-3">
          <Field
            label="Upper pressure"
            type="number"
            inputMode="numeric"
            value={systolic}
            onChange={(event) => setSystolic(event.target.value)}
            hint="mmHg, if measured"
            error={refusal?.at.startsWith('pressure') ? refusal.say : ''}
          />
          <Field
            label="Lower pressure"
            type="number"
            inputMode="numeric"
            value={diastolic}
            onChange={(event) => setDiastolic(event.target.value)}
          />
        </div>
        <div role="status" className="grid gap-1 border-t border-hair pt-2">
          <p className="text-lg">
            <OutcomeName outcome={result.outcome} />
          </p>
          {(result.unanswered.length > 0 || result.ageMissing) && (
            <p className="text-soft">
              {result.unanswered.length > 0 && `${result.unanswered.length} unanswered. `}
              {result.ageMissing && 'The age is missing. '}
              An unanswered question is not a no.
            </p>
          )}
        </div>
        <GuidedVerdicts result={result} />
        <FiredRules rules={result.fired} />
        <Refusal say={refusal?.say ?? ''} />
        <p className="text-small text-soft" role="status">
          {KEEP_WORDS[draft.state]}
        </p>
        <Button type="submit" look="main" disabled={busy}>
          {busy ? 'Saving …' : confirms ? 'Confirm the screening' : 'Keep, not confirmed'}
        </Button>
        {onLeave && (
          <Button
            look="quiet"
            onClick={() => {
              draft.forget();
              void send('/api/v1/visit-drafts', { patientId, kind: 'screening', body: null });
              onLeave();
            }}
          >
            Leave it as it was
          </Button>
        )}
      </aside>
    </Form>
  );
}
