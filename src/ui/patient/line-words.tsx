import type { PackLine } from '@/core/exchange';
import { useSay } from './say';

/** How the exercise is done. */
export function Steps({ line }: { line: PackLine }) {
  return (
    <ol className="grid list-decimal gap-1 ps-6">
      {line.steps.map((step) => (
        <li key={step} dir="auto">
          {step}
        </li>
      ))}
    </ol>
  );
}

/** What of the set-up was measured for this patient. */
export function SetUp({ line: { setUp = [], photos = [] } }: { line: PackLine }) {
  const say = useSay();
  if (setUp.length + photos.length === 0) return null;
  return (
    <div className="grid gap-2 border-s-4 border-lit ps-3">
      <p className="font-semibold">{say('player.setUp')}</p>
      {setUp.map((one) => (
        <p key={one} dir="auto">
          {one}.
        </p>
      ))}
      <div className="flex flex-wrap gap-2">
        {photos.map(({ address, width, height }, index) => (
          // oxlint-disable-next-line nextjs/no-img-element -- a private picture, kept by the phone alone
          <img
            key={address}
            src={address}
            width={width}
            height={height}
            alt={say('player.setUpPhoto', { nth: index + 1, count: photos.length })}
            className="h-auto max-h-44 w-auto max-w-full rounded"
          />
        ))}
      </div>
    </div>
  );
}

/** What should be felt, what is normal, and what to stop for, of this exercise. */
export function Felt({ line: { feel = '', normal = '', stop = '' } }: { line: PackLine }) {
  const say = useSay();
  const said = [
    ['player.felt', feel],
    ['player.normal', normal],
    ['player.stopFor', stop],
  ] as const;
  return (
    <>
      {said.map(
        ([key, words]) =>
          words !== '' && (
            <p key={key} className={key === 'player.stopFor' ? 'font-semibold text-stop' : ''}>
              {say(key, { words })}
            </p>
          ),
      )}
    </>
  );
}
