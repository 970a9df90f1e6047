import { type Part, type Skeleton, type Vec, LENGTHS_CM, add, dot, turn } from '../body';
import type { View } from '../figure';
import { type Disc, around, capsule } from './outline';
import type { Shape, Tone } from './shape';
import { type Camera, see } from './view';

/** A ball of flesh: where in its part, and its radius, in cm. */
type Flesh = readonly [part: Part, at: Vec, radius: number];

const twice = (part: Part, [x, y, z]: Vec, radius: number): Flesh[] => [
  [part, [x, y, z], radius],
  [part, [x, y, -z], radius],
];

const SEAT = [...twice('pelvis', [-0.6, -2, 6.5], 9.4), ...twice('pelvis', [0.4, 3, 8], 8.8)];
const WAIST = twice('lumbar', [3.6, 1, 5.6], 8.3);
const RIBS = twice('thorax', [4.2, 3, 6.4], 9);
const CHEST = twice('thorax', [3.9, 12, 7], 9.9);
const TOP = twice('thorax', [2.6, 20, 8], 7);
const SLOPE: Flesh[] = [['neck', [1.6, 0.5, 0], 6.3]];

/** The trunk as overlapping strings of beads: together one solid. */
const TRUNK: readonly (readonly Flesh[])[] = [
  [...SEAT, ...WAIST],
  [...WAIST, ...RIBS],
  [...RIBS, ...CHEST],
  [...CHEST, ...TOP],
  [...TOP, ...SLOPE],
];

/** All of the body but the head, as seen; each limb a shape of its own. */
export function bodyShapes(
  skeleton: Skeleton,
  camera: Camera,
  view: View,
  grip: { right: boolean; left: boolean },
): Shape[] {
  const sight = (flesh: Flesh): Disc => {
    const frame = skeleton.frames[flesh[0]];
    const [x, y] = see(camera, add(frame.at, turn(frame.turn, flesh[1])));
    return [x, y, flesh[2]];
  };
  const beads = (flesh: readonly Flesh[]) => around(flesh.map(sight));
  const bone = (a: Flesh, b: Flesh) => capsule(sight(a), sight(b));
  const depth = (part: Part, at: Vec = [0, 0, 0]) => {
    const frame = skeleton.frames[part];
    return dot(camera.near, add(frame.at, turn(frame.turn, at)));
  };

  const shoulders = (['Right', 'Left'] as const).map((side) =>
    beads([...TOP, [`upperArm${side}`, [0, 0, 0], 5.2]]),
  );
  const trunk = TRUNK.map(beads).join('') + shoulders.join('');
  const leg = (side: 'Right' | 'Left') => ({
    near: (depth(`thigh${side}`) + depth(`shank${side}`) * 2 + depth(`foot${side}`)) / 4,
    d:
      bone([`thigh${side}`, [0, 0, 0], 8.6], [`shank${side}`, [0, 0, 0], 5.4]) +
      bone([`shank${side}`, [0, 0, 0], 5.3], [`shank${side}`, [-1.1, -13, 0], 5.3]) +
      bone([`shank${side}`, [-1.1, -13, 0], 5.3], [`foot${side}`, [0, 0, 0], 3.7]),
    foot: beads([
      [`foot${side}`, [-1, -0.5, 0], 3.6],
      [`foot${side}`, [-2.4, -4.1, 0], 2.5],
      [`foot${side}`, [12, -5, 2], 1.6],
      [`foot${side}`, [12, -5, -2], 1.6],
      [`foot${side}`, [18.2, -5.3, 0], 1.3],
    ]),
  });
  const arm = (side: 'Right' | 'Left') => ({
    near: (depth(`upperArm${side}`) + depth(`forearm${side}`) + depth(`hand${side}`) * 2) / 4,
    d:
      bone([`upperArm${side}`, [0, 0, 0], 4.9], [`forearm${side}`, [0, 0, 0], 3.9]) +
      bone([`forearm${side}`, [0, 0, 0], 3.9], [`hand${side}`, [0, 0, 0], 2.7]) +
      beads(handOf(side, grip[side === 'Right' ? 'right' : 'left'])),
  });
  const trunkNear = depth('thorax', [4, 5, 0]);
  const arms = (['Right', 'Left'] as const).map(arm);
  const legs = (['Right', 'Left'] as const).map(leg);
  const farthest = Math.max(...legs.map(({ near }) => near));
  const fromSide = view === 'side';
  const isNear = (near: number) => near === farthest;
  const merged = fromSide ? legs.filter(({ near }) => isNear(near)).map(({ d }) => d) : [];
  return [
    { tone: 'cloth', d: trunk + merged.join(''), near: trunkNear },
    ...legs.flatMap(({ d, foot, near }): Shape[] => {
      const close = isNear(near);
      const tone: Tone = fromSide && !close ? 'cloth-far' : 'cloth';
      const skin: Tone = fromSide && !close ? 'skin-far' : 'skin';
      const at = fromSide ? near : near - 3;
      const whole: Shape[] = fromSide && close ? [] : [{ tone, d, near: at }];
      return [
        { tone: skin, d: foot, near: fromSide && close ? trunkNear - 0.5 : at - 0.5 },
        ...whole,
      ];
    }),
    ...arms.map(({ d, near }): Shape => {
      const far = fromSide && near < trunkNear;
      return { tone: far ? 'skin-far' : 'skin', d, near };
    }),
    {
      tone: 'skin',
      d: bone(['neck', [1.4, 1, 0], 6], ['neck', [1, LENGTHS_CM.neck - 1, 0], 5.5]),
      near: trunkNear + (view === 'back' ? 0.2 : -0.1),
    },
  ];
}

function handOf(side: 'Right' | 'Left', closed: boolean): Flesh[] {
  const hand: Part = `hand${side}`;
  if (closed)
    return [
      [hand, [0, -2, 0], 2.7],
      [hand, [0.6, -6, 1.4], 3.3],
      [hand, [0.6, -6, -1.4], 3.3],
    ];
  return [
    [hand, [0, 0, 0], 2.6],
    [hand, [0, -8, 2.3], 1.9],
    [hand, [0, -8, -2.3], 1.9],
    [hand, [0.7, -16, 1], 1.3],
    [hand, [0.7, -16, -1], 1.3],
  ];
}
