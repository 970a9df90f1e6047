import { type Dose, setsOf } from '../dose';
import { schemeLoads } from '../load';
import type { SchoolSettings } from './settings';

/** Loads of a scheme as the dose line writes them: measured where known, else percents. */
export function schemeText(
  percents: readonly number[],
  { tenRepMaximum: maximum, unit }: SchoolSettings,
): string {
  return maximum === null
    ? `${percents.join('/')}% 10rm`
    : `${schemeLoads(maximum, percents).join('/')}${unit}`;
}

/** A load for every set, which a scheme of loads goes on from. */
export const hasScheme = ({ load, head }: Dose): boolean =>
  load !== undefined && load.perSet.length > 1 && load.perSet.length === setsOf(head).most;
