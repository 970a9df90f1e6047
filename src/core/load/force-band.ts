import type { Dose } from '../dose';

/** Standard gravity, m/s². */
const G = 9.80665;

export type ForceBand = {
  readonly newtons: { readonly least: number; readonly most: number };
  /** The same as the weight that presses so hard. */
  readonly kilograms: { readonly least: number; readonly most: number };
};

/**
 * The push an effort means, from the measured maximum.
 *
 * @param maximumNewtons measured maximum push, newtons
 * @returns null where the effort is not written as a share of the maximum
 * @example forceBand(parse('x1 hold 60s 30-50%'), 120) // 36–60 N, 3.7–6.1 kg
 */
export function forceBand(dose: Dose, maximumNewtons: number): ForceBand | null {
  if (dose.effort?.kind !== 'percent') return null;
  const share = (percent: number) => (maximumNewtons * percent) / 100;
  const newtons = { least: share(dose.effort.range.least), most: share(dose.effort.range.most) };
  return {
    newtons,
    kilograms: { least: newtons.least / G, most: newtons.most / G },
  };
}
