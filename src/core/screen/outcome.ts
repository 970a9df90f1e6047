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

/** What is kept of a screening: its outcome, or that it is not finished. */
export const SCREENING_OUTCOMES = [...OUTCOMES, 'unfinished'] as const;
export type ScreeningOutcome = (typeof SCREENING_OUTCOMES)[number];

/** The outcomes that block prescribing until a practitioner records what was done. */
export const BLOCKING_OUTCOMES = ['emergency', 'same day', 'refer'] as const satisfies Outcome[];

/** The outcomes that somebody has to act on today, and that a patient is told of at once. */
export const URGENT_OUTCOMES = ['emergency', 'same day'] as const satisfies Outcome[];
export type Urgency = (typeof URGENT_OUTCOMES)[number];

export function blocksPrescribing(outcome: ScreeningOutcome): boolean {
  return (BLOCKING_OUTCOMES as readonly ScreeningOutcome[]).includes(outcome);
}

/** The outcome where it is urgent, else null. */
export function urgencyOf(outcome: ScreeningOutcome): Urgency | null {
  return URGENT_OUTCOMES.find((urgent) => urgent === outcome) ?? null;
}

/** The worst of some outcomes; "go" when there is none. */
export function worstOutcome(outcomes: readonly Outcome[]): Outcome {
  return OUTCOMES.find((outcome) => outcomes.includes(outcome)) ?? 'go';
}
