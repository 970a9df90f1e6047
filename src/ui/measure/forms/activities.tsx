'use client';

import { activityMean } from '@/core/measures';
import { type Fields, numberAt } from '../typed';
import type { Form, FormRowProps } from './form';

const SHOWN = [0, 1, 2, 3, 4];

/** Those that are named, with their scores. */
function activitiesIn(fields: Fields) {
  return SHOWN.filter((index) => (fields[`activity ${index}`] ?? '').trim() !== '').map(
    (index) => ({
      name: fields[`activity ${index}`] ?? '',
      score: numberAt(fields, `score ${index}`),
    }),
  );
}

function ActivitiesRow({ fields, set, errorAt }: FormRowProps) {
  const given = activitiesIn(fields);
  const mean = given.every(({ score }) => score >= 0 && score <= 10) ? activityMean(given) : null;
  return (
    <>
      <div className="grid gap-1">
        {SHOWN.map((index) => (
          <div key={index} className="flex gap-2">
            <input
              aria-label={`Activity ${index + 1}`}
              dir="auto"
              autoComplete="off"
              maxLength={120}
              value={fields[`activity ${index}`] ?? ''}
              onChange={(event) => set({ [`activity ${index}`]: event.target.value })}
              className="min-w-0 flex-1 rounded border border-edge bg-sheet px-2 py-1"
            />
            <input
              aria-label={`Score of activity ${index + 1}, 0 to 10`}
              inputMode="decimal"
              autoComplete="off"
              value={fields[`score ${index}`] ?? ''}
              onChange={(event) => set({ [`score ${index}`]: event.target.value })}
              className="figures w-16 rounded border border-edge bg-sheet px-2 py-1 text-right"
            />
          </div>
        ))}
      </div>
      {errorAt('body.activities') && <p className="text-stop">{errorAt('body.activities')}</p>}
      <p role="status">{mean !== null && `Mean ${mean.toFixed(1)} of 10.`}</p>
    </>
  );
}

export const ACTIVITIES: Form = {
  body: (fields) => ({ form: 'activities', activities: activitiesIn(fields) }),
  Rows: ActivitiesRow,
};
