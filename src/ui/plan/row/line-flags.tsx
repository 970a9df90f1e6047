'use client';

import { useId } from 'react';
import { type Flag, PRECAUTIONS, TRAITS } from '@/core/screen';
import { INPUT_CLASS } from '../../primitives/field';
import type { DeskLine } from '../draft';

/** What the patient's precautions say against a line; it goes ahead only with a written reason. */
export function LineFlags({
  line,
  flags,
  onReason,
}: {
  line: DeskLine;
  flags: readonly Flag[];
  onReason: (overrides: DeskLine['overrides']) => void;
}) {
  const id = useId();
  if (flags.length === 0) return null;
  function write({ precaution, trait }: Flag, reason: string) {
    const others = line.overrides.filter(
      (one) => one.precaution !== precaution || one.trait !== trait,
    );
    onReason([...others, { precaution, trait, reason }]);
  }
  return (
    <ul className="grid gap-1 pt-1">
      {flags.map((flag) => {
        const { precaution, trait } = flag;
        const reason = line.overrides.find(
          (one) => one.precaution === precaution && one.trait === trait,
        )?.reason;
        const field = `${id} ${precaution} ${trait}`;
        return (
          <li key={field} className="border-l-2 border-plum pl-2 text-small">
            <label htmlFor={field}>
              <strong className="font-semibold text-plum">Flagged: {TRAITS[trait]}.</strong>{' '}
              {PRECAUTIONS[precaution].name}. {PRECAUTIONS[precaution].note}
            </label>
            <input
              id={field}
              className={INPUT_CLASS}
              value={reason ?? ''}
              maxLength={300}
              placeholder="Why it goes ahead"
              onChange={(event) => write(flag, event.target.value)}
            />
          </li>
        );
      })}
    </ul>
  );
}
