import { LENGTHS_CM, type Part, type Skeleton, type Vec } from '../body';
import type { Camera } from '../drawing/view';
import { type Ring, type Section, ringOf } from './section';
import { sightOf } from './sight';

/** At a share of the bone's length from its upper joint: half-widths in cm. */
type Station = readonly [share: number, back: number, front: number, side: number];

/**
 * Half-widths of arms and legs. From memory of common adult means of girth (upper arm 30 cm, forearm
 * 27, wrist 17, thigh 56, knee 38, calf 37, ankle 22), shared out between back, front and side by us.
 */
const UPPER_ARM: readonly Station[] = [
  [0.0, 4.4, 4.4, 4.2],
  [0.09, 5.1, 5.2, 5.2],
  [0.2, 5.1, 5.3, 5.4],
  [0.35, 4.7, 4.9, 4.8],
  [0.55, 4.4, 4.8, 4.3],
  [0.78, 4.1, 4.2, 4.0],
  [0.95, 4.0, 3.8, 4.0],
];
const FOREARM: readonly Station[] = [
  [0.04, 4.2, 4.1, 4.3],
  [0.16, 4.4, 4.4, 4.7],
  [0.34, 4.1, 4.1, 4.4],
  [0.56, 3.4, 3.4, 3.7],
  [0.78, 2.7, 2.7, 3.1],
  [0.98, 2.2, 2.2, 2.8],
];
const THIGH: readonly Station[] = [
  [-0.1, 6.5, 8.0, 7.6],
  [0.02, 8.0, 8.8, 8.6],
  [0.16, 8.5, 8.8, 8.7],
  [0.34, 8.2, 8.4, 8.2],
  [0.52, 7.5, 7.7, 7.3],
  [0.7, 6.6, 6.8, 6.3],
  [0.86, 6.0, 5.9, 5.6],
  [0.97, 5.6, 5.5, 5.3],
];
const SHANK: readonly Station[] = [
  [0.04, 5.3, 5.5, 5.2],
  [0.12, 5.7, 4.9, 5.2],
  [0.24, 6.7, 4.5, 5.6],
  [0.36, 6.8, 4.2, 5.6],
  [0.5, 5.9, 3.9, 4.9],
  [0.66, 4.7, 3.5, 3.9],
  [0.82, 3.7, 3.1, 3.3],
  [0.96, 3.5, 3.0, 3.3],
];

const section = ([share, back, front, side]: Station, length: number): Section => ({
  at: [0, -share * length, 0],
  back,
  front,
  side,
});

function rings(
  skeleton: Skeleton,
  camera: Camera,
  part: Part,
  stations: readonly Station[],
  length: number,
): Ring[] {
  const sight = sightOf(camera, skeleton.frames[part]);
  return stations.map((one) => ringOf(sight, section(one, length)));
}

/** A shoulder's inner end under the strap of a vest, where the trunk carries it. */
const SHOULDER = { front: 4.4, back: 4.2, side: 3.4 } as const;

/** An upper arm from the slope of the shoulder over the deltoid to the elbow. */
export function upperArmRings(skeleton: Skeleton, camera: Camera, side: 'Right' | 'Left'): Ring[] {
  return rings(skeleton, camera, `upperArm${side}`, UPPER_ARM, LENGTHS_CM.upperArm);
}

/** Where the shoulder goes into the trunk: a little inward and up of its joint, however the arm is turned. */
export function shoulderRing(skeleton: Skeleton, camera: Camera, side: 'Right' | 'Left'): Ring {
  const { thorax, [`upperArm${side}` as const]: arm } = skeleton.frames;
  const inward: Vec = [-0.3, 0.7, side === 'Right' ? -3.8 : 3.8];
  const sight = sightOf(camera, { at: arm.at, turn: thorax.turn });
  return ringOf(sight, { at: inward, ...SHOULDER });
}

/** From the elbow to the wrist. */
export function forearmRings(skeleton: Skeleton, camera: Camera, side: 'Right' | 'Left'): Ring[] {
  return rings(skeleton, camera, `forearm${side}`, FOREARM, LENGTHS_CM.forearm);
}

export function thighRings(skeleton: Skeleton, camera: Camera, side: 'Right' | 'Left'): Ring[] {
  return rings(skeleton, camera, `thigh${side}`, THIGH, LENGTHS_CM.thigh);
}

/** From the knee to the ankle. */
export function shankRings(skeleton: Skeleton, camera: Camera, side: 'Right' | 'Left'): Ring[] {
  return rings(skeleton, camera, `shank${side}`, SHANK, LENGTHS_CM.shank);
}

/** How many of a thigh's sections a pair of shorts covers. */
export const SHORTS_SECTIONS = 5;
