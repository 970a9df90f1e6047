import { type PatientId, shortDay } from '@/core/units';
import { requireMember } from '@/server/require';
import type { Metadata } from 'next';
import { QuietLink } from '@/ui/primitives/quiet-link';
import { notFound } from 'next/navigation';
import { SCREENING_CAUTION } from '@/catalogue';
import { NOTHING_ANSWERED, UNSCREENED, blocksPrescribing, isMissing, screen } from '@/core/screen';
import { type SignedIn, roleSuffices } from '@/server/access';
import { openPatient } from '@/server/open-patient';
import { screenStep } from '@/server/visit/screen-step';
import { PauseSwitch } from '@/ui/forms/pause-switch';
import { ConsentForm } from '@/ui/screen/consent-form';
import { CareLog, Goals } from '@/ui/screen/dated-lists';
import { DecisionForm } from '@/ui/screen/decision-form';
import { HistoryForm } from '@/ui/screen/history-form';
import { OnPaperForm } from '@/ui/screen/on-paper-form';
import { AnswerForm, LetterForm } from '@/ui/screen/referral-forms';
import { ScreeningDesk } from '@/ui/screen/screening-desk';
import { FiredRules, GuidedVerdicts, OutcomeName } from '@/ui/screen/screening-outcome';
import { legible } from '@/app/legible';

export const metadata: Metadata = { title: 'Screen' };

export default legible(ScreenPage);

async function ScreenPage({ params }: PageProps<'/patients/[id]/screen'>) {
  const member = await requireMember();
  const opened = await openPatient(member, (await params).id);
  if (!opened) notFound();
  const step = await screenStep(member, opened.patient, opened.complaint);
  const { patient } = opened;
  const { file, today } = step;
  const part = { patientId: patient.id, today };
  return (
    <div className="grid grid-cols-[minmax(0,1fr)] gap-10">
      <section aria-labelledby="safety-name" className="grid gap-3">
        <h2 id="safety-name" className="text-lg">
          Is home exercise safe?
        </h2>
        <Safety member={member} patientId={patient.id} step={step} />
        <p className="max-w-3xl text-small text-soft">{SCREENING_CAUTION}</p>
      </section>
      <section aria-labelledby="history-name" className="grid gap-3">
        <h2 id="history-name" className="text-lg">
          History
        </h2>
        <HistoryForm
          key={file.history?.id ?? 'first'}
          {...part}
          before={file.history}
          kept={step.kept.history}
        />
      </section>
      <div className="grid gap-10 lg:grid-cols-2">
        <section aria-labelledby="goals-name" className="grid content-start gap-3">
          <h2 id="goals-name" className="text-lg">
            Goals
          </h2>
          <Goals {...part} goals={file.goals} kept={step.kept.goal} />
        </section>
        <section aria-labelledby="consent-name" className="grid content-start gap-3">
          <h2 id="consent-name" className="text-lg">
            Consent
          </h2>
          <ConsentForm
            key={file.consent?.id ?? 'first'}
            {...part}
            before={file.consent}
            kept={step.kept.consent}
          />
        </section>
      </div>
      <section aria-labelledby="care-name" className="grid gap-3">
        <h2 id="care-name" className="text-lg">
          What else is going on
        </h2>
        <CareLog {...part} care={file.care} kept={step.kept.care} />
      </section>
    </div>
  );
}

/** What is said beside a screening that was good once. */
const AGAIN: readonly string[] = ['new episode', 'danger since', 'old'] satisfies Again[];
type Again = 'new episode' | 'danger since' | 'old';

type Step = Awaited<ReturnType<typeof screenStep>>;

