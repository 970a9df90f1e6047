import { type Frame, limbTurn, markAt } from './frame';
import type { MarkName, Part } from './marks';
import { MARKS } from './marks';
import type { HandShape } from './hand-shape';
import type { Bend, Contact, Goal, Limb, LimbPose, Pair, Pose } from './pose';
import { LENGTHS_CM, OFFSETS } from './proportions';
import { armTo } from './arm-reach';
import { anglesOf, reachFor } from './reach';
import { type Turn, type Vec, about, add, compose, inverse, minus, turn } from './vector';

const X: Vec = [1, 0, 0];
const Y: Vec = [0, 1, 0];
const Z: Vec = [0, 0, 1];

/** Every part of a body in the room, in centimetres. */
export type Skeleton = {
  readonly frames: Readonly<Record<Part, Frame>>;
  /** How far each hand or foot is from where it was asked to be, in cm; 0 when it got there. */
  readonly missed: number;
  /** Limbs as angles, however they were given. */
  readonly arms: { readonly right: Limb; readonly left: Limb };
  readonly legs: { readonly right: Limb; readonly left: Limb };
  readonly hands: Pair<HandShape>;
};

/** The rotation of a bend: turned last, bent sideways before, bent forward first. */
export function bendTurn({ flex, side, turn: turned }: Bend): Turn {
  return compose(compose(about(Y, -turned), about(X, side)), about(Z, -flex));
}

type Frames = Record<Part, Frame>;

function child(parent: Frame, offset: Vec, by: Turn): Frame {
  return { at: add(parent.at, turn(parent.turn, offset)), turn: compose(parent.turn, by) };
}

/** Trunk, neck and head, the pelvis at the origin. */
function spineFrames(pose: Pose): Pick<Frames, 'pelvis' | 'lumbar' | 'thorax' | 'neck' | 'head'> {
  const pelvis: Frame = { at: [0, 0, 0], turn: bendTurn(pose.pelvis) };
  const lumbar = child(pelvis, OFFSETS.lumbar, bendTurn(pose.lumbar));
  const thorax = child(lumbar, OFFSETS.thorax, bendTurn(pose.thorax));
  const neck = child(thorax, OFFSETS.neck, bendTurn(pose.neck));
  const head = {
    ...child(neck, OFFSETS.head, neck.turn),
    turn: compose(thorax.turn, headTurn(pose)),
  };
  return { pelvis, lumbar, thorax, neck, head };
}

/**
 * The head's rotation against the trunk: what both joints of the neck do together, turned about the
 * trunk's own upright. Turned about the slope of the neck, it would tip to the side as it turns, as no
 * head does whose chin stays level.
 */
function headTurn({ neck, head }: Pose): Turn {
  return bendTurn({
    flex: neck.flex + head.flex,
    side: neck.side + head.side,
    turn: neck.turn + head.turn,
  });
}

/** A shoulder or hip and the two bones below it. */
export type Joint = {
  readonly root: Frame;
  readonly hand: 1 | -1;
  readonly upper: number;
  readonly lower: number;
  /** Bending the elbow brings the forearm forward, bending the knee takes the shank back. */
  readonly bends: 1 | -1;
};

type Chain = { readonly upper: Frame; readonly lower: Frame; readonly end: Frame };

function chainOf(limb: Limb, { root, hand, upper, lower, bends }: Joint): Chain {
  const first: Frame = { at: root.at, turn: compose(root.turn, limbTurn(limb, hand)) };
  const second = child(first, [0, -upper, 0], about(Z, bends * limb.bend));
  // A foot only bends up and down; a hand also turns with its forearm and bends to the side.
  const end =
    bends === -1
      ? about(Z, limb.end)
      : compose(
          compose(about(Y, limb.twist * hand), about(Z, limb.end)),
          about(X, limb.tilt * hand),
        );
  return { upper: first, lower: second, end: child(second, [0, -lower, 0], end) };
}

/**
 * Where every part of a body is.
 *
 * Angles are followed joint by joint from the pelvis; a hand or foot with a goal is brought there by
 * its two bones (see `reachFor`); then the whole is shifted so that the first contact on each axis
 * lies in its plane. Goals in the room are met after that shift.
 */
export function skeletonOf(pose: Pose): Skeleton {
  const before = known.get(pose);
  if (before) return before;
  const made = reckon(pose);
  known.set(pose, made);
  return made;
}

/** Poses never change, and those of a figure are asked for in each of its frames. */
const known = new WeakMap<Pose, Skeleton>();

function reckon(pose: Pose): Skeleton {
  const { spine, shift } = trunkOf(pose);
  const moved = Object.fromEntries(
    Object.entries(spine).map(([part, frame]) => [part, { ...frame, at: add(frame.at, shift) }]),
  ) as typeof spine;
  return limbsOn(moved, pose, shift);
}

/** Head and trunk as their joints are turned, and what brings the body to its contacts. */
function trunkOf(pose: Pose) {
  const spine = spineFrames(pose);
  const { frames } = limbsOn(spine, pose, null);
  return { spine, frames, shift: shiftFor(pose.contacts, frames) };
}

/**
 * Where a mark of head or trunk is, without reaching with arms and legs: for whoever looks for a pose
 * step by step.
 *
 * @param mark of head or trunk; of a limb it is where it hangs
 */
export function trunkMark(pose: Pose, mark: MarkName): Vec {
  const { frames, shift } = trunkOf(pose);
  return add(markAt(frames, mark), shift);
}

/** The contacts that carry the body decide where it is. */
function shiftFor(contacts: readonly Contact[], frames: Frames): Vec {
  const along = (axis: 'x' | 'y') => {
    const contact = contacts.find((one) => one.axis === axis);
    return contact ? contact.at - markAt(frames, contact.mark)[axis === 'x' ? 0 : 1] : 0;
  };
  return [along('x'), along('y'), 0];
}

