import { type Skeleton, dot, markAt } from '../body';
import type { DrawnProp } from '../figure';
import { line, smooth } from './outline';
import { placeOf } from './prop-shapes';
import type { Shape } from './shape';
import { type Camera, see } from './view';

/** How high the sign is, in cm, and how far it stands from what it is said of, upwards and aside. */
const HIGH = 7;
const APART = 3;
const ASIDE = 4.5;

/**
 * What a thing does to the skin, above it and away from the head: three rising waves where it is warm, a
 * crystal where it is cold. Two packs look alike without.
 */
export function feelShapes(prop: DrawnProp, skeleton: Skeleton, camera: Camera): Shape[] {
  if (!('feels' in prop) || !prop.feels) return [];
  const at = placeOf(prop.at, skeleton);
  const [x, y] = see(camera, at);
  const [headX] = see(camera, markAt(skeleton.frames, 'skull'));
  const middle = x + (x < headX ? -ASIDE : ASIDE);
  const foot = y - prop.size[1] / 2 - APART;
  const d = prop.feels === 'warm' ? waves(middle, foot) : crystal(middle, foot - HIGH / 2);
  return [{ tone: 'thing-line', d, near: dot(camera.near, at) }];
}

function waves(middle: number, foot: number): string {
  const wave = (along: number) =>
    smooth(
      [0, 1, 2, 3, 4].map((step) => [
        middle + along + Math.sin((step * Math.PI) / 2) * 0.9,
        foot - (step * HIGH) / 4,
      ]),
    );
  return [-2.6, 0, 2.6].map(wave).join('');
}

/** Six arms, each with two barbs. */
function crystal(x: number, y: number): string {
  const arm = (degrees: number) => {
    const out = (long: number, turned: number) => {
      const way = ((degrees + turned) * Math.PI) / 180;
      return [x + Math.cos(way) * long * HIGH, y + Math.sin(way) * long * HIGH] as const;
    };
    return line([out(0, 0), out(0.5, 0)]) + line([out(0.45, 24), out(0.28, 0), out(0.45, -24)]);
  };
  return [30, 90, 150, 210, 270, 330].map(arm).join('');
}
