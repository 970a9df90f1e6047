import { type LocalDate, percentText, toTenth } from '../units';
import type { PainTold } from '../history';
import { type CourseVerdict, PAIN_MATTERS, judgeCourse } from './course';
import type { Followed } from './followed';
import type { Reading } from './reading';
import { type SeamVerdict, compareSeams } from './seams';

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
    seams: compareSeams(readings, seams, matters),
  }));
}

const text = (value: number) =>
  toTenth(value)
    .toFixed(1)
    .replace(/^-(0\.0)$/, '$1');

/** The numbers of a verdict as they are shown: rounded first, so that the change is what one sees. */
function shownOf({ from, to, low, high }: CourseVerdict) {
  if (from === null || to === null || low === null || high === null) return null;
  const change = toTenth(to) - toTenth(from);
  return { from: text(from), to: text(to), change, low: text(low), high: text(high) };
}

/** How it went, as part of a sentence; empty where nothing changed. */
function shapeInWords({ shape, flared, way }: CourseVerdict): string {
  const course = way === null || shape === 'level' || shape === null ? '' : `, ${shape}`;
  return flared ? `${course}; a flare in between has passed` : course;
}

/**
 * A verdict for a clinician, with its numbers: they add up. It says what changed and how sure that is,
 * never why.
 *
 * @example sayVerdict(worstPain, verdict)
 * // "Worst pain: improving beyond noise. From 6.1 to 3.0 of 10 in 54 days, steadily: 3.1 less (95 %: −4.0 to −2.1) …"
 */
export function sayVerdict({ name, unit, matters }: Followed, verdict: CourseVerdict): string {
  const { course, moreDays, readings, days, important, matters: sure } = verdict;
  if (course === 'not enough to say')
    return `${name}: not enough to say. Told on ${readings} days; ${moreDays} more are needed.`;
  const shown = shownOf(verdict);
  if (!shown || important === null || sure === null) return `${name}: ${course}.`;
  const { from, to, change, low, high } = shown;
  const much =
    change === 0
      ? 'no more and no less'
      : `${text(Math.abs(change))} ${change < 0 ? 'less' : 'more'}`;
  return (
    `${name}: ${course}. From ${from} to ${to} ${unit} in ${days} days${shapeInWords(verdict)}: ` +
    `${much} (95 %: ${low} to ${high}); at least the ${text(important)} that matters: ` +
    `${sureText(sure)} sure. ${matters.source}`
  );
}

/**
 * The same by slope and trend alone, for whoever wants another way to reckon; null with too little.
 *
 * @example "Worst pain: -0.43 a week (-0.52 to -0.35); trend -0.70, p below 0.001."
 */
export function sayTrend({ name }: Followed, { slope, trend }: CourseVerdict): string | null {
  if (!slope || !trend) return null;
  const number = (value: number) => value.toFixed(2).replace(/^-(0\.00)$/, '$1');
  const p = trend.p < 0.001 ? 'below 0.001' : trend.p.toFixed(3);
  return `${name}: ${number(slope.slope)} a week (${number(slope.low)} to ${number(slope.high)}); trend ${number(trend.tau)}, p ${p}.`;
}

/** Nothing reckoned is quite sure. */
function sureText(share: number): string {
  if (share > 0.99) return 'over 99 %';
  return share < 0.01 ? 'under 1 %' : percentText(share);
}

/** What a verdict comes to where no statistics are told. */
export const SAID_OF_COURSE = [
  'early',
  'better',
  'betterALittle',
  'worse',
  'worseALittle',
  'back',
  'same',
  'unclear',
] as const;

/** A verdict as facts, to be said to a patient in any language. */
export type VerdictTold = {
  readonly said: (typeof SAID_OF_COURSE)[number];
  /** At the start and now, to a whole number; null while it is too early to say. */
  readonly from: number | null;
  readonly to: number | null;
};

/**
 * A verdict without its statistics, as `tellVerdict` says it.
 *
 * @example verdictTold(painFromSixToThree) // { said: 'better', from: 6, to: 3 }
 */
export function verdictTold({ course, way, from, to }: CourseVerdict): VerdictTold {
  if (course === 'not enough to say' || from === null || to === null)
    return { said: 'early', from: null, to: null };
  const [was, is] = [Math.round(from), Math.round(to)];
  const said = (): VerdictTold['said'] => {
    switch (course) {
      case 'improving beyond noise':
        return 'better';
      case 'changed, less than matters':
        return way === 'worse' ? 'worseALittle' : 'betterALittle';
      case 'worsening beyond noise':
        return 'worse';
      case 'was improving, now level':
        return 'back';
      case 'no clear change':
        return was === is ? 'same' : 'unclear';
    }
  };
  return { said: said(), from: was, to: is };
}

