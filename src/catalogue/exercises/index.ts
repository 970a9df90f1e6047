import type { Exercise } from '@/core/exercise';
import { withGrowth } from './growth';
import { onLadder, ownOnLadder } from './ladders';
import { CURVE_EXERCISES } from './curve';
import { LOW_BACK_MOVEMENT } from './low-back-movement';
import { NECK_HOLD } from './neck-hold';
import { NECK_MOBILITY } from './neck-mobility';
import { NERVES } from './nerves';
import { NOD_AND_TUCK_LYING } from './nod-and-tuck-lying';
import { POSTURE } from './posture';
import { SHOULDER_BLADE } from './shoulder-blade';
import { STRETCH_EXERCISES } from './stretch';
import { TRUNK_AND_LIMBS } from './trunk-and-limbs';
import { TUCK_RESISTED } from './tuck-resisted';
import { TUCK_UPRIGHT } from './tuck-upright';
import { UPPER_BACK } from './upper-back';

/** Every exercise that ships with the application, family by family, easiest first. */
export const EXERCISES: readonly Exercise[] = [
  ...NOD_AND_TUCK_LYING,
  ...TUCK_UPRIGHT,
  ...TUCK_RESISTED,
  ...NECK_HOLD,
  ...NECK_MOBILITY,
  ...STRETCH_EXERCISES,
  ...UPPER_BACK,
  ...CURVE_EXERCISES,
  ...SHOULDER_BLADE,
  ...NERVES,
  ...LOW_BACK_MOVEMENT,
  ...TRUNK_AND_LIMBS,
  ...POSTURE,
].map((one) => withGrowth(onLadder(one)));

/** The exercises a desk chooses from: those that ship and the clinic's own. */
export type Catalogue = {
  readonly all: readonly Exercise[];
  /** Null when the catalogue has no such exercise. */
  readonly byId: (id: string) => Exercise | null;
};

export function catalogueOf(own: readonly Exercise[]): Catalogue {
  const all =
    own.length === 0 ? EXERCISES : [...EXERCISES, ...own.map((one) => ownOnLadder(one, EXERCISES))];
  const byId = new Map(all.map((exercise) => [exercise.id, exercise]));
  return { all, byId: (id) => byId.get(id) ?? null };
}

/** The catalogue that ships, without any clinic's own. */
export const SHIPPED: Catalogue = catalogueOf([]);
