'use client';

import { useState } from 'react';
import { SKIP_REASONS, type SkipReason } from '@/core/adherence';
import type { PatientPack } from '@/core/exchange';
import { CheckIn } from './check-in';
import { StopWords } from './stop-advice';

const BIG = 'min-h-14 rounded border border-hair bg-sheet px-4 py-3 text-left font-medium';

const SKIP_WORDS: Readonly<Record<SkipReason, string>> = {
  'no time': 'No time now',
  pain: 'It hurts',
  'forgot how': 'I forgot how it goes',
  'no equipment': 'I do not have what it needs',
  away: 'I cannot do it where I am',
  other: 'Another reason',
};

/** Why this exercise is left out. */
export function Skipping({
  onSkip,
  onGoOn,
}: {
  onSkip: (reason: SkipReason) => void;
  onGoOn: () => void;
}) {
  return (
    <section className="grid gap-3">
      <h1 className="text-2xl">Leave this exercise out?</h1>
      <p>Tell your clinic why; it helps them make it fit.</p>
      {SKIP_REASONS.map((reason) => (
        <button key={reason} type="button" className={BIG} onClick={() => onSkip(reason)}>
          {SKIP_WORDS[reason]}
        </button>
      ))}
      <button type="button" className="min-h-12 text-action underline" onClick={onGoOn}>
        No, go on with it
      </button>
    </section>
  );
}

/** After the big stop: everything stands still; was it enough, or did something feel wrong? */
export function Stopping({
  pack,
  onGoOn,
  onStop,
  onCheckIn,
  onLeave,
}: {
  pack: PatientPack;
  onGoOn: () => void;
  onStop: (because: 'enough' | 'symptom') => Promise<void>;
  onCheckIn: (pain: number | null, word: string) => Promise<void>;
  onLeave: () => void;
}) {
  const [stopped, setStopped] = useState<'enough' | 'symptom' | null>(null);
  const [seen, setSeen] = useState(false);

  function stop(because: 'enough' | 'symptom') {
    setStopped(because);
    void onStop(because);
  }

  if (stopped === 'symptom' && !seen) {
    return (
      <section className="grid gap-4" aria-live="assertive">
        <h1 className="text-2xl text-stop">Stop now and rest</h1>
        <p>
          Do no more exercises today. Your programme is paused, and your clinic is told: at once
          when there is a signal, otherwise as soon as there is one. If it is severe or does not
          settle, do not wait for them.
        </p>
        <StopWords pack={pack} />
        <button type="button" className={`${BIG} text-center`} onClick={() => setSeen(true)}>
          Next
        </button>
      </section>
    );
  }
  if (stopped !== null) return <CheckIn title="Stopped" onSave={onCheckIn} onLeave={onLeave} />;
  return (
    <section className="grid gap-3">
      <h1 className="text-2xl">Stopped</h1>
      <p>What you did so far is saved.</p>
      <button
        type="button"
        className={`${BIG} border-2 border-stop text-stop`}
        onClick={() => stop('symptom')}
      >
        Something feels wrong or hurts
      </button>
      <button type="button" className={BIG} onClick={() => stop('enough')}>
        It is enough for now
      </button>
      <button type="button" className={BIG} onClick={onGoOn}>
        Go on with the session
      </button>
    </section>
  );
}
