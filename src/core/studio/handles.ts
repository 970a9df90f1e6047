import {
  add,
  between,
  type Goal,
  goalPoint,
  HANDS,
  inverse,
  type LimbPose,
  markAt,
  MARKS,
  minus,
  type Part,
  type Pose,
  scale,
  size,
  type Skeleton,
  skeletonOf,
  turn,
  type Vec,
} from '../figure';
import { asFarAsItGoes } from './range';
import { addedTo } from './sliders';

/** What of a body can be taken hold of in the studio. */
export const HANDLES = [
  'head',
  'chest',
  'pelvis',
  'right hand',
  'left hand',
  'right elbow',
  'left elbow',
  'right foot',
  'left foot',
  'right knee',
  'left knee',
] as const;
export type Handle = (typeof HANDLES)[number];

type Side = 'right' | 'left';
const SIDES = { right: 'Right', left: 'Left' } as const;

/** Where a handle is in the room, in cm. */
export function handleAt(pose: Pose, handle: Handle): Vec {
  const { frames } = skeletonOf(pose);
  switch (handle) {
    case 'head':
      return markAt(frames, 'skull');
    case 'chest':
      return add(frames.thorax.at, turn(frames.thorax.turn, [4, 12, 0]));
    case 'pelvis':
      return frames.pelvis.at;
    case 'right hand':
      return markAt(frames, 'palmRight');
    case 'left hand':
      return markAt(frames, 'palmLeft');
    case 'right elbow':
      return markAt(frames, 'elbowRight');
    case 'left elbow':
      return markAt(frames, 'elbowLeft');
    case 'right foot':
      return markAt(frames, 'ankleRight');
    case 'left foot':
      return markAt(frames, 'ankleLeft');
    case 'right knee':
      return markAt(frames, 'kneeFrontRight');
    case 'left knee':
      return markAt(frames, 'kneeFrontLeft');
  }
}

/**
 * A pose with one handle moved. Hands and feet go there by their two bones, elbows and knees choose
 * which way those bend, the head slides, nods and bends on its two joints, the chest bends the trunk,
 * the pelvis takes the body along while hands and feet stay. A joint goes no farther than a person's
 * does: the move stops there.
 *
 * @param by how far in the room, in cm
 */
export function moveHandle(pose: Pose, handle: Handle, by: Vec): Pose {
  return asFarAsItGoes(pose, (share) => moved(pose, handle, scale(by, share)));
}

function moved(pose: Pose, handle: Handle, by: Vec): Pose {
  switch (handle) {
    case 'head':
      return headBy(pose, by);
    case 'chest':
      return chestBy(pose, by);
    case 'pelvis':
      return pelvisBy(pose, by);
    case 'right hand':
    case 'left hand':
      return limbTo(pose, 'arms', sideOf(handle), (goal) => ({ ...goal, to: add(goal.to, by) }));
    case 'right foot':
    case 'left foot':
      return footBy(pose, sideOf(handle), by);
    case 'right elbow':
    case 'left elbow':
      return bendTowards(pose, 'arms', handle, by);
    case 'right knee':
    case 'left knee':
      return bendTowards(pose, 'legs', handle, by);
  }
}

const sideOf = (handle: Handle): Side => (handle.startsWith('right') ? 'right' : 'left');

/** A centimetre at the head turns each of its joints so far. */
const NECK_DEG_A_CM = 4;
const CHEST_DEG_A_CM = 2;

function headBy(pose: Pose, by: Vec): Pose {
  const { frames } = skeletonOf(pose);
  const [forward, up, right] = turn(inverse(frames.thorax.turn), by);
  const slid = addedTo(pose, 'head slid forward', forward * NECK_DEG_A_CM);
  const nodded = addedTo(slid, 'chin down', up * -NECK_DEG_A_CM);
  return addedTo(nodded, 'head bent right', right * NECK_DEG_A_CM);
}

function chestBy(pose: Pose, by: Vec): Pose {
  const { frames } = skeletonOf(pose);
  const [forward, , right] = turn(inverse(frames.pelvis.turn), by);
  const bent = addedTo(pose, 'trunk bent forward', forward * CHEST_DEG_A_CM);
  return addedTo(bent, 'trunk bent right', right * CHEST_DEG_A_CM);
}

