import type { Vec } from '../body';
import type { Disc } from '../drawing/outline';
import { type Sight, place } from './sight';

/** A ball of flesh, in cm: in the frame of a part on the right, mirrored for the left. */
export type Ball = readonly [at: Vec, radius: number];

/** How balls of a part look to a viewer: each as the disc it is from every side. */
export function discsOn(sight: Sight, side: 'Right' | 'Left'): (ball: Ball) => Disc {
  const hand = side === 'Right' ? 1 : -1;
  return ([[x, y, z], radius]) => {
    const [sx, sy] = place(sight, [x, y, z * hand]);
    return [sx, sy, radius];
  };
}
