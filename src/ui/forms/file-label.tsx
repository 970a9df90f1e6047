'use client';

import { type ReactNode, useRef } from 'react';
import { buttonClass } from '../primitives/button';

/** A button that takes a file and hands on its text; the same file can be chosen again. */
export function FileLabel({
  label,
  accept,
  onText,
  children,
}: {
  /** What a reader's voice calls it, where the words beside it do not say it all. */
  label?: string;
  accept: string;
  /** Its text, and its name. */
  onText: (text: string, name: string) => Promise<unknown>;
  children: ReactNode;
}) {
  const input = useRef<HTMLInputElement>(null);
  return (
    <label className={`${buttonClass()} relative cursor-pointer`}>
      {children}
      <input
        ref={input}
        type="file"
        accept={accept}
        aria-label={label}
        className="absolute inset-0 cursor-pointer opacity-0"
        onChange={async ({ target }) => {
          const file = target.files?.[0];
          if (!file) return;
          await onText(await file.text(), file.name);
          if (input.current) input.current.value = '';
        }}
      />
    </label>
  );
}

/** All that is wrong in a file that was looked at. */
export function WrongInFile({ what, problems }: { what: string; problems: readonly string[] }) {
  if (problems.length === 0) return null;
  return (
    <div role="alert" className="border-l-2 border-stop pl-3">
      <p className="font-semibold text-stop">{what} Wrong in this file:</p>
      <ul>
        {problems.map((say) => (
          <li key={say}>{say}</li>
        ))}
      </ul>
    </div>
  );
}
