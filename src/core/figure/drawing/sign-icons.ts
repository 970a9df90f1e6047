import type { DoseSign } from '../../dose';

/** What each sign looks like, in a square of 24: outlines to be drawn with a line of 2, our own. */
export const SIGN_ICONS: Readonly<Record<DoseSign['kind'], string>> = {
  // Something held between two posts.
  hold: 'M5 4v16M19 4v16M9 9h6v6h-6z',
  // Round again.
  repeat: 'M19 12a7 7 0 1 1-2.5-5.4M17 2.5v4.4h-4.4',
  // This way, then that.
  sides: 'M3 8h15M14 4l4.5 4-4.5 4M21 17h-15M10 13l-4.5 4 4.5 4',
  // In and out.
  breathe: 'M2 14c3-8 6-8 8 0s4 8 6 0 4-7 6-3',
};
