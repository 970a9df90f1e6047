'use client';

/** A whole row to press, for a finger. */
export function Tick({
  on,
  id,
  onChange,
  children,
}: {
  on: boolean;
  id: string;
  onChange: () => void;
  children: ReactNode;
}) {
  return (
    <label htmlFor={id} className="flex min-h-11 items-start gap-3 py-2">
      <input
        id={id}
        type="checkbox"
        checked={on}
        onChange={onChange}
        className="mt-0.5 size-6 flex-none accent-action"
      />
      <span className="min-w-0">{children}</span>
    </label>
  );
}
import type { ReactNode } from 'react';
