'use client';

import { useState } from 'react';
import type { ShownSuggestion } from '../desk-reading';
import type { ExerciseId } from '@/core/units';
import { Button } from '../../primitives/button';

/** What the findings ask for, each with its reason; accepted by hand, added by one key. */
export function Suggestions({
  suggestions,
  present,
  accepted,
  onAccept,
  onAdd,
}: {
  suggestions: readonly ShownSuggestion[];
  /** Exercises that stand on the desk already. */
  present: ReadonlySet<string>;
  accepted: ReadonlySet<string>;
  onAccept: (exerciseId: ExerciseId, accept: boolean) => void;
  onAdd: (suggestions: readonly ShownSuggestion[]) => void;
}) {
  const [all, setAll] = useState(false);
  const open = suggestions.filter(({ exerciseId }) => !present.has(exerciseId));
  if (open.length === 0) return null;
  const shown = all ? open : open.slice(0, 6);
  return (
    <section aria-label="Suggestions" className="grid gap-1">
      <h2 className="font-semibold">Suggested</h2>
      <ul className="grid">
        {shown.map((suggestion) => {
          const { exerciseId, name, rung, because, rungBecause, instead, side, answers } =
            suggestion;
          return (
            <li key={exerciseId} className="border-t border-hair py-1.5">
              <label className="flex items-start gap-2">
                <input
                  type="checkbox"
                  className="mt-1 size-4"
                  checked={accepted.has(exerciseId)}
                  onChange={(event) => onAccept(exerciseId, event.target.checked)}
                />
                <span className="min-w-0">
                  <span className="font-medium">{name}</span>
                  {side && <span className="text-soft">, {side}</span>}
                  <span className="block text-small text-soft">
                    {because} Step {rung}: {rungBecause}
                    {instead.map((say) => ` ${say}.`)}
                    {answers > 1 && ` Answers ${answers} findings.`}
                  </span>
                </span>
              </label>
            </li>
          );
        })}
      </ul>
      <div className="flex flex-wrap gap-2">
        <Button
          disabled={accepted.size === 0}
          onClick={() => onAdd(open.filter(({ exerciseId }) => accepted.has(exerciseId)))}
        >
          Add accepted <kbd className="figures text-soft">Alt A</kbd>
        </Button>
        {open.length > 6 && (
          <Button look="quiet" onClick={() => setAll(!all)}>
            {all ? 'Fewer' : `${open.length - 6} more`}
          </Button>
        )}
      </div>
    </section>
  );
}
