import { arcSine } from '../units';
import { type Pose, type Vec, inverse, markAt, minus, skeletonOf, turn } from './body';

const DEG = 180 / Math.PI;
const asin = (value: number) => arcSine(value) * DEG;

/** What a viewer could measure on a drawn body, in cm and degrees, each from its own reference. */
export type Reading = {
  /** Head against the base of the neck, along the trunk's own forward: back is negative. */
  readonly headForwardCm: number;
  /** The face against the trunk: up is positive. */
  readonly gazeUpDeg: number;
  readonly headTurnRightDeg: number;
  readonly headSideRightDeg: number;
  /** The head above the lowest it is drawn. */
  readonly headHeightCm: number;
  /** Chest against pelvis. */
  readonly trunkForwardDeg: number;
  readonly trunkTurnRightDeg: number;
  readonly hipHeightCm: number;
  readonly shouldersUpCm: number;
  readonly bladesBackCm: number;
  readonly rightKneeDeg: number;
  readonly leftKneeDeg: number;
  readonly rightElbowDeg: number;
  readonly leftElbowDeg: number;
};

/**
 * Measures a pose from its skeleton, so that the words about it can never say something else than
 * the drawing shows.
 */
export function readPose(pose: Pose): Reading {
  const skeleton = skeletonOf(pose);
  const { frames, arms, legs } = skeleton;
  const inTrunk = (v: Vec) => turn(inverse(frames.thorax.turn), v);
  const inPelvis = (v: Vec) => turn(inverse(frames.pelvis.turn), v);
  const face = inTrunk(turn(frames.head.turn, [1, 0, 0]));
  const top = inTrunk(turn(frames.head.turn, [0, 1, 0]));
  const head = inTrunk(minus(markAt(frames, 'skull'), frames.neck.at));
  const chest = inPelvis(turn(frames.thorax.turn, [0, 1, 0]));
  const chestFace = inPelvis(turn(frames.thorax.turn, [1, 0, 0]));
  return {
    headForwardCm: head[0],
    gazeUpDeg: asin(face[1]),
    headTurnRightDeg: Math.atan2(face[2], face[0]) * DEG,
    headSideRightDeg: asin(top[2]),
    headHeightCm: markAt(frames, 'skull')[1],
    trunkForwardDeg: Math.atan2(chest[0], chest[1]) * DEG,
    trunkTurnRightDeg: Math.atan2(chestFace[2], chestFace[0]) * DEG,
    hipHeightCm: frames.pelvis.at[1],
    shouldersUpCm: (pose.blades.right.up + pose.blades.left.up) / 2,
    bladesBackCm: (pose.blades.right.back + pose.blades.left.back) / 2,
    rightKneeDeg: legs.right.bend,
    leftKneeDeg: legs.left.bend,
    rightElbowDeg: arms.right.bend,
    leftElbowDeg: arms.left.bend,
  };
}
