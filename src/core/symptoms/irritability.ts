/** How little provokes it, how bad it gets, how long it takes to settle. Common practice. */
export const PROVOKED_BY = ['hard or long effort', 'ordinary movement', 'almost nothing'] as const;
export const SETTLES_WITHIN = ['minutes', 'hours', 'days'] as const;

export type IrritabilityFacts = {
  readonly provokedBy: (typeof PROVOKED_BY)[number];
  /** Worst pain when provoked, 0–10. */
  readonly worst: number;
  readonly settlesWithin: (typeof SETTLES_WITHIN)[number];
};

export type Irritability = {
  readonly level: 'low' | 'moderate' | 'high';
  /** 0–6, two points at most from each of the three. */
  readonly points: number;
  readonly reasons: readonly string[];
};

function severityPoints(worst: number): 0 | 1 | 2 {
  return worst >= 7 ? 2 : worst >= 4 ? 1 : 0;
}

/**
 * Irritability from three answers, each worth 0, 1 or 2: what provokes it, how bad it gets
 * (0–3, 4–6, 7–10), how long it takes to settle. 0–1 is low, 2–3 moderate, 4–6 high; what flares
 * at almost nothing and takes days is high whatever the pain. The weights are common practice,
 * no source.
 *
 * @example irritability({ provokedBy: 'ordinary movement', worst: 5, settlesWithin: 'hours' }) // moderate, 3
 */
export function irritability(facts: IrritabilityFacts): Irritability {
  const provoked = PROVOKED_BY.indexOf(facts.provokedBy);
  const settles = SETTLES_WITHIN.indexOf(facts.settlesWithin);
  const points = provoked + severityPoints(facts.worst) + settles;
  const level = points >= 4 ? 'high' : points >= 2 ? 'moderate' : 'low';
  return {
    level,
    points,
    reasons: [
      `provoked by ${facts.provokedBy}`,
      `up to ${facts.worst} of 10`,
      `settles within ${facts.settlesWithin}`,
    ],
  };
}
