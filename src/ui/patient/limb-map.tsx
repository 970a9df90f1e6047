'use client';

import { useState } from 'react';
import { type RegionId, type View, partOf } from '@/core/symptoms';
import { BodyDrawing, type BodyWords } from '../body/body-drawing';
import { type Say, useSay } from './say';

/** The body's parts in the patient's language. */
export function bodyWords(say: Say): BodyWords {
  return {
    picture: (view) => say(`body.picture.${view}`),
    caption: (view) => say(`body.${view}`),
    region: (region) => {
      const [view = '', side = ''] = region.split(' ');
      return say('body.region', { view, side, part: say(`part.${partOf(region)}`) });
    },
  };
}

/** The drawn body, for touching the furthest place. */
export function LimbMap({
  legend,
  marked,
  onChange,
}: {
  legend: string;
  marked: readonly RegionId[];
  onChange: (marked: readonly RegionId[]) => void;
}) {
  const say = useSay();
  const words = bodyWords(say);
  const [view, setView] = useState<View>('front');
  return (
    <fieldset className="grid gap-2">
      <legend className="pb-1 text-lg font-semibold">{legend}</legend>
      <div className="flex gap-2">
        {(['front', 'back'] as const).map((one) => (
          <button
            key={one}
            type="button"
            aria-pressed={view === one}
            onClick={() => setView(one)}
            className={`min-h-11 flex-1 rounded border px-2 ${view === one ? 'border-action font-semibold' : 'border-hair bg-sheet'}`}
          >
            {say(`body.${one}`)}
          </button>
        ))}
      </div>
      <div className="grid justify-items-center">
        <BodyDrawing
          view={view}
          words={words}
          marked={marked}
          onToggle={(region) =>
            onChange(
              marked.includes(region)
                ? marked.filter((one) => one !== region)
                : [...marked, region],
            )
          }
          size="h-[26rem]"
        />
      </div>
      <p role="status" className="min-h-[1.5em] text-soft">
        {marked.length > 0 ? marked.map(words.region).join(', ') : say('hurt.nowhere')}
      </p>
    </fieldset>
  );
}