/** With `shift` null goals in the room cannot be met yet: those limbs hang until they can. */
function limbsOn(
  spine: ReturnType<typeof spineFrames>,
  pose: Pose,
  shift: Vec | null,
): Skeleton & { frames: Frames } {
  const frames = { ...spine } as Frames;
  let missed = 0;
  const carried = pose.contacts.some(({ mark }) => ARM_PARTS.has(MARKS[mark].part));
  const limb = (side: 'right' | 'left', which: 'arms' | 'legs'): Limb => {
    const hand = side === 'right' ? 1 : -1;
    const joint = which === 'arms' ? armJoint(spine, pose, side, hand) : legJoint(spine, hand);
    // What carries the body is found first; arms that do not need not be reached with for that.
    const solved =
      shift === null && which === 'arms' && !carried
        ? { limb: HANGING, missed: 0, end: null }
        : solve(pose[which][side], joint, frames, which, shift !== null);
    missed = Math.max(missed, solved.missed);
    const chain = chainOf(solved.limb, joint);
    const end = solved.end ? { ...chain.end, turn: solved.end } : chain.end;
    const Side = side === 'right' ? 'Right' : 'Left';
    const names = which === 'arms' ? ARM : LEG;
    frames[`${names[0]}${Side}`] = chain.upper;
    frames[`${names[1]}${Side}`] = chain.lower;
    frames[`${names[2]}${Side}`] = end;
    return solved.limb;
  };
  // Legs first: a hand may rest on a thigh or hold a knee.
  const legs = { right: limb('right', 'legs'), left: limb('left', 'legs') };
  const arms = { right: limb('right', 'arms'), left: limb('left', 'arms') };
  const hands = { right: shapeOf(pose.arms.right), left: shapeOf(pose.arms.left) };
  return { frames, missed, arms, legs, hands };
}

/** A palm that lies on something is flat; one that hangs is at rest. */
function shapeOf(arm: LimbPose): HandShape {
  if (arm.shape) return arm.shape;
  return arm.by === 'goal' ? 'flat' : 'resting';
}

const ARM = ['upperArm', 'forearm', 'hand'] as const;
const ARM_PARTS: ReadonlySet<Part> = new Set(
  (['Right', 'Left'] as const).flatMap((side) => ARM.map((part): Part => `${part}${side}`)),
);
const LEG = ['thigh', 'shank', 'foot'] as const;

function armJoint(
  spine: ReturnType<typeof spineFrames>,
  pose: Pose,
  side: 'right' | 'left',
  hand: 1 | -1,
): Joint {
  const [x, y, z] = OFFSETS.shoulder;
  const { up, back } = pose.blades[side];
  const { thorax } = spine;
  const root = { at: add(thorax.at, turn(thorax.turn, [x - back, y + up, z * hand])) };
  return {
    root: { ...root, turn: thorax.turn },
    hand,
    upper: LENGTHS_CM.upperArm,
    lower: LENGTHS_CM.forearm,
    bends: 1,
  };
}

function legJoint(spine: ReturnType<typeof spineFrames>, hand: 1 | -1): Joint {
  const { pelvis } = spine;
  const [x, y, z] = OFFSETS.hip;
  const root = { at: add(pelvis.at, turn(pelvis.turn, [x, y, z * hand])), turn: pelvis.turn };
  return { root, hand, upper: LENGTHS_CM.thigh, lower: LENGTHS_CM.shank, bends: -1 };
}

type Solved = { readonly limb: Limb; readonly missed: number; readonly end: Turn | null };

const HANGING: Limb = { forward: 0, out: 4, spin: 0, bend: 0, end: 0, twist: 80, tilt: 0 };

function solve(
  limb: LimbPose,
  joint: Joint,
  frames: Frames,
  which: 'arms' | 'legs',
  inRoom: boolean,
): Solved {
  if (limb.by === 'angles') return { limb, missed: 0, end: null };
  if (typeof limb.to !== 'string' && !inRoom) return { limb: HANGING, missed: 0, end: null };
  const target = goalPoint(limb.to, limb.offset, frames);
  return which === 'arms'
    ? { ...armTo(limb, target, joint, frames), end: null }
    : { ...legTo(limb, target, joint), end: endTurn(limb.flat ?? X) };
}

function legTo({ pole }: Goal, target: Vec, joint: Joint): Omit<Solved, 'end'> {
  const { root, upper, lower, bends, hand } = joint;
  const into = (v: Vec) => turn(inverse(root.turn), v);
  const found = reachFor(into(minus(target, root.at)), upper, lower, into(pole), bends);
  const angles = anglesOf(found.upper, found.bendWay, hand, bends);
  return { limb: { ...angles, bend: found.bend, end: 0, twist: 0, tilt: 0 }, missed: found.missed };
}

/** The place in the room that a goal means, in cm. */
export function goalPoint(
  to: MarkName | Vec,
  offset: Vec | undefined,
  frames: Readonly<Record<Part, Frame>>,
): Vec {
  if (typeof to !== 'string') return to;
  const point = markAt(frames, to);
  return offset ? add(point, turn(frames[MARKS[to].part].turn, offset)) : point;
}

/** A foot's own x along a direction of the room. */
function endTurn([x, y, z]: Vec): Turn {
  const yaw = (Math.atan2(-z, x) * 180) / Math.PI;
  const pitch = (Math.atan2(y, Math.hypot(x, z)) * 180) / Math.PI;
  return compose(about(Y, yaw), about(Z, pitch));
}
