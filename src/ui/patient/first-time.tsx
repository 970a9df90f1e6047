'use client';

import type { PatientPack } from '@/core/exchange';
import { StopWords } from './stop-advice';
import { BeginButton } from './begin-button';
import { useSay } from './say';
import { Title } from './title';

const KEY = 'dl-knows-when-to-stop';

/** Whether this device has shown when to stop before; asks again where nothing can be kept. */
export function knowsWhenToStop(): boolean {
  try {
    return localStorage.getItem(KEY) === 'yes';
  } catch {
    return false;
  }
}

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
      <StopWords pack={pack} />
      <BeginButton
        onClick={() => {
          try {
            localStorage.setItem(KEY, 'yes');
          } catch {
            // It will be shown again next time; that is all.
          }
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
