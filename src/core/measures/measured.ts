import type { MeasurementBody } from './body';
import { valueOfBody } from './forms';
import { type MeasureKindId, kindOf } from './kinds';
import { summariseTrials } from './trials';

/** What a measurement comes to; null where it is a choice, or where no number can be given. */
export function measuredValue(
  kind: MeasureKindId,
  trials: readonly number[],
  body: MeasurementBody | null,
): number | null {
  return body ? valueOfBody(kind, body) : (summariseTrials(trials)?.mean ?? null);
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
