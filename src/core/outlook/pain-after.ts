import { type DayReport, worstPain } from '../history';
import { type NonOverlap, nonOverlap } from '../statistics';
import { type LocalDate, addDays } from '../units';

/** How many days on either side of a decision are compared. */
export const AFTER_DAYS = 14;
const LEAST_DAYS_A_SIDE = 4;

/** How the worst pain of a fortnight went against the fortnight before. */
export const PAIN_AFTER = ['lower', 'higher', 'neither', 'too few days'] as const;
export type PainAfter = (typeof PAIN_AFTER)[number];

/**
 * Worst pain in the fortnight after a day against the one up to it, by the non-overlap of all pairs.
 *
 * @param until no later day is read
 * @returns null with too few days told on either side
 */
export function painOverlap(
  on: LocalDate,
  reports: ReadonlyMap<LocalDate, DayReport>,
  until: LocalDate | null = null,
): NonOverlap | null {
  const within = (from: LocalDate, to: LocalDate) =>
    [...reports].flatMap(([date, report]) =>
      date >= from && date <= to && (until === null || date <= until)
        ? (worstPain(report) ?? [])
        : [],
    );
  const before = within(addDays(on, -AFTER_DAYS), on);
  const after = within(addDays(on, 1), addDays(on, AFTER_DAYS));
  const enough = Math.min(before.length, after.length) >= LEAST_DAYS_A_SIDE;
  return enough ? nonOverlap(before, after, 'less') : null;
}

/** The same in a word: lower and higher only where the 95 % interval says so. It claims no cause. */
export function painAfter(...asked: Parameters<typeof painOverlap>): PainAfter {
  const found = painOverlap(...asked);
  if (!found) return 'too few days';
  if (found.low > 0.5) return 'lower';
  return found.high < 0.5 ? 'higher' : 'neither';
}
