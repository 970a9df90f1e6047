'use client';

import { Label } from 'radix-ui';
import { type ComponentProps, useId } from 'react';

type FieldProps = {
  readonly label: string;
  readonly hint?: string;
  /** What is wrong, in a sentence; empty when nothing is. */
  readonly error?: string;
};

export const INPUT_CLASS =
  'w-full rounded border border-hair bg-sheet px-2.5 py-1.5 text-ink placeholder:text-soft aria-invalid:border-stop';

/** A labelled input whose hint and error are read out with it. */
export function Field({ label, hint, error, ...props }: FieldProps & ComponentProps<'input'>) {
  const id = useId();
  return (
    <div className="grid gap-1">
      <Label.Root htmlFor={id} className="font-medium">
        {label}
      </Label.Root>
      <input
        {...props}
        id={id}
        className={`${INPUT_CLASS} ${props.className ?? ''}`}
        aria-invalid={error ? true : undefined}
        aria-describedby={error || hint ? `${id}-about` : undefined}
      />
      <About id={id} hint={hint} error={error} />
    </div>
  );
}

/** A labelled choice. */
export function Choice({
  label,
  hint,
  error,
  children,
  ...props
}: FieldProps & ComponentProps<'select'>) {
  const id = useId();
  return (
    <div className="grid gap-1">
      <Label.Root htmlFor={id} className="font-medium">
        {label}
      </Label.Root>
      <select
        {...props}
        id={id}
        className={INPUT_CLASS}
        aria-invalid={error ? true : undefined}
        aria-describedby={error || hint ? `${id}-about` : undefined}
      >
        {children}
      </select>
      <About id={id} hint={hint} error={error} />
    </div>
  );
}

function About({
  id,
  hint,
  error,
}: {
  id: string;
  hint?: string | undefined;
  error?: string | undefined;
}) {
  if (!hint && !error) return null;
  return (
    <p id={`${id}-about`} className={`text-[0.93em] ${error ? 'text-stop' : 'text-soft'}`}>
      {error ? <strong className="font-semibold">{error}</strong> : hint}
    </p>
  );
}
