import { arcCosine, arcSine } from '../../units';
import type { Limb } from './pose';
import { type Vec, across, add, cross, dot, scale, size, unit } from './vector';

const DEGREES = 180 / Math.PI;

type Reach = {
  /** Direction of the upper bone. */
  readonly upper: Vec;
  /** The way the lower bone bends, at right angles to the upper one. */
  readonly bendWay: Vec;
  /** Of the elbow or knee, in degrees. */
  readonly bend: number;
  /** What is missing when the goal is out of reach, in cm. */
  readonly missed: number;
};

/**
 * Two bones from a joint to a goal, by the law of cosines: of the circle of places the middle joint
 * can be in, the one nearest to where `pole` points.
 *
 * @param goal from the joint, in the frame of the trunk, in cm
 * @param upper length of the upper bone, in cm
 * @param lower length of the lower bone, in cm
 * @param bends 1 for an elbow (forearm comes forward), −1 for a knee
 * @example reachFor([0, -60, 0], 30, 30, [0, 0, -1], 1).bend // 0: just straight
 */
export function reachFor(goal: Vec, upper: number, lower: number, pole: Vec, bends: 1 | -1): Reach {
  const wanted = size(goal);
  const far = Math.min(Math.max(wanted, Math.abs(upper - lower) + 1e-6), upper + lower);
  const way = unit(goal, [0, -1, 0]);
  const cosine = (upper * upper + far * far - lower * lower) / (2 * upper * far);
  const lift = arcCosine(cosine);
  const sideways = unit(across(pole, way), unit(across([-bends, 0, 0], way), [0, 0, 1]));
  const first = add(scale(way, Math.cos(lift)), scale(sideways, Math.sin(lift)));
  const middle = (upper * upper + lower * lower - far * far) / (2 * upper * lower);
  const bend = 180 - arcCosine(middle) * DEGREES;
  // With a straight limb the elbow still looks away from its pole.
  const bendWay = unit(across(bend < 0.5 ? scale(sideways, -1) : way, first), [1, 0, 0]);
  return { upper: first, bendWay, bend, missed: Math.abs(wanted - far) };
}

/**
 * The angles of a shoulder or hip whose upper bone and bending way are known: the inverse of
 * `limbTurn`.
 *
 * @param upper direction of the upper bone, one long, in the frame of the trunk
 * @param bendWay the way the lower bone bends; for a knee it points backward
 * @param hand 1 on the right, −1 on the left
 */
export function anglesOf(
  upper: Vec,
  bendWay: Vec,
  hand: 1 | -1,
  bends: 1 | -1 = 1,
): Pick<Limb, 'forward' | 'out' | 'spin'> {
  const out = arcSine(upper[2] * hand);
  const forward = Math.atan2(upper[0], -upper[1]);
  // Where the front of the limb looks before it is spun.
  const front: Vec = [Math.cos(forward), Math.sin(forward), 0];
  const wanted = scale(bendWay, bends);
  const third = cross(upper, front);
  // `limbTurn` spins about the limb's own −y for the right hand, so the sign follows the hand.
  const spin = Math.atan2(dot(wanted, third), dot(wanted, front)) * hand;
  return { forward: forward * DEGREES, out: out * DEGREES, spin: spin * DEGREES };
}
