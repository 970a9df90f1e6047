import type { Pose, Skeleton } from '../body';
import type { Camera } from '../drawing/view';
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

export function bodyRings(skeleton: Skeleton, pose: Pose, camera: Camera): BodyRings {
  const both = (of: typeof thighRings): Both => ({
    right: of(skeleton, camera, 'Right'),
    left: of(skeleton, camera, 'Left'),
  });
  return {
    trunk: trunkRings(skeleton, pose, camera),
    neck: neckRings(skeleton, camera),
    upperArm: both(upperArmRings),
    forearm: both(forearmRings),
    thigh: both(thighRings),
    shank: both(shankRings),
  };
}
