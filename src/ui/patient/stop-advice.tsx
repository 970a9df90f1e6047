'use client';

import type { ShownPack } from '@/core/exchange';
import { Beside } from './beside';
import { useSay } from './say';
import { Title } from './title';
import { WhomToCall } from './whom-to-call';

type Signs = Pick<
  ShownPack,
  'clinic' | 'cover' | 'stopSigns' | 'normalSigns' | 'caution' | 'beside'
>;

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

/** What to stop for, what is normal, and whom to call: read before anything hurts. */
export function StopWords({ pack }: { pack: Signs }) {
  const say = useSay();
  return (
    <div className="grid gap-4">
      <div className="grid gap-2">
        <p>{say('stop.at')}</p>
        <ul className="list-disc ps-6">
          {pack.stopSigns.map((sign) => (
            <li key={sign}>{sign}</li>
          ))}
        </ul>
        {pack.beside && (
          <Beside language={pack.beside.language}>{pack.beside.stopSigns.join('; ')}.</Beside>
        )}
        <p>{pack.normalSigns}</p>
      </div>
      <WhomToCall clinic={pack.clinic} cover={pack.cover ?? ''} beside={pack.beside} />
      <p className="text-fine text-soft">{pack.caution}</p>
    </div>
  );
}

/**
 * The answer to a report that stops everything: whom to call first, then what happens next. Nothing on it is
 * normal, and nothing has to be filled in.
 */
export function StopNow({
  pack,
  advice,
  onWord,
  onLeave,
}: {
  pack: Signs;
  advice: 'stop and call' | 'emergency';
  /** Goes on to the word after a session. */
  onWord: () => void;
  onLeave: () => void;
}) {
  const say = useSay();
  return (
    <section className="grid gap-4" aria-live="assertive">
      <Title className="text-stop">{say(`advice.${advice}`)}</Title>
      <WhomToCall clinic={pack.clinic} cover={pack.cover ?? ''} beside={pack.beside} />
      <div className="grid gap-2">
        <h2 className="text-xl">{say('stop.next')}</h2>
        <p>{say(`advice.${advice}.about`)}</p>
      </div>
      <button
        type="button"
        className="min-h-12 rounded border border-edge bg-sheet px-4 py-2 font-medium text-action"
        onClick={onWord}
      >
        {say('stop.word')}
      </button>
      <button type="button" className="min-h-12 text-action underline" onClick={onLeave}>
        {say('stop.leave')}
      </button>
    </section>
  );
}
