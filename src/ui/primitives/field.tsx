'use client';

import { type ComponentProps, type ReactNode, useId } from 'react';

type FieldProps = {
  readonly label: string;
  readonly hint?: string;
  /** What is wrong, in a sentence; empty when nothing is. */
  readonly error?: string;
};

export const INPUT_CLASS =
  'w-full rounded border border-edge bg-sheet px-2.5 py-1.5 text-ink placeholder:text-soft aria-invalid:border-stop';

/** A label above its control; hint or error below, tied to it by `controlProps`. */
function Labelled({
  id,
  label,
  hint,
  error,
  children,
}: FieldProps & { id: string; children: ReactNode }) {
  return (
    <div className="grid content-start gap-1">
      <label htmlFor={id} className="font-medium">
        {label}
      </label>
      {children}
      {(error || hint) && (
        <p id={`${id}-about`} className={`text-small ${error ? 'text-stop' : 'text-soft'}`}>
          {error ? <strong className="font-semibold">{error}</strong> : hint}
        </p>
      )}
    </div>
  );
}

function controlProps(id: string, { hint, error }: Pick<FieldProps, 'hint' | 'error'>) {
  return {
    id,
    'aria-invalid': error ? true : undefined,
    'aria-describedby': error || hint ? `${id}-about` : undefined,
  };
}

/** A labelled input whose hint and error are read out with it. */
export function Field({ label, hint, error, ...props }: FieldProps & ComponentProps<'input'>) {
  const id = useId();
  return (
    <Labelled id={id} label={label} hint={hint} error={error}>
      <input
        {...props}
        {...controlProps(id, { hint, error })}
        className={`${INPUT_CLASS} ${props.className ?? ''}`}
      />
    </Labelled>
  );
}

/** A labelled text of several lines. */
export function TextField({
  label,
  hint,
  error,
  ...props
}: FieldProps & ComponentProps<'textarea'>) {
  const id = useId();
  return (
    <Labelled id={id} label={label} hint={hint} error={error}>
      <textarea {...props} {...controlProps(id, { hint, error })} className={INPUT_CLASS} />
    </Labelled>
  );
}

/** A labelled choice. */
export function Choice({ label, hint, error, ...props }: FieldProps & ComponentProps<'select'>) {
  const id = useId();
  return (
    <Labelled id={id} label={label} hint={hint} error={error}>
      <select {...props} {...controlProps(id, { hint, error })} className={INPUT_CLASS} />
    </Labelled>
  );
}
