import { itemAt } from '../../units';
import {
  type Frame,
  type Pose,
  type Skeleton,
  add,
  markAt,
  mirrorMark,
  mirrorVec,
  scale,
  turn,
  unit,
} from '../body';
import type { Push } from '../figure';
import { type BodyRings, bodyRings } from '../surface/body-rings';
import { handShape } from '../surface/hand';
import { edgesOf, rimOf } from '../surface/section';
import { footShape } from '../surface/foot';
import { headBefore } from './head-shapes';
import { limbOutline, boneOutline, ribbon } from './limb-outline';
import { type Movement, type Mover, onSheet } from './movement';
import { type Point, closed, line, smooth } from './outline';
import type { Shape } from './shape';
import { type Camera, see } from './view';

/** Over everything that is drawn of a body. */
const ON_TOP = 600;
/** Behind the body, before what stands behind it. */
const BEHIND = -150;

/**
 * A slender arrow along the way a part takes.
 *
 * @param unit cm of the picture that look like a centimetre of a close-up
 */
export function movementShapes(
  movements: readonly Movement[],
  camera: Camera,
  unit: number,
): Shape[] {
  return movements.flatMap((movement): Shape[] => {
    const way = onSheet(movement, camera, 6 * unit);
    const [tip, before] = [way?.at(-1), way?.at(-2)];
    if (!way || !tip || !before) return [];
    const length = Math.hypot(tip[0] - before[0], tip[1] - before[1]) || 1;
    const [ux, uy] = [(tip[0] - before[0]) / length, (tip[1] - before[1]) / length];
    const barb = (side: 1 | -1): Point => [
      tip[0] - ux * 3 * unit - uy * 1.9 * unit * side,
      tip[1] - uy * 3 * unit + ux * 1.9 * unit * side,
    ];
    const d = smooth(way) + line([barb(1), tip, barb(-1)]);
    return [
      { tone: 'halo', d, near: ON_TOP },
      { tone: 'way', d, near: ON_TOP + 1 },
    ];
  });
}

const LONG = 7.6;
const SHAFT = 1.5;
const HEAD = 3.4;

/** A short broad arrow that ends where the body presses, and two bars beyond it for what resists. */
export function pushShapes(
  pushes: readonly Push[],
  { frames }: Skeleton,
  camera: Camera,
  mirrored: boolean,
  size: number,
): Shape[] {
  return pushes.flatMap(({ from, way, turn: turned }): Shape[] => {
    if (turned) return turnShape(turned, frames.head, camera, mirrored, size);
    const name = mirrored ? mirrorMark(from) : from;
    const toward = unit(mirrored ? mirrorVec(way) : way);
    const [tx, ty] = see(camera, add(markAt(frames, name), scale(toward, 0.4)));
    const [wx, wy] = see(camera, toward);
    const length = Math.hypot(wx, wy);
    if (length < 0.2) return [];
    const [ux, uy] = [wx / length, wy / length];
    const at = (along: number, aside: number): Point => [
      tx + (ux * along - uy * aside) * size,
      ty + (uy * along + ux * aside) * size,
    ];
    const arrow = closed([
      at(-LONG, SHAFT),
      at(-HEAD, SHAFT),
      at(-HEAD, 3.1),
      at(0, 0),
      at(-HEAD, -3.1),
      at(-HEAD, -SHAFT),
      at(-LONG, -SHAFT),
    ]);
    const bar = (along: number) =>
      closed([at(along, 3.4), at(along + 0.8, 3.4), at(along + 0.8, -3.4), at(along, -3.4)]);
    return [{ tone: 'push', d: arrow + bar(0.9) + bar(2.5), near: ON_TOP + 2 }];
  });
}

/** Round the crown, so far out from the middle of the head and so high over the tragus, in cm. */
const CROWN = { out: 12.5, high: 11.5 } as const;

