import { arcSine } from '../../units';
import type { Frame } from './frame';
import { limbTurn } from './frame';
import { HANDS } from './hand-shape';
import { MARKS, type Part } from './marks';
import type { Goal, Limb, LimbPose } from './pose';
import { anglesOf, reachFor } from './reach';
import type { Joint } from './skeleton';
import {
  type Turn,
  type Vec,
  about,
  across,
  add,
  compose,
  dot,
  inverse,
  minus,
  scale,
  size,
  turn,
  unit,
} from './vector';

const Y: Vec = [0, 1, 0];
const Z: Vec = [0, 0, 1];
const DEGREES = 180 / Math.PI;

/** A hand held out without anything to lie on turns its palm inward. */
const FREE_TWIST = 80;
/** A wrist bends so far back or to the palm (common range, from memory). */
const WRIST_DEG = 85;
/** Each round brings wrist and forearm nearer to each other's place; mostly after three nothing moves. */
const ROUNDS = 8;
/** Less than this is not seen, of a direction one long. */
const STILL = 0.002;

type Reached = { readonly limb: Limb; readonly missed: number };

/**
 * An arm whose hand touches a place. On skin, floor or wall the palm lies on the surface: its own skin,
 * not the middle of its bones. A fist touches with its knuckles, two fingers with their tips, both as
 * the forearm points, or as `flat` says, the palm turned inward. A hand that holds something in the room follows its forearm.
 *
 * @param target the place in the room, in cm
 */
export function armTo(
  goal: Goal & Pick<LimbPose, 'shape'>,
  target: Vec,
  joint: Joint,
  frames: Readonly<Partial<Record<Part, Frame>>>,
): Reached {
  const { touches, lies } = HANDS[goal.shape ?? 'flat'];
  const pointed: Vec | null = goal.flat ? [0, 0, joint.hand] : null;
  const surface = lies || goal.faces ? surfaceOf(goal, frames) : pointed;
  return surface === null
    ? pointing(goal, target, joint, -touches[1])
    : lying(goal, target, joint, surface, touches);
}

/** Which way the skin, floor or wall looks that a palm lies on; null where the hand only holds. */
function surfaceOf(goal: Goal, frames: Readonly<Partial<Record<Part, Frame>>>): Vec | null {
  if (goal.faces) return scale(unit(goal.faces), -1);
  if (typeof goal.to === 'string') {
    const { part, out } = MARKS[goal.to];
    const frame = frames[part];
    return out && frame ? turn(frame.turn, out) : null;
  }
  if (!goal.flat) return null;
  return Math.abs(goal.flat[1]) > 0.7 ? [-1, 0, 0] : Y;
}

function reach(goal: Goal, wrist: Vec, joint: Joint, longer = 0) {
  const { root, upper, lower, bends } = joint;
  const into = (v: Vec) => turn(inverse(root.turn), v);
  return reachFor(into(minus(wrist, root.at)), upper, lower + longer, into(goal.pole), bends);
}

function pointing(goal: Goal, target: Vec, joint: Joint, longer: number): Reached {
  const found = reach(goal, target, joint, longer);
  const angles = anglesOf(found.upper, found.bendWay, joint.hand, joint.bends);
  return {
    limb: { ...angles, bend: found.bend, end: 0, twist: FREE_TWIST, tilt: 0 },
    missed: found.missed,
  };
}

function lying(goal: Goal, target: Vec, joint: Joint, out: Vec, touches: Vec): Reached {
  let fingers = unit(across(goal.flat ?? minus(target, joint.root.at), out), [1, 0, 0]);
  let palm = scale(out, -1);
  const toWrist = () =>
    reach(goal, minus(target, add(scale(fingers, -touches[1]), scale(palm, touches[0]))), joint);
  for (let round = 0; round < ROUNDS; round += 1) {
    const found = toWrist();
    const forearm = forearmOf(found, joint);
    const wanted = unit(across(goal.flat ?? forearm, out), fingers);
    const next = withinReach(wanted, forearm);
    const moved = size(minus(next, fingers));
    fingers = next;
    palm = unit(across(scale(out, -1), fingers), palm);
    if (moved < STILL) break;
  }
  const found = toWrist();
  const angles = anglesOf(found.upper, found.bendWay, joint.hand, joint.bends);
  const limb = { ...angles, bend: found.bend, end: 0, twist: 0, tilt: 0 };
  const lower = compose(
    compose(joint.root.turn, limbTurn(limb, joint.hand)),
    about(Z, joint.bends * limb.bend),
  );
  return { limb: { ...limb, ...wristOf(lower, fingers, palm, joint.hand) }, missed: found.missed };
}

function forearmOf({ upper, bendWay, bend }: ReturnType<typeof reachFor>, { root }: Joint): Vec {
  const angle = bend / DEGREES;
  return turn(root.turn, add(scale(upper, Math.cos(angle)), scale(bendWay, Math.sin(angle))));
}

/** The nearest way the fingers can go when a wrist bends no farther. */
function withinReach(fingers: Vec, forearm: Vec): Vec {
  const most = WRIST_DEG / DEGREES;
  if (dot(fingers, forearm) >= Math.cos(most)) return fingers;
  const aside = unit(across(fingers, forearm), fingers);
  return add(scale(forearm, Math.cos(most)), scale(aside, Math.sin(most)));
}

/** The angles of a hand whose fingers and palm have a direction in the room. */
function wristOf(
  forearm: Turn,
  fingers: Vec,
  palm: Vec,
  hand: 1 | -1,
): Pick<Limb, 'end' | 'twist' | 'tilt'> {
  const own = (v: Vec) => turn(inverse(forearm), v);
  const [px, py, pz] = own(palm);
  const end = arcSine(py) * DEGREES;
  const twist = Math.atan2(-pz, px) * DEGREES;
  const straight = turn(compose(about(Z, -end), about(Y, -twist)), own(fingers));
  const tilt = Math.atan2(-straight[2], -straight[1]) * DEGREES;
  return { end, twist: twist * hand, tilt: tilt * hand };
}
