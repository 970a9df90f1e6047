import { type SchoolChoice } from '../school';
import type { Dose } from '../dose';
import type { Exercise } from '../exercise';
import type { ScheduledLine, SessionName } from '../schedule';
import type { TimedLine } from '../timeline';
import type { LocalDate } from '../units';

/** A line of a programme in the making, understood: what every reckoning below works on. */
export type PlannedLine = ScheduledLine &
  TimedLine & {
    readonly exercise: Exercise;
    readonly school: SchoolChoice | null;
  };

/**
 * @param id the desk's own name of the line, by which results point at it
 * @param anchor day 1 of the line
 */
export function plannedLine(
  id: string,
  exercise: Exercise,
  dose: Dose,
  anchor: LocalDate,
  school: SchoolChoice | null = null,
  session: SessionName | null = null,
): PlannedLine {
  const { mode, position } = exercise;
  return { lineage: id, anchor, dose, mode, position, exercise, school, session };
}

/** What all reckonings of a programme share. */
export type ProgrammeFrame = {
  readonly from: LocalDate;
  readonly review: LocalDate | null;
  /** How often the session's lines are gone through. */
  readonly rounds: number;
};
