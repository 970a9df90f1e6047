'use client';

import { dialled } from '@/core/identity';
import type { ShownPack } from '@/core/exchange';

type Signs = Pick<ShownPack, 'clinic' | 'cover' | 'stopSigns' | 'normalSigns' | 'caution'>;
import { useSay } from './say';

/** What to stop for and whom to call. Always on the page, and first of all before a first session. */
export function StopAdvice({ pack, open = false }: { pack: Signs; open?: boolean }) {
  const say = useSay();
  return (
    <details open={open} className="border-t border-hair pt-3">
      <summary className="min-h-11 py-2 font-semibold">{say('stop.summary')}</summary>
      <StopWords pack={pack} />
    </details>
  );
}

export function StopWords({ pack }: { pack: Signs }) {
  const say = useSay();
  return (
    <div className="grid gap-3">
      <p>{say('stop.at')}</p>
      <ul className="list-disc pl-6">
        {pack.stopSigns.map((sign) => (
          <li key={sign}>{sign}</li>
        ))}
      </ul>
      <p>{pack.normalSigns}</p>
      <p>
        {pack.clinic.name}:{' '}
        <a className="inline-block py-2 text-action underline" href={dialled(pack.clinic.phone)}>
          {pack.clinic.phone}
        </a>
      </p>
      {(pack.cover ?? '') !== '' && <p>{pack.cover}</p>}
      <p>
        <strong className="font-semibold">{say('stop.emergency')}</strong>{' '}
        {pack.clinic.emergencyText}
      </p>
      <p className="text-fine text-soft">{pack.caution}</p>
    </div>
  );
}
