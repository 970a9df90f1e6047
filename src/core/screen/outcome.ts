/** What a screening comes to, worst first. The first three block prescribing. */
export const OUTCOMES = ['emergency', 'same day', 'refer', 'precautions', 'go'] as const;
export type Outcome = (typeof OUTCOMES)[number];

export const OUTCOME_NAMES: Readonly<Record<Outcome, string>> = {
  emergency: 'Emergency now',
  'same day': 'Same-day medical opinion',
  refer: 'Refer before exercising',
  precautions: 'Go ahead with named precautions',
  go: 'Go ahead',
};

/** True for the outcomes that block prescribing until a practitioner records what was done. */
export function blocksPrescribing(outcome: Outcome): boolean {
  return OUTCOMES.indexOf(outcome) <= OUTCOMES.indexOf('refer');
}

/** The worst of some outcomes; "go" when there is none. */
export function worstOutcome(outcomes: readonly Outcome[]): Outcome {
  return OUTCOMES.find((outcome) => outcomes.includes(outcome)) ?? 'go';
}