/** A broad arrow round the crown, for a head that is turned against something; two bars at its end. */
function turnShape(
  to: 'right' | 'left',
  head: Frame,
  camera: Camera,
  mirrored: boolean,
  size: number,
): Shape[] {
  const hand = (to === 'right') === mirrored ? -1 : 1;
  const at = (degrees: number, up: number): Point => {
    const angle = (degrees * hand * Math.PI) / 180;
    const spot = [
      1 + CROWN.out * Math.cos(angle),
      CROWN.high + up,
      CROWN.out * Math.sin(angle),
    ] as const;
    const [x, y] = see(camera, add(head.at, turn(head.turn, spot)));
    return [x, y];
  };
  const wide = 1.4 * size;
  const shaft = [-40, -22, -4, 12, 26];
  const arrow = closed([
    ...shaft.map((degrees) => at(degrees, wide)),
    at(26, 2.1 * wide),
    at(52, 0),
    at(26, -2.1 * wide),
    ...[...shaft].reverse().map((degrees) => at(degrees, -wide)),
  ]);
  const bar = (degrees: number) =>
    closed([
      at(degrees, -2.1 * wide),
      at(degrees + 5, -2.1 * wide),
      at(degrees + 5, 2.1 * wide),
      at(degrees, 2.1 * wide),
    ]);
  return [{ tone: 'push', d: arrow + bar(57) + bar(67), near: ON_TOP + 2 }];
}

/** A part as it was at the start, drawn faintly behind the body: all of it, a head with its face. */
export function ghostShapes(
  movers: readonly Mover[],
  skeleton: Skeleton,
  pose: Pose,
  camera: Camera,
): Shape[] {
  const seen = new Set(movers.flatMap((mover) => CARRIES[mover]));
  const rings = bodyRings(skeleton, pose, camera);
  const parts = [...seen].map((part) => ghostOf(part, skeleton, pose, rings, camera));
  return parts.length === 0 ? [] : [{ tone: 'before', d: parts.join(''), near: BEHIND }];
}

type Ghost = 'head' | 'trunk' | 'armRight' | 'armLeft' | 'legRight' | 'legLeft';

/** What goes along with a part that moves. */
const CARRIES: Readonly<Record<Mover, readonly Ghost[]>> = {
  head: ['head'],
  trunk: ['trunk', 'head', 'armRight', 'armLeft'],
  hips: ['trunk', 'head', 'legRight', 'legLeft'],
  shoulderRight: ['armRight'],
  shoulderLeft: ['armLeft'],
  armRight: ['armRight'],
  armLeft: ['armLeft'],
  legRight: ['legRight'],
  legLeft: ['legLeft'],
};

function ghostOf(
  part: Ghost,
  skeleton: Skeleton,
  pose: Pose,
  rings: BodyRings,
  camera: Camera,
): string {
  const arm = (side: 'Right' | 'Left', own: 'right' | 'left') =>
    limbOutline(rings.upperArm[own], rings.forearm[own]).d +
    handShape(skeleton, camera, side, skeleton.hands[own]).d;
  const leg = (side: 'Right' | 'Left', own: 'right' | 'left') => {
    const { foot, toes } = footShape(skeleton, camera, side);
    return limbOutline(rings.thigh[own], rings.shank[own]).d + foot + toes;
  };
  switch (part) {
    case 'head':
      return headBefore(skeleton.frames.head, pose.jaw, camera) + boneOutline(rings.neck);
    case 'trunk': {
      const { all } = rings.trunk;
      const edges = edgesOf(all);
      const [hem] = all;
      const [x, y] = itemAt(edges.ways, 0);
      return ribbon(edges, { from: hem ? rimOf(hem, [-x, -y]) : [], to: [] });
    }
    case 'armRight':
      return arm('Right', 'right');
    case 'armLeft':
      return arm('Left', 'left');
    case 'legRight':
      return leg('Right', 'right');
    case 'legLeft':
      return leg('Left', 'left');
  }
}
