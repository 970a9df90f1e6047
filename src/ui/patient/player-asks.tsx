'use client';

import { useState } from 'react';
import { SKIP_REASONS, type SkipReason } from '@/core/adherence';
import { CheckIn } from './check-in';
import { useSay } from './say';
import { Title } from './title';

const BIG = 'min-h-14 rounded border border-edge bg-sheet px-4 py-3 text-start font-medium';

/** Why this exercise is left out. */
export function Skipping({
  onSkip,
  onGoOn,
}: {
  onSkip: (reason: SkipReason) => void;
  onGoOn: () => void;
}) {
  const say = useSay();
  return (
    <section className="grid gap-3">
      <Title>{say('skip.title')}</Title>
      <p>{say('skip.about')}</p>
      {SKIP_REASONS.map((reason) => (
        <button key={reason} type="button" className={BIG} onClick={() => onSkip(reason)}>
          {say(`skip.${reason}`)}
        </button>
      ))}
      <button type="button" className="min-h-12 text-action underline" onClick={onGoOn}>
        {say('skip.goOn')}
      </button>
    </section>
  );
}

/** After the big stop: everything stands still; was it enough, or did something feel wrong? */
export function Stopping({
  onGoOn,
  onHurt,
  onStop,
  onCheckIn,
  onLeave,
}: {
  onGoOn: () => void;
  onHurt: () => void;
  onStop: () => Promise<void>;
  onCheckIn: (pain: number | null, effort: number | null, word: string) => Promise<void>;
  onLeave: () => void;
}) {
  const say = useSay();
  const [stopped, setStopped] = useState(false);
  if (stopped) return <CheckIn title={say('end.title')} onSave={onCheckIn} onLeave={onLeave} />;
  return (
    <section className="grid gap-3">
      <Title>{say('end.title')}</Title>
      <p>{say('end.saved')}</p>
      <button type="button" className={`${BIG} border-2 border-stop text-stop`} onClick={onHurt}>
        {say('player.wrong')}
      </button>
      <button
        type="button"
        className={BIG}
        onClick={() => {
          setStopped(true);
          void onStop();
        }}
      >
        {say('end.enough')}
      </button>
      <button type="button" className={BIG} onClick={onGoOn}>
        {say('end.goOn')}
      </button>
    </section>
  );
}
