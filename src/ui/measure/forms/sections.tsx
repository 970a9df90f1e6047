'use client';

import {
  BACK_SECTIONS,
  NECK_SECTIONS,
  backIndex,
  backIndexBand,
  kindOf,
  neckIndex,
  neckIndexBand,
} from '@/core/measures';
import { type Fields, numberAt } from '../typed';
import type { Form, FormRowProps } from './form';

/** Each of the ten sections; null where it is not answered. */
function scoresIn(fields: Fields): (number | null)[] {
  return Array.from({ length: 10 }, (_, index) => {
    const name = `section ${index}`;
    return (fields[name] ?? '').trim() === '' ? null : numberAt(fields, name);
  });
}

function SectionsRow(props: FormRowProps) {
  const { kind, fields, set, errorAt } = props;
  const titles = kind === 'neck-index' ? NECK_SECTIONS : BACK_SECTIONS;
  const scores = scoresIn(fields);
  const valid = scores.every((score) => score === null || (score >= 0 && score <= 5));
  const value = valid ? (kind === 'neck-index' ? neckIndex(scores) : backIndex(scores)) : null;
  return (
    <>
      <div className="grid gap-x-6 gap-y-1 sm:grid-cols-2">
        {titles.map((title, index) => (
          <label key={title} className="flex items-center justify-between gap-2">
            {title}
            <input
              aria-label={`${kindOf(kind).name}, ${title}, 0 to 5`}
              inputMode="numeric"
              autoComplete="off"
              value={fields[`section ${index}`] ?? ''}
              onChange={(event) => set({ [`section ${index}`]: event.target.value })}
              className="figures w-14 rounded border border-edge bg-sheet px-2 py-0.5 text-right"
            />
          </label>
        ))}
      </div>
      {errorAt('body.scores') && <p className="text-stop">{errorAt('body.scores')}</p>}
      <p role="status">
        {value !== null && scores.some((score) => score !== null) && (
          <>
            <strong className="figures font-semibold">
              {Math.round(value)}
              {kind === 'neck-index' ? ' of 50' : ' %'}
            </strong>
            : {kind === 'neck-index' ? neckIndexBand(value) : backIndexBand(value)}
            {scores.includes(null) &&
              `, reckoned from ${scores.filter((score) => score !== null).length} sections`}
            .
          </>
        )}
      </p>
    </>
  );
}

export const SECTIONS: Form = {
  body: (fields) => ({ form: 'sections', scores: scoresIn(fields) }),
  Rows: SectionsRow,
};
