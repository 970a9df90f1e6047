import {
  type HandShape,
  type LimbPose,
  type MarkName,
  MARKS,
  type Pose,
  skeletonOf,
  type Vec,
} from '../figure';
import { goalOf } from './handles';
import { rounded } from './range';

export type Side = 'right' | 'left';

/** Ways in the room that a palm can look and toes can point, in words: the person looks forward. */
export const WAYS = {
  forward: [1, 0, 0],
  back: [-1, 0, 0],
  up: [0, 1, 0],
  down: [0, -1, 0],
  'to the right': [0, 0, 1],
  'to the left': [0, 0, -1],
} as const satisfies Record<string, Vec>;
export type Way = keyof typeof WAYS;

/** The way a direction points, in words; null between two of them. */
export function wayOf(vec: Vec | undefined): Way | null {
  if (!vec) return null;
  const size = Math.hypot(...vec);
  const found = (Object.keys(WAYS) as Way[]).find((way) => {
    const [x, y, z] = WAYS[way];
    return (x * vec[0] + y * vec[1] + z * vec[2]) / size > 0.9;
  });
  return found ?? null;
}

/** Places of the body that a hand can lie on: those whose skin looks somewhere. */
export const REST_PLACES: readonly MarkName[] = (Object.keys(MARKS) as MarkName[]).filter(
  (name) => MARKS[name].out,
);

/** A place of the body in words: "right temple", "skull base". */
export function placeInWords(name: MarkName): string {
  const spaced = name.replace(/([A-Z])/g, (letter) => ` ${letter.toLowerCase()}`);
  const sided = / (right|left)$/.exec(spaced);
  return sided ? `${sided[1]} ${spaced.slice(0, sided.index)}` : spaced;
}

function withArm(pose: Pose, side: Side, arm: LimbPose): Pose {
  return rounded({ ...pose, arms: { ...pose.arms, [side]: arm } });
}

/** The place of the body a hand lies on; null where it is in the room. */
export function restsOn({ arms }: Pose, side: Side): MarkName | null {
  const arm = arms[side];
  return arm.by === 'goal' && typeof arm.to === 'string' ? arm.to : null;
}

/**
 * A hand laid on a place of the body, or taken off it to where it is; null where the arm is too short
 * for it.
 */
export function layHand(pose: Pose, side: Side, on: MarkName | null): Pose | null {
  const goal = goalOf(pose, 'arms', side);
  if (on === null) return withArm(pose, side, goal);
  const { shape, pole } = goal;
  const laid = withArm(pose, side, {
    by: 'goal',
    to: on,
    pole,
    ...(shape && shape !== 'resting' ? { shape } : {}),
  });
  return skeletonOf(laid).missed > 1 ? null : laid;
}

export function shapeHand(pose: Pose, side: Side, shape: HandShape): Pose {
  return withArm(pose, side, { ...pose.arms[side], shape });
}

/** Turns a palm that is in the room; null leaves it to the forearm. */
export function facePalm(pose: Pose, side: Side, way: Way | null): Pose {
  const { by, to, pole, shape, flat } = goalOf(pose, 'arms', side);
  return withArm(pose, side, {
    by,
    to,
    pole,
    ...(shape ? { shape } : {}),
    ...(flat ? { flat } : {}),
    ...(way ? { faces: WAYS[way] } : {}),
  });
}

export function palmFaces({ arms }: Pose, side: Side): Way | null {
  const arm = arms[side];
  return arm.by === 'goal' ? wayOf(arm.faces) : null;
}

/** Points the toes of a foot. */
export function pointToes(pose: Pose, side: Side, way: Way): Pose {
  const leg = { ...goalOf(pose, 'legs', side), flat: WAYS[way] };
  return rounded({ ...pose, legs: { ...pose.legs, [side]: leg } });
}

export function toesPoint(pose: Pose, side: Side): Way | null {
  return wayOf(goalOf(pose, 'legs', side).flat);
}
