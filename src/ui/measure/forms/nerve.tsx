'use client';

import type { ReactNode } from 'react';
import {
  FEELINGS,
  NERVE_LEVELS,
  type NerveExamination,
  REFLEXES,
  TENSION_TESTS,
  nerveChange,
} from '@/core/symptoms';
import { type Fields, numberIn } from '../typed';
import type { Form, FormRowProps } from './form';

const SIDES = ['left', 'right'] as const;

function levelsIn(fields: Fields) {
  return NERVE_LEVELS.flatMap(({ level }) =>
    SIDES.flatMap((side) => {
      const [strength, feeling, reflex] = ['strength', 'feeling', 'reflex'].map(
        (what) => fields[`${level} ${side} ${what}`] || null,
      );
      return strength || feeling || reflex
        ? [{ level, side, strength: strength ? numberIn(strength) : null, feeling, reflex }]
        : [];
    }),
  );
}

function tensionIn(fields: Fields) {
  return TENSION_TESTS.flatMap((test) =>
    SIDES.flatMap((side) => {
      const answer = fields[`${test} ${side}`];
      return answer ? [{ test, side, positive: answer === 'positive' }] : [];
    }),
  );
}

/** The nerve examination by level and side, with what changed since the last one. */
function NerveGrid({ fields, set, last }: FormRowProps) {
  const pick = (name: string, label: string, options: readonly string[]) => (
    <select
      aria-label={label}
      value={fields[name] ?? ''}
      onChange={(event) => set({ [name]: event.target.value })}
      className="w-full rounded border border-edge bg-sheet px-1 py-0.5"
    >
      <option value="">–</option>
      {options.map((option) => (
        <option key={option}>{option}</option>
      ))}
    </select>
  );
  return (
    <div className="grid gap-4">
      <NerveTrend before={last?.form === 'nerve' ? last : null} fields={fields} />
      <div className="overflow-x-auto" tabIndex={0} role="region" aria-label="Examination by level">
        <table className="w-full min-w-[44rem] text-small">
          <thead className="text-left">
            <tr>
              <th scope="col" className="pr-2">
                Level
              </th>
              {SIDES.map((side) =>
                ['strength', 'feeling', 'reflex'].map((what) => (
                  <th key={`${side} ${what}`} scope="col" className="px-1 font-medium">
                    {side} {what}
                  </th>
                )),
              )}
            </tr>
          </thead>
          <tbody>
            {NERVE_LEVELS.map(({ level, moves, feels, reflex }) => (
              <tr key={level} className="border-t border-hair">
                <th scope="row" className="py-1 pr-2 text-left font-normal">
                  <strong className="font-semibold">{level}</strong>{' '}
                  <span className="text-soft">
                    {moves}; {feels}
                    {reflex && `; ${reflex}`}
                  </span>
                </th>
                {SIDES.map((side) => (
                  <Cells key={side}>
                    <td className="w-16 px-1">
                      {pick(`${level} ${side} strength`, `${level} ${side} strength, 0 to 5`, [
                        '0',
                        '1',
                        '2',
                        '3',
                        '4',
                        '5',
                      ])}
                    </td>
                    <td className="w-24 px-1">
                      {pick(`${level} ${side} feeling`, `${level} ${side} feeling`, FEELINGS)}
                    </td>
                    <td className="w-24 px-1">
                      {reflex
                        ? pick(`${level} ${side} reflex`, `${level} ${side} reflex`, REFLEXES)
                        : null}
                    </td>
                  </Cells>
                ))}
              </tr>
            ))}
          </tbody>
        </table>
      </div>
      <div className="grid gap-x-8 gap-y-1 sm:grid-cols-2">
        {TENSION_TESTS.map((test) => (
          <div key={test} className="flex items-center gap-2">
            <span className="mr-auto">{test}</span>
            {SIDES.map((side) => (
              <span key={side} className="w-28">
                {pick(`${test} ${side}`, `${test}, ${side}`, ['positive', 'negative'])}
              </span>
            ))}
          </div>
        ))}
        <p className="text-small text-soft sm:col-span-2">Left, then right.</p>
      </div>
    </div>
  );
}

function Cells({ children }: { children: ReactNode }) {
  return <>{children}</>;
}

/** What the examination being filled in changes against the last one. */
function NerveTrend({ before, fields }: { before: NerveExamination | null; fields: Fields }) {
  const now = nerveIn(fields) as NerveExamination;
  if (now.levels.length === 0) return null;
  const change = nerveChange(before, now);
  const lines = [
    ['Weaker', change.weaker],
    ['Stronger', change.stronger],
    ['Less feeling', change.lessFeeling],
    ['More feeling', change.moreFeeling],
  ] as const;
  return (
    <div role="status">
      {change.weaker.length > 0 && (
        <p className="font-semibold text-stop">
          New weakness. It is urgent whatever the pain does; saving raises an alert.
        </p>
      )}
      {lines
        .filter(([, levels]) => levels.length > 0)
        .map(([name, levels]) => (
          <p key={name}>
            {name}: <span className="figures">{levels.join(', ')}</span>
          </p>
        ))}
      {lines.every(([, levels]) => levels.length === 0) && (
        <p className="text-soft">
          {before ? 'As at the last examination.' : 'Nothing weak or numb so far.'}
        </p>
      )}
    </div>
  );
}

const nerveIn = (fields: Fields) => ({
  form: 'nerve',
  levels: levelsIn(fields),
  tension: tensionIn(fields),
});

export const NERVE: Form = { body: nerveIn, Rows: NerveGrid };
