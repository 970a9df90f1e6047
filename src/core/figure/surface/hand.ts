import { itemAt } from '../../units';
import type { HandShape, Skeleton, Vec } from '../body';
import { type Point, chain, line, roundAbout } from '../drawing/outline';
import type { Camera } from '../drawing/view';
import { type Ball, discsOn } from './ball';
import { type Sight, along, place, sightOf } from './sight';

/** Bends of the three joints of the fingers, and of the two middle ones where they differ, in degrees. */
type Bends = readonly [knuckle: number, middle: number, last: number];
type Fingers = {
  readonly all: Bends;
  /** Index and middle finger where they do something else than the other two. */
  readonly firstTwo?: Bends;
  /** The thumb's base, joint and tip: towards the palm (x), along the hand (−y), away from the fingers (z). */
  readonly thumb: readonly [Vec, Vec, Vec];
};

const THUMB_OUT: Fingers['thumb'] = [
  [0.4, -2.4, 2.6],
  [1.3, -5.6, 5.0],
  [1.6, -8.8, 6.1],
];
const THUMB_BESIDE: Fingers['thumb'] = [
  [0.6, -2.4, 2.6],
  [1.9, -6, 4.3],
  [2.7, -9.2, 4.3],
];
const THUMB_ACROSS: Fingers['thumb'] = [
  [0.8, -2.6, 2.8],
  [3.2, -6.2, 3.7],
  [4.8, -8.4, 1.6],
];

const SHAPES: Readonly<Record<HandShape, Fingers>> = {
  flat: { all: [2, 3, 2], thumb: THUMB_OUT },
  resting: { all: [18, 24, 14], thumb: THUMB_BESIDE },
  cupped: { all: [28, 26, 18], thumb: THUMB_OUT },
  hooked: { all: [42, 62, 30], thumb: THUMB_BESIDE },
  fist: { all: [80, 95, 50], thumb: THUMB_ACROSS },
  'two fingers': { all: [78, 92, 50], firstTwo: [4, 6, 4], thumb: THUMB_ACROSS },
  grip: { all: [66, 82, 46], thumb: THUMB_ACROSS },
};

/** Bones of the fingers, in cm; the little finger's reach is shorter. */
const FINGER_CM = [4.0, 2.5, 1.9] as const;
const KNUCKLES_CM = 9.2;

/** Joints of a finger in the plane across the palm: towards the palm, and along the hand. */
function joints(bends: Bends, short: number): (readonly [x: number, y: number])[] {
  let [x, y, angle] = [0, -KNUCKLES_CM, 0];
  const found: [number, number][] = [[x, y]];
  for (const [i, bend] of bends.entries()) {
    angle += (bend * Math.PI) / 180;
    const length = itemAt(FINGER_CM, i) * short;
    x += Math.sin(angle) * length;
    y -= Math.cos(angle) * length;
    found.push([x, y]);
  }
  return found;
}

const RADII = [1.35, 1.15, 1.0, 0.85] as const;

type Group = { readonly bends: Bends; readonly from: number; readonly to: number };

function groups({ all, firstTwo }: Fingers): Group[] {
  return firstTwo
    ? [
        { bends: firstTwo, from: 3.0, to: 0.8 },
        { bends: all, from: -1.0, to: -2.9 },
      ]
    : [{ bends: all, from: 3.0, to: -2.9 }];
}

/** Shorter towards the little finger's side. */
const reach = (z: number) => (z < -1 ? 0.8 : z > 2 ? 0.93 : 1);

const PALM: readonly Ball[] = [
  [[0, 0.4, 1.0], 1.9],
  [[0, 0.4, -1.0], 1.9],
  [[0.4, -3.4, 2.7], 1.7],
  [[0.2, -KNUCKLES_CM + 0.4, 3.0], 1.35],
  [[0.2, -KNUCKLES_CM + 0.8, -2.8], 1.35],
  [[0.3, -3.2, -2.4], 1.6],
];

type Pieces = { readonly wrapped: readonly (readonly Ball[])[]; readonly thumb: readonly Ball[] };
/** A shape is the same in every frame: its pieces are put together once. */
const put = new Map<HandShape, Pieces>();

