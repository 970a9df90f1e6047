'use client';

import { useState } from 'react';
import { v4 as uuid } from 'uuid';
import { type BandCurve, bandCurveProblem, bandForce } from '@/core/load';
import { Button } from '../primitives/button';
import { Field, TextField } from '../primitives/field';
import { useSend } from './use-send';
import { Refusal } from './refusal';

type Typed = { readonly id: string; readonly name: string; readonly points: string };

function pointsIn(text: string): BandCurve['points'] {
  return text
    .split('\n')
    .filter((line) => line.trim() !== '')
    .map((line) => line.trim().replaceAll(',', '.').split(/\s+/).map(Number))
    .map(([stretchPercent = NaN, newtons = NaN]) => ({ stretchPercent, newtons }));
}

/** What is wrong with typed points, or what they come to. */
function reading(text: string): { ok: boolean; say: string } {
  const points = pointsIn(text);
  if (points.some(({ stretchPercent, newtons }) => Number.isNaN(stretchPercent + newtons)))
    return { ok: false, say: 'Each line is two numbers: stretch in percent, force in newtons.' };
  const problem = bandCurveProblem(points);
  if (problem) return { ok: false, say: problem };
  const at = (stretch: number) => {
    const force = bandForce(points, stretch);
    return force
      ? `${stretch} %: ${Math.round(force.newtons)} N${force.extrapolated ? ' (beyond the points)' : ''}`
      : '';
  };
  return { ok: true, say: `Between the points: ${[25, 50, 75, 100].map(at).join(', ')}.` };
}

/** The clinic's own bands: stretch and force, measured by the clinic. */
export function BandsForm({ bands }: { bands: readonly BandCurve[] }) {
  const { send } = useSend();
  const [typed, setTyped] = useState<readonly Typed[]>(() =>
    bands.map(({ name, points }) => ({
      id: uuid(),
      name,
      points: points
        .map(({ stretchPercent, newtons }) => `${stretchPercent} ${newtons}`)
        .join('\n'),
    })),
  );
  const [refusal, setRefusal] = useState('');
  const change = (id: string, fields: Partial<Typed>) =>
    setTyped(typed.map((one) => (one.id === id ? { ...one, ...fields } : one)));

  async function save() {
    const own = typed.map(({ name, points }) => ({ name, points: pointsIn(points) }));
    await send(
      '/api/v1/clinic/bands',
      { bands: own },
      {
        done: () => setRefusal(''),
        said: 'Bands kept.',
        refused: ({ say }) => setRefusal(say),
      },
    );
  }

  return (
    <div className="grid gap-4">
      <ul className="grid gap-4 md:grid-cols-3">
        {typed.map(({ id, name, points }) => {
          const read = reading(points);
          return (
            <li key={id} className="grid content-start gap-2 border-l-2 border-hair pl-3">
              <Field
                label="Band"
                value={name}
                maxLength={60}
                onChange={(event) => change(id, { name: event.target.value })}
              />
              <TextField
                label={`Points of ${name || 'this band'}`}
                rows={4}
                className="figures"
                value={points}
                onChange={(event) => change(id, { points: event.target.value })}
                hint={read.ok ? read.say : undefined}
                error={read.ok ? undefined : read.say}
              />
              <div>
                <Button
                  aria-label={`Remove ${name || 'this band'}`}
                  onClick={() => setTyped(typed.filter((one) => one.id !== id))}
                >
                  Remove
                </Button>
              </div>
            </li>
          );
        })}
      </ul>
      <Refusal say={refusal} />
      <div className="flex gap-2">
        <Button
          onClick={() => setTyped([...typed, { id: uuid(), name: '', points: '0 0\n100 20' }])}
        >
          Add a band
        </Button>
        <Button look="main" onClick={save}>
          Keep the bands
        </Button>
      </div>
    </div>
  );
}
