'use client';

import { useState } from 'react';
import type { BoutMode } from '@/core/dose';
import { parseDose } from '@/core/dose';
import type { Position } from '@/core/exercise';
import { BASES, type Figure } from '@/core/figure';
import { bareFigure, figureFrom } from '@/core/studio';
import { EXERCISES } from '@/catalogue';
import { AloudCounter } from '../../teach/aloud-counter';
import { Button } from '../../primitives/button';
import { sayMissing } from '../../primitives/on-demand';
import { Choice } from '../../primitives/field';
import { FigureStudio } from './figure-studio';

/** The drawing of an exercise of the clinic's own: begun, drawn, seen to move, or left out. */
export function DrawingPart({
  figure,
  onChange,
  name,
  usualDose,
  mode,
  position,
}: {
  figure: Figure | null;
  onChange: (figure: Figure | null) => void;
  name: string;
  usualDose: string;
  mode: BoutMode;
  position: Position;
}) {
  const [begun, setBegun] = useState(0);
  function begin(next: Figure) {
    setBegun(begun + 1);
    onChange(next);
  }
  if (!figure) return <Begin onBegin={begin} />;
  const dose = parseDose(usualDose);
  return (
    <div className="grid gap-4">
      <FigureStudio key={begun} figure={figure} onChange={onChange} />
      <section className="grid gap-2 border-t border-hair pt-3" aria-label="As the patient sees it">
        <h3 className="text-lg">As the patient sees it</h3>
        {dose.ok ? (
          <div className="w-full max-w-[390px] rounded-lg border border-hair bg-paper p-4">
            <AloudCounter
              key={usualDose}
              dose={dose.value}
              mode={mode}
              position={position}
              directions={[]}
              sides={null}
              figure={figure}
              name={name || 'the exercise'}
            />
          </div>
        ) : (
          <p className="text-soft">
            It moves at the tempo of its dose: write the usual dose first, such as 3x10 hold 5s.
          </p>
        )}
        <div>
          <Button onClick={() => onChange(null)}>Leave the drawing out</Button>
        </div>
      </section>
    </div>
  );
}

/** The catalogue's drawings come when one is asked for. */
async function beginFrom(exerciseId: string, onBegin: (figure: Figure) => void) {
  const drawn = await import('@/catalogue/figures').catch(() => null);
  if (!drawn) return sayMissing();
  const figure = drawn.figureOf(exerciseId);
  if (figure) onBegin(figureFrom(figure));
}

/** Where a drawing begins: a position, or an exercise that is drawn already. */
function Begin({ onBegin }: { onBegin: (figure: Figure) => void }) {
  return (
    <div className="grid max-w-xl gap-3">
      <p className="text-soft">
        Draw it and the patient sees it move, on the phone, on paper and beside every line. Begin
        from a position, or from an exercise that is like it.
      </p>
      <div className="flex flex-wrap gap-2">
        {BASES.map((base) => (
          <Button key={base} onClick={() => onBegin(bareFigure(base))}>
            {base.charAt(0).toUpperCase() + base.slice(1)}
          </Button>
        ))}
      </div>
      <Choice
        label="Or begin from"
        value=""
        onChange={({ target }) => void beginFrom(target.value, onBegin)}
      >
        <option value="">Choose an exercise</option>
        {EXERCISES.map(({ id, name }) => (
          <option key={id} value={id}>
            {name}
          </option>
        ))}
      </Choice>
    </div>
  );
}
