import { itemAt } from '../units';
import { Z95 } from './normal';

/** How long somebody was followed, and whether it happened at the end of that time. */
export type FollowedFor = { readonly time: number; readonly happened: boolean };

/** The share to whom it had not happened after a time, 0–1, with its 95 % interval. */
export type SurvivalStep = {
  readonly time: number;
  /** Still followed just before, and to whom it had not happened. */
  readonly atRisk: number;
  readonly events: number;
  readonly share: number;
  readonly low: number;
  readonly high: number;
};

/**
 * The product-limit estimate (Kaplan & Meier 1958) with Greenwood's variance on the log-minus-log scale
 * (Kalbfleisch & Prentice 1980; memory), so that the interval stays within 0–1. Who was no longer followed
 * at the time of an event counts as followed then. It takes leaving as saying nothing of the event.
 *
 * @param all in any order
 * @returns a step for each time at which it happened to somebody, rising; none where it happened to nobody
 * @example survival([{ time: 2, happened: true }, { time: 3, happened: false }])[0].share // 0.5
 */
export function survival(all: readonly FollowedFor[]): SurvivalStep[] {
  const sorted = [...all].sort((a, b) => a.time - b.time);
  const steps: SurvivalStep[] = [];
  let [share, greenwood] = [1, 0];
  for (let at = 0; at < sorted.length;) {
    const time = itemAt(sorted, at).time;
    const atRisk = sorted.length - at;
    let events = 0;
    for (; sorted[at]?.time === time; at += 1) events += Number(sorted[at]?.happened);
    if (events === 0) continue;
    share *= 1 - events / atRisk;
    greenwood += events / (atRisk * (atRisk - events));
    steps.push({ time, atRisk, events, share, ...logLogInterval(share, greenwood) });
  }
  return steps;
}

/** None of a share of nobody or of everybody: the scale has no place for them. */
function logLogInterval(share: number, greenwood: number): { low: number; high: number } {
  if (share <= 0 || share >= 1) return { low: share, high: share };
  const half = (Z95 * Math.sqrt(greenwood)) / Math.abs(Math.log(share));
  return { low: share ** Math.exp(half), high: share ** Math.exp(-half) };
}

/** The step that holds at a time; null before the first. */
export function survivalAt(steps: readonly SurvivalStep[], time: number): SurvivalStep | null {
  return steps.filter((step) => step.time <= time).at(-1) ?? null;
}

/** The first time at which it had happened to half; null where it did not. */
export function medianTime(steps: readonly SurvivalStep[]): number | null {
  return steps.find(({ share }) => share <= 0.5)?.time ?? null;
}
