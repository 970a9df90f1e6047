import { itemAt } from '../units';
import { REGIONS, type BodyPart, type RegionId, type View, partOf } from '../symptoms';
import { BASE_POSES, type Pose, angles, between as pointBetween, skeletonOf } from './body';
import { bodyShapes } from './drawing/body-shapes';
import { headOutline, headShapes } from './drawing/head-shapes';
import { type Point, smooth } from './drawing/outline';
import type { Camera, Seen } from './drawing/view';
import { type BodyRings, bodyRings } from './surface/body-rings';
import { footShape } from './surface/foot';
import { handPieces } from './surface/hand';
import { shoulderRing } from './surface/limbs';
import { type Ring, edgesOf, skinAt } from './surface/section';

/** The drawn body from one side, with the places that can be marked on it. */
export type BodyMap = {
  readonly box: readonly [left: number, top: number, width: number, height: number];
  /** The body as it is drawn elsewhere, by tone, from behind forward. */
  readonly body: readonly { readonly tone: string; readonly d: string }[];
  readonly regions: readonly { readonly id: RegionId; readonly d: string }[];
};

/** Upright, arms a little out, palms to the front and toes down: every part is seen. */
const POSE: Pose = {
  ...BASE_POSES.standing,
  arms: {
    right: angles(0, 20, 4, { twist: 0, shape: 'flat' }),
    left: angles(0, 20, 4, { twist: 0, shape: 'flat' }),
  },
  legs: { right: angles(0, 7, 0, { end: -66 }), left: angles(0, 7, 0, { end: -66 }) },
};

/** Straight from the front and from behind: what is left and right stays even. */
const CAMERAS: Readonly<Record<View, Camera>> = {
  front: { right: [0, 0, -1], down: [0, -1, 0], near: [1, 0, 0] },
  back: { right: [0, 0, 1], down: [0, -1, 0], near: [-1, 0, 0] },
};

/** Which sections of arm, leg or trunk each part lies between. */
const ARM: Partial<Record<BodyPart, readonly [number, number]>> = {
  shoulder: [0, 3],
  'upper arm': [3, 6.4],
  elbow: [6.4, 9.2],
  forearm: [9.2, 13],
};
const LEG: Partial<Record<BodyPart, readonly [number, number]>> = {
  thigh: [3, 6.2],
  knee: [6.2, 9.6],
  calf: [9.6, 14.6],
};
const TRUNK: Partial<Record<BodyPart, readonly [number, number]>> = {
  buttock: [0.5, 3.4],
  'low back': [3.5, 8],
  'upper back': [8.1, 14.2],
  chest: [9, 14.2],
};

/** The body from the front or from behind, and every part of it that can be marked. */
export function bodyMap(view: View): BodyMap {
  const camera = CAMERAS[view];
  const skeleton = skeletonOf(POSE);
  const rings = bodyRings(skeleton, POSE, camera);
  const { shapes } = bodyShapes(skeleton, POSE, rings, camera, view);
  const head = headShapes(skeleton.frames.head, 0, camera);
  const body = [...shapes, ...head]
    .filter(({ d }) => d !== '')
    .sort((a, b) => a.near - b.near)
    .map(({ tone, d }) => ({ tone, d }));
  return {
    box: [-58, -172, 116, 198],
    body,
    regions: REGIONS.filter((id) => id.startsWith(view)).map((id) => ({
      id,
      d: regionOf(id, view, rings, camera),
    })),
  };
}

function regionOf(id: RegionId, view: View, rings: BodyRings, camera: Camera): string {
  const part = partOf(id);
  const side = id.includes(' right ') ? 'right' : 'left';
  const skeleton = skeletonOf(POSE);
  const Side = side === 'right' ? 'Right' : 'Left';
  const arm = [
    shoulderRing(skeleton, camera, Side),
    ...rings.upperArm[side],
    ...rings.forearm[side],
  ];
  const leg = [...rings.thigh[side], ...rings.shank[side]];
  const [onArm, onLeg, onTrunk] = [ARM[part], LEG[part], TRUNK[part]];
  if (onArm) return between(arm, onArm);
  if (onLeg) return between(leg, onLeg);
  if (onTrunk) return half(rings.trunk.all, onTrunk, view, side);
  switch (part) {
    case 'neck':
      return half(rings.neck, view === 'front' ? [0.4, 2.6] : [0.4, 3.6], view, side);
    case 'hand':
      return handPieces(skeleton, camera, Side, 'flat').palm;
    case 'fingers':
      return handPieces(skeleton, camera, Side, 'flat').fingers;
    case 'foot':
      return footShape(skeleton, camera, Side).foot;
    case 'toes':
      return footShape(skeleton, camera, Side).toes;
    default:
      return halfHead(headOutline(skeleton.frames.head, camera), view, side);
  }
}

const flat = ([x, y]: Seen): Point => [x, y];

/** Places on a row of sections, a half apart. */
function steps([from, to]: readonly [number, number]): number[] {
  const count = Math.max(2, Math.ceil((to - from) * 2));
  return Array.from({ length: count + 1 }, (_, i) => from + ((to - from) * i) / count);
}

function along(points: readonly Seen[], at: number): Seen {
  const i = Math.min(points.length - 2, Math.max(0, Math.floor(at)));
  const [a, b] = [itemAt(points, i), itemAt(points, i + 1)];
  const share = Math.min(1, Math.max(0, at - i));
  return pointBetween(a, b, share);
}

/** All of a limb between two of its sections. */
function between(rings: readonly Ring[], span: readonly [number, number]): string {
  const { one, other } = edgesOf(rings);
  const places = steps(span);
  return smooth(
    [
      ...places.map((at) => flat(along(one, at))),
      ...[...places].reverse().map((at) => flat(along(other, at))),
    ],
    true,
  );
}

/** The half of a head's outline on one side of the mid-line. */
function halfHead(outline: readonly Point[], view: View, side: 'right' | 'left'): string {
  // Seen from behind the right side is on the right; from the front it is on the left.
  const sign = (view === 'back') === (side === 'right') ? 1 : -1;
  const own = outline.filter(([x]) => x * sign > 0.2);
  const byAngle = [...own].sort((a, b) => a[1] - b[1]);
  const [top, bottom] = [itemAt(byAngle, 0)[1], itemAt(byAngle, -1)[1]];
  return smooth([[0, top], ...byAngle.filter((_, i) => i % 4 === 0), [0, bottom]], true);
}

/** One half of trunk or neck between two sections, from the mid-line to its edge. */
function half(
  rings: readonly Ring[],
  span: readonly [number, number],
  view: View,
  side: 'right' | 'left',
): string {
  const middle = rings.map((ring) => skinAt(ring, view === 'front' ? 0 : 180));
  const edge = rings.map((ring) => skinAt(ring, side === 'right' ? 90 : -90));
  const places = steps(span);
  return smooth(
    [
      ...places.map((at) => flat(along(edge, at))),
      ...[...places].reverse().map((at) => flat(along(middle, at))),
    ],
    true,
  );
}
