import { type DayReport, type DayDone, worstPain } from '../history';
import { lightOf, isUnsettled } from '../course';
import { type DayAdherence, SKIP_REASONS } from '../adherence';
import { type LocalDate, addDays, daysBetween } from '../units';

/** So many days in a row with something due and nothing done, and a patient has left. Ours, no source. */
export const LEFT_AFTER_DAYS = 14;
/** What was told in so many days before the last session is read. */
const BEFORE_DAYS = 7;

/** How an episode's programme ended, if it has. */
export const ENDINGS = ['never begun', 'going on', 'finished', 'left'] as const;
export type Ending = (typeof ENDINGS)[number];

/** What was told last by who left, the gravest first. */
export const LAST_TOLD = [
  'ended for a symptom',
  'pain over 5',
  'trouble next morning',
  ...SKIP_REASONS,
  'nothing of these',
] as const;
export type LastTold = (typeof LAST_TOLD)[number];

export type Leaving = {
  readonly ending: Ending;
  /** The week of the last session, from 1; null where none was done. */
  readonly week: number | null;
  /** Null where nobody left. */
  readonly lastTold: LastTold | null;
};

/**
 * How a programme ended. Finished is a discharge of somebody who still did it; whoever did nothing for a
 * fortnight of due days had left before, whether the episode was closed or not. Paused days ask nothing.
 *
 * @param days from the first day of the programme to the last that counts
 */
export function leavingOf(
  days: readonly DayAdherence[],
  done: ReadonlyMap<LocalDate, DayDone>,
  reports: ReadonlyMap<LocalDate, DayReport>,
  isClosed: boolean,
): Leaving {
  const from = days[0]?.date;
  const last = days.findLast(({ date }) => isDone(done.get(date)))?.date ?? null;
  const missed = days.filter(
    (day) => day.kind === 'due' && !day.isToday && (last === null || day.date > last),
  ).length;
  if (from === undefined || last === null)
    return {
      ending: missed >= LEFT_AFTER_DAYS || isClosed ? 'never begun' : 'going on',
      week: null,
      lastTold: null,
    };
  const week = Math.floor(daysBetween(from, last) / 7) + 1;
  if (missed < LEFT_AFTER_DAYS)
    return { ending: isClosed ? 'finished' : 'going on', week, lastTold: null };
  return { ending: 'left', week, lastTold: lastTold(last, done, reports) };
}

/** Told, and over what the traffic light accepts. */
export const isRed = (pain: number | null) => pain !== null && lightOf(pain) === 'red';

const isDone = (day: DayDone | undefined) => day?.sessions.some(({ share }) => share > 0) === true;

function lastTold(
  last: LocalDate,
  done: ReadonlyMap<LocalDate, DayDone>,
  reports: ReadonlyMap<LocalDate, DayReport>,
): LastTold {
  const dates = Array.from({ length: BEFORE_DAYS }, (_, back) => addDays(last, -back));
  const sessions = dates.flatMap((date) => done.get(date)?.sessions ?? []);
  if (sessions.some(({ state }) => state === 'stopped for a symptom')) return 'ended for a symptom';
  const pains = [
    ...sessions.map(({ pain }) => pain),
    ...[...dates, addDays(last, 1)].map((date) => {
      const report = reports.get(date);
      return report ? worstPain(report) : null;
    }),
  ];
  if (pains.some(isRed)) return 'pain over 5';
  const mornings = dates.map((date) => reports.get(addDays(date, 1))?.soreness ?? null);
  if (mornings.some((nextMorning) => isUnsettled({ nextMorning }))) return 'trouble next morning';
  const skips = sessions.flatMap(({ lines }) => lines.map(({ skipped }) => skipped));
  const often = (reason: LastTold) => skips.filter((one) => one === reason).length;
  const [most] = [...SKIP_REASONS].sort((a, b) => often(b) - often(a));
  return most && often(most) > 0 ? most : 'nothing of these';
}
