import type { Vec } from '../body';
import { type Spot, faceSpot, leftOf, sideSpot } from '../surface/head-surface';

/**
 * The lines of a face on the skin, in the head's frame: heights above the tragus and places to the right
 * of the middle, in cm; the jaw's by bearing. From memory of a face, as the skin is.
 */
type Heights = readonly (readonly [y: number, beside: number])[];

const BROW: Heights = [
  [3.75, 1.6],
  [4.15, 2.5],
  [4.2, 3.6],
  [3.65, 4.8],
];
const LID: Heights = [
  [1.35, 2.05],
  [1.95, 2.75],
  [2.0, 3.5],
  [1.45, 4.4],
];
/** A lid that is shut hangs down a little. */
const SHUT_LID: Heights = [
  [1.35, 2.0],
  [0.95, 2.7],
  [0.9, 3.5],
  [1.25, 4.4],
];
const WING: Heights = [
  [-0.9, 1.75],
  [-1.6, 1.9],
  [-1.95, 1.2],
  [-1.9, 0.5],
];
const JAW: readonly (readonly [y: number, bearing: number])[] = [
  [-3.0, 68],
  [-5.0, 62],
  [-6.2, 50],
  [-7.2, 36],
  [-8.0, 24],
];

/** On the right, then on the left. */
type Both = readonly (readonly Spot[])[];

export type FaceLines = {
  readonly brows: Both;
  readonly lids: Both;
  readonly shutLids: Both;
  readonly eyes: Both;
  /** The wings of the nose. */
  readonly wings: Both;
  readonly jaw: Both;
  readonly mouth: readonly Spot[];
  /** Under the mouth. */
  readonly lip: readonly Spot[];
};

const both = (right: readonly Spot[]): Both => [right, right.map(leftOf)];
const onFace = (heights: Heights) => both(heights.map(([y, beside]) => faceSpot(y, beside)));

function made(): FaceLines {
  return {
    brows: onFace(BROW),
    lids: onFace(LID),
    shutLids: onFace(SHUT_LID),
    eyes: both(
      Array.from({ length: 7 }, (_, i) => {
        const angle = (i / 7) * 2 * Math.PI;
        return faceSpot(1.45 + 0.55 * Math.sin(angle), 3.2 + 0.5 * Math.cos(angle));
      }),
    ),
    wings: onFace(WING),
    jaw: both(JAW.map(([y, bearing]) => sideSpot(y, bearing))),
    mouth: [2.5, 1.6, 0.7, 0, -0.7, -1.6, -2.5].map((z) => faceSpot(-4.0 + 0.075 * z * z, z)),
    lip: [0.9, 0, -0.9].map((z) => faceSpot(-5.35, z)),
  };
}

let lines: FaceLines | null = null;

/** Found on the skin when a face is first drawn: a page that only fetches the drawing does not wait for it. */
export function faceLines(): FaceLines {
  lines ??= made();
  return lines;
}

export const RIDGE: readonly Vec[] = (
  [
    [9.7, 3.6, 0],
    [9.35, 2.5, 0],
    [10.3, 1.0, 0],
    [11.6, -0.1, 0],
    [12.2, -0.95, 0],
    [11.5, -1.75, 0],
  ] as const
).map(([x, y, z]) => [x + 0.55, y + 1.2, z]);

/** The ear: its rim and its inner fold, on the side of the head, standing a little off it. */
const ear = (side: 1 | -1, points: readonly (readonly [x: number, y: number])[]): Vec[] =>
  points.map(([x, y]) => [x + 0.8, y + 1.2, (7.3 - x * 0.28) * side]);
const RIM = [
  [0.5, 0.5],
  [0.6, 2.0],
  [-0.3, 3.0],
  [-1.7, 3.2],
  [-2.7, 2.2],
  [-2.6, 0.4],
  [-1.9, -1.2],
  [-1.5, -2.8],
  [-0.7, -3.3],
  [0.1, -2.6],
  [0.3, -0.9],
] as const;
const FOLD = [
  [-0.1, 1.9],
  [-1.3, 2.2],
  [-1.8, 1.1],
  [-1.2, -0.3],
  [-0.9, -1.3],
] as const;
export const RIMS = [ear(1, RIM), ear(-1, RIM)];
export const FOLDS = [ear(1, FOLD), ear(-1, FOLD)];
