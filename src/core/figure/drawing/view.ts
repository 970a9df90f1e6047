import { type Vec, dot } from '../body';
import type { View } from '../figure';

/** A place on the sheet, to the right and down in cm, and how near it is to the viewer. */
export type Seen = readonly [x: number, y: number, near: number];

/** From where a picture is drawn: what lies right, down and towards the viewer. */
export type Camera = { readonly right: Vec; readonly down: Vec; readonly near: Vec };

const rad = (degrees: number) => (degrees * Math.PI) / 180;

/** From the side a little from the front, so that the far limbs show. */
const SIDE = rad(9);
/** Between the front and the side: the face, and what a hand does at either side of the head. */
const QUARTER = rad(38);
/** From the front and from behind a little from above, so that a lap is seen. */
const TILT = rad(10);

/** `mirrored` looks from the other side, so that a left-sided exercise reads like a right-sided one. */
export function cameraFor(view: View, mirrored = false): Camera {
  const hand = mirrored ? -1 : 1;
  switch (view) {
    case 'side':
      return {
        right: [Math.cos(SIDE) * hand, 0, Math.sin(SIDE)],
        down: [0, -1, 0],
        near: [-Math.sin(SIDE), 0, Math.cos(SIDE) * hand],
      };
    case 'front':
      return {
        right: [0, 0, -1],
        down: [Math.sin(TILT), -Math.cos(TILT), 0],
        near: [Math.cos(TILT), Math.sin(TILT), 0],
      };
    case 'back':
      return {
        right: [0, 0, 1],
        down: [-Math.sin(TILT), -Math.cos(TILT), 0],
        near: [-Math.cos(TILT), Math.sin(TILT), 0],
      };
    case 'quarter': {
      // Seen from the front, a step to the person's right, a little from above.
      const [c, s] = [Math.cos(QUARTER), Math.sin(QUARTER) * hand];
      const [ct, st] = [Math.cos(TILT / 2), Math.sin(TILT / 2)];
      return {
        right: [s, 0, -c],
        down: [c * st, -ct, s * st],
        near: [c * ct, st, s * ct],
      };
    }
    case 'above':
      return { right: [1, 0, 0], down: [0, 0, 1], near: [0, 1, 0] };
  }
}

/** Whether the viewer looks down on what lies on the floor. */
export const isFromAbove = ({ near }: Camera): boolean => near[1] === 1;

/** Exactly from the right side, as a camera on a stand would: what is measured on it is true. */
export const SQUARE: Camera = { right: [1, 0, 0], down: [0, -1, 0], near: [0, 0, 1] };

export function see(camera: Camera, point: Vec): Seen {
  return [dot(camera.right, point), dot(camera.down, point), dot(camera.near, point)];
}
