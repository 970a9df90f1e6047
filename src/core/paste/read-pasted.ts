import { type DoseError, readTyped } from '../dose';
import type { Exercise } from '../exercise';
import type { ExerciseFinder } from '../find';
import { plainText } from '../units';

/** A programme that is pasted has at most so many lines, each of at most so many letters. */
export const PASTE_LIMITS = { lines: 60, letters: 300 } as const;
/** So many exercises are offered for a line that names none exactly. */
const MOST_OFFERED = 6;

/** A line of pasted text, as far as it is understood: nothing in it is guessed. */
export type PastedLine = {
  /** As it stood there. */
  readonly text: string;
  /** What names the exercise. */
  readonly name: string;
  /** What is left for the dose, as it was written; empty where there is none. */
  readonly dose: string;
  /** Why the dose cannot be read yet; null where it can, or there is none. */
  readonly doseError: DoseError | null;
  /** The exercise, where the name is exactly one's own or a common one; null where somebody has to choose. */
  readonly exercise: Exercise | null;
  /** Those that are most like it. */
  readonly offered: readonly Exercise[];
};

/** Numbers, letters and signs that a list puts before its lines. */
const BULLET = /^\s*(?:[-–—•*·▪◦]+|\(?\d{1,2}[.)]|[a-z][.)])\s+/i;
/** What stands between a name and a dose. */
const BETWEEN = /[\s:,;–—|-]+$/;

/**
 * Reads a written programme line by line: the longest end of a line that can be read as a dose is its
 * dose, what stands before it names the exercise. An exercise is taken only where its name, or a common
 * name of it, is exactly what was written; a dose only where it can be read. All else is asked.
 *
 * @param find finds exercises by what was written
 * @param namesOf every name of an exercise: its own and common ones
 * @example readPasted('1. Bird dog: 3x10', find, namesOf)[0]?.dose // '3x10'
 */
export function readPasted(
  text: string,
  find: ExerciseFinder,
  namesOf: (exercise: Exercise) => readonly string[],
): PastedLine[] {
  return text
    .split(/\r?\n/)
    .map((line) => line.replaceAll('\t', ' ').replace(BULLET, '').trim())
    .filter((line) => line !== '')
    .slice(0, PASTE_LIMITS.lines)
    .map((line) => readLine(line.slice(0, PASTE_LIMITS.letters), find, namesOf));
}

function readLine(
  text: string,
  find: ExerciseFinder,
  namesOf: (exercise: Exercise) => readonly string[],
): PastedLine {
  const { name, dose, doseError } = parted(text);
  const offered = name === '' ? [] : find(name, MOST_OFFERED).exercises;
  const exact = offered.filter((one) =>
    namesOf(one).some((other) => plainText(other) === plainText(name)),
  );
  const [only] = exact;
  return {
    text,
    name,
    dose,
    doseError,
    // A common name that two exercises share says which of them only to whoever wrote it.
    exercise: exact.length === 1 && only ? only : null,
    offered,
  };
}

/** Where a line's name ends and its dose begins. */
function parted(text: string): Pick<PastedLine, 'name' | 'dose' | 'doseError'> {
  const nameOf = (end: number) => text.slice(0, end).replace(BETWEEN, '').trim();
  const starts = [...text.matchAll(/\S+/g)].map(({ index }) => index);
  for (const start of starts.slice(1)) {
    const dose = text.slice(start);
    if (nameOf(start) !== '' && readTyped(dose).ok)
      return { name: nameOf(start), dose, doseError: null };
  }
  // Nothing can be read: what begins with the first number is meant as a dose, and asked.
  const number = /(?<=\s)\d/.exec(text);
  if (!number) return { name: nameOf(text.length), dose: '', doseError: null };
  const dose = text.slice(number.index);
  const read = readTyped(dose);
  return { name: nameOf(number.index), dose, doseError: read.ok ? null : read };
}
