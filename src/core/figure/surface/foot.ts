import type { Part, Skeleton, Vec } from '../body';
import { type Disc, roundAbout } from '../drawing/outline';
import type { Camera } from '../drawing/view';
import { place, sightOf } from './sight';

/** A ball of flesh of a foot, from the ankle: heel, instep, ball and toes; the inner side is higher. */
type Ball = readonly [at: Vec, radius: number];

/** Sole 6.63 cm under the ankle; the right foot, its inner side at −z. From memory of a 26 cm foot. */
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

/** The foot up to its ball, and its toes, as seen. */
export function footPieces(
  skeleton: Skeleton,
  camera: Camera,
  side: 'Right' | 'Left',
): { readonly foot: string; readonly toes: string } {
  const sight = sightOf(camera, skeleton.frames[`foot${side}`]);
  const hand = side === 'Right' ? 1 : -1;
  const disc = ([[x, y, z], radius]: Ball): Disc => {
    const [sx, sy] = place(sight, [x, y, z * hand]);
    return [sx, sy, radius];
  };
  return {
    foot: [HEEL, INSTEP, FRONT].map((balls) => roundAbout(balls.map(disc))).join(''),
    toes: roundAbout(TOES.map(disc)),
  };
}

/** A bare foot as seen. */
export function footShape(
  skeleton: Skeleton,
  camera: Camera,
  side: 'Right' | 'Left',
): { readonly d: string; readonly near: number } {
  const part: Part = `foot${side}`;
  const sight = sightOf(camera, skeleton.frames[part]);
  const hand = side === 'Right' ? 1 : -1;
  const disc = ([[x, y, z], radius]: Ball): Disc => {
    const [sx, sy] = place(sight, [x, y, z * hand]);
    return [sx, sy, radius];
  };
  const pieces = [HEEL, INSTEP, FRONT, TOES].map((balls) => roundAbout(balls.map(disc)));
  return { d: pieces.join(''), near: place(sight, [5, -4, 0])[2] };
}
