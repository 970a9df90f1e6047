import { belowChange } from './answers';
import { averagedOver } from './averaged';
import type { At, Averaged } from './model';
import type { Flare, Shape } from './shapes';

/** What the course was doing anyway, straight or levelling off over so many days, with its share of belief. */
const ANYWAY = [
  { tau: null, prior: 0.25 },
  { tau: 5, prior: 0.1 },
  { tau: 10, prior: 0.15 },
  { tau: 20, prior: 0.15 },
] as const;
/** How likely a step at the seam is before anything is told. Ours, no source. */
const STEP_PRIOR = 0.3;
/** A step counts from this share of what matters on. Ours. */
const MARGIN = 0.25;
/** So sure a step must be. Tuned on the simulated clinic of `scripts/verdicts`. */
const SURE = 0.82;

/** What a change of programme was followed by, beyond what the course was doing anyway. */
export type SeamStep = {
  readonly say: 'better after' | 'worse after' | 'no clear difference';
  readonly found: Averaged;
};

/**
 * Whether there is a step at a seam that a trend which was there anyway, and days that hang together, do
 * not say as well.
 *
 * @param told less is better, days from the first reading on
 * @param seam the first day after the change
 */
export function stepAt(told: readonly At[], seam: number, matters: number): SeamStep {
  const last = Math.max(1, told.at(-1)?.day ?? 1);
  const shapes: Shape[] = [
    { kind: 'none', at: null, prior: 1 - STEP_PRIOR },
    { kind: 'step', at: (day) => (day >= seam ? 1 : 0), prior: STEP_PRIOR },
  ];
  const anyway = ANYWAY.map(({ tau, prior }): Flare => ({
    at:
      tau === null
        ? (day) => day / last
        : (day) => (1 - Math.exp(-day / tau)) / (1 - Math.exp(-last / tau)),
    prior,
  }));
  const found = averagedOver(told, matters, shapes, anyway);
  const better = belowChange(found, -MARGIN * matters);
  const worse = 1 - belowChange(found, MARGIN * matters);
  return {
    say: better >= SURE ? 'better after' : worse >= SURE ? 'worse after' : 'no clear difference',
    found,
  };
}
