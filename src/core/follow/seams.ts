import { type NonOverlap, nonOverlap } from '../statistics';
import { type LocalDate, addDays } from '../units';
import { type Reading, inOrder } from './reading';

/** So many days on either side of a change of programme are compared. Common practice, no source. */
export const SEAM_DAYS = 21;
/** Fewer readings on one side are not compared. */
export const LEAST_ON_A_SIDE = 5;

export type SeamVerdict = {
  readonly date: LocalDate;
  readonly before: number;
  readonly after: number;
  /** Null with too few readings on a side. */
  readonly overlap: NonOverlap | null;
  readonly say: 'better after' | 'worse after' | 'no clear difference' | 'not enough to say';
};

/**
 * Before against after each change of programme, by non-overlap of all pairs (Parker & Vannest
 * 2009), within three weeks and never across the next change. That it came after does not make it
 * because of it.
 *
 * @param seams dates on which versions began, in any order; the first has no before
 */
export function compareSeams(
  readings: readonly Reading[],
  seams: readonly LocalDate[],
  better: 'more' | 'less',
): SeamVerdict[] {
  const told = inOrder(readings);
  const dates = [...new Set(seams)].sort();
  return dates.slice(1).map((date, index): SeamVerdict => {
    const start = later(dates[index] ?? date, addDays(date, -SEAM_DAYS));
    const end = dates[index + 2] ?? addDays(date, SEAM_DAYS);
    const until = end < addDays(date, SEAM_DAYS) ? end : addDays(date, SEAM_DAYS);
    const valuesIn = (from: LocalDate, to: LocalDate) =>
      told.filter((one) => one.date >= from && one.date < to).map(({ value }) => value);
    const before = valuesIn(start, date);
    const after = valuesIn(date, until);
    const enough = before.length >= LEAST_ON_A_SIDE && after.length >= LEAST_ON_A_SIDE;
    const overlap = enough ? nonOverlap(before, after, better) : null;
    return { date, before: before.length, after: after.length, overlap, say: wordFor(overlap) };
  });
}

const later = (a: LocalDate, b: LocalDate) => (a > b ? a : b);

function wordFor(overlap: NonOverlap | null): SeamVerdict['say'] {
  if (overlap === null) return 'not enough to say';
  if (overlap.low > 0.5) return 'better after';
  return overlap.high < 0.5 ? 'worse after' : 'no clear difference';
}
