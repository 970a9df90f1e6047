import { type Film, pathMarkup } from '@/core/figure';

/** A film's moments as the markup that a page shows of them. */
export const markupOf =
  ({ at, inset }: Film) =>
  (along: number): string =>
    pathMarkup(at(along)) + inset;
