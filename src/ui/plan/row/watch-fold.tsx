'use client';

import { useCallback, useState } from 'react';
import type { Exercise } from '@/core/exercise';
import { part, sayMissing, usePart } from '../../primitives/on-demand';

const WATCH = part(() => import('./watch').then((made) => made.Watch));

/** The words of an exercise, folded away; they come when they are asked for, or while the page rests. */
export function WatchFold({ exercise }: { readonly exercise: Exercise }) {
  const [open, setOpen] = useState(false);
  const Watch = usePart(
    WATCH,
    open,
    useCallback(() => {
      sayMissing();
      setOpen(false);
    }, []),
  );
  return (
    <details
      open={open}
      onToggle={({ currentTarget }) => setOpen(currentTarget.open)}
      className="text-small text-soft"
    >
      <summary>Watch</summary>
      {open && Watch && <Watch exercise={exercise} />}
    </details>
  );
}
