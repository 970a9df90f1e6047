import type { Bend, Contact, Limb, LimbPose, Pair, Pose } from './pose';
import { LENGTHS_CM, NECK_SLOPE_DEG, SEAT_CM } from './proportions';

/** The places a body starts from; poses are these with something changed. */
export const BASES = [
  'standing',
  'sitting',
  'lying',
  'lying long',
  'face down',
  'hands and knees',
  'kneeling',
  'half kneeling',
  'on the side',
] as const;
export type Base = (typeof BASES)[number];

const STRAIGHT: Bend = { flex: 0, side: 0, turn: 0 };
const LEVEL: Pick<Pose, 'neck' | 'head'> = {
  neck: { ...STRAIGHT, flex: NECK_SLOPE_DEG },
  head: { ...STRAIGHT, flex: -NECK_SLOPE_DEG },
};

/** A hand that hangs or is held out turns its palm to the body. */
export const HANGING_TWIST = 80;

/** A limb by its angles; what is not said is nought, the hand turned as it hangs. */
export function angles(
  forward = 0,
  out = 0,
  bend = 0,
  more: Partial<Pick<Limb, 'spin' | 'end' | 'twist' | 'tilt'>> & Pick<LimbPose, 'shape'> = {},
): LimbPose {
  const { spin = 0, end = 0, twist = HANGING_TWIST, tilt = 0, shape } = more;
  return { by: 'angles', forward, out, bend, spin, end, twist, tilt, ...(shape ? { shape } : {}) };
}

const both = (limb: LimbPose): Pair<LimbPose> => ({ right: limb, left: limb });

const floor = (mark: Contact['mark'], at = 0): Contact => ({ mark, axis: 'y', at });

const HANGING = both(angles(-2, 7, 10));
const SOLE = LENGTHS_CM.ankleHeight;
const foot = (
  x: number,
  z: number,
  along: readonly [number, number, number] = [1, 0, 0],
): Pair<LimbPose> => {
  const one = (side: 1 | -1): LimbPose => ({
    by: 'goal',
    to: [x, SOLE, z * side],
    pole: [1, 1, 0],
    flat: [along[0], along[1], side === 1 ? along[2] : 0 - along[2]],
  });
  return { right: one(1), left: one(-1) };
};

const UPRIGHT = {
  pelvis: STRAIGHT,
  lumbar: STRAIGHT,
  thorax: STRAIGHT,
  ...LEVEL,
  jaw: 0,
  blades: { right: { up: 0, back: 0 }, left: { up: 0, back: 0 } },
} as const;

const BACK: Bend = { flex: -90, side: 0, turn: 0 };
const FRONT: Bend = { flex: 90, side: 0, turn: 0 };

export const BASE_POSES: Readonly<Record<Base, Pose>> = {
  standing: {
    ...UPRIGHT,
    arms: HANGING,
    legs: both(angles(0, 2, 0)),
    contacts: [floor('heelRight'), { mark: 'ankleRight', axis: 'x', at: 0 }],
  },
  sitting: {
    ...UPRIGHT,
    arms: {
      right: { by: 'goal', to: 'thighTopRight', offset: [2.5, -9, 0], pole: [-1, -0.4, 0.5] },
      left: { by: 'goal', to: 'thighTopLeft', offset: [2.5, -9, 0], pole: [-1, -0.4, -0.5] },
    },
    legs: foot(41, 11),
    contacts: [floor('seat', SEAT_CM), { mark: 'seat', axis: 'x', at: 0 }],
  },
  lying: {
    ...UPRIGHT,
    pelvis: BACK,
    arms: both(angles(-8, 16, 12)),
    legs: foot(46, 9),
    contacts: [floor('buttocks'), { mark: 'seat', axis: 'x', at: 0 }],
  },
  'lying long': {
    ...UPRIGHT,
    pelvis: BACK,
    arms: both(angles(-8, 16, 12)),
    legs: both(angles(-3, 5, 0, { end: -15 })),
    contacts: [floor('buttocks'), { mark: 'seat', axis: 'x', at: 0 }],
  },
  'face down': {
    ...UPRIGHT,
    pelvis: FRONT,
    arms: both(angles(0, 14, 4)),
    legs: both(angles(-2, 4, 0, { end: -70 })),
    contacts: [floor('frontOfPelvis', 1.3), { mark: 'frontOfPelvis', axis: 'x', at: 0 }],
  },
  'hands and knees': {
    ...UPRIGHT,
    pelvis: { ...FRONT, flex: 77 },
    neck: { ...STRAIGHT, flex: 20 },
    head: { ...STRAIGHT, flex: -14 },
    arms: {
      right: { by: 'goal', to: [52, 3, 18], pole: [-1, 0, 0.4], flat: [1, 0, 0] },
      left: { by: 'goal', to: [52, 3, -18], pole: [-1, 0, -0.4], flat: [1, 0, 0] },
    },
    legs: both(angles(77, 3, 90, { end: -68 })),
    contacts: [floor('kneeFrontRight'), { mark: 'kneeFrontRight', axis: 'x', at: 0 }],
  },
  kneeling: {
    ...UPRIGHT,
    arms: HANGING,
    legs: both(angles(0, 5, 90, { end: -68 })),
    contacts: [floor('kneeFrontRight'), { mark: 'kneeFrontRight', axis: 'x', at: 5 }],
  },
  'half kneeling': {
    ...UPRIGHT,
    arms: HANGING,
    legs: {
      right: angles(-6, 3, 84, { end: -68 }),
      left: { by: 'goal', to: [42, SOLE, -10], pole: [1, 1, 0], flat: [1, 0, 0] },
    },
    contacts: [floor('kneeFrontRight'), { mark: 'kneeFrontRight', axis: 'x', at: 0 }],
  },
  'on the side': {
    ...UPRIGHT,
    pelvis: { flex: 0, side: -90, turn: 0 },
    arms: { right: angles(80, 0, 10), left: angles(80, 0, 10) },
    legs: both(angles(50, 0, 85)),
    contacts: [floor('sideOfHipLeft', -4), { mark: 'seat', axis: 'x', at: 0 }],
  },
};
