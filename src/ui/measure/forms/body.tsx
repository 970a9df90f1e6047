'use client';

import {
  MOVEMENT_EFFECTS,
  REGIONS,
  REPEATED_MOVEMENTS,
  furthestReach,
  isRegion,
} from '@/core/symptoms';
import { BodyDrawing } from '../../body/body-drawing';
import type { Fields } from '../typed';
import type { Form, FormRowProps } from './form';

/** Front and back of a body, marked by pressing its parts; and what repeated movements do. */
export function BodyMap({ fields, set }: FormRowProps) {
  const marked = REGIONS.filter((region) => fields[region] === 'on');
  const reach = furthestReach(marked.filter(isRegion));
  return (
    <div className="grid gap-6 sm:grid-cols-[auto_minmax(0,1fr)]">
      <div className="flex flex-wrap gap-4">
        {(['front', 'back'] as const).map((view) => (
          <BodyDrawing
            key={view}
            view={view}
            marked={marked}
            onToggle={(region) => set({ [region]: fields[region] === 'on' ? '' : 'on' })}
          />
        ))}
      </div>
      <div className="grid content-start gap-3">
        <div role="status">
          <p>{marked.length === 0 ? 'Nothing marked.' : `Marked: ${marked.join(', ')}.`}</p>
          {reach.map(({ chain, part, order }) => (
            <p key={chain} className="font-semibold">
              Furthest down the {chain}: {part} ({order} of 6)
            </p>
          ))}
        </div>
        <fieldset>
          <legend className="font-medium">Repeated movements, ten at a time</legend>
          {REPEATED_MOVEMENTS.map((movement) => (
            <label key={movement} className="flex items-center justify-between gap-2 py-0.5">
              {movement}
              <select
                value={fields[`movement ${movement}`] ?? ''}
                onChange={(event) => set({ [`movement ${movement}`]: event.target.value })}
                className="rounded border border-edge bg-sheet px-1 py-0.5"
              >
                <option value="">not tried</option>
                {MOVEMENT_EFFECTS.map((effect) => (
                  <option key={effect}>{effect}</option>
                ))}
              </select>
            </label>
          ))}
        </fieldset>
        <p className="text-small text-soft">
          Drawing in is better even if it hurts more near the spine, but never when weakness or
          numbness grows.
        </p>
      </div>
    </div>
  );
}

function movementsIn(fields: Fields) {
  return REPEATED_MOVEMENTS.flatMap((movement) => {
    const effect = fields[`movement ${movement}`];
    return MOVEMENT_EFFECTS.some((one) => one === effect) ? [{ movement, effect }] : [];
  });
}

export const BODY: Form = {
  body: (fields) => ({
    form: 'body',
    regions: Object.keys(fields).filter((name) => isRegion(name) && fields[name] === 'on'),
    movements: movementsIn(fields),
  }),
  Rows: BodyMap,
};