/** The body where it is now, carried by its seat; feet and free hands stay behind where they are. */
function pelvisBy(pose: Pose, by: Vec): Pose {
  const { frames } = skeletonOf(pose);
  const seat = add(markAt(frames, 'seat'), by);
  return {
    ...pose,
    legs: {
      right: goalOf(pose, 'legs', 'right'),
      left: goalOf(pose, 'legs', 'left'),
    },
    contacts: [
      { mark: 'seat', axis: 'y', at: seat[1] },
      { mark: 'seat', axis: 'x', at: seat[0] },
    ],
  };
}

/** The parts of each leg. */
const LEG: Readonly<Record<Side, ReadonlySet<Part>>> = {
  right: new Set(['thighRight', 'shankRight', 'footRight']),
  left: new Set(['thighLeft', 'shankLeft', 'footLeft']),
};

function footBy(pose: Pose, side: Side, by: Vec): Pose {
  const carried = pose.contacts.some(({ mark }) => LEG[side].has(MARKS[mark].part));
  // A foot that carries the body would take it along: first the body stands by itself.
  const free = carried ? pelvisBy(pose, [0, 0, 0]) : pose;
  return limbTo(free, 'legs', side, (goal) => ({ ...goal, to: add(goal.to, by) }));
}

function bendTowards(pose: Pose, which: 'arms' | 'legs', handle: Handle, by: Vec): Pose {
  const { frames } = skeletonOf(pose);
  const side = sideOf(handle);
  const [root, , end] = chainAt(frames, which, side);
  const wanted = add(handleAt(pose, handle), by);
  const pole = minus(wanted, between(root, end, 0.5));
  const limb = pose[which][side];
  // A hand that lies on the body stays there.
  if (limb.by === 'goal')
    return { ...pose, [which]: { ...pose[which], [side]: { ...limb, pole } } };
  return limbTo(pose, which, side, (goal) => ({ ...goal, pole }));
}

/** Shoulder, elbow and wrist, or hip, knee and ankle. */
function chainAt(
  frames: Skeleton['frames'],
  which: 'arms' | 'legs',
  side: Side,
): readonly [Vec, Vec, Vec] {
  const s = SIDES[side];
  return which === 'arms'
    ? [frames[`upperArm${s}`].at, frames[`forearm${s}`].at, frames[`hand${s}`].at]
    : [frames[`thigh${s}`].at, frames[`shank${s}`].at, frames[`foot${s}`].at];
}

/** A limb with a goal in the room. */
type RoomGoal = { readonly by: 'goal' } & Omit<Goal, 'to' | 'offset'> & {
    readonly to: Vec;
  } & Pick<LimbPose, 'shape'>;

function limbTo(
  pose: Pose,
  which: 'arms' | 'legs',
  side: Side,
  change: (goal: RoomGoal) => RoomGoal,
): Pose {
  return { ...pose, [which]: { ...pose[which], [side]: change(goalOf(pose, which, side)) } };
}

/** A limb as it is, told by where its hand or foot is in the room. */
export function goalOf(pose: Pose, which: 'arms' | 'legs', side: Side): RoomGoal {
  const limb = pose[which][side];
  const { frames } = skeletonOf(pose);
  if (limb.by === 'goal') {
    const { offset, to, ...same } = limb;
    return { ...same, to: goalPoint(to, offset, frames) };
  }
  const [root, middle, end] = chainAt(frames, which, side);
  const aside = minus(middle, between(root, end, 0.5));
  const hand = side === 'right' ? 1 : -1;
  const usual: Vec = which === 'arms' ? [-0.4, -1, 0.6 * hand] : [1, 1, 0];
  const pole = size(aside) > 0.5 ? aside : usual;
  const s = SIDES[side];
  if (which === 'legs')
    return { by: 'goal', to: end, pole, flat: turn(frames[`foot${s}`].turn, [1, 0, 0]) };
  const reach = HANDS[limb.shape ?? 'resting'].touches;
  const touch = add(end, turn(frames[`hand${s}`].turn, [0, reach[1], 0]));
  return {
    by: 'goal',
    to: touch,
    pole,
    // A hand that hung at rest goes on doing so.
    shape: limb.shape ?? 'resting',
  };
}
