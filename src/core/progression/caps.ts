import { isWithin } from '../course';
import { type Dose, holdOf } from '../dose';
import { type Exercise, lineFlags } from '../exercise';
import { DOSE_TRAITS, PRECAUTIONS, TRAITS } from '../screen';
import type { StepFacts } from './facts';

/** A hold whose effort is not written is taken to be an effortful one, where something strengthens. */
function judgedDose(dose: Dose, { mode, purpose }: Exercise): Dose {
  const isWork = mode === 'held' && purpose !== 'lengthen' && purpose !== 'relax';
  return isWork && holdOf(dose) && !dose.effort
    ? { ...dose, effort: { kind: 'percent', range: { least: 30, most: 30 } } }
    : dose;
}

/**
 * What a precaution says against a larger dose, or another step: whatever it adds; whatever a dose
 * asks that a precaution caps, also where it is as large already; and, of a line that goes ahead in
 * spite of a flag, everything beyond what a clinician wrote for it.
 *
 * @returns the reason; null where nothing speaks against it
 */
export function cappedBecause(facts: StepFacts, exercise: Exercise, dose: Dose): string | null {
  const { precautions, course } = facts;
  const after = lineFlags(precautions, exercise, judgedDose(dose, exercise));
  if (after.length === 0) return null;
  const written = course.some(
    (one) =>
      one.by === 'a clinician' && one.exercise.id === exercise.id && isWithin(dose, one.dose),
  );
  if (written) return null;
  const ofTheDose: readonly string[] = DOSE_TRAITS;
  const flag = after.find(({ trait }) => ofTheDose.includes(trait)) ?? after[0];
  return flag
    ? `${TRAITS[flag.trait]} (${PRECAUTIONS[flag.precaution].name}): only a clinician raises it`
    : null;
}
