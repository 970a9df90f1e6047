import { type Exercise, lineFlags } from '../exercise';
import type { PrecautionId, Trait } from '../screen';
import type { SentLine } from './sent';

/** A running line that would not be sent today without a reason. */
export type FlaggedLine = {
  readonly lineage: string;
  readonly name: string;
  readonly precaution: PrecautionId;
  readonly trait: Trait;
};

/**
 * Lines that are running and that speak against a patient's precautions as they are known now: the
 * precautions, the rules and the exercises' traits may all have changed since they were sent. What was
 * gone against with a reason, for the same precaution and trait, stays as it was decided.
 *
 * @param byId today's exercise of an id; of one that a clinic took back nothing is known, so nothing is said
 */
export function flaggedLines(
  lines: readonly SentLine[],
  precautions: readonly PrecautionId[],
  byId: (id: string) => Exercise | null,
): readonly FlaggedLine[] {
  return lines.flatMap(({ lineage, exerciseId, exercise, dose, overrides }) => {
    const now = byId(exerciseId);
    if (now === null) return [];
    return lineFlags(precautions, now, dose)
      .filter(
        ({ precaution, trait }) =>
          !overrides.some((one) => one.precaution === precaution && one.trait === trait),
      )
      .map(({ precaution, trait }) => ({ lineage, name: exercise.name, precaution, trait }));
  });
}
