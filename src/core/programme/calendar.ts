import { type WakingHours, type Zone, calendarDays } from '../schedule';
import { type LocalDate, type Range, type Seconds, addDays, daysBetween } from '../units';
import { dayTimer } from './day-time';
import type { PlannedLine, ProgrammeFrame } from './planned-line';

export type CalendarDay = {
  readonly date: LocalDate;
  readonly sessions: number;
  readonly time: Range<Seconds>;
  readonly isRest: boolean;
  readonly isReview: boolean;
  /** Exercises that begin on this day, being a later phase of their school. */
  readonly begins: readonly string[];
  /** Exercises whose last day this is. */
  readonly ends: readonly string[];
};

/**
 * The coming days of a programme in the making. A day that a zone never had is left out; clock
 * changes move nothing, as a day is a date and not 24 hours.
 */
export function programmeCalendar(
  lines: readonly PlannedLine[],
  frame: ProgrammeFrame,
  waking: WakingHours,
  zone: Zone,
  days: number,
): CalendarDay[] {
  const timer = dayTimer(frame, waking);
  return calendarDays(zone, frame.from, addDays(frame.from, days - 1)).map((date) => {
    const { sessions, total } = timer(lines, date);
    const dayNumber = (line: PlannedLine) => daysBetween(line.anchor, date) + 1;
    const names = (of: (line: PlannedLine) => boolean) =>
      lines.filter(of).map(({ exercise }) => exercise.name);
    return {
      date,
      sessions: sessions.length,
      time: total,
      isRest: sessions.length === 0,
      isReview: date === frame.review,
      begins: names(
        (line) => (line.dose.fromDay ?? 1) > 1 && dayNumber(line) === line.dose.fromDay,
      ),
      ends: names(({ dose: { until }, ...line }) =>
        until?.kind === 'day'
          ? daysBetween(line.anchor, date) + 1 === until.day
          : until?.kind === 'date' && until.date === date,
      ),
    };
  });
}
