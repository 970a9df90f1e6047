import { type Catalogue, SHIPPED, sayAllToClinician, sayToClinician } from '@/catalogue';
import {
  type Dose,
  type DoseError,
  directionMisfit,
  formatDose,
  parseDose,
  readDose,
  readTyped,
} from '@/core/dose';
import type { Exercise } from '@/core/exercise';
import { type PlannedLine, plannedLine } from '@/core/programme';
import type { DeskLine } from '@/core/records';
import { leftUnwritten, sessionSeconds, sessionTimeline } from '@/core/timeline';
import type { LocalDate, Range, Seconds, ExerciseId } from '@/core/units';

export type { DeskLine };

export function newLine(uid: string, exerciseId: ExerciseId, dose: string): DeskLine {
  return {
    uid,
    lineage: null,
    anchor: null,
    exerciseId,
    dose,
    school: null,
    session: null,
    overrides: [],
    setUp: [],
    episodeId: null,
  };
}

/** A stored line as it is printed now: whoever stored it is not asked what it means. */
export function canonical(text: string): string {
  const read = parseDose(text);
  return read.ok ? formatDose(read.value) : text;
}

export type ReadLine =
  | {
      readonly ok: true;
      readonly exercise: Exercise;
      readonly dose: Dose;
      /** How it is printed, where it was typed in the trade's own words. */
      readonly rewritten: string | null;
      readonly words: string;
      readonly assumed: readonly string[];
      readonly missing: readonly string[];
      /** One session's worth of this line alone, at its least and most. */
      readonly time: Range<Seconds>;
    }
  | { readonly ok: false; readonly error: DoseError };

/** The same text is read at every key pressed in another line: each reading is kept. */
const readings = new WeakMap<Catalogue, Map<string, ReadLine>>();
const MOST_READINGS = 2000;

/** Reads one line for the desk: its words, what it leaves open and its time; or its mistake. */
export function readLine(
  { exerciseId, dose, lastMax = null }: Pick<DeskLine, 'exerciseId' | 'dose' | 'lastMax'>,
  catalogue: Catalogue = SHIPPED,
): ReadLine {
  const known = readings.get(catalogue) ?? new Map<string, ReadLine>();
  readings.set(catalogue, known);
  const key = `${exerciseId} ${lastMax ?? ''} ${dose}`;
  const there = known.get(key);
  if (there) return there;
  const made = reading(exerciseId, dose, lastMax, catalogue);
  if (known.size >= MOST_READINGS) known.clear();
  known.set(key, made);
  return made;
}

function reading(
  exerciseId: ExerciseId,
  text: string,
  lastMax: number | null,
  catalogue: Catalogue,
): ReadLine {
  const exercise = catalogue.byId(exerciseId);
  if (!exercise)
    return failure(text, 'The catalogue has no such exercise any more; choose another.');
  const typed = readTyped(text);
  if (!typed.ok) return { ok: false, error: typed };
  const { dose, rewritten } = typed.value;
  const refusal = directionMisfit(dose, exercise.directions);
  if (refusal !== null) return failure(text, refusal);
  const { mode, position } = exercise;
  const { assumed, missing } = leftUnwritten(dose, mode, exercise.needs);
  return {
    ok: true,
    exercise,
    dose,
    rewritten,
    words: sayAllToClinician(readDose(dose, mode, exercise)),
    assumed: assumed.map(sayToClinician),
    missing: missing.map(sayToClinician),
    time: sessionSeconds(sessionTimeline([{ dose, mode, position, lastMax }])),
  };
}

function failure(text: string, say: string): ReadLine {
  return {
    ok: false,
    error: { at: 0, length: Math.max(1, text.length), found: text, expected: [], say },
  };
}

/** The lines that can be read, as every reckoning of a programme takes them. */
export function plannedLines(
  lines: readonly DeskLine[],
  catalogue: Catalogue,
  from: LocalDate,
): PlannedLine[] {
  return lines.flatMap((line) => {
    const read = readLine(line, catalogue);
    if (!read.ok) return [];
    const { uid, anchor, school, session } = line;
    const { lastMax } = line;
    return [
      {
        ...plannedLine(uid, read.exercise, read.dose, anchor ?? from, school, session),
        lastMax,
      },
    ];
  });
}

/** A range of seconds as minutes: "3–4 min", rounded to the half minute below five, else up. */
export function minutesText({ least, most }: Range<Seconds>): string {
  const round = (value: number) =>
    value < 300 ? Math.round(value / 30) / 2 : Math.round(value / 60);
  const [a, b] = [round(least), round(most)];
  if (b === 0) return `${Math.round(most)} s`;
  return a === b ? `${a} min` : `${a}–${b} min`;
}
