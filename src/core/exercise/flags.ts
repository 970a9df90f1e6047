import type { Dose } from '../dose';
import { type Flag, type PrecautionId, type Trait, doseTraits, flagsOn } from '../screen';
import type { Exercise, Region } from './exercise';

/** The regions that surgery is told by, for each region an exercise works. */
const REGION_TRAITS: Readonly<Record<Region, readonly Trait[]>> = {
  neck: ['neck region'],
  'upper back': ['neck region'],
  shoulder: ['arm region'],
  arm: ['arm region'],
  'low back': ['back region'],
  leg: ['leg region'],
  all: ['neck region', 'arm region', 'back region', 'leg region'],
};

type Worked = Pick<Exercise, 'region' | 'traits'>;

/** What precautions look at in an exercise: its own traits, and those of the region it works. */
export function traitsOf({ region, traits }: Worked): Trait[] {
  return [...traits, ...REGION_TRAITS[region], 'region of the surgery'];
}

/**
 * What speaks against this exercise in this dose for a patient of these precautions. The desk, the
 * server's guard, the suggestions and the proposals all ask here.
 *
 * @param dose null where only the exercise is known
 * @example lineFlags(['latex'], bandRow, null) // [{ precaution: 'latex', trait: 'latex band' }]
 */
export function lineFlags(
  precautions: readonly PrecautionId[],
  exercise: Worked,
  dose: Dose | null,
): Flag[] {
  return flagsOn(precautions, [...traitsOf(exercise), ...(dose ? doseTraits(dose) : [])]);
}
