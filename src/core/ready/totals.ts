import { parseDose } from '../dose';
import { type PlannedLine, dayTimer, fullestDay, plannedLine } from '../programme';
import type { WakingHours } from '../schedule';
import { resolve, sessionTimeline } from '../timeline';
import { type LocalDate, type Range, type Seconds, addDays, seconds, sumRanges } from '../units';
import type { Exercise } from '../exercise';
import { readyPlanned } from './planned';
import type { ReadyProgramme } from './ready';

/** What a programme takes, by the segments that the player would play. */
export type ReadyTotals = {
  /** The longest session of its fullest day. */
  readonly session: Range<Seconds>;
  /** Its fullest day, resets among it. */
  readonly day: Range<Seconds>;
  /** Sessions of its fullest day that one sits down to, and moments through the day beside them. */
  readonly sessionsADay: number;
  readonly momentsADay: number;
  /** Held, with no movement, on its fullest day: at least. */
  readonly heldADay: Seconds;
  /** The first seven days together. */
  readonly week: Range<Seconds>;
};

/** Without a patient: awake from seven to eleven in the evening. */
const WAKING = { wake: 7 * 60, sleep: 23 * 60 } as unknown as WakingHours;
const WEEK = 7;

/**
 * True times of a ready programme: with rests, changes and rounds.
 *
 * @returns null where nothing of it is due in its first fortnight
 */
export function readyTotals(
  programme: ReadyProgramme,
  byId: (id: string) => Exercise | null,
  from: LocalDate,
): ReadyTotals | null {
  return linesTotals(readyPlanned(programme, byId, from), programme.rounds, from);
}

/** A programme of a clinic's own, whose lines may be of any text. */
type OwnProgramme = {
  readonly rounds: number;
  readonly lines: readonly { readonly exerciseId: string; readonly dose: string }[];
};

/**
 * True times of a clinic's own programme; lines that cannot be read, or whose exercise is not offered
 * any more, are left out.
 */
export function templateTotals(
  { rounds, lines }: OwnProgramme,
  byId: (id: string) => Exercise | null,
  from: LocalDate,
): ReadyTotals | null {
  const planned = lines.flatMap(({ exerciseId, dose }, at) => {
    const [exercise, read] = [byId(exerciseId), parseDose(dose)];
    return exercise && read.ok ? [plannedLine(String(at), exercise, read.value, from)] : [];
  });
  return linesTotals(planned, rounds, from);
}

/**
 * True times of lines without a patient, from a day on.
 *
 * @returns null where nothing of them is due in the first fortnight
 */
export function linesTotals(
  lines: readonly PlannedLine[],
  rounds: number,
  from: LocalDate,
): ReadyTotals | null {
  const frame = { from, review: null, rounds };
  const day = fullestDay(lines, frame, WAKING);
  if (!day) return null;
  const timer = dayTimer(frame, WAKING);
  const week = Array.from({ length: WEEK }, (_, ahead) => timer(lines, addDays(from, ahead)).total);
  const held = day.sessions
    .flatMap((one) => resolve(sessionTimeline(one.lines, rounds), 'least'))
    .filter(({ kind }) => kind === 'hold')
    .reduce((sum, segment) => sum + segment.seconds, 0);
  const moments = day.sessions.filter(({ slot }) => slot.kind === 'at').length;
  const session = day.sessions
    .map(({ time }) => time)
    .reduce((longest, time) => (time.most > longest.most ? time : longest));
  return {
    session,
    day: day.total,
    sessionsADay: day.sessions.length - moments,
    momentsADay: moments,
    heldADay: seconds(held),
    week: sumRanges(week),
  };
}

/**
 * How often a day something is done, in words.
 *
 * @example timesInWords({ sessionsADay: 2, momentsADay: 8, … }) // "2 sessions and 8 moments a day"
 */
export function timesInWords({ sessionsADay, momentsADay }: ReadyTotals): string {
  const count = (n: number, one: string, more: string) => (n === 1 ? one : `${n} ${more}`);
  const parts = [
    ...(sessionsADay > 0 ? [count(sessionsADay, 'one session', 'sessions')] : []),
    ...(momentsADay > 0 ? [count(momentsADay, 'one moment', 'moments')] : []),
  ];
  return `${parts.join(' and ')} a day`;
}
