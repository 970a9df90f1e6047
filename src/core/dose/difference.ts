import { DOSE_PARTS, type DosePart, formatPart } from './format';
import type { Dose } from './model';

/** One part of a dose that differs: its canonical text before and after, null where not written. */
export type DoseChange = {
  readonly part: DosePart;
  readonly before: string | null;
  readonly after: string | null;
};

/** The parts in which two doses differ, in the order of the dose line. */
export function doseDifference(before: Dose, after: Dose): DoseChange[] {
  return DOSE_PARTS.map((part) => ({
    part,
    before: formatPart(before, part),
    after: formatPart(after, part),
  })).filter((change) => change.before !== change.after);
}

/**
 * A change in words, the word both sides begin with said once.
 *
 * @example sayDoseChange({ part: 'rest', before: 'rest 30s', after: 'rest 60s' }) // "rest 30s → 60s"
 */
export function sayDoseChange({ before, after }: DoseChange): string {
  if (before === null) return `${after ?? ''} added`;
  if (after === null) return `${before} left out`;
  const [firstBefore = '', ...restBefore] = before.split(' ');
  const [firstAfter = '', ...restAfter] = after.split(' ');
  const shared = firstBefore === firstAfter && restBefore.length > 0 && restAfter.length > 0;
  return shared
    ? `${firstBefore} ${restBefore.join(' ')} → ${restAfter.join(' ')}`
    : `${before} → ${after}`;
}
