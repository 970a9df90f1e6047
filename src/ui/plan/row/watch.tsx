'use client';

import { wordsOf } from '@/catalogue/wording';
import type { Exercise } from '@/core/exercise';

/** What the clinician watches for, what goes wrong and what is felt, below a line of the desk. */
export function Watch({ exercise }: { readonly exercise: Exercise }) {
  const words = wordsOf(exercise);
  if (!words) return null;
  return (
    <div className="max-w-prose pt-1">
      <p>
        {words.watch} Works: {exercise.muscles.join(', ')}. {exercise.ways}
      </p>
      <ul>
        {Object.entries(words.faults).map(([fault, fix]) => (
          <li key={fault}>
            {fault}: <span className="text-ink">{fix}</span>.
          </li>
        ))}
      </ul>
      <p>
        Felt: {words.feel} Normal: {words.normal} Stop: {words.stop}
      </p>
    </div>
  );
}
