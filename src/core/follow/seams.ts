import { type NonOverlap, nonOverlap } from '../statistics';
import { type LocalDate, addDays, daysBetween } from '../units';
import { stepAt } from '../verdict';
import type { Matters } from './course';
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
 * Before against after each change of programme, within three weeks and never across the next change:
 * better or worse is said only of a step that no trend which was there anyway, and no days that hang
 * together, say as well. Beside it the non-overlap of all pairs (Parker & Vannest 2009), which allows for
 * neither. That it came after does not make it because of it.
 *
 * @param seams dates on which versions began, in any order; the first has no before
 */
export function compareSeams(
  readings: readonly Reading[],
  seams: readonly LocalDate[],
  matters: Pick<Matters, 'better' | 'by'>,
): SeamVerdict[] {
  const told = inOrder(readings);
  const dates = [...new Set(seams)].sort();
  return dates.slice(1).map((date, index): SeamVerdict => {
    const start = later(dates[index] ?? date, addDays(date, -SEAM_DAYS));
    const end = dates[index + 2] ?? addDays(date, SEAM_DAYS);
    const until = end < addDays(date, SEAM_DAYS) ? end : addDays(date, SEAM_DAYS);
    const within = (from: LocalDate, to: LocalDate) =>
      told.filter((one) => one.date >= from && one.date < to);
    const [before, after] = [within(start, date), within(date, until)];
    const enough = before.length >= LEAST_ON_A_SIDE && after.length >= LEAST_ON_A_SIDE;
    const values = (some: readonly Reading[]) => some.map(({ value }) => value);
    const overlap = enough ? nonOverlap(values(before), values(after), matters.better) : null;
    return {
      date,
      before: before.length,
      after: after.length,
      overlap,
      say: enough ? stepSaid([...before, ...after], date, matters) : 'not enough to say',
    };
  });
}

const later = (a: LocalDate, b: LocalDate) => (a > b ? a : b);

function stepSaid(
  told: readonly Reading[],
  seam: LocalDate,
  { better, by }: Pick<Matters, 'better' | 'by'>,
): SeamVerdict['say'] {
  const [first] = told;
  if (!first) return 'not enough to say';
  const way = better === 'more' ? -1 : 1;
  const at = told.map(({ date, value }) => ({
    day: daysBetween(first.date, date),
    value: way * value,
  }));
  return stepAt(at, daysBetween(first.date, seam), by).say;
}
