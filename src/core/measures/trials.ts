/** Trials of one measurement taken one after the other. */
export type TrialSummary = {
  readonly count: number;
  readonly mean: number;
  /** Standard deviation of the sample (n − 1); 0 for one trial. */
  readonly sd: number;
  /** Largest less smallest. */
  readonly spread: number;
};

/**
 * Mean and spread of the trials.
 *
 * @param trials at least one finite number
 * @returns null for no trial
 * @example summariseTrials([60, 62, 64]) // { count: 3, mean: 62, sd: 2, spread: 4 }
 */
export function summariseTrials(trials: readonly number[]): TrialSummary | null {
  if (trials.length === 0) return null;
  const mean = trials.reduce((sum, trial) => sum + trial, 0) / trials.length;
  const squares = trials.reduce((sum, trial) => sum + (trial - mean) ** 2, 0);
  return {
    count: trials.length,
    mean,
    sd: trials.length > 1 ? Math.sqrt(squares / (trials.length - 1)) : 0,
    spread: Math.max(...trials) - Math.min(...trials),
  };
}

/**
 * A distance in the measure's own unit, or in percent of a value; or the smaller of the two, where
 * either of them counts.
 */
export type Margin =
  | { readonly by: number; readonly orPercent?: number }
  | { readonly percent: number };

/** A margin in the measure's unit, at a value. */
export function marginAt(margin: Margin, value: number): number {
  const share = (percent: number) => (Math.abs(value) * percent) / 100;
  if (!('by' in margin)) return share(margin.percent);
  // A share of nothing is no margin.
  return margin.orPercent === undefined || value === 0
    ? margin.by
    : Math.min(margin.by, share(margin.orPercent));
}

/**
 * True when the trials lie further apart than the kind allows, so that another is worth taking.
 *
 * @example trialsDisagree([60, 62, 72], { by: 10 }) // true
 */
export function trialsDisagree(trials: readonly number[], allowed: Margin): boolean {
  const summary = summariseTrials(trials);
  return summary !== null && summary.spread > marginAt(allowed, summary.mean);
}
