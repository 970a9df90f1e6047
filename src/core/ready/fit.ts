import { type Circumstances, closedBecause, nextRungIn, previousRungIn } from '../choose';
import { type Exercise, lineFlags } from '../exercise';
import { TRAITS } from '../screen';
import { readyDose } from './planned';
import type { ReadyLine, ReadyProgramme } from './ready';

/** A line of a ready programme as it fits one patient. */
export type FittedLine = {
  readonly line: ReadyLine;
  readonly exercise: Exercise;
  /** Why it is closed to this patient; empty where it fits. */
  readonly closed: readonly string[];
  /** What keeps its purpose and is open; null where it fits, or nothing does. */
  readonly instead: { readonly exercise: Exercise; readonly dose: string } | null;
};

/** Why this exercise in this dose is closed to somebody, in words. */
function closedIn(exercise: Exercise, dose: string, circumstances: Circumstances): string[] {
  const flags = lineFlags(circumstances.precautions, exercise, readyDose(dose));
  const flagged = flags.map(({ trait }) => `flagged: ${TRAITS[trait]}`);
  return [...new Set([...flagged, ...closedBecause(exercise, circumstances)])];
}

/**
 * What takes the place of a closed exercise: the nearest easier step of its stairs, else the nearest
 * harder one, else the easiest of its family that is for the same; each in its usual dose, and only
 * where that is open too.
 */
function insteadOf(
  exercise: Exercise,
  all: readonly Exercise[],
  circumstances: Circumstances,
  taken: ReadonlySet<string>,
): FittedLine['instead'] {
  const alike = all.filter(
    ({ family, purpose }) => family === exercise.family && purpose === exercise.purpose,
  );
  const found = [
    previousRungIn(all, circumstances)(exercise),
    nextRungIn(all, circumstances)(exercise),
    ...alike,
  ].find(
    (one) =>
      one !== null &&
      one.id !== exercise.id &&
      !taken.has(one.id) &&
      closedIn(one, one.usualDose, circumstances).length === 0,
  );
  return found ? { exercise: found, dose: found.usualDose } : null;
}

/**
 * A ready programme beside a patient's precautions, positions and home. Nothing is changed by it: the
 * clinician takes a substitute, or writes the line with a reason.
 *
 * @param all every exercise there is to choose from
 */
export function fittedLines(
  { lines }: ReadyProgramme,
  all: readonly Exercise[],
  circumstances: Circumstances,
): readonly FittedLine[] {
  const taken = new Set(lines.map(({ exerciseId }) => exerciseId));
  return lines.flatMap((line) => {
    const exercise = all.find(({ id }) => id === line.exerciseId);
    if (!exercise) return [];
    const closed = closedIn(exercise, line.dose, circumstances);
    const instead = closed.length > 0 ? insteadOf(exercise, all, circumstances, taken) : null;
    if (instead) taken.add(instead.exercise.id);
    return [{ line, exercise, closed, instead }];
  });
}
