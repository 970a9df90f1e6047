import type { Vec } from './vector';

/**
 * A person of 170 cm. Lengths are shares of stature (Drillis & Contini 1966, as reproduced in
 * textbooks of biomechanics; from memory): ankle 0.039, knee 0.285, hip 0.530, shoulder 0.818,
 * chin 0.870, eye 0.936; upper arm 0.186, forearm 0.146, hand 0.108, foot length 0.152, hip
 * breadth 0.191, shoulder breadth 0.259. Where the table has no row (the parts of the spine, the
 * head's depth and breadth) the value is ours.
 */
export const STATURE_CM = 170;
const share = (of: number) => of * STATURE_CM;

export const LENGTHS_CM = {
  upperArm: share(0.186),
  forearm: share(0.146),
  hand: share(0.108),
  thigh: share(0.53 - 0.285),
  shank: share(0.285 - 0.039),
  ankleHeight: share(0.039),
  foot: share(0.152),
  neck: 11.4,
} as const;

/** Offsets from each joint to the next, in the frame of the part that carries them. */
export const OFFSETS: Readonly<
  Record<'lumbar' | 'thorax' | 'neck' | 'shoulder' | 'hip' | 'head', Vec>
> = {
  /** From the middle between the hips. */
  lumbar: [-4, 13, 0],
  thorax: [-0.5, 16, 0],
  /** From the thoracic joint to the prominent vertebra at the base of the neck. */
  neck: [-1, share(0.85 - 0.53) - 29, 0],
  /** From the thoracic joint to the middle of the right shoulder's joint, under the acromion (ours: 3.2 cm). */
  shoulder: [4.2, share(0.818 - 0.53) - 29 - 3.2, 17.6],
  /** From the middle between the hips to the right hip. */
  hip: [0, 0, 8.6],
  head: [0, 11.4, 0],
};

/** How far the neck inclines forward from the trunk when the ear is over the shoulder. */
export const NECK_SLOPE_DEG = 25;

/** Height of a seat, in cm. */
export const SEAT_CM = 46;
