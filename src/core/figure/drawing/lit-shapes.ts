import { type Part, type Skeleton, type Vec, add, dot, turn } from '../body';
import type { Lit, Muscle } from '../figure';
import { capsule } from './outline';
import type { Shape } from './shape';
import { type Camera, see } from './view';

/** A muscle as a soft strip between two places of the body, in cm; paired ones from the right. */
type Strip = {
  readonly from: readonly [Part, Vec];
  readonly to: readonly [Part, Vec];
  readonly wide: number;
  readonly paired: boolean;
  /** Which way its skin looks, in the frame of its first part. */
  readonly looks: Vec;
};

/** Where each muscle lies, by plain surface anatomy (from memory). */
const STRIPS: Readonly<Record<Muscle, Strip>> = {
  'deep neck flexors': strip('neck', [4, 3.5, 0.8], 'neck', [3.8, 10, 0.8], 1.7, [1, 0, 0.5]),
  'neck flexors': strip('neck', [5, 0.5, 2.2], 'head', [-1, -3, 5.5], 1.7, [0.6, 0, 1]),
  'neck extensors': strip('neck', [-3.4, 1, 1.8], 'head', [-5.6, -0.6, 2], 1.9, [-0.8, 0, 0.8]),
  suboccipitals: strip('neck', [-3.2, 9, 1.6], 'head', [-6.4, -0.4, 2], 1.8, [-0.9, 0, 0.7]),
  'side of neck': strip('neck', [0, 1.5, 5], 'head', [-1.5, -2.5, 5.4], 1.8, [0, 0, 1]),
  'upper trapezius': strip(
    'neck',
    [-2.6, 5.5, 3.6],
    'thorax',
    [0.6, 22.5, 14],
    2.1,
    [-0.5, 0.6, 0.7],
  ),
  'between the blades': strip(
    'thorax',
    [-5.4, 17, 3],
    'thorax',
    [-5.8, 9.5, 7.5],
    2.2,
    [-1, 0, 0.35],
  ),
  'lower trapezius': strip('thorax', [-5.6, 3, 2], 'thorax', [-5.9, 13, 7], 2, [-1, 0, 0.35]),
  chest: strip('thorax', [12, 15, 4], 'thorax', [8.4, 18.5, 13], 2.9, [1, 0, 0.5]),
  serratus: strip('thorax', [6, 5, 14.4], 'thorax', [-1, 10, 15], 2.3, [0.2, 0, 1]),
  'upper back': strip('thorax', [-4.6, 5, 2], 'thorax', [-5.4, 17, 2], 2.2, [-1, 0, 0.5]),
  'low back': strip('pelvis', [-7, 6, 3], 'lumbar', [-3.4, 8, 3], 2.4, [-1, 0, 0.5]),
  belly: strip('pelvis', [8, 6, 3], 'lumbar', [10.4, 12, 3], 2.6, [1, 0, 0.5]),
  'side of trunk': strip('pelvis', [2, 8, 15], 'thorax', [4, 1, 14], 2.6, [0, 0, 1]),
  buttock: strip('pelvis', [-7, -4, 9], 'pelvis', [-6, 3, 9], 3.6, [-1, 0, 0.6]),
  'front of hip': strip('pelvis', [7, 3, 9], 'thighRight', [6, -9, 1], 2.4, [1, 0, 0.5]),
  'front of thigh': strip(
    'thighRight',
    [4.6, -13, 1],
    'thighRight',
    [3.4, -34, 0],
    2.7,
    [1, 0, 0.5],
  ),
  'back of thigh': strip(
    'thighRight',
    [-4.4, -12, 1],
    'thighRight',
    [-3, -35, 0],
    2.6,
    [-1, 0, 0.5],
  ),
  calf: strip('shankRight', [-3.4, -8, 0], 'shankRight', [-2.6, -21, 0], 2.3, [-1, 0, 0.5]),
  'upper arm': strip('upperArmRight', [1.6, -7, 1], 'upperArmRight', [1.4, -26, 0], 2, [0.4, 0, 1]),
  forearm: strip('forearmRight', [0.8, -4, 1], 'forearmRight', [0.4, -19, 0], 1.7, [0.4, 0, 1]),
};

function strip(from: Part, at: Vec, to: Part, end: Vec, wide: number, looks: Vec): Strip {
  return { from: [from, at], to: [to, end], wide, paired: true, looks };
}

const otherSide = (part: Part): Part => part.replace(/Right$/, 'Left') as Part;
const flip = ([x, y, z]: Vec): Vec => [x, y, -z];

/** Lit muscles, those that the viewer can see. */
export function litShapes(lit: readonly Lit[], skeleton: Skeleton, camera: Camera): Shape[] {
  return lit.flatMap(({ muscle, as, side }) => {
    const own = STRIPS[muscle];
    const left: Strip = {
      ...own,
      from: [otherSide(own.from[0]), flip(own.from[1])],
      to: [otherSide(own.to[0]), flip(own.to[1])],
      looks: flip(own.looks),
    };
    const strips = side === 'right' ? [own] : side === 'left' ? [left] : [own, left];
    return strips.flatMap((one): Shape[] => {
      const frame = skeleton.frames[one.from[0]];
      if (dot(camera.near, turn(frame.turn, one.looks)) < 0.2) return [];
      const place = ([part, at]: readonly [Part, Vec]) => {
        const home = skeleton.frames[part];
        return see(camera, add(home.at, turn(home.turn, at)));
      };
      const [ax, ay, near] = place(one.from);
      const [bx, by] = place(one.to);
      return [
        { tone: as, d: capsule([ax, ay, one.wide], [bx, by, one.wide * 0.8]), near: near + 12 },
      ];
    });
  });
}
