import { type Pose, type Skeleton, type Vec, unit } from '../body';
import { along, place, sightOf } from '../surface/sight';
import { smooth } from './outline';
import type { Point } from './pen';
import type { Camera } from './view';

/** A fine line on the skin or cloth, described for the right: where it goes, and which way it looks. */
type BodyLine = { readonly at: readonly Vec[]; readonly looks: Vec };

/** From the notch of the breastbone to the shoulder. Places from memory of an adult's, ours. */
const COLLAR_BONE: BodyLine = {
  at: [
    [10.0, 17.6, 5.2],
    [9.4, 18.0, 7.6],
    [8.2, 18.9, 10.2],
    [6.6, 19.4, 12.6],
  ],
  looks: unit([0.9, 0.35, 0.15]),
};

/** The inner edge of the shoulder blade and its lower corner. */
const BLADE: BodyLine = {
  at: [
    [-6.0, 19.6, 7.4],
    [-6.8, 16.5, 6.9],
    [-7.0, 12.5, 7.3],
    [-6.8, 9.2, 8.8],
    [-6.3, 8.6, 10.4],
    [-5.7, 9.8, 11.8],
  ],
  looks: unit([-1, 0, 0.25]),
};

/** Below and above the knee-cap, in the shank's frame. */
const KNEE: readonly BodyLine[] = [
  {
    at: [
      [5.0, -1.6, -2.5],
      [5.5, -3.2, -1.3],
      [5.6, -3.6, 0],
      [5.5, -3.2, 1.3],
      [5.0, -1.6, 2.5],
    ],
    looks: [1, 0, 0],
  },
];

/** Where the cloth folds when the low back bends forward, one under the other. */
const FOLDS: readonly BodyLine[] = [
  {
    at: [
      [12.0, 2.0, 4.5],
      [9.6, 3.0, 10.2],
      [6.2, 3.4, 12.6],
    ],
    looks: unit([0.45, 0, 0.9]),
  },
  {
    at: [
      [11.6, 5.6, 6.0],
      [9.4, 6.0, 10.4],
      [7.4, 6.1, 12.0],
    ],
    looks: unit([0.45, 0, 0.9]),
  },
];
/** Bent less than this, in degrees, cloth hangs straight. */
const FOLDED_DEG = 14;
/** A line turned farther from the viewer is not seen: it would lie on the outline. */
const LEAST_SEEN = 0.5;

export type BodyLines = {
  /** On the trunk: collar bones, shoulder blades, folds. */
  readonly trunk: string;
  readonly knees: { readonly right: string; readonly left: string };
};

/**
 * What is seen within the outline of a body: collar bones, shoulder blades where they have gone, knees,
 * and folds where the trunk bends.
 */
export function bodyLines({ frames }: Skeleton, pose: Pose, camera: Camera): BodyLines {
  const drawn = (part: keyof typeof frames, lines: readonly BodyLine[], hand: 1 | -1): string => {
    const sight = sightOf(camera, frames[part]);
    const own = ([x, y, z]: Vec): Vec => [x, y, z * hand];
    return lines
      .filter(({ looks }) => along(sight, own(looks))[2] > LEAST_SEEN)
      .map(({ at }) =>
        smooth(
          at.map((point): Point => {
            const [x, y] = place(sight, own(point));
            return [x, y];
          }),
        ),
      )
      .join('');
  };
  const folds = pose.lumbar.flex > FOLDED_DEG ? FOLDS : [];
  const trunk = (side: 'right' | 'left') => {
    const hand = side === 'right' ? 1 : -1;
    const { up, back } = pose.blades[side];
    const carried = ([x, y, z]: Vec, share: number): Vec => [x, y + up * share, z - back * share];
    const moved = ({ at, looks }: BodyLine, inner: number, outer: number): BodyLine => ({
      looks,
      at: at.map((point, i) => carried(point, inner + ((outer - inner) * i) / (at.length - 1))),
    });
    return (
      drawn('thorax', [moved(COLLAR_BONE, 0, 0.7), moved(BLADE, 0.8, 0.8)], hand) +
      drawn('lumbar', folds, hand)
    );
  };
  return {
    trunk: trunk('right') + trunk('left'),
    knees: { right: drawn('shankRight', KNEE, 1), left: drawn('shankLeft', KNEE, -1) },
  };
}
