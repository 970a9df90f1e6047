import { type Exercise, FAMILIES } from '@/core/exercise';
import { withGrowth } from './growth';
import { onLadder, ownOnLadder } from './ladders';
import { ASSISTED_NECK } from './assisted-neck';
import { BLADE_AND_BAND, PRONE_W, PRONE_Y, UPPER_BACK_SEATED } from './blade-second';
import { CURVE_EXERCISES } from './curve';
import { HARDER_TUCKS } from './harder-tucks';
import { HIPS_AND_LEGS, LEG_STRETCHES } from './hips-and-legs';
import { LOW_BACK_MOVEMENT } from './low-back-movement';
import { NECK_HOLD } from './neck-hold';
import { NECK_MOBILITY } from './neck-mobility';
import { NERVES } from './nerves';
import { NOD_AND_TUCK_LYING } from './nod-and-tuck-lying';
import { POSTURE } from './posture';
import { SHOULDER_BLADE } from './shoulder-blade';
import { STRETCH_EXERCISES } from './stretch';
import { TRUNK_AND_LIMBS } from './trunk-and-limbs';
import { LOW_BACK_EASY, TRUNK_ON_FLOOR } from './trunk-on-floor';
import { TUCK_RESISTED } from './tuck-resisted';
import { TUCK_UPRIGHT } from './tuck-upright';
import { UPPER_BACK } from './upper-back';

const FILES: readonly Exercise[] = [
  ...NOD_AND_TUCK_LYING,
  ...TUCK_UPRIGHT,
  ...TUCK_RESISTED,
  ...HARDER_TUCKS,
  ...NECK_HOLD,
  ...NECK_MOBILITY,
  ...ASSISTED_NECK,
  ...STRETCH_EXERCISES,
  ...LEG_STRETCHES,
  ...UPPER_BACK,
  ...UPPER_BACK_SEATED,
  ...CURVE_EXERCISES,
  ...SHOULDER_BLADE,
  ...PRONE_W,
  ...PRONE_Y,
  ...BLADE_AND_BAND,
  ...NERVES,
  ...LOW_BACK_EASY,
  ...LOW_BACK_MOVEMENT,
  ...TRUNK_AND_LIMBS,
  ...TRUNK_ON_FLOOR,
  ...HIPS_AND_LEGS,
  ...POSTURE,
];

/** Every exercise that ships with the application, family by family, easiest first. */
export const EXERCISES: readonly Exercise[] = FAMILIES.flatMap((family) =>
  FILES.filter((one) => one.family === family).sort((a, b) => a.rung - b.rung),
).map((one) => withGrowth(onLadder(one)));

/** The exercises a desk chooses from: those that ship and the clinic's own. */
export type Catalogue<One extends Exercise = Exercise> = {
  readonly all: readonly One[];
  /** Null when the catalogue has no such exercise. */
  readonly byId: (id: string) => One | null;
};

/** Those that ship and the clinic's own, each of these put on its ladder. */
export function together<One extends Exercise>(
  shipped: readonly One[],
  own: readonly One[],
): Catalogue<One> {
  const all =
    own.length === 0 ? shipped : [...shipped, ...own.map((one) => ownOnLadder(one, shipped))];
  const byId = new Map(all.map((exercise) => [exercise.id, exercise]));
  return { all, byId: (id) => byId.get(id) ?? null };
}

export function catalogueOf(own: readonly Exercise[]): Catalogue {
  return together(EXERCISES, own);
}

/** The catalogue that ships, without any clinic's own. */
export const SHIPPED: Catalogue = catalogueOf([]);