/** The pieces of a hand, each wrapped as one: the palm, the bones of the fingers, the thumb. */
function pieces(shape: HandShape): Pieces {
  const known = put.get(shape) ?? piecesOf(shape);
  put.set(shape, known);
  return known;
}

function piecesOf(shape: HandShape): Pieces {
  const fingers = SHAPES[shape];
  const phalanges = groups(fingers).flatMap(({ bends, from, to }) =>
    [0, 1, 2].map((i) =>
      [from, (from + to) / 2, to].flatMap((z) => {
        const bones = joints(bends, reach(z));
        return [i, i + 1].map((j): Ball => {
          const [x, y] = itemAt(bones, j);
          return [[x, y, z * (j === 3 ? 0.94 : 1)], itemAt(RADII, j)];
        });
      }),
    ),
  );
  const [base, joint, tip] = fingers.thumb;
  return {
    wrapped: [[...PALM], ...phalanges],
    thumb: [
      [base, 1.7],
      [joint, 1.25],
      [tip, 0.95],
    ],
  };
}

/** The balls that a hand is wrapped round, in its frame: for the right one, mirrored for the left. */
export function handBalls(shape: HandShape): readonly Ball[] {
  const { wrapped, thumb } = pieces(shape);
  return [...wrapped.flat(), ...thumb];
}

export type DrawnHand = {
  /** The hand's outline. */
  readonly d: string;
  /** The gaps between the fingers. */
  readonly inner: string;
  /** How near its middle is to the viewer. */
  readonly near: number;
};

/** Palm and fingers apart, as seen. */
export function handPieces(
  skeleton: Skeleton,
  camera: Camera,
  side: 'Right' | 'Left',
  shape: HandShape,
): { readonly palm: string; readonly fingers: string } {
  const sight = sightOf(camera, skeleton.frames[`hand${side}`]);
  const disc = discsOn(sight, side);
  const { wrapped, thumb } = pieces(shape);
  const [palm, ...bones] = wrapped;
  return {
    palm: roundAbout((palm ?? []).map(disc)),
    fingers: roundAbout(bones.flat().map(disc)) + chain(thumb.slice(1).map(disc)),
  };
}

/** A hand as seen, from the wrist to the finger-tips. */
export function handShape(
  skeleton: Skeleton,
  camera: Camera,
  side: 'Right' | 'Left',
  shape: HandShape,
): DrawnHand {
  const sight = sightOf(camera, skeleton.frames[`hand${side}`]);
  const disc = discsOn(sight, side);
  const { wrapped, thumb } = pieces(shape);
  return {
    d: wrapped.map((balls) => roundAbout(balls.map(disc))).join('') + chain(thumb.map(disc)),
    inner: gaps(SHAPES[shape], sight, side === 'Right' ? 1 : -1),
    near: place(sight, [0, -8, 0])[2],
  };
}

/** Lines between fingers, on the side of the hand that is seen. */
function gaps(fingers: Fingers, sight: Sight, hand: 1 | -1): string {
  const palmSeen = along(sight, [1, 0, 0])[2];
  if (Math.abs(palmSeen) < 0.3) return '';
  const lift = palmSeen > 0 ? 0.9 : -0.9;
  return [1.45, 0, -1.45]
    .map((z) => {
      const bends = fingers.firstTwo && z > 0 ? fingers.firstTwo : fingers.all;
      const bones = joints(bends, Math.min(reach(z + 0.8), reach(z - 0.8)));
      const points = bones.map(([x, y], i): Point => {
        const toTip = i === 0 ? 0.35 : 0;
        const [sx, sy] = place(sight, [
          x + lift * (1 - i * 0.12),
          y + toTip,
          z * hand * (i === 3 ? 0.94 : 1),
        ]);
        return [sx, sy];
      });
      // A fist shows only the first bone of its fingers from behind.
      const bent = bends[0] + bends[1] > 100;
      return line(bent ? points.slice(0, palmSeen > 0 ? 0 : 2) : points);
    })
    .join('');
}
