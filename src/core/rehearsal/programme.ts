import { type SchoolChoice } from '../school';
import { type Dose, formatDose } from '../dose';
import type { Exercise } from '../exercise';
import type { Chance } from '../statistics';
import { plannedLine } from '../programme';
import { isDanger, isGrowth } from '../progression';
import { type ReadyTotals, linesTotals } from '../ready';
import { type LocalDate, addDays } from '../units';
import type { PatientKind } from './kinds';
import { FIRST, type RehearsalFacts, type WholeCourse, rehearseWhole } from './rehearse';

/** A line of a programme that is tried; without a school it is done the same throughout. */
export type TriedLine = {
  readonly exercise: Exercise;
  readonly dose: Dose;
  readonly school: SchoolChoice | null;
};

/** Where one line came to. */
export type LineCame = {
  readonly exercise: string;
  readonly from: string;
  readonly toExercise: string;
  readonly to: string;
  readonly grew: number;
  readonly eased: number;
};

export type RehearsedProgramme<Kind extends PatientKind = PatientKind> = {
  readonly kind: Kind;
  /** What it asks at the end of each week, and before the first; null where nothing is due. */
  readonly weeks: readonly { readonly week: number; readonly asks: ReadyTotals | null }[];
  readonly lines: readonly LineCame[];
};

type Rules = Omit<RehearsalFacts, 'exercise' | 'dose' | 'school'>;

/**
 * A whole programme run forward over one made-up patient, line by line by the very function that a
 * single line is rehearsed with. Lines are lived apart: what one makes sore does not weigh on another.
 *
 * @param chanceOf the chance of each line, seeded by the caller
 */
export function rehearseProgramme<Kind extends PatientKind>(
  { lines, rounds }: { readonly lines: readonly TriedLine[]; readonly rounds: number },
  rules: Rules,
  kind: Kind,
  weeks: number,
  chanceOf: (line: number) => Chance,
): RehearsedProgramme<Kind> {
  const courses = lines.map(({ exercise, dose, school }, at) =>
    school === null
      ? null
      : rehearseWhole({ ...rules, exercise, dose, school }, kind, weeks, chanceOf(at)),
  );
  const end = addDays(FIRST, weeks * 7);
  const stoodBefore = (date: LocalDate) =>
    lines.map((line, at) => {
      const now = stood(line, courses[at] ?? null, date);
      return plannedLine(String(at), now.exercise, now.dose, FIRST, line.school);
    });
  return {
    kind,
    weeks: Array.from({ length: weeks + 1 }, (_, week) => ({
      week,
      asks: linesTotals(stoodBefore(addDays(FIRST, week * 7)), rounds, FIRST),
    })),
    lines: lines.map((line, at) => cameTo(line, courses[at] ?? null, end)),
  };
}

/** A line as it was done last before a day, as its own rehearsal tells its weeks. */
function stood(line: TriedLine, course: WholeCourse | null, before: LocalDate) {
  return course?.days.findLast(({ date }) => date < before) ?? line;
}

function cameTo(line: TriedLine, course: WholeCourse | null, end: LocalDate): LineCame {
  const last = stood(line, course, end);
  const moves = course?.moves ?? [];
  return {
    exercise: line.exercise.name,
    from: formatDose(line.dose),
    toExercise: last.exercise.name,
    to: formatDose(last.dose),
    grew: moves.filter(isGrowth).length,
    eased: moves.filter(isDanger).length,
  };
}
