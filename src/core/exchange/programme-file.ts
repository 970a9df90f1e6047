import { parseDose } from '../dose';
import {
  PROGRAMME_FORMAT,
  PROGRAMME_FORMAT_VERSION,
  ProgrammeFile,
  type ProgrammeNotes,
  type SchoolChoice,
} from '../records';
import type { SESSION_NAMES } from '../schedule';
import type { Frozen } from '../units';

/** A programme as it is to be written to a file. */
export type ProgrammeToShare = {
  readonly name: string;
  readonly notes?: Frozen<ProgrammeNotes> | undefined;
  readonly rounds: number;
  readonly lines: readonly {
    readonly id: string | null;
    readonly exercise: string;
    readonly dose: string;
    readonly school: SchoolChoice | null;
    readonly session: (typeof SESSION_NAMES)[number] | null;
  }[];
  /** The clinic's own that its lines name, as the form of an exercise is. */
  readonly exercises: readonly object[];
};

/** The text of a file, one line of the programme on a line of its own. */
export function programmeFileText({ lines, exercises, ...head }: ProgrammeToShare): string {
  const rows = (all: readonly unknown[]) =>
    all.length === 0
      ? '[]'
      : `[\n${all.map((one) => `    ${JSON.stringify(one)}`).join(',\n')}\n  ]`;
  const first = { format: PROGRAMME_FORMAT, version: PROGRAMME_FORMAT_VERSION, ...head };
  const fields = Object.entries(first)
    .filter(([, value]) => value !== undefined)
    .map(([key, value]) => `  ${JSON.stringify(key)}: ${JSON.stringify(value)}`);
  return `{\n${[...fields, `  "lines": ${rows(lines)}`, `  "exercises": ${rows(exercises)}`].join(',\n')}\n}\n`;
}

/** A file as it was read, or all that is wrong with it, in sentences. */
export type ReadProgrammeFile =
  | { readonly ok: true; readonly file: ProgrammeFile }
  | { readonly ok: false; readonly problems: readonly string[] };

const MOST_TOLD = 20;

/**
 * Reads a file of a programme. Every line is looked at, so that all problems are told at once; a dose
 * that cannot be read is one of them, since nobody could tell what it asked.
 *
 * @param text at most as long as its reader allows
 */
export function readProgrammeFile(text: string): ReadProgrammeFile {
  let raw: unknown;
  try {
    raw = JSON.parse(text.replace(/^\uFEFF/, ''));
  } catch {
    return { ok: false, problems: ['This is not a file of a programme: it is no JSON.'] };
  }
  const read = ProgrammeFile.safeParse(raw);
  if (!read.success)
    return {
      ok: false,
      problems: read.error.issues
        .slice(0, MOST_TOLD)
        .map(({ path, message }) => said(path, message)),
    };
  const file = read.data;
  const carried = new Set(file.exercises.map(({ name }) => name.toLowerCase()));
  const problems = file.lines.flatMap(({ id, exercise, dose }, at) => {
    const parsed = parseDose(dose);
    return [
      ...(parsed.ok
        ? []
        : [`Line ${at + 1}, ${exercise}: the dose, character ${parsed.at + 1}: ${parsed.say}`]),
      ...(id === null && !carried.has(exercise.toLowerCase())
        ? [`Line ${at + 1}: the exercise “${exercise}” does not come along with the file.`]
        : []),
    ];
  });
  if (carried.size < file.exercises.length)
    problems.push('Two of the exercises that come along have one name.');
  return problems.length > 0
    ? { ok: false, problems: problems.slice(0, MOST_TOLD) }
    : { ok: true, file };
}

/** @example said(['lines', 2, 'dose'], 'This dose line is too long.') // "Line 3, dose: This dose line is too long." */
function said(path: readonly PropertyKey[], message: string): string {
  const [list, at, ...rest] = path;
  if (typeof at !== 'number')
    return path.length > 0 ? `${path.map(String).join(', ')}: ${message}` : message;
  const what = list === 'lines' ? 'Line' : list === 'exercises' ? 'Exercise' : String(list);
  const where = [`${what} ${at + 1}`, ...rest.map((one) => String(one))].join(', ');
  return `${where}: ${message}`;
}
