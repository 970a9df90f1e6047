import type { ComponentProps } from 'react';

const LOOK = {
  /** The one thing to do here. */
  main: 'border-action bg-action text-on-action hover:opacity-90',
  plain: 'border-edge bg-sheet text-ink hover:border-action',
  quiet: 'border-transparent bg-transparent text-action underline-offset-4 hover:underline',
  stop: 'border-stop bg-stop text-on-stop hover:opacity-90',
} as const;

export type ButtonLook = keyof typeof LOOK;

const SIZE = {
  desk: 'min-h-8 px-3 py-1',
  hand: 'min-h-12 px-5 py-2 text-[1.05em]',
} as const;

/** The classes of a button, for links that look like one. */
export function buttonClass(look: ButtonLook = 'plain', size: keyof typeof SIZE = 'desk'): string {
  return `button ${LOOK[look]} ${SIZE[size]}`;
}

export function Button({
  look = 'plain',
  size = 'desk',
  className = '',
  ...props
}: ComponentProps<'button'> & { look?: ButtonLook; size?: keyof typeof SIZE }) {
  return (
    <button type="button" {...props} className={`${buttonClass(look, size)} ${className}`.trim()} />
  );
}