function Safety({
  member,
  patientId,
  step,
}: {
  member: SignedIn;
  patientId: PatientId;
  step: Step;
}) {
  const { state, answers, waiting, authorName } = step;
  const practises = roleSuffices(member.role, 'practitioner');
  const start = waiting ?? { ...NOTHING_ANSWERED, age: step.age, pressure: step.pressure };
  return (
    <>
      {state.waiting && (
        <p className="border-l-2 border-lit pl-3">
          {state.waiting.byPatient ? 'The patient answered' : 'Answers were kept'} on{' '}
          {shortDay(state.waiting.localDate)}. These answers count once a practitioner has gone
          through them and confirmed.
        </p>
      )}
      {state.blocked && step.running && (
        <div className="flex flex-wrap items-center gap-3 border-l-2 border-stop pl-3">
          <p className="font-semibold">
            The programme sent earlier still runs at home. Nothing pauses it by itself.
          </p>
          <PauseSwitch patientId={patientId} paused={false} allowed={practises} />
        </div>
      )}
      {AGAIN.includes(state.screened) && (
        <p className="border-l-2 border-lit pl-3">{UNSCREENED[state.screened as Again]}</p>
      )}
      {state.screened === 'on paper' && (
        <p className="border-l-2 border-lit pl-3">
          Screened on paper, by the reason written below. It holds until the next visit.
        </p>
      )}
      <ScreeningDesk
        key={`${state.current?.id} ${state.waiting?.id}`}
        patientId={patientId}
        start={start}
        kept={step.kept.screening}
        fromId={state.waiting?.id ?? null}
        mayConfirm={practises}
        open={state.current === null || state.waiting !== null}
        again="Screen again"
      >
        {state.current && answers && (
          <Current step={step} result={screen(answers)} author={authorName} />
        )}
      </ScreeningDesk>
      {practises && (isMissing(state.screened) || state.screened === 'on paper') && (
        <details>
          <summary className="text-action">It was screened on paper</summary>
          <div className="pt-2">
            <OnPaperForm patientId={patientId} today={step.today} before={step.file.onPaper} />
          </div>
        </details>
      )}
      {state.current && state.outcome && blocksPrescribing(state.outcome) && (
        <div className="grid gap-8 lg:grid-cols-2">
          <div className="grid content-start gap-3">
            <h3>What was done, and why</h3>
            {practises ? (
              <DecisionForm patientId={patientId} screeningId={state.current.id} />
            ) : (
              <p className="text-soft">A practitioner records this.</p>
            )}
          </div>
          <Referrals step={step} patientId={patientId} practises={practises} />
        </div>
      )}
      {state.outcome && !blocksPrescribing(state.outcome) && step.referrals.length > 0 && (
        <Referrals step={step} patientId={patientId} practises={practises} />
      )}
    </>
  );
}

function Current({
  step,
  result,
  author,
}: {
  step: Step;
  result: ReturnType<typeof screen>;
  author: string;
}) {
  const { state } = step;
  return (
    <div className="grid max-w-3xl gap-2 border-l-2 border-ink pl-3">
      <p className="text-lg">
        <OutcomeName outcome={state.current?.outcome ?? 'unfinished'} />
      </p>
      <p className="text-soft">
        Confirmed{state.current && ` on ${shortDay(state.current.localDate)}`} by {author}.
      </p>
      <GuidedVerdicts result={result} />
      <FiredRules rules={result.fired} />
      {state.decision && (
        <p>
          <strong className="font-semibold">{state.decision.action}</strong>
          {': '}
          <span dir="auto">{state.decision.what}</span> Why:{' '}
          <span dir="auto">{state.decision.why}</span>{' '}
          {state.decision.mayPrescribe ? 'Prescribing may go on.' : 'Prescribing stays blocked.'}
        </p>
      )}
    </div>
  );
}

function Referrals({
  step,
  patientId,
  practises,
}: {
  step: Step;
  patientId: PatientId;
  practises: boolean;
}) {
  return (
    <div className="grid content-start gap-3">
      <h3>Referrals</h3>
      <ul className="divide-y divide-hair border-y border-hair">
        {step.referrals.length === 0 && <li className="py-1 text-soft">No letter yet.</li>}
        {step.referrals.map(({ referral, answers }) => (
          <li key={referral.id} className="grid gap-2 py-2">
            <p>
              <QuietLink
                href={`/patients/${patientId}/letter/${referral.id}`}
                className="text-action underline"
              >
                {shortDay(referral.localDate)}, to {referral.to}
              </QuietLink>
              {answers.length === 0 && (
                <strong className="font-semibold"> Open, no answer yet.</strong>
              )}
            </p>
            {answers.map((answer) => (
              <p
                key={answer.id}
                className="border-l-2 border-hair pl-2 whitespace-pre-line"
                dir="auto"
              >
                {answer.answeredOn}: {answer.text}
              </p>
            ))}
            {answers.length === 0 && practises && (
              <details>
                <summary className="text-action">Record the answer</summary>
                <AnswerForm patientId={patientId} referralId={referral.id} today={step.today} />
              </details>
            )}
          </li>
        ))}
      </ul>
      {practises && state(step) && (
        <details>
          <summary className="text-action">Write a referral letter</summary>
          <div className="pt-2">
            <LetterForm
              patientId={patientId}
              screeningId={state(step)?.id ?? ''}
              letter={step.letter}
            />
          </div>
        </details>
      )}
    </div>
  );
}

const state = (step: Step) => step.state.current;
