/** Why a dose line cannot be read, where, and what would be right there. */
export type DoseError = {
  /** Index of the first wrong character in the typed text, 0-based; its length at the end. */
  readonly at: number;
  /** How many characters are wrong, at least 1 (so that the end can be marked too). */
  readonly length: number;
  /** What stands there; empty at the end of the line. */
  readonly found: string;
  /** What would be accepted there, as it is typed. */
  readonly expected: readonly string[];
  /** One sentence for a clinician. */
  readonly say: string;
};

/** Carries a DoseError up to `parseDose`; never leaves this folder. */
export class DoseFailure extends Error {
  constructor(readonly error: DoseError) {
    super(error.say);
  }
}
