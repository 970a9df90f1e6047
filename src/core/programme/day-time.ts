import { type DaySession, type WakingHours, sessionsOn } from '../schedule';
import { sessionSeconds, sessionTimeline } from '../timeline';
import { type LocalDate, type Range, type Seconds, addDays, sumRanges } from '../units';
import type { PlannedLine, ProgrammeFrame } from './planned-line';

export type TimedSession = DaySession<PlannedLine> & { readonly time: Range<Seconds> };
export type TimedDay = {
  readonly date: LocalDate;
  readonly sessions: readonly TimedSession[];
  readonly total: Range<Seconds>;
  /** Without the resets of a beat: what the patient's own minutes are asked for. */
  readonly setAside: Range<Seconds>;
};

/**
 * Times sessions, each distinct list of lines once: most days hold the same sessions. The times are
 * the sums of the segments the patient's player will play.
 */
export function dayTimer(frame: ProgrammeFrame, waking: WakingHours) {
  const times = new Map<string, Range<Seconds>>();
  return (lines: readonly PlannedLine[], date: LocalDate): TimedDay => {
    const { sessions } = sessionsOn(date, lines, waking, frame.review);
    const timed = sessions.map((session) => {
      const key = session.lines.map(({ lineage }) => lineage).join(' ');
      const time = times.get(key) ?? sessionSeconds(sessionTimeline(session.lines, frame.rounds));
      times.set(key, time);
      return { ...session, time };
    });
    const own = timed.filter(({ slot }) => slot.kind !== 'at');
    return {
      date,
      sessions: timed,
      total: sumRanges(timed.map(({ time }) => time)),
      setAside: sumRanges(own.map(({ time }) => time)),
    };
  };
}

/** A fortnight shows every beat of daily, every-other-day and weekday lines. */
const FORTNIGHT = 14;

/** The fullest day of the programme's first fortnight; null where nothing is due in it. */
export function fullestDay(
  lines: readonly PlannedLine[],
  frame: ProgrammeFrame,
  waking: WakingHours,
): TimedDay | null {
  const timer = dayTimer(frame, waking);
  let fullest: TimedDay | null = null;
  for (let ahead = 0; ahead < FORTNIGHT; ahead += 1) {
    const day = timer(lines, addDays(frame.from, ahead));
    if (day.sessions.length > 0 && (fullest === null || day.total.most > fullest.total.most))
      fullest = day;
  }
  return fullest;
}
