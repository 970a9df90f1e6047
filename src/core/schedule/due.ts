import type { Days, Dose, Times, Until } from '../dose';
import { type LocalDate, type Range, daysBetween, exactly, weekday } from '../units';
import type { WallMinute } from './zone';

/** From waking to sleep, by the wall clock. Sleep at or before waking is on the next morning. */
export type WakingHours = { readonly wake: WallMinute; readonly sleep: WallMinute };

/** A line of a programme, as far as the calendar needs it. */
export type ScheduledLine = {
  /** The same across versions, so that adherence keeps its thread. */
  readonly lineage: string;
  /** Day 1: the first date the line was ever due from; kept across versions. */
  readonly anchor: LocalDate;
  readonly dose: Dose;
  /** Where a line that is done once stands, in a day of several sessions; absent for the first. */
  readonly session?: SessionName | null;
};

/** The named parts of a day that a clinician may tie a line to. */
export const SESSION_NAMES = ['morning', 'midday', 'evening'] as const;
export type SessionName = (typeof SESSION_NAMES)[number];

/** Whether a day rule falls on a date; absent means daily. Beats count from the anchor. */
function fallsOn(days: Days | undefined, anchor: LocalDate, date: LocalDate): boolean {
  switch (days?.kind) {
    case undefined:
    case 'daily':
      return true;
    case 'every':
      return daysBetween(anchor, date) % days.n === 0;
    case 'weekdays':
      return days.weekdays.includes(weekday(date));
  }
}

function isOver(
  until: Until | undefined,
  anchor: LocalDate,
  date: LocalDate,
  review: LocalDate | null,
) {
  switch (until?.kind) {
    case undefined:
      return false;
    case 'day':
      return daysBetween(anchor, date) + 1 > until.day;
    case 'date':
      return date > until.date;
    case 'review':
      return review !== null && date > review;
  }
}

/**
 * Whether a line is due on a date. The date must be one the patient's zone had
 * (`calendarDays`); first and last day are included.
 *
 * @param review the review date that "until review" means; null while none is set
 */
export function isDueOn(
  line: ScheduledLine,
  date: LocalDate,
  review: LocalDate | null = null,
): boolean {
  const { dose, anchor } = line;
  const dayNumber = daysBetween(anchor, date) + 1;
  if (dayNumber < (dose.fromDay ?? 1)) return false;
  if (isOver(dose.until, anchor, date, review)) return false;
  return fallsOn(dose.days, anchor, date);
}

/**
 * How often a line is done on a day it is due: least is due, most is allowed.
 * Absent means once; "as needed" is never due and always allowed, up to the grammar's limit.
 */
export function timesPerDay(times: Times | undefined, waking: WakingHours): Range {
  switch (times?.kind) {
    case undefined:
    case 'on waking':
    case 'after waking':
    case 'before hands-on care':
    case 'after hands-on care':
    case 'before training':
    case 'after training':
      return exactly(1);
    case 'per day':
      return times.times;
    case 'every':
      return exactly(everyWallMinutes(times.minutes, waking).length);
    case 'as needed':
      return { least: 0, most: 24 };
  }
}

/**
 * The minutes at which something due every `minutes` falls, from waking to sleep.
 * Waking itself is the first; sleep is included when it falls on the beat.
 *
 * @example everyWallMinutes(120, { wake: 420, sleep: 1320 }) // 7, 9, 11 … 21 o'clock
 */
export function everyWallMinutes(minutes: number, { wake, sleep }: WakingHours): WallMinute[] {
  const end = sleep > wake ? sleep : sleep + 1440;
  const found: WallMinute[] = [];
  for (let minute: number = wake; minute <= end; minute += minutes)
    found.push(minute as WallMinute);
  return found;
}
