import { type ExerciseTable, exerciseTables } from './exercise-tables';
import { type ComparedBy, type GroupTable, groupTables } from './group-tables';
import { type LeavingTables, leavingTables } from './leaving-tables';
import { type MinutesTable, minutesTables } from './minutes-tables';
import { type ProposalTable, proposalTables } from './proposal-tables';
import { type EpisodeOf, isFewPatients, patientsIn } from './told';

export type Evidence =
  | { readonly kind: 'too few' }
  | (LeavingTables & {
      readonly kind: 'counted';
      readonly by: ComparedBy;
      readonly patients: number;
      readonly episodes: number;
      readonly groups: readonly GroupTable[];
      readonly minutes: readonly MinutesTable[];
      readonly exercises: readonly ExerciseTable[];
      readonly proposals: readonly ProposalTable[];
    });

/**
 * What a clinic's episodes say together. Everything told is of five patients at least, also what can be had
 * by subtracting; it claims no cause, since whoever was given something was given it for a reason.
 *
 * @param all in any order
 */
export function evidence(all: readonly EpisodeOf[], by: ComparedBy): Evidence {
  const pieces = evidencePieces(all, by);
  for (;;) {
    const { done, value } = pieces.next();
    if (done === true) return value;
  }
}

/** The same piece by piece, so that whoever reckons it for thousands may let others in between. */
export function* evidencePieces(
  all: readonly EpisodeOf[],
  by: ComparedBy,
): Generator<undefined, Evidence, undefined> {
  if (isFewPatients(all)) return { kind: 'too few' };
  const groups = groupTables(all, by);
  yield;
  const leaving = leavingTables(all);
  yield;
  const minutes = minutesTables(all);
  yield;
  const exercises = exerciseTables(all);
  yield;
  return {
    kind: 'counted',
    by,
    patients: patientsIn(all),
    episodes: all.length,
    groups,
    ...leaving,
    minutes,
    exercises,
    proposals: proposalTables(all),
  };
}
