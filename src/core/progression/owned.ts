import { type Dose } from '../dose';
import { KILOGRAMS_A_POUND } from '../load';
import type { StepFacts, WeightUnit } from './facts';
import { toHundredth } from '../units';

/** The weights there are, in the unit a dose is written in; in their own where it writes none. */
export function ownedFor(
  { load }: Pick<Dose, 'load'>,
  { owned, ownedUnit }: Pick<StepFacts, 'owned' | 'ownedUnit'>,
): { readonly owned: readonly number[]; readonly unit: WeightUnit } {
  const unit = load?.kind === 'weight' ? load.unit : (ownedUnit ?? 'kg');
  if (ownedUnit === undefined || ownedUnit === unit) return { owned, unit };
  const by = unit === 'kg' ? KILOGRAMS_A_POUND : 1 / KILOGRAMS_A_POUND;
  return { owned: owned.map((weight) => toHundredth(weight * by)), unit };
}
