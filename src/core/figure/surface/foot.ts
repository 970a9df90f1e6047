import type { Skeleton } from '../body';
import { roundAbout } from '../drawing/outline';
import type { Camera } from '../drawing/view';
import { type Ball, discsOn } from './ball';
import { place, sightOf } from './sight';

/** Heel, instep, ball and toes from the ankle. Sole 6.63 cm under the ankle; the right foot, its inner side at −z. From memory of a 26 cm foot. */
const HEEL: readonly Ball[] = [
  [[-2.6, -3.6, 0.4], 2.9],
  [[-3.0, -4.1, -0.4], 2.5],
  [[0.2, -0.6, 0], 3.2],
  [[1.5, -4.2, 0], 2.4],
];
const INSTEP: readonly Ball[] = [
  [[0.6, -0.8, 0], 3.1],
  [[2.0, -4.0, 0], 2.6],
  [[7.5, -3.6, -0.4], 2.3],
  [[8.0, -4.8, 1.4], 1.8],
];
const FRONT: readonly Ball[] = [
  [[7.5, -3.6, -0.4], 2.3],
  [[8.0, -4.8, 1.4], 1.8],
  [[12.6, -4.9, -2.5], 1.7],
  [[11.6, -5.2, 2.9], 1.4],
];
const TOES: readonly Ball[] = [
  [[12.6, -4.9, -2.5], 1.7],
  [[11.6, -5.2, 2.9], 1.4],
  [[18.0, -5.4, -2.2], 1.2],
  [[17.4, -5.5, 0], 1.05],
  [[15.4, -5.6, 2.6], 0.95],
];

/** The balls that a foot is wrapped round, in its frame: for the right one, mirrored for the left. */
export const FOOT_BALLS: readonly Ball[] = [...HEEL, ...INSTEP, ...FRONT, ...TOES];

export type DrawnFoot = {
  /** The foot up to its ball. */
  readonly foot: string;
  readonly toes: string;
  /** How near its middle is to the viewer. */
  readonly near: number;
};

/** A bare foot as seen; both pieces together are its outline. */
export function footShape(skeleton: Skeleton, camera: Camera, side: 'Right' | 'Left'): DrawnFoot {
  const sight = sightOf(camera, skeleton.frames[`foot${side}`]);
  const wrap = (balls: readonly Ball[]) => roundAbout(balls.map(discsOn(sight, side)));
  return {
    foot: [HEEL, INSTEP, FRONT].map(wrap).join(''),
    toes: wrap(TOES),
    near: place(sight, [5, -4, 0])[2],
  };
}
