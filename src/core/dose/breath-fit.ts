import { type Seconds, seconds } from '../units';
import type { Dose } from './model';
import { holdOf } from './volume';

export type BreathMisfit = {
  /** Seconds of one breath: in, held and out. */
  readonly cycle: Seconds;
  /** The hold it stands in, its least. */
  readonly hold: Seconds;
  /** The nearest holds in which whole breaths fit, shorter first; one where a shorter would be none. */
  readonly fits: readonly Seconds[];
};

/**
 * A breath pattern whose cycle does not fit the hold it stands in, with the nearest holds that fit.
 *
 * @returns null where there is no breath, no hold, or whole breaths fit
 * @example breathMisfit(parse('10x10s breath 4-4-4')) // a cycle of 12 s in 10 s: 12 s fits
 * @example breathMisfit(parse('x5 hold 30s breath 4-4-4')) // 24 s or 36 s
 */
export function breathMisfit(dose: Dose): BreathMisfit | null {
  const hold = holdOf(dose);
  if (!dose.breath || !hold) return null;
  const cycle = dose.breath.in + dose.breath.hold + dose.breath.out;
  if (cycle === 0 || (hold.least % cycle === 0 && hold.most % cycle === 0)) return null;
  const whole = Math.floor(hold.least / cycle);
  const fits = [whole, whole + 1].filter((breaths) => breaths > 0);
  return {
    cycle: seconds(cycle),
    hold: hold.least,
    fits: fits.map((breaths) => seconds(breaths * cycle)),
  };
}
