import { type Exercise, exerciseById, sayPhrase, sayPhrases } from '@/catalogue';
import {
  type Dose,
  type DoseError,
  parseDose,
  readDose,
  untimed,
  unwrittenParts,
} from '@/core/dose';
import { type ScheduledLine, type WakingHours, sessionsOn } from '@/core/schedule';
import { type TimedLine, sessionSeconds, sessionTimeline } from '@/core/timeline';
import { type LocalDate, type Range, type Seconds, addDays, sumRanges } from '@/core/units';

/** A line on the desk, as typed. */
export type DeskLine = {
  /** Of this desk only. */
  readonly uid: string;
  /** The line it continues; null for a new one. */
  readonly lineage: string | null;
  readonly anchor: LocalDate | null;
  readonly exerciseId: string;
  readonly dose: string;
};

export type ReadLine =
  | {
      readonly ok: true;
      readonly exercise: Exercise;
      readonly dose: Dose;
      readonly words: string;
      readonly assumed: readonly string[];
      readonly missing: readonly string[];
      /** One session's worth of this line alone, at its least and most. */
      readonly time: Range<Seconds>;
    }
  | { readonly ok: false; readonly error: DoseError };

/** Reads one line for the desk: its words, what it leaves open and its time; or its mistake. */
export function readLine(line: DeskLine): ReadLine {
  const exercise = exerciseById(line.exerciseId);
  if (!exercise)
    return failure(line.dose, 'The catalogue has no such exercise any more; choose another.');
  const parsed = parseDose(line.dose);
  if (!parsed.ok) return { ok: false, error: parsed };
  const refusal = untimed(parsed.value);
  if (refusal !== null) return failure(line.dose, refusal);
  const { assumed, missing } = unwrittenParts(parsed.value, exercise.needs);
  return {
    ok: true,
    exercise,
    dose: parsed.value,
    words: sayPhrases(readDose(parsed.value, exercise.mode), 'clinician'),
    assumed: assumed.map((phrase) => sayPhrase(phrase, 'clinician')),
    missing: missing.map((phrase) => sayPhrase(phrase, 'clinician')),
    time: sessionSeconds(sessionTimeline([timed(exercise, parsed.value)])),
  };
}

function failure(text: string, say: string): ReadLine {
  return {
    ok: false,
    error: { at: 0, length: Math.max(1, text.length), found: text, expected: [], say },
  };
}

function timed(exercise: Exercise, dose: Dose): TimedLine {
  return { dose, mode: exercise.mode, position: exercise.position };
}

export type DraftSession = {
  readonly key: string;
  readonly time: Range<Seconds>;
  readonly lines: number;
};
export type DraftDay = {
  readonly date: LocalDate;
  readonly sessions: readonly DraftSession[];
  readonly total: Range<Seconds>;
};

/** A fortnight shows every beat of daily, every-other-day and weekday lines. */
const LOOK_AHEAD_DAYS = 14;

/**
 * The fullest day of the programme's first fortnight, session by session; null while no line can be
 * read. The times are the sums of the segments the patient's player will play.
 */
export function fullestDay(
  lines: readonly DeskLine[],
  from: LocalDate,
  rounds: number,
  waking: WakingHours,
): DraftDay | null {
  const read = lines.flatMap((line): (ScheduledLine & TimedLine)[] => {
    const result = readLine(line);
    if (!result.ok) return [];
    return [
      { lineage: line.uid, anchor: line.anchor ?? from, ...timed(result.exercise, result.dose) },
    ];
  });
  // Most days hold the same sessions; each distinct list of lines is timed once.
  const times = new Map<string, Range<Seconds>>();
  const timeOf = (lines: readonly (ScheduledLine & TimedLine)[]) => {
    const key = lines.map((line) => line.lineage).join(' ');
    const time = times.get(key) ?? sessionSeconds(sessionTimeline(lines, rounds));
    times.set(key, time);
    return time;
  };
  let fullest: DraftDay | null = null;
  for (let ahead = 0; ahead < LOOK_AHEAD_DAYS; ahead += 1) {
    const date = addDays(from, ahead);
    const sessions = sessionsOn(date, read, waking).sessions.map((session) => ({
      key: session.key,
      lines: session.lines.length,
      time: timeOf(session.lines),
    }));
    const total = sumRanges(sessions.map((session) => session.time));
    if (sessions.length > 0 && (fullest === null || total.most > fullest.total.most)) {
      fullest = { date, sessions, total };
    }
  }
  return fullest;
}

/** A range of seconds as minutes: "3–4 min", rounded to the half minute below five, else up. */
export function minutesText({ least, most }: Range<Seconds>): string {
  const round = (value: number) =>
    value < 300 ? Math.round(value / 30) / 2 : Math.round(value / 60);
  const [a, b] = [round(least), round(most)];
  if (b === 0) return `${Math.round(most)} s`;
  return a === b ? `${a} min` : `${a}–${b} min`;
}
