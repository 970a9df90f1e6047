'use client';

import { useRef, useState } from 'react';
import { type Figure, type Moment } from '@/core/figure';
import { Button } from '../primitives/button';
import { FigureMoving } from './moving';

/** From the first pose to the last takes so long, in seconds for each pose on the way. */
const SECONDS_A_POSE = 1.6;

/** Where a figure is that goes there and back, or round, again and again. */
function momentAt({ poses, path }: Figure, seconds: number): Moment {
  const share = (seconds / (SECONDS_A_POSE * (poses.length - 1))) % (path === 'round' ? 1 : 2);
  return { side: 'right', along: share > 1 ? 2 - share : share };
}

/** An exercise in motion, begun and ended by a button: nothing moves by itself. */
export function FigureLoop({
  figure,
  label,
}: {
  readonly figure: Figure;
  /** It in words, for those who do not see it. */
  readonly label: string;
}) {
  const [running, setRunning] = useState(false);
  const [shown, setShown] = useState(false);
  const began = useRef(0);
  return (
    <div className="no-print grid w-max gap-2 pt-2">
      {shown && (
        <FigureMoving
          figure={figure}
          side="right"
          moment={() => momentAt(figure, (performance.now() - began.current) / 1000)}
          running={running}
          label={label}
          className="h-56"
        />
      )}
      <Button
        onClick={() => {
          began.current = performance.now();
          setShown(true);
          setRunning(!running);
        }}
      >
        {running ? 'Hold still' : 'Show it moving'}
      </Button>
    </div>
  );
}
