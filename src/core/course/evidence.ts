import { type LocalDate, daysBetween, itemAt } from '../units';
import { type Course, inOrder, livedIn, presentOf } from './course';
import { isAmiss } from './happenings';
import { type SessionLog, isSkip, isTold, whyNotGood, worthOf } from './session';

/** After so many days without a session what was good before is old. Common practice, no source. */
export const BREAK_DAYS = 14;
/** Days of sessions that cannot be judged after which the patient is asked. */
export const SILENT_DAYS = 14;
/** Fewer sessions without a word are too few to ask about. */
const SILENT_SESSIONS = 3;
/** So much more pain within one row, however far below the limits, is no good sign (Farrar 2001: 2 points). */
export const RISING_POINTS = 2;

/** What can be built on: the good days in a row under the present dose. */
export type Evidence = {
  /** Days on which all that was done was good, in a row up to the newest that was told. */
  readonly goodDays: number;
  /** The sessions of each of those days, oldest first. */
  readonly days: readonly (readonly SessionLog[])[];
  /** Days that were done without a word since the row began, or since the dose. */
  readonly untoldDays: number;
  /** What ended the row before it; null where nothing did. */
  readonly broken: string | null;
  /** The pains of the row where they rise, else empty. */
  readonly rising: readonly number[];
  /** The first day that counted. */
  readonly since: LocalDate;
};

/**
 * The row of good days under the present dose. The sessions of one day are one piece of evidence,
 * since they share one next morning; what was left out for another reason than pain, or done without
 * a word, neither counts nor breaks the row; whatever was not good, and a fortnight without a session,
 * ends it.
 *
 * @param after evidence up to and with this day is used up: growth was declined on it
 */
export function evidenceOf(course: Course, after: LocalDate | null): Evidence {
  const known = evidence.get(course) ?? new Map<LocalDate | null, Evidence>();
  evidence.set(course, known);
  const found = known.get(after) ?? evidenceIn(course, after);
  known.set(after, found);
  return found;
}

/** A course is immutable, and asked with every event of its patient: its evidence is found once. */
const evidence = new WeakMap<Course, Map<LocalDate | null, Evidence>>();

function evidenceIn(course: Course, after: LocalDate | null): Evidence {
  const { sessions, dose, from } = presentOf(course);
  const newestFirst = [...sessions].sort((a, b) => inOrder(b, a));
  const row: SessionLog[][] = [];
  let untoldDays = 0;
  let broken: string | null = null;
  let later: LocalDate | null = null;
  for (let at = 0; at < newestFirst.length;) {
    const date = newestFirst[at]?.date as LocalDate;
    const logs: SessionLog[] = [];
    for (; newestFirst[at]?.date === date; at += 1) logs.unshift(newestFirst[at] as SessionLog);
    if (after !== null && date <= after) break;
    if (later !== null && daysBetween(date, later) > BREAK_DAYS) break;
    const worths = logs.map((log) => worthOf(log, dose));
    if (worths.includes('not good')) {
      broken = logs.map((log) => whyNotGood(log, dose)).find((why) => why !== null) ?? null;
      break;
    }
    later = date;
    if (worths.includes('untold')) untoldDays += 1;
    else if (worths.includes('good')) row.unshift(logs);
  }
  const pains = row.flat().flatMap(({ pain }) => pain ?? []);
  return {
    goodDays: row.length,
    days: row,
    untoldDays,
    broken,
    rising: isRising(pains) ? pains : [],
    since: row[0]?.[0]?.date ?? (after !== null && after > from ? after : from),
  };
}

/** Never lower than before, and two points higher in all. @example isRising([1, 3, 5]) // true */
function isRising(pains: readonly number[]): boolean {
  const [first, ...rest] = pains;
  const last = rest.at(-1);
  return (
    first !== undefined &&
    last !== undefined &&
    last - first >= RISING_POINTS &&
    rest.every((pain, at) => pain >= itemAt(pains, at))
  );
}

/**
 * Whether something that went wrong on a date has passed: so many days in a row followed, at any time
 * since, that were told and on which nothing went wrong, however much was done. What has passed once
 * does not come back with the next trouble.
 */
export function hasPassed(course: Course, date: LocalDate, daysNeeded: number): boolean {
  const since = lastBorneRow(course, Math.max(1, daysNeeded));
  return since !== null && since > date;
}

/** A course is immutable and asked for each of its troubles: its last row of borne days is found once. */
const borneRows = new WeakMap<Course, Map<number, LocalDate | null>>();

/** The first day of the last row of so many borne days; null where there never was one. */
function lastBorneRow(course: Course, daysNeeded: number): LocalDate | null {
  const known = borneRows.get(course) ?? new Map<number, LocalDate | null>();
  borneRows.set(course, known);
  const before = known.get(daysNeeded);
  if (before !== undefined) return before;
  let row: LocalDate[] = [];
  let counted: LocalDate | null = null;
  let since: LocalDate | null = null;
  for (const { log } of livedIn(course)) {
    if (isSkip(log)) continue;
    if (isAmiss(log)) {
      row = [];
      counted = log.date;
    } else if (isTold(log) && log.date !== counted) {
      counted = log.date;
      row.push(log.date);
      since = row[row.length - daysNeeded] ?? since;
    }
  }
  known.set(daysNeeded, since);
  return since;
}

/**
 * Since when sessions were done that nobody can judge: the pain or effort of them, or the morning after,
 * was not told. Null where something was told in full, or went wrong, or too little was done.
 *
 * @param asked the day the patient was last asked; null where never
 */
export function silentSince(
  course: Course,
  today: LocalDate,
  asked: LocalDate | null,
): LocalDate | null {
  let last = asked;
  for (const { sessions } of course)
    for (const log of sessions)
      if ((isTold(log) || isAmiss(log)) && (last === null || log.date > last)) last = log.date;
  let since: LocalDate | null = null;
  let silent = 0;
  for (const { sessions } of course)
    for (const log of sessions) {
      if (log.skipped !== null || log.share === 0 || (last !== null && log.date <= last)) continue;
      silent += 1;
      if (since === null || log.date < since) since = log.date;
    }
  return since !== null && silent >= SILENT_SESSIONS && daysBetween(since, today) >= SILENT_DAYS
    ? since
    : null;
}
