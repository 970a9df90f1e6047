'use client';

import { useState } from 'react';
import type { PatientPack } from '@/core/exchange';
import {
  type Advice,
  type BodyPart,
  COMPARED,
  COMPLAINTS,
  type Compared,
  type Complaint,
  type RegionId,
  type SymptomReport,
  adviseOn,
  furthestReach,
  isStopAdvice,
} from '@/core/symptoms';
import { BeginButton } from './begin-button';
import { CheckIn } from './check-in';
import { LimbMap } from './limb-map';
import { Scale } from './scale';
import { useSay } from './say';
import { StopNow } from './stop-advice';
import { Title } from './title';

const BIG = 'min-h-12 rounded border border-edge bg-sheet px-4 py-2 text-start font-medium';

/** Complaints that may reach down a limb: only these ask where. */
const REACHING: readonly Complaint[] = [
  'numb or tingling',
  'sharp or shooting',
  'spreading further',
];

/**
 * "It hurts, or something is wrong": what, how much, compared with what is usual, how far. The
 * answer comes from the rules at once, with or without a signal.
 */
export function Hurting({
  pack,
  onGoOn,
  onTold,
  onSkip,
  onStop,
  onCheckIn,
  onLeave,
}: {
  pack: PatientPack;
  onGoOn: () => void;
  onTold: (report: SymptomReport, advice: Advice) => void;
  onSkip: () => void;
  onStop: (because: 'enough' | 'symptom') => Promise<void>;
  onCheckIn: (pain: number | null, effort: number | null, word: string) => Promise<void>;
  onLeave: () => void;
}) {
  const say = useSay();
  const [complaint, setComplaint] = useState<Complaint | null>(null);
  const [severity, setSeverity] = useState<number | null>(null);
  const [compared, setCompared] = useState<Compared | null>(null);
  const [where, setWhere] = useState<readonly RegionId[]>([]);
  const [advice, setAdvice] = useState<Advice | null>(null);
  const [checking, setChecking] = useState(false);

  if (checking) return <CheckIn title={say('end.title')} onSave={onCheckIn} onLeave={onLeave} />;

  if (advice === 'stop and call' || advice === 'emergency')
    return (
      <StopNow pack={pack} advice={advice} onWord={() => setChecking(true)} onLeave={onLeave} />
    );

  if (advice)
    return (
      <section className="grid gap-4" aria-live="assertive">
        <Title of={advice}>{say(`advice.${advice}`)}</Title>
        <p>{say(`advice.${advice}.about`)}</p>
        {advice === 'carry on easier' && (
          <>
            <BeginButton onClick={onGoOn}>{say('advice.easier')}</BeginButton>
            <button type="button" className={BIG} onClick={onSkip}>
              {say('advice.leaveOut')}
            </button>
          </>
        )}
        {advice === 'skip this one' && (
          <BeginButton onClick={onSkip}>{say('advice.leaveOut')}</BeginButton>
        )}
        {advice === 'stop today' && (
          <BeginButton onClick={() => setChecking(true)}>{say('hurt.next')}</BeginButton>
        )}
      </section>
    );

  function answer(chosen: Compared) {
    if (!complaint || severity === null) return;
    const report: SymptomReport = { complaint, severity, compared: chosen, furthest: part(where) };
    const told = adviseOn(report, pack.baseline).advice;
    onTold(report, told);
    if (told === 'stop today') void onStop('enough');
    if (isStopAdvice(told)) void onStop('symptom');
    setAdvice(told);
  }

  if (!complaint)
    return (
      <section className="grid gap-2">
        <Title>{say('hurt.title')}</Title>
        {COMPLAINTS.map((one) => (
          <button key={one} type="button" className={BIG} onClick={() => setComplaint(one)}>
            {say(`hurt.${one}`)}
          </button>
        ))}
        <button type="button" className="min-h-12 text-action underline" onClick={onGoOn}>
          {say('hurt.backToIt')}
        </button>
      </section>
    );

  return (
    <section className="grid gap-4">
      <Title of={complaint}>{say(`hurt.${complaint}`)}</Title>
      <Scale
        legend={say('hurt.severity')}
        name="severity"
        value={severity}
        onChange={setSeverity}
      />
      {REACHING.includes(complaint) && (
        <LimbMap legend={say('hurt.where')} marked={where} onChange={setWhere} />
      )}
      <fieldset className="grid gap-2">
        <legend className="pb-2 text-lg font-semibold">{say('hurt.compared')}</legend>
        {COMPARED.map((one) => (
          <label
            key={one}
            className="flex min-h-12 items-center gap-3 rounded border border-edge bg-sheet px-4"
          >
            <input
              type="radio"
              name="compared"
              checked={compared === one}
              onChange={() => setCompared(one)}
              className="size-5 accent-action"
            />
            {say(`hurt.${one}`)}
          </label>
        ))}
      </fieldset>
      <BeginButton
        missing={
          severity === null
            ? say('hurt.missing.severity')
            : compared === null
              ? say('hurt.missing.compared')
              : ''
        }
        onClick={() => compared && answer(compared)}
      >
        {say('hurt.next')}
      </BeginButton>
      <button type="button" className="min-h-12 text-action underline" onClick={onGoOn}>
        {say('hurt.backToIt')}
      </button>
    </section>
  );
}

/** The furthest part that was touched: of two limbs the one further out. */
function part(where: readonly RegionId[]): BodyPart | null {
  const [furthest] = furthestReach(where).sort((a, b) => b.order - a.order);
  return furthest?.part ?? null;
}
