import type { Pose, Skeleton } from '../body';
import type { Camera } from '../drawing/view';
import { type Keep, keepNothing, numbersOf } from '../keep';
import { forearmRings, shankRings, thighRings, upperArmRings } from './limbs';
import type { Ring } from './section';
import { type TrunkRings, neckRings, trunkRings } from './trunk';

type Both = { readonly right: readonly Ring[]; readonly left: readonly Ring[] };

/** All cross-sections of a body but the head's, as one viewer sees them. */
export type BodyRings = {
  readonly trunk: TrunkRings;
  readonly neck: readonly Ring[];
  readonly upperArm: Both;
  readonly forearm: Both;
  readonly thigh: Both;
  readonly shank: Both;
};

export function bodyRings(
  skeleton: Skeleton,
  pose: Pose,
  camera: Camera,
  keep: Keep = keepNothing,
): BodyRings {
  const both = (part: 'upperArm' | 'forearm' | 'thigh' | 'shank', of: typeof thighRings): Both => {
    const one = (side: 'Right' | 'Left') =>
      keep(`rings of ${part}${side}`, numbersOf(skeleton, [`${part}${side}`]), () =>
        of(skeleton, camera, side),
      );
    return { right: one('Right'), left: one('Left') };
  };
  const { right, left } = pose.blades;
  const blades = [right.up, right.back, left.up, left.back];
  return {
    trunk: keep(
      'rings of trunk',
      [...numbersOf(skeleton, ['pelvis', 'lumbar', 'thorax']), ...blades],
      () => trunkRings(skeleton, pose, camera),
    ),
    neck: keep('rings of neck', numbersOf(skeleton, ['thorax', 'neck', 'head']), () =>
      neckRings(skeleton, camera),
    ),
    upperArm: both('upperArm', upperArmRings),
    forearm: both('forearm', forearmRings),
    thigh: both('thigh', thighRings),
    shank: both('shank', shankRings),
  };
}
