import type { Pose, Skeleton } from '../body';
import type { Camera, Seen } from '../drawing/view';
import { type Ring, ringOf } from './section';
import { type Sight, along, sightOf } from './sight';

/** Height in the part's frame; how far back and front its skin is; half its breadth; in cm. */
type Row = readonly [height: number, back: number, front: number, half: number];

/**
 * The trunk's skin, from memory of an adult's outline from the side and from the front (depth of
 * chest 22 cm, waist 20, seat 21; breadth 32, 27, 34), the values between them ours.
 */
const PELVIS: readonly Row[] = [
  [-11.5, -6.5, 6.0, 9.5],
  [-8, -10.2, 7.4, 15.0],
  [-3, -11.7, 8.4, 16.9],
  [3, -10.6, 8.6, 16.6],
  [8, -8.4, 8.5, 15.2],
];
const LUMBAR: readonly Row[] = [
  [0, -3.2, 12.2, 13.8],
  [5, -3.0, 12.0, 13.3],
  [11, -3.9, 12.3, 13.9],
];
const THORAX: readonly Row[] = [
  [0, -4.8, 13.2, 14.5],
  [5, -6.0, 14.0, 15.3],
  [10, -6.7, 14.2, 16.0],
  [14.5, -6.6, 12.9, 15.8],
  [17.6, -5.9, 10.9, 15.2],
  [20.0, -5.3, 9.4, 14.0],
  [21.6, -4.8, 8.4, 12.0],
  [23.2, -4.3, 7.3, 9.8],
  [24.8, -3.7, 6.4, 8.0],
  [26.4, -3.0, 5.8, 6.8],
];
/** From this row of the thorax up the sides go with the shoulders. */
const SHOULDERS_FROM = 3;

function row(sight: Sight, [height, back, front, half]: Row): Ring {
  const middle = (front + back) / 2;
  return ringOf(sight, {
    at: [middle, height, 0],
    front: front - middle,
    back: middle - back,
    side: half,
  });
}

export type TrunkRings = {
  /** From the crotch to the base of the neck. */
  readonly all: readonly Ring[];
  /** How many of them are the pelvis, and with the low back. */
  readonly pelvis: number;
  readonly waist: number;
};

/** The trunk's sections as seen, the top ones carried along by the shoulder blades. */
export function trunkRings(skeleton: Skeleton, pose: Pose, camera: Camera): TrunkRings {
  const sight = (part: 'pelvis' | 'lumbar' | 'thorax') => sightOf(camera, skeleton.frames[part]);
  const [pelvis, lumbar, thorax] = [sight('pelvis'), sight('lumbar'), sight('thorax')];
  const top = THORAX.map((one, i) => {
    const ring = row(thorax, one);
    const share = Math.min(1, Math.max(0, (i - SHOULDERS_FROM + 1) / 3)) * (i > 5 ? 0.5 : 1);
    if (share === 0) return ring;
    const moved = (side: 'right' | 'left', v: Seen): Seen => {
      const { up, back } = pose.blades[side];
      const by = along(thorax, [-back * share * 0.6, up * share, 0]);
      return [v[0] + by[0], v[1] + by[1], v[2] + by[2]];
    };
    return { ...ring, right: moved('right', ring.right), left: moved('left', ring.left) };
  });
  return {
    all: [
      ...PELVIS.map((one) => row(pelvis, one)),
      ...LUMBAR.map((one) => row(lumbar, one)),
      ...top,
    ],
    pelvis: PELVIS.length,
    waist: PELVIS.length + LUMBAR.length,
  };
}

/** How far in front the neck's lower end is, and how wide its foot, in the thorax's frame. */
const NECK_FOOT = [
  { at: [0.2, 23.2, 0], front: 5.9, back: 4.6, side: 7.4 },
  { at: [0.0, 25.6, 0], front: 5.2, back: 4.6, side: 6.3 },
] as const;
const NECK = [
  { at: [0.2, 3.2, 0], front: 5.2, back: 5.0, side: 5.7 },
  { at: [0.3, 6.5, 0], front: 5.2, back: 5.2, side: 5.5 },
  { at: [0.2, 9.5, 0], front: 5.2, back: 5.6, side: 5.5 },
] as const;
/** Where it goes into the skull, in the head's frame. */
const NECK_HEAD = [{ at: [-1.6, -1.5, 0], front: 5.4, back: 5.6, side: 5.6 }] as const;

/** The neck from the collar into the head: two bends, so that poke and tuck look different. */
export function neckRings(skeleton: Skeleton, camera: Camera): Ring[] {
  const rings = (
    part: 'thorax' | 'neck' | 'head',
    sections: readonly Parameters<typeof ringOf>[1][],
  ) => {
    const sight = sightOf(camera, skeleton.frames[part]);
    return sections.map((one) => ringOf(sight, one));
  };
  return [...rings('thorax', NECK_FOOT), ...rings('neck', NECK), ...rings('head', NECK_HEAD)];
}
