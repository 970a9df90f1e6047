import type { Exercise, Family } from '../exercise';
import type { FindingAbout } from '../findings';

/** A finding the clinician confirmed, as far as choosing needs it. */
export type ConfirmedFinding = {
  readonly key: string;
  readonly about: FindingAbout;
  /** Its sentence, for people. */
  readonly say: string;
};

/** A finding with what it asks for, so that whoever holds it against exercises needs no rules. */
export type AskingFinding = ConfirmedFinding & {
  /** The families it asks for; empty where no rule knows it. */
  readonly families: readonly Family[];
};

/** The confirmed findings that no exercise here answers; one without a rule is not judged. */
export function uncoveredFindings(
  findings: readonly AskingFinding[],
  exercises: readonly Exercise[],
): AskingFinding[] {
  const there = new Set(exercises.map(({ family }) => family));
  return findings.filter(
    ({ families }) => families.length > 0 && !families.some((family) => there.has(family)),
  );
}
