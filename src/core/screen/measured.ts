import type { PrecautionId } from './precautions';

/** What the hand found that is a precaution like one the screening names. */
export type MeasuredDangers = {
  /** The step at the base of the neck slides away on looking up, at the newest look. */
  readonly stepSlides: boolean;
};

/**
 * A patient's precautions: those of the screening, and those of what was measured since. A sliding
 * step is a slipping segment, whatever was answered. Common practice, no source.
 *
 * @example withMeasured(['latex'], { stepSlides: true }) // ['latex', 'instability']
 */
export function withMeasured(
  precautions: readonly PrecautionId[],
  { stepSlides }: MeasuredDangers,
): readonly PrecautionId[] {
  return stepSlides && !precautions.includes('instability')
    ? [...precautions, 'instability']
    : precautions;
}
