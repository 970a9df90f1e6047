'use client';

import type { PatientPack } from '@/core/exchange';
import { StopWords } from './stop-advice';
import { BeginButton } from './begin-button';
import { nowKnowsWhenToStop } from './knows-when-to-stop';
import { useSay } from './say';
import { Title } from './title';

/** Before the first session on a device: what to stop for and whom to call. */
export function FirstTime({
  pack,
  onUnderstood,
  onLeave,
}: {
  pack: PatientPack;
  onUnderstood: () => void;
  onLeave: () => void;
}) {
  const say = useSay();
  return (
    <section className="grid gap-4">
      <Title>{say('first.title')}</Title>
      {pack.beside && <p>{say('language.drafted')}</p>}
      <StopWords pack={pack} />
      <BeginButton
        onClick={() => {
          nowKnowsWhenToStop();
          onUnderstood();
        }}
      >
        {say('first.understood')}
      </BeginButton>
      <button type="button" className="min-h-11 text-action underline" onClick={onLeave}>
        {say('first.notNow')}
      </button>
    </section>
  );
}
