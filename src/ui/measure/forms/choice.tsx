'use client';

import { kindOf, wordsOf } from '@/core/measures';
import type { Form, FormRowProps } from './form';

function ChoiceRow({ kind, side, fields, set }: FormRowProps) {
  return (
    <label className="flex items-center gap-3">
      <span className="w-12 text-soft" aria-hidden>
        {side}
      </span>
      <select
        aria-label={wordsOf(kind, side)}
        value={fields.option ?? ''}
        onChange={(event) => set({ option: event.target.value })}
        className="w-56 rounded border border-edge bg-sheet px-2 py-1"
      >
        <option value="">not looked at</option>
        {kindOf(kind).options?.map((option) => (
          <option key={option}>{option}</option>
        ))}
      </select>
    </label>
  );
}

export const CHOICE: Form = {
  body: ({ option = '' }) => ({ form: 'choice', option }),
  Rows: ChoiceRow,
};
