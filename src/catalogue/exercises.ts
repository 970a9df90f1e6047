import type { Exercise } from './exercise';
import { NECK } from './neck';
import { NERVE_AND_LOW_BACK } from './nerve-and-low-back';
import { STRETCH_AND_MOBILITY } from './stretch-and-mobility';

/** Every exercise of the catalogue, family by family, easiest first. */
export const EXERCISES: readonly Exercise[] = [
  ...NECK,
  ...STRETCH_AND_MOBILITY,
  ...NERVE_AND_LOW_BACK,
];

const BY_ID = new Map(EXERCISES.map((exercise) => [exercise.id, exercise]));

/** The exercise with this id; null when the catalogue has none. */
export function exerciseById(id: string): Exercise | null {
  return BY_ID.get(id) ?? null;
}
