/**
 * The most exercises a programme is sent with. Nobody does more at home; paper, phone and every
 * reckoning are held to it. Common practice is six to ten, no source for the bound.
 */
export const MOST_SENT_LINES = 60;

/** Why a programme of so many lines cannot be sent; null where it can. */
export function tooManyLines(lines: number): string | null {
  return lines <= MOST_SENT_LINES
    ? null
    : `A programme has at most ${MOST_SENT_LINES} exercises; this has ${lines}. Take some out: nobody does so many at home.`;
}
