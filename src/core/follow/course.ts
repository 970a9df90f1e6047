import {
  type Slope,
  type TrendTest,
  median,
  medianPairwiseSlope,
  trendTest,
  varianceInflation,
} from '../statistics';
import { type LocalDate, addDays, daysBetween } from '../units';
import {
  LEAST_READINGS,
  SAID_FROM_DAYS,
  SHAPE_KINDS,
  type Said,
  type ShapeKind,
  averaged,
  belowChange,
  changeAt,
  fittedCourse,
  isLevel,
  likely,
  lookByLook,
} from '../verdict';
import { type Reading, inOrder } from './reading';

export const COURSES = [
  'improving beyond noise',
  'changed, less than matters',
  'no clear change',
  'was improving, now level',
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

/** What a patient can do of an activity of their own, 0–10: 2 points (Stratford 1995; memory). */
export const ACTIVITY_MATTERS: Matters = {
  better: 'more',
  by: 2,
  share: null,
  source: 'Important: 2 points of an activity the patient chose (Stratford 1995).',
};

/** Days with a headache in a week: one of them, or half where there are fewer. Ours, no source. */
export const HEADACHE_MATTERS: Matters = {
  better: 'less',
  by: 1,
  share: 0.5,
  source: 'Important: a day a week, or half where there are fewer. Ours, no source.',
};

/** Now is the middle of so many readings, where one look must do. */
export const WINDOW_READINGS = 7;
/** How a course went between its start and now. */
export const COURSE_SHAPES = ['level', 'steadily', 'early, then level', 'in a step'] as const;
export type CourseShape = (typeof COURSE_SHAPES)[number];

/** The fitted course on one day, with its 95 % band. */
export type FittedPoint = {
  readonly date: LocalDate;
  readonly value: number;
  readonly low: number;
  readonly high: number;
};
/** Days on which the fitted course is told. */
const FITTED_DAYS = 24;

export type CourseVerdict = {
  readonly course: Course;
  /** Which way it went, where it went: as the readings count, not as they are told. */
  readonly way: 'better' | 'worse' | null;
  readonly readings: number;
  /** Days from the first reading to the last. */
  readonly days: number;
  /** More days of telling until something can be said; 0 when it can. */
  readonly moreDays: number;
  /** Fitted at the start and now, flares that passed left out. */
  readonly from: number | null;
  readonly to: number | null;
  /** From start to now: exactly `to` less `from`. */
  readonly change: number | null;
  /** The 95 % interval of the change. */
  readonly low: number | null;
  readonly high: number | null;
  /** How sure it is that the change, either way, is as large as what matters, 0–1. */
  readonly matters: number | null;
  /** The change that matters, from where this patient began. */
  readonly important: number | null;
  readonly shape: CourseShape | null;
  /** The fitted course, on a few days from the first reading to the last; empty where nothing can be said. */
  readonly fitted: readonly FittedPoint[];
  /** A flare that passed is more likely than not. */
  readonly flared: boolean;
  /** Per week, with the interval that allows for day-to-day correlation. */
  readonly slope: Slope | null;
  readonly trend: TrendTest | null;
  /** How many times the variance was enlarged for that correlation. */
  readonly inflation: number;
};

const NOTHING_YET = {
  course: 'not enough to say',
  way: null,
  from: null,
  to: null,
  change: null,
  low: null,
  high: null,
  matters: null,
  important: null,
  shape: null,
  fitted: [],
  flared: false,
  slope: null,
  trend: null,
  inflation: 1,
} as const;

/** Less sure than this that it is as large as what matters, and it is said to be less. Ours. */
const SMALL = 0.25;

/**
 * Whether something measured most days is changing: by all shapes of a course together, looked at week by
 * week (`core/verdict`, decision 0053). Improving and worsening are said when two weekly looks agree;
 * improving is withdrawn only when it got worse since. The slope per week by the median of pairwise slopes
 * (Sen 1968) and the monotone trend (Mann 1945; Kendall 1975), with a variance enlarged for day-to-day
 * correlation (Hamed & Rao 1998), stand beside it as another way to reckon the same. It never says why.
 *
 * @param readings one a day, in any order
 * @example judgeCourse(eightWeeksFromSixToTwo, PAIN_MATTERS).course // 'improving beyond noise'
 */
export function judgeCourse(readings: readonly Reading[], matters: Matters): CourseVerdict {
  const told = lately(inOrder(readings));
  const first = told[0];
  const last = told.at(-1);
  const days = first && last ? daysBetween(first.date, last.date) + 1 : 0;
  const moreDays = Math.max(0, LEAST_READINGS - told.length, SAID_FROM_DAYS - days);
  if (!first || !last || moreDays > 0)
    return { ...NOTHING_YET, readings: told.length, days, moreDays };
  const way = wayOf(matters);
  const at = lessIsBetter(told, first, matters);
  const said = lookByLook(at, matters.by, days).at(-1) ?? 'nothing';
  const found = averaged(at, matters.by);
  const [from, to] = [way * found.start, way * found.now];
  const important = importantChange(from, matters);
  const beyond = belowChange(found, -important);
  const beyondWorse = 1 - belowChange(found, important);
  const [one, other] = [changeAt(found, 0.025), changeAt(found, 0.975)];
  const { kinds, flared } = likely(found);
  return {
    course: courseOf(said, beyond, beyondWorse),
    way: said === 'better' ? 'better' : said === 'worse' ? 'worse' : null,
    readings: told.length,
    days,
    moreDays: 0,
    from,
    to,
    change: to - from,
    low: Math.min(way * one, way * other),
    high: Math.max(way * one, way * other),
    matters: beyond + beyondWorse,
    important,
    shape: shapeOf(kinds),
    fitted: fittedCourse(found, daysApart(days)).map(({ day, value, low: a, high: b }) => ({
      date: addDays(first.date, day),
      value: way * value,
      low: Math.min(way * a, way * b),
      high: Math.max(way * a, way * b),
    })),
    flared: flared > 0.5,
    ...trendOf(told),
  };
}

/** Where something stands: the middle of its last readings; null before the first. */
export function standsAt(readings: readonly Reading[]): number | null {
  const lately = inOrder(readings).slice(-WINDOW_READINGS);
  return lately.length === 0 ? null : median(lately.map(({ value }) => value));
}

/**
 * Whether something does not change. One look, as the morning list takes of every patient.
 *
 * @returns null where there are too few readings to say
 */
export function isLevelCourse(readings: readonly Reading[], matters: Matters): boolean | null {
  const told = inOrder(readings);
  const [first] = told;
  if (!first) return null;
  return isLevel(lessIsBetter(told, first, matters), matters.by);
}

const wayOf = ({ better }: Matters): 1 | -1 => (better === 'more' ? -1 : 1);

/** Readings by their days since the first, turned where more is better: verdicts are of what should fall. */
function lessIsBetter(told: readonly Reading[], first: Reading, matters: Matters) {
  const way = wayOf(matters);
  return told.map(({ date, value }) => ({
    day: daysBetween(first.date, date),
    value: way * value,
  }));
}

/** Longer ago than half a year before the last reading says nothing of how it goes now. Ours. */
const LONGEST_DAYS = 182;

function lately(told: readonly Reading[]): readonly Reading[] {
  const last = told.at(-1);
  return last ? told.filter(({ date }) => daysBetween(date, last.date) < LONGEST_DAYS) : told;
}

/** The first and the last of so many days, and some between. */
function daysApart(days: number): number[] {
  const steps = Math.min(FITTED_DAYS, days - 1);
  return Array.from({ length: steps + 1 }, (_, at) => Math.round((at * (days - 1)) / steps));
}

/** What was said, with what it comes to. */
function courseOf(said: Said, beyond: number, beyondWorse: number): Course {
  switch (said) {
    case 'better':
      return beyond < SMALL ? 'changed, less than matters' : 'improving beyond noise';
    case 'worse':
      return beyondWorse < SMALL ? 'changed, less than matters' : 'worsening beyond noise';
    case 'was better':
      return 'was improving, now level';
    case 'nothing':
      return 'no clear change';
  }
}

const SHAPE_WORDS: Readonly<Record<ShapeKind, CourseShape>> = {
  none: 'level',
  line: 'steadily',
  levelling: 'early, then level',
  step: 'in a step',
};

/** The likeliest kind of all. */
function shapeOf(kinds: Readonly<Record<ShapeKind, number>>): CourseShape {
  const best = SHAPE_KINDS.reduce((most, kind) => (kinds[kind] > kinds[most] ? kind : most));
  return SHAPE_WORDS[best];
}

/** Slope and trend over the whole time, in weeks. */
function trendOf(told: readonly Reading[]): Pick<CourseVerdict, 'slope' | 'trend' | 'inflation'> {
  const [first] = told;
  if (!first) return { slope: null, trend: null, inflation: 1 };
  const points = told.map(({ date, value }) => ({
    x: daysBetween(first.date, date) / 7,
    y: value,
  }));
  const inflation = varianceInflation(points);
  return {
    slope: medianPairwiseSlope(points, inflation),
    trend: trendTest(points, inflation),
    inflation,
  };
}

/** The smaller of the amount and the share, since either matters; never less than half the amount. */
export function importantChange(from: number, { by, share }: Matters): number {
  if (share === null || from <= 0) return by;
  return Math.max(by / 2, Math.min(by, share * from));
}