const about = (value: number) => String(Math.round(value));

/**
 * The same for the patient: no statistics.
 *
 * @example "Your worst pain has come down from about 6 to about 3. That is more than day-to-day ups and downs."
 */
export function tellVerdict(
  { name, isActivity, per = '' }: Followed,
  verdict: CourseVerdict,
): string {
  const { course, from, to } = verdict;
  const what = isActivity ? `How well you can do “${name}”` : `Your ${lowered(name)}`;
  if (course === 'not enough to say' || from === null || to === null)
    return `It is too early to say how ${within(what)} is going.`;
  const way = to < from ? 'come down' : 'gone up';
  const [was, is] = [about(from), `${about(to)}${per}`];
  const moved =
    was === is ? `${way} a little, to about ${is}` : `${way} from about ${was} to about ${is}`;
  switch (course) {
    case 'improving beyond noise':
      return `${what} has ${moved}. That is more than day-to-day ups and downs.`;
    case 'changed, less than matters':
      return `${what} has ${moved}. That is real, but still a small change.`;
    case 'worsening beyond noise':
      return `${what} has ${moved}. That is more than day-to-day ups and downs: we will look at it together.`;
    case 'was improving, now level':
      return `${what} was getting better and is about ${is} now, much as at the start. We will look at it together.`;
    case 'no clear change':
      return about(from) === about(to)
        ? `${what} is about the same as at the start, about ${is}. It goes up and down from day to day.`
        : `It is not clear yet whether ${within(what)} is changing: about ${is} now, up and down from day to day.`;
  }
}

/** What begins a sentence, within one. */
const within = (what: string) => what.charAt(0).toLowerCase() + what.slice(1);

/** A name within a sentence; names that begin with another capital letter after it stay as they are. */
const lowered = (name: string) =>
  /^.[A-Z]/.test(name) ? name : name.charAt(0).toLowerCase() + name.slice(1);

/** The verdict on worst pains as the patient's own page says it; null while it is too early. */
export function painForPatient(readings: readonly Reading[]): PainTold | null {
  const { course, from, to, fitted } = judgeCourse(readings, PAIN_MATTERS);
  if (course === 'not enough to say' || from === null || to === null) return null;
  const said = (): PainTold['said'] => {
    const down = to < from;
    switch (course) {
      case 'improving beyond noise':
      case 'worsening beyond noise':
        return down ? 'down' : 'up';
      case 'changed, less than matters':
        return down ? 'downALittle' : 'upALittle';
      case 'was improving, now level':
        return 'back';
      case 'no clear change':
        return Math.round(from) === Math.round(to) ? 'same' : 'unclear';
    }
  };
  return { said: said(), from: Math.round(from), to: Math.round(to), fitted };
}

/** The same for who referred: one sentence with the interval. */
export function referVerdict({ name, unit, matters }: Followed, verdict: CourseVerdict): string {
  const { course, days, important } = verdict;
  const shown = shownOf(verdict);
  if (course === 'not enough to say' || !shown || important === null)
    return `${name}: too few days were told to say how it went.`;
  const { from, to, change, low, high } = shown;
  const moved =
    change === 0
      ? `stayed at ${to} ${unit}`
      : `${change < 0 ? 'fell' : 'rose'} from ${from} to ${to} ${unit}`;
  return (
    `${name} ${moved} in ${days} days, a change of ${text(change)} (95 % interval ${low} to ${high}; ` +
    `important: ${text(important)}): ${course}. ${matters.source}`
  );
}

/** How it was reckoned, for whoever asks. */
export const METHOD =
  'All shapes a course may have (no change, a straight line, levelling off at three speeds, a step at several places, each with or without a flare that passed) are weighed by how well they say what was told, with days that hang together as a first-order process and untold days as gaps (normal–inverse-gamma, Chib 1993; model averaging, Hoeting et al. 1999). Looked at week by week: a verdict is said when two looks agree, and improving is withdrawn only when it got worse since. Before and after a change of programme: a step there that no trend which was there anyway says as well, within three weeks. Beside it, as another way to reckon: slope by the median of all pairwise slopes (Sen 1968), trend by Mann 1945 and Kendall 1975, variance after Hamed & Rao 1998. How far down an arm or a leg it reaches is an order of parts, not a number: there the furthest part reached on two of the last readings is set against the first. None of it says why.';
