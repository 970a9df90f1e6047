'use client';

import { useState } from 'react';
import { ARM_CHAIN, LEG_CHAIN, REGIONS, type RegionId, type View, partOf } from '@/core/symptoms';
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

const LIMBS: readonly string[] = [...ARM_CHAIN, ...LEG_CHAIN];
const isOfALimb = (region: RegionId) => LIMBS.includes(partOf(region));

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
  const toggle = (region: RegionId) =>
    onChange(
      marked.includes(region) ? marked.filter((one) => one !== region) : [...marked, region],
    );
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
            className={`min-h-11 flex-1 rounded border px-2 ${view === one ? 'border-action font-semibold' : 'border-edge bg-sheet'}`}
          >
            {say(`body.${one}`)}
          </button>
        ))}
      </div>
      <div className="grid justify-items-center">
        <BodyDrawing view={view} words={words} marked={marked} onToggle={toggle} size="h-[26rem]" />
      </div>
      {/* Hands and toes are small on the drawing: the same as a list, a finger wide. */}
      <details>
        <summary className="min-h-11 py-2 text-action">{say('body.list')}</summary>
        <ul className="grid grid-cols-2 gap-2">
          {REGIONS.filter((region) => region.startsWith(view) && isOfALimb(region)).map(
            (region) => (
              <li key={region}>
                <label className="flex min-h-12 items-center gap-2 rounded border border-edge bg-sheet px-2">
                  <input
                    type="checkbox"
                    checked={marked.includes(region)}
                    onChange={() => toggle(region)}
                    className="size-5 accent-action"
                  />
                  {words.region(region)}
                </label>
              </li>
            ),
          )}
        </ul>
      </details>
      <p role="status" className="min-h-[1.5em] text-soft">
        {marked.length > 0 ? marked.map(words.region).join(', ') : say('hurt.nowhere')}
      </p>
    </fieldset>
  );
}
