import {
  type Slope,
  type TrendTest,
  Z95,
  median,
  medianPairwiseSlope,
  trendTest,
  varianceInflation,
} from '../statistics';
import { daysBetween } from '../units';
import { type Reading, inOrder } from './reading';

export const COURSES = [
  'improving beyond noise',
  'no clear change',
  'worsening beyond noise',
  'not enough to say',
] as const;
export type Course = (typeof COURSES)[number];

/** What counts as a change that matters, in the unit of the readings. */
export type Matters = {
  readonly better: 'more' | 'less';
  /** At least so much … */
  readonly by: number;
  /** … or this share of where it began; null where only the amount counts. */
  readonly share: number | null;
  readonly source: string;
};

/** Pain 0–10: clinically important change 2 points or 30 % (Farrar 2001). */
export const PAIN_MATTERS: Matters = {
  better: 'less',
  by: 2,
  share: 0.3,
  source: 'Clinically important: 2 points or 30 % (Farrar 2001).',
};

/** Start and now are the middle of so many readings. */
export const WINDOW_READINGS = 7;
/** Fewer readings, or a shorter time, say nothing yet. Common practice, no source. */
export const LEAST_READINGS = 14;
export const LEAST_DAYS = 14;
/** So much of the change that matters must be seen between the windows, not only in the slope. */
const SEEN_SHARE = 0.75;
/** The verdict is asked for again and again, so improving wants 99 %; worsening is said at 95 %. */
const Z99 = 2.5758293035489004;
export type CourseVerdict = {
  readonly course: Course;
  readonly readings: number;
  /** Days from the first reading to the last. */
  readonly days: number;
  /** More days of telling until something can be said; 0 when it can. */
  readonly moreDays: number;
  /** Middle of the first and of the last week of readings. */
  readonly from: number | null;
  readonly to: number | null;
  /** The slope over the whole time: what changed, by all readings. */
  readonly change: number | null;
  /** The change that matters, from where this patient began. */
  readonly important: number | null;
  /**
   * The change beyond this patient's own day-to-day noise: half the slope's 95 % interval over the
   * whole time.
   */
  readonly detectable: number | null;
  /** Per week, with the interval that allows for day-to-day correlation. */
  readonly slope: Slope | null;
  readonly trend: TrendTest | null;
  /** How many times the variance was enlarged for that correlation. */
  readonly inflation: number;
};

const NOTHING_YET = {
  course: 'not enough to say',
  from: null,
  to: null,
  change: null,
  important: null,
  detectable: null,
  slope: null,
  trend: null,
  inflation: 1,
} as const;

/**
 * Whether something measured most days is changing: the slope per week by the median of pairwise
 * slopes with its interval (Sen 1968), the monotone trend with ties (Mann 1945; Kendall 1975), both
 * with a variance enlarged for day-to-day correlation (Hamed & Rao 1998); and the change from the
 * first to the last week of readings against what matters and against the patient's own noise.
 *
 * Improving needs all of it: a trend beyond chance, a change large enough to matter over the whole time,
 * most of it seen between the windows too, and a newest reading no worse than the start. Worsening takes no allowance for correlation: the
 * careful error is to look once too often. It never says why.
 *
 * @param readings one a day, in any order
 * @example judgeCourse(eightWeeksFromSixToTwo, PAIN_MATTERS).course // 'improving beyond noise'
 */
export function judgeCourse(readings: readonly Reading[], matters: Matters): CourseVerdict {
  const told = inOrder(readings);
  const first = told[0];
  const last = told.at(-1);
  const days = first && last ? daysBetween(first.date, last.date) + 1 : 0;
  const moreDays = Math.max(0, LEAST_READINGS - told.length, LEAST_DAYS - days);
  if (!first || !last || moreDays > 0)
    return { ...NOTHING_YET, readings: told.length, days, moreDays };
  const points = told.map(({ date, value }) => ({
    x: daysBetween(first.date, date) / 7,
    y: value,
  }));
  const weeks = points.at(-1)?.x ?? 0;
  const inflation = varianceInflation(points);
  const from = median(told.slice(0, WINDOW_READINGS).map(({ value }) => value));
  const to = median(told.slice(-WINDOW_READINGS).map(({ value }) => value));
  const important = importantChange(from, matters);
  const slope = medianPairwiseSlope(points, inflation);
  const detectable = slope && ((slope.high - slope.low) / 2) * weeks;
  const trend = trendTest(points, inflation);
  const way = matters.better === 'more' ? 1 : -1;
  /** The change towards `side` that the slope makes over the whole time, seen in the windows too. */
  const changes = (side: number, { z }: TrendTest, beyond: number) =>
    side * z > beyond &&
    side * (slope?.slope ?? 0) * weeks + EPSILON >= important &&
    side * (to - from) + EPSILON >= important * SEEN_SHARE;
  const improves = changes(way, trend, Z99) && way * (last.value - from) >= 0;
  const worsens = changes(-way, trendTest(points), Z95);
  return {
    course: improves
      ? 'improving beyond noise'
      : worsens
        ? 'worsening beyond noise'
        : 'no clear change',
    readings: told.length,
    days,
    moreDays: 0,
    from,
    to,
    change: slope && slope.slope * weeks,
    important,
    detectable,
    slope,
    trend,
    inflation,
  };
}

/** Rounding noise of decimal arithmetic. */
const EPSILON = 1e-9;

/** The smaller of the amount and the share, since either matters; never less than half the amount. */
function importantChange(from: number, { by, share }: Matters): number {
  if (share === null || from <= 0) return by;
  return Math.max(by / 2, Math.min(by, share * from));
}
