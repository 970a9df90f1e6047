import { type ScheduledLine, type WakingHours, sessionsOn } from '../schedule';
import { type LocalDate, addDays } from '../units';

/** One exercise's row of the week: how often it is due on each day; 0 on a rest day. */
export type WeekRow<L extends ScheduledLine> = {
  readonly line: L;
  readonly due: readonly number[];
  /** May be done when needed, without being due. */
  readonly asNeeded: boolean;
};

export type WeekTable<L extends ScheduledLine> = {
  readonly days: readonly LocalDate[];
  readonly rows: readonly WeekRow<L>[];
};

/**
 * The boxes of a week to tick, from the very schedule the phone follows: every other day leaves
 * every other box out, twice a day makes two.
 *
 * @param from first of the seven days
 */
export function weekTable<L extends ScheduledLine>(
  lines: readonly L[],
  from: LocalDate,
  waking: WakingHours,
  review: LocalDate | null,
): WeekTable<L> {
  const days = Array.from({ length: 7 }, (_, index) => addDays(from, index));
  const schedule = days.map((date) => sessionsOn(date, lines, waking, review));
  return {
    days,
    rows: lines.map((line) => ({
      line,
      due: schedule.map(
        ({ sessions }) => sessions.filter((session) => session.lines.includes(line)).length,
      ),
      asNeeded: schedule.some(({ asNeeded }) => asNeeded.includes(line)),
    })),
  };
}
