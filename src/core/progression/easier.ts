import { type Dose, holdOf, setsOf } from '../dose';
import { HOLD_LADDERS, withHold } from './hold-ladder';
import { restAsGap } from './rest-as-gap';
import type { SchoolSettings } from './settings';
import { exactly, seconds } from '../units';

/** A load goes down by this share when it was too much. Common practice, no source. */
const LIGHTER = 0.9;

/**
 * The same dose one notch easier: a shorter hold of its ladder, else a lighter weight, else one set
 * or bout fewer; null where nothing can be taken off.
 *
 * @example easierDose(parse('x10 hold 10s'), NO_SETTINGS) // x10 hold 5s
 */
export function easierDose(dose: Dose, { holds }: SchoolSettings): Dose | null {
  const hold = holdOf(dose);
  if (hold) {
    const ladder = holds.length > 0 ? holds : [...new Set(HOLD_LADDERS.flat())];
    const below = [...ladder].sort((a, b) => b - a).find((step) => step < hold.least);
    if (below !== undefined) return withHold(dose, exactly(seconds(below)));
  }
  const { head, load } = dose;
  if (load?.kind === 'weight') {
    const lighter = load.perSet.map((one) =>
      one === 'adj' ? one : Math.round(one * LIGHTER * 10) / 10,
    );
    const changed = lighter.some((one, set) => one !== load.perSet[set] && one !== 0);
    if (changed) return { ...dose, load: { ...load, perSet: lighter } };
  }
  const oneLoad = load === undefined || load.perSet.length === 1;
  if (head.kind === 'sets' && setsOf(head).most > 1 && oneLoad) {
    const fewer = head.sets.most - 1;
    if ((dose.warmUpSets ?? 0) < fewer)
      return restAsGap({ ...dose, head: { ...head, sets: exactly(fewer) } });
  }
  if (head.kind === 'bouts' && head.bouts.most > 1)
    return { ...dose, head: { ...head, bouts: exactly(head.bouts.most - 1) } };
  return null;
}

/** A day in between; null where there is one already, or the days are fixed. */
export function withDayBetween(dose: Dose): Dose | null {
  const daily = dose.days === undefined || dose.days.kind === 'daily';
  return daily ? { ...dose, days: { kind: 'every', n: 2 } } : null;
}
