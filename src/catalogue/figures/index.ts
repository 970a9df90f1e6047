import type { Figure } from '@/core/figure';
import type { ExerciseId } from '@/core/units';
import { ASSISTED_NECK } from './assisted-neck';
import { BENCH_EDGE } from './bench-edge';
import { BLADES } from './blades';
import { CURVE } from './curve';
import { FLOOR } from './floor';
import { HARDER_TUCKS } from './harder-tucks';
import { LEGS } from './legs';
import { LOW_BACK } from './low-back';
import { LYING } from './lying';
import { MOBILITY } from './mobility';
import { NECK_HOLDS } from './neck-holds';
import { NERVES } from './nerves';
import { SITTING_TUCKS } from './sitting-tucks';
import { TRUNK_AND_LIMBS } from './trunk-and-limbs';
import { UPPER_BODY } from './upper-body';

/**
 * How every exercise of the catalogue looks, by its id. Apart from the exercises themselves: a page
 * that only names them does not carry their poses.
 */
export const FIGURES: Readonly<Record<string, Figure>> = {
  ...LYING,
  ...BENCH_EDGE,
  ...SITTING_TUCKS,
  ...NECK_HOLDS,
  ...MOBILITY,
  ...UPPER_BODY,
  ...CURVE,
  ...NERVES,
  ...LOW_BACK,
  ...TRUNK_AND_LIMBS,
  ...ASSISTED_NECK,
  ...HARDER_TUCKS,
  ...BLADES,
  ...FLOOR,
  ...LEGS,
};

/** Null for an exercise a clinic wrote itself and gave no picture. */
export function figureOf(exerciseId: ExerciseId): Figure | null {
  // What stands in an address may be any word, also one that every object answers to.
  return Object.hasOwn(FIGURES, exerciseId) ? (FIGURES[exerciseId] ?? null) : null;
}
