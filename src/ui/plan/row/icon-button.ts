/** A small square button with a sign in it, in a line of the desk. */
export const ICON_BUTTON =
  'inline-flex size-7 items-center justify-center rounded border border-transparent text-soft hover:border-hair hover:text-ink disabled:opacity-40';
