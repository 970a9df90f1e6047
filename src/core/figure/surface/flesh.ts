import { type Part, type Pose, type Skeleton, type Vec, add, turn } from '../body';
import type { Camera } from '../drawing/view';
import { type BodyRings, bodyRings } from './body-rings';
import { FOOT_BALLS } from './foot';
import { handBalls } from './hand';
import { skinPoints } from './head-surface';
import { type Ring, skinAt } from './section';

/** A point of the body's skin in the room, or a ball of its flesh, in cm. */
export type Flesh = { readonly of: FleshOf; readonly at: Vec; readonly radius: number };

export type FleshOf =
  | 'trunk'
  | 'neck'
  | 'head'
  | `${'arm' | 'hand' | 'leg' | 'foot'}${'Right' | 'Left'}`;

/** Looks at the room as it is: what is seen is where it is. */
const ROOM: Camera = { right: [1, 0, 0], down: [0, 1, 0], near: [0, 0, 1] };

const BEARINGS = Array.from({ length: 12 }, (_, i) => i * 30);

/** Where the skin of a whole body is, from the same cross-sections that are drawn: to see what it touches. */
export function fleshOf(skeleton: Skeleton, pose: Pose): Flesh[] {
  const rings = bodyRings(skeleton, pose, ROOM);
  return [
    ...skinOf('trunk', rings.trunk.all),
    ...skinOf('neck', rings.neck),
    ...ballsOf(
      'head',
      skeleton,
      'head',
      skinPoints().map(({ at }) => [at, 0] as const),
      1,
    ),
    ...sideOf('Right', 'right', skeleton, rings),
    ...sideOf('Left', 'left', skeleton, rings),
  ];
}

function sideOf(
  side: 'Right' | 'Left',
  own: 'right' | 'left',
  skeleton: Skeleton,
  rings: BodyRings,
): Flesh[] {
  const hand = side === 'Right' ? 1 : -1;
  return [
    ...skinOf(`arm${side}`, [...rings.upperArm[own], ...rings.forearm[own]]),
    ...skinOf(`leg${side}`, [...rings.thigh[own], ...rings.shank[own]]),
    ...ballsOf(`hand${side}`, skeleton, `hand${side}`, handBalls(skeleton.hands[own]), hand),
    ...ballsOf(`foot${side}`, skeleton, `foot${side}`, FOOT_BALLS, hand),
  ];
}

function skinOf(of: FleshOf, rings: readonly Ring[]): Flesh[] {
  return rings.flatMap((ring) =>
    BEARINGS.map((bearing) => ({ of, at: skinAt(ring, bearing), radius: 0 })),
  );
}

function ballsOf(
  of: FleshOf,
  { frames }: Skeleton,
  part: Part,
  balls: readonly (readonly [at: Vec, radius: number])[],
  hand: 1 | -1,
): Flesh[] {
  const frame = frames[part];
  return balls.map(([[x, y, z], radius]) => ({
    of,
    at: add(frame.at, turn(frame.turn, [x, y, z * hand])),
    radius,
  }));
}
