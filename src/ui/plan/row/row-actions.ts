import { type SchoolChoice, applySchool, startDose } from '@/core/school';
import {
  type Dose,
  completeDose,
  formatDose,
  formatPart,
  sayDoseChange,
  doseOf,
} from '@/core/dose';
import type { Exercise } from '@/core/exercise';
import { v4 as uuid } from 'uuid';
import { type DeskLine, newLine } from '../draft';

/** A line after a step, the lines it leaves behind it, and what is to be said of it. */
export type LineStep = { readonly lines: readonly DeskLine[]; readonly say: string };

/** Writes every part that was left out, from the school's or the exercise's own dose. */
export function fillMissing(line: DeskLine, exercise: Exercise, dose: Dose): LineStep | null {
  const like = line.school
    ? startDose(line.school.id, exercise, line.school.settings)
    : doseOf(exercise.usualDose);
  const { dose: whole, filled } = completeDose(dose, like, exercise.needs);
  if (filled.length === 0) return null;
  return {
    lines: [{ ...line, dose: formatDose(whole) }],
    say: `Written: ${filled.map((part) => formatPart(whole, part)).join(', ')}.`,
  };
}

/** Puts a line under a school; its later phases become lines of their own right below. */
export function takeSchool(
  line: DeskLine,
  exercise: Exercise,
  dose: Dose,
  school: SchoolChoice,
): LineStep {
  const { dose: rewritten, changes, later } = applySchool(dose, exercise, school);
  const said = changes.map(sayDoseChange).join(', ');
  return {
    lines: [
      { ...line, dose: formatDose(rewritten), school },
      ...later.map((phase) => ({
        ...newLine(uuid(), line.exerciseId, formatDose(phase.dose)),
        school,
        session: line.session,
        overrides: line.overrides,
        setUp: line.setUp,
      })),
    ],
    say:
      later.length > 0
        ? `${said}. ${later.length} later phases are written below.`
        : said === ''
          ? 'Nothing had to change.'
          : `Changed: ${said}.`,
  };
}
