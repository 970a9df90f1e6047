import type { Dose } from './model';
import type { Phrase } from './reading';

/** What an exercise wants said in its dose. */
export type DoseNeeds = {
  /** Its repetitions are done on one side at a time. */
  readonly sided: boolean;
  /** It is a push or a load, whose effort must be written. */
  readonly effort: boolean;
};

export type Unwritten = {
  /** A pace or a rule of the grammar stands in. */
  readonly assumed: readonly Phrase[];
  /** Nothing can stand in: the clinician should write it. */
  readonly missing: readonly Phrase[];
};

/**
 * The parts of a dose that were left unwritten and matter for it, but for its pauses, of which the
 * timeline tells: practitioners forget the rests most often, then the effort, then the side (common
 * practice, no source).
 */
export function unwrittenParts(dose: Dose, needs: DoseNeeds): Unwritten {
  const assumed: string[] = [];
  const missing: string[] = [];
  if (dose.times === undefined) assumed.push('assumed.times');
  if (dose.days === undefined) assumed.push('assumed.days');
  if (needs.sided && dose.side === undefined && dose.directions === undefined)
    missing.push('missing.side');
  if (
    needs.effort &&
    dose.effort === undefined &&
    dose.load === undefined &&
    dose.band === undefined
  ) {
    missing.push('missing.effort');
  }
  if (dose.until === undefined) missing.push('missing.until');
  const phrases = (keys: string[]) => keys.map((key) => ({ key, values: {} }));
  return { assumed: phrases(assumed), missing: phrases(missing) };
}
