import { furthestReach, isRegion } from '../symptoms';
import type { MeasurementBody } from './body';
import { type MeasureKindId, kindOf } from './kinds';

/** A kind and side in words: "left neck turn". */
export function wordsOf(kind: MeasureKindId, side: 'left' | 'right' | null): string {
  return side === null ? kindOf(kind).name : `${kindOf(kind).name} ${side}`;
}

/** A measure without a unit in words: where it is felt, what was chosen, how much is amiss. */
export function bodyInWords({
  value,
  body,
}: {
  readonly value: number | null;
  readonly body: MeasurementBody | null;
}): string {
  switch (body?.form) {
    case 'choice':
      return body.option;
    case 'body': {
      const reach = furthestReach(body.regions.filter(isRegion));
      return reach.length === 0
        ? 'no arm or leg'
        : reach.map(({ chain, part }) => `${chain}, as far as ${part}`).join('; ');
    }
    case 'nerve':
      return value === 0 ? 'nothing amiss' : `${value} amiss`;
    case 'cuff':
      return `index ${value} (${body.holds} holds at ${body.target} mmHg)`;
    default:
      return value === null ? 'no number' : String(Math.round(value));
  }
}
