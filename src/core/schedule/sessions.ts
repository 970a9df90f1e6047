import { TIED_TIMES, type TiedTime } from '../dose';
import type { LocalDate } from '../units';
import {
  type ScheduledLine,
  type WakingHours,
  everyWallMinutes,
  isDueOn,
  timesPerDay,
} from './due';
import { type Instant, type WallMinute, type Zone, instantAt } from './zone';

/** When in the day a session belongs. */
export type SessionSlot =
  | { readonly kind: 'any'; readonly nth: number; readonly of: number }
  | { readonly kind: TiedTime }
  | { readonly kind: 'at'; readonly minute: WallMinute; readonly minutesApart: number };

/** One session of a day: the lines done in one go. */
export type DaySession<L extends ScheduledLine> = {
  /** The same for the same session of the same day, on any device. */
  readonly key: string;
  readonly slot: SessionSlot;
  readonly lines: readonly L[];
};

export type Day<L extends ScheduledLine> = {
  readonly date: LocalDate;
  readonly sessions: readonly DaySession<L>[];
  /** Lines allowed today without being due. */
  readonly asNeeded: readonly L[];
};

/**
 * The sessions of one date. Lines done n times a day stand in the first n sessions; lines tied
 * to waking or training have their own; lines every so many hours share one for each beat.
 */
export function sessionsOn<L extends ScheduledLine>(
  date: LocalDate,
  lines: readonly L[],
  waking: WakingHours,
  review: LocalDate | null = null,
): Day<L> {
  const due = lines.filter((line) => isDueOn(line, date, review));
  const kindOf = (line: L) => line.dose.times?.kind ?? 'per day';
  const sessions: DaySession<L>[] = [];
  const waker = due.filter((line) => kindOf(line) === 'on waking');
  if (waker.length > 0) sessions.push({ key: 'waking', slot: { kind: 'on waking' }, lines: waker });
  sessions.push(...countedSessions(due, waking));
  for (const kind of TIED_TIMES) {
    if (kind === 'on waking') continue;
    const tied = due.filter((line) => kindOf(line) === kind);
    if (tied.length > 0)
      sessions.push({ key: kind.replaceAll(' ', '-'), slot: { kind }, lines: tied });
  }
  sessions.push(...beatSessions(due, waking));
  return { date, sessions, asNeeded: due.filter((line) => kindOf(line) === 'as needed') };
}

function countedSessions<L extends ScheduledLine>(
  due: readonly L[],
  waking: WakingHours,
): DaySession<L>[] {
  const counted = due.filter((line) => (line.dose.times?.kind ?? 'per day') === 'per day');
  if (counted.length === 0) return [];
  const timesOf = (line: L) => timesPerDay(line.dose.times, waking).least;
  const most = Math.max(sessionsNamed(counted), ...counted.map(timesOf));
  const sessions = Array.from({ length: most }, (_, index) => ({
    key: `session-${index + 1}`,
    slot: { kind: 'any' as const, nth: index + 1, of: most },
    lines: counted.filter((line) => standsIn(line, timesOf(line), index, most)),
  }));
  return sessions.filter(({ lines }) => lines.length > 0);
}

/** How many sessions the named parts of the day need. */
function sessionsNamed(lines: readonly ScheduledLine[]): number {
  if (lines.some(({ session }) => session === 'midday')) return 3;
  return lines.some(({ session }) => session === 'evening') ? 2 : 1;
}

/**
 * Whether a line belongs to the session with this index. One done as often as there are sessions is
 * in all of them; one done less often begins at its named part of the day, else at the first.
 */
function standsIn(line: ScheduledLine, times: number, index: number, of: number): boolean {
  const first =
    line.session === 'evening'
      ? of - times
      : line.session === 'midday'
        ? Math.min(of - times, Math.floor((of - 1) / 2))
        : 0;
  return index >= Math.max(0, first) && index < Math.max(0, first) + times;
}

function beatSessions<L extends ScheduledLine>(
  due: readonly L[],
  waking: WakingHours,
): DaySession<L>[] {
  const beats = new Map<number, L[]>();
  for (const line of due) {
    if (line.dose.times?.kind !== 'every') continue;
    const { minutes } = line.dose.times;
    beats.set(minutes, [...(beats.get(minutes) ?? []), line]);
  }
  return [...beats].flatMap(([minutesApart, lines]) =>
    everyWallMinutes(minutesApart, waking).map((minute, index) => ({
      key: `every-${minutesApart}-${index + 1}`,
      slot: { kind: 'at' as const, minute, minutesApart },
      lines,
    })),
  );
}

/**
 * The instants of wall-clock minutes on a date. Where a clock change makes two of them the same
 * instant only one is kept, so that nothing is due twice at once.
 */
export function instantsOf(zone: Zone, date: LocalDate, minutes: readonly WallMinute[]): Instant[] {
  return [...new Set(minutes.map((minute) => instantAt(zone, date, minute)))].sort((a, b) => a - b);
}
