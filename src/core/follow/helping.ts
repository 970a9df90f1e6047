import type { LocalDate } from '../units';
import { type CourseVerdict, type Matters, judgeCourse } from './course';
import type { Reading } from './reading';
import { type SeamVerdict, compareSeams } from './seams';

/** Something that is followed, to be judged. */
export type Followed = {
  readonly id: string;
  readonly name: string;
  readonly unit: string;
  readonly matters: Matters;
  readonly readings: readonly Reading[];
};

export type Judged = {
  readonly id: string;
  readonly verdict: CourseVerdict;
  readonly seams: readonly SeamVerdict[];
};

/** Judges everything that is followed; the only heavy reckoning of the Follow page. */
export function judgeAll(followed: readonly Followed[], seams: readonly LocalDate[]): Judged[] {
  return followed.map(({ id, matters, readings }) => ({
    id,
    verdict: judgeCourse(readings, matters),
    seams: compareSeams(readings, seams, matters.better),
  }));
}

const round = (value: number, places = 1) => {
  const text = value.toFixed(places);
  return text.replace(/^-(0(\.0+)?)$/, '$1');
};

/**
 * A verdict in words with its numbers. It says what changed and how sure that is, never why.
 *
 * @example sayVerdict(worstPain, verdict)
 * // "Worst pain: improving beyond noise. From 6 to 3 of 10 in 54 days; −0.4 a week (−0.6 to −0.2) …"
 */
export function sayVerdict({ name, unit, matters }: Followed, verdict: CourseVerdict): string {
  const { course, moreDays, readings, from, to, days, slope, important, change, trend } = verdict;
  if (course === 'not enough to say')
    return `${name}: not enough to say. Told on ${readings} days; ${moreDays} more are needed.`;
  if (from === null || to === null || !slope || important === null || change === null || !trend)
    return `${name}: ${course}.`;
  const perWeek = `${round(slope.slope, 2)} a week (${round(slope.low, 2)} to ${round(slope.high, 2)})`;
  const size = Math.abs(change) >= important ? 'at least' : 'less than';
  return (
    `${name}: ${course}. From ${round(from)} to ${round(to)} ${unit} in ${days} days; ${perWeek}; ` +
    `${round(Math.abs(change))} over the whole time, ${size} the ${round(important)} that matters. ` +
    `Trend ${round(trend.tau, 2)}, p ${trend.p < 0.001 ? 'below 0.001' : round(trend.p, 3)}. ${matters.source}`
  );
}

/** How it was reckoned, for whoever asks. */
export const METHOD =
  'Slope: median of all pairwise slopes with its 95 % interval (Sen 1968). Trend: Mann 1945, Kendall 1975, ties corrected. Both allow for day-to-day correlation by the variance correction of Hamed & Rao 1998. From and to: the middle of the first and the last seven readings. Before and after a change of programme: non-overlap of all pairs (Parker & Vannest 2009) within three weeks, interval after Newcombe 2006. None of it says why.';
