import { furthestReach, isRegion, nerveDeficits } from '../symptoms';
import type { MeasurementBody } from './body';
import { nodPerformanceIndex } from './control';
import { heldFromBelow, wedgeFit } from './fit';
import { type MeasureKindId, kindOf } from './kinds';
import { activityMean, backIndex, neckIndex } from './scores';
import { summariseTrials } from './trials';

/** What a measurement comes to; null where it is a choice, or where no number can be given. */
export function measuredValue(
  kind: MeasureKindId,
  trials: readonly number[],
  body: MeasurementBody | null,
): number | null {
  if (!body) return summariseTrials(trials)?.mean ?? null;
  switch (body.form) {
    case 'choice':
      return null;
    case 'offsets': {
      const held = heldFromBelow(body);
      return held.kind === 'share' ? held.total : null;
    }
    case 'wedge': {
      const fit = wedgeFit(body);
      return fit.under === 'head' ? 0 - fit.thickness : fit.thickness;
    }
    case 'cuff':
      return nodPerformanceIndex(body.target, body.holds);
    case 'nerve':
      return nerveDeficits(body);
    case 'body':
      return Math.max(-1, ...furthestReach(body.regions.filter(isRegion)).map((r) => r.order));
    case 'activities':
      return activityMean(body.activities);
    case 'sections':
      return kind === 'back-index' ? backIndex(body.scores) : neckIndex(body.scores);
    case 'pressure':
      return body.systolic;
    case 'photo':
      return body.value;
  }
}

/** Why a value is not possible for its kind, with the range; null when it is. */
export function impossible(kind: MeasureKindId, value: number): string | null {
  const { name, range, unit } = kindOf(kind);
  const [least, most] = range;
  return value >= least && value <= most
    ? null
    : `${name} is between ${least} and ${most}${unit === '°' ? '°' : ` ${unit}`}; ${value} is not possible.`;
}

/**
 * A value rounded as the trade reads it: scores of ten and seconds to a tenth, all else whole.
 *
 * @example roundMeasure('neck-turn', 71.6) // 72
 */
export function roundMeasure(kind: MeasureKindId, value: number): number {
  const { unit } = kindOf(kind);
  return Number(value.toFixed(unit === 'of 10' || unit === 's' ? 1 : 0));
}

/** A value with its unit, rounded as the trade reads it. */
export function formatMeasure(kind: MeasureKindId, value: number): string {
  const { unit } = kindOf(kind);
  const number = String(roundMeasure(kind, value));
  return unit === '' ? number : unit === '°' ? `${number}°` : `${number} ${unit}`;
}
