import type { ComponentProps } from 'react';

/** The one big button of a patient's screen. */
export function BeginButton({ children, ...props }: ComponentProps<'button'>) {
  return (
    <button
      type="button"
      {...props}
      className="min-h-14 rounded bg-action px-6 py-3 text-[1.1em] font-semibold text-on-action"
    >
      {children}
    </button>
  );
}
