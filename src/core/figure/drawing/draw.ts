import {
  type Pose,
  type Skeleton,
  type Vec,
  LENGTHS_CM,
  dot,
  markAt,
  minus,
  mirrorMark,
  mirrorPose,
  mirrorVec,
  poseBetween,
  size,
  skeletonOf,
} from '../body';
import type { DrawnProp, Figure, Push } from '../figure';
import { bodyShapes } from './body-shapes';
import { headBefore, headShapes } from './head-shapes';
import { litShapes } from './lit-shapes';
import { line } from './outline';
import { mirrorLit } from '../mirror-figure';
import { mirrorProp } from './mirror-prop';
import { propShapes } from './prop-shapes';
import type { Drawing, Shape } from './shape';
import { type Camera, cameraFor, see } from './view';

/** What to draw of a figure. */
export type DrawOptions = {
  /** Which way round: a one-sided exercise is described for the right. */
  readonly side?: 'right' | 'left';
  /** Where the head was at the start, dashed. */
  readonly before?: boolean;
  /** Lit muscles and arrows of effort. */
  readonly effort?: boolean;
};

/**
 * How far along its path a figure is, as a pose.
 *
 * @param along 0 at the first pose, 1 at the last, even from pose to pose; one that goes round
 *   comes back from the last to the first between 1 and `roundEnd(figure)`
 */
export function poseAt(figure: Figure, along: number): Pose {
  const poses = figure.path === 'round' ? [...figure.poses, figure.poses[0]] : figure.poses;
  const place = Math.min(Math.max(0, along) * (figure.poses.length - 1), poses.length - 1);
  const index = Math.min(Math.floor(place), poses.length - 2);
  const from = poses[index] ?? figure.poses[0];
  return poseBetween(from, poses[index + 1] ?? from, place - index);
}

/** Where a figure that goes round is back at its first pose; 1 for one that goes back. */
export function roundEnd({ path, poses }: Figure): number {
  return path === 'round' ? poses.length / (poses.length - 1) : 1;
}

/** One moment of a figure, drawn. All moments of a figure share one box. */
export function drawFigure(figure: Figure, along: number, options: DrawOptions = {}): Drawing {
  return drawPose(figure, poseAt(figure, along), options);
}

/** A pose in a figure's setting: also for its fault. */
export function drawPose(figure: Figure, given: Pose, options: DrawOptions = {}): Drawing {
  const mirrored = options.side === 'left';
  const camera = cameraFor(figure.view, mirrored);
  const skeleton = skeletonOf(mirrored ? mirrorPose(given) : given);
  const props = mirrored ? figure.props.map(mirrorProp) : figure.props;
  const pose = mirrored ? mirrorPose(given) : given;
  const shapes: Shape[] = [
    ...props.flatMap((prop) => propShapes(prop, skeleton, camera)),
    ...bodyShapes(skeleton, pose, camera, figure.view),
    ...headShapes(skeleton.frames.head, pose.jaw, camera),
  ];
  if (options.before) shapes.push(...beforeShapes(figure, skeleton, camera, mirrored));
  if (options.effort !== false) {
    shapes.push(...litShapes(mirrored ? figure.lit.map(mirrorLit) : figure.lit, skeleton, camera));
    shapes.push(
      ...figure.pushes.map((push) => pushShape(arrowOf(push, skeleton, camera, mirrored))),
    );
  }
  shapes.sort((a, b) => a.near - b.near);
  const box = boxOf(figure, camera, mirrored);
  return { box, shapes: [groundShape(figure, box), ...shapes] };
}

/** The floor, right across the picture; none where the viewer looks down on it. */
function groundShape({ view }: Figure, [left, , width]: Drawing['box']): Shape {
  const d =
    view === 'above'
      ? ''
      : line([
          [left, 0.4],
          [left + width, 0.4],
        ]);
  return { tone: 'ground', d, near: -300 };
}

/** Farther than this the head has plainly moved, and a second outline would only confuse. */
const FAR_CM = 14;

function beforeShapes(figure: Figure, now: Skeleton, camera: Camera, mirrored: boolean): Shape[] {
  const start = figure.poses[0];
  const then = skeletonOf(mirrored ? mirrorPose(start) : start);
  const [ax, ay] = see(camera, markAt(then.frames, 'forehead'));
  const [bx, by] = see(camera, markAt(now.frames, 'forehead'));
  const moved = Math.hypot(ax - bx, ay - by);
  if (moved < 0.8 || moved > FAR_CM) return [];
  return [{ tone: 'before', d: headBefore(then.frames.head, start.jaw, camera), near: 500 }];
}

const ARROW_CM = 13;

type Arrow = { readonly from: Vec2; readonly to: Vec2; readonly way: Vec2 };
type Vec2 = readonly [x: number, y: number];

/** An arrow that begins at the mark it pushes from. */
function arrowOf(push: Push, { frames }: Skeleton, camera: Camera, mirrored: boolean): Arrow {
  const name = mirrored ? mirrorMark(push.from) : push.from;
  const [fx, fy] = see(camera, markAt(frames, name));
  const [wx, wy] = see(camera, mirrored ? mirrorVec(push.way) : push.way);
  const length = Math.hypot(wx, wy) || 1;
  const [ux, uy] = [wx / length, wy / length];
  const from = [fx + ux * 3, fy + uy * 3] as const;
  return { from, to: [from[0] + ux * ARROW_CM, from[1] + uy * ARROW_CM], way: [ux, uy] };
}

function pushShape({ from, to: [tx, ty], way: [ux, uy] }: Arrow): Shape {
  const barb = (side: 1 | -1) =>
    [tx - ux * 4 + -uy * 3 * side, ty - uy * 4 + ux * 3 * side] as const;
  return {
    tone: 'push',
    d: line([from, [tx, ty]]) + line([barb(1), [tx, ty], barb(-1)]),
    near: 600,
  };
}

const MARGIN = 4;

/** The part of the sheet that shows every pose of a figure. */
function boxOf(figure: Figure, camera: Camera, mirrored: boolean): Drawing['box'] {
  let [left, top, right, bottom] = [Infinity, Infinity, -Infinity, -Infinity];
  const include = (x: number, y: number, radius: number) => {
    left = Math.min(left, x - radius);
    right = Math.max(right, x + radius);
    top = Math.min(top, y - radius);
    bottom = Math.max(bottom, y + radius);
  };
  const resting = figure.crop === 'upper' ? restingHands(figure) : new Set();
  const poses = figure.fault ? [...figure.poses, figure.fault.pose] : figure.poses;
  for (const pose of poses) {
    const skeleton = skeletonOf(mirrored ? mirrorPose(pose) : pose);
    const { frames } = skeleton;
    for (const push of figure.pushes) include(...arrowOf(push, skeleton, camera, mirrored).to, 2);
    const at = (name: Parameters<typeof markAt>[1], radius: number) => {
      const [x, y] = see(camera, markAt(frames, name));
      include(x, y, radius);
    };
    at('vertex', 2);
    at('occiput', 3);
    at('forehead', 4);
    for (const side of ['Right', 'Left'] as const) {
      at(`shoulderTop${side}`, 6);
      if (resting.has(mirrored ? (side === 'Right' ? 'Left' : 'Right') : side)) continue;
      at(`elbow${side}`, 4);
      at(`palm${side}`, 9);
    }
    if (figure.crop === 'upper') at('breastbone', 14);
    else {
      at('buttocks', 3);
      for (const side of ['Right', 'Left'] as const) {
        at(`kneeFront${side}`, 4);
        at(`heel${side}`, 3);
        at(`toe${side}`, 3);
      }
    }
  }
  for (const prop of figure.props) {
    for (const [x, y] of cornersOf(prop, camera, figure.crop)) include(x, y, 0);
  }
  if (figure.crop === 'whole' && figure.view !== 'above') bottom = Math.max(bottom, 2);
  return padded(left - MARGIN, top - MARGIN, right + MARGIN, bottom + MARGIN);
}

const NEAR_THE_HEAD_CM = 48;
const STILL_CM = 5;

/**
 * Hands that only rest on belly or lap: they would make the head small. One that moves, or is near
 * the head or overhead, belongs to the picture.
 */
function restingHands({ poses }: Figure): ReadonlySet<'Right' | 'Left'> {
  const all = poses.map((pose) => skeletonOf(pose).frames);
  const palm = (frames: Skeleton['frames'], side: 'Right' | 'Left') =>
    minus(markAt(frames, `palm${side}`), markAt(frames, 'breastbone'));
  const rests = (side: 'Right' | 'Left') =>
    all.every((frames) => {
      const head = minus(markAt(frames, 'forehead'), markAt(frames, 'breastbone'));
      const hand = palm(frames, side);
      const first = all[0] ? palm(all[0], side) : hand;
      return (
        size(minus(hand, head)) > NEAR_THE_HEAD_CM &&
        dot(hand, head) < 0 &&
        size(minus(hand, first)) < STILL_CM
      );
    });
  return new Set((['Right', 'Left'] as const).filter(rests));
}

/** Things that widen the picture: what a person stands at, a little of it. */
function cornersOf(
  prop: DrawnProp,
  camera: Camera,
  crop: Figure['crop'],
): (readonly [number, number])[] {
  const flat = ([x, y, z]: Vec) => {
    const [sx, sy] = see(camera, [x, y, z]);
    return [sx, sy] as const;
  };
  const whole = crop === 'whole';
  switch (prop.kind) {
    case 'wall':
      return [flat([prop.x + (prop.x > 0 ? 6 : -6), LENGTHS_CM.thigh * 3, 0])];
    case 'doorframe':
      return [flat([prop.x, LENGTHS_CM.thigh * 2, prop.z + Math.sign(prop.z) * 6])];
    case 'band':
    case 'cloth':
    case 'strap':
      return prop.through.flatMap((place) => ('on' in place ? [] : [flat(place)]));
    case 'bench':
    case 'bed':
      return whole ? prop.x.map((x) => flat([x, prop.top, 0])) : [];
    case 'wedge':
      return whole ? [flat([prop.x + 3, 0, 0]), flat([prop.x - prop.length, 0, 0])] : [];
    case 'chair':
      return whole ? [flat([(prop.x ?? 0) - 24, 4, 0])] : [];
    case 'ball':
    case 'roll':
    case 'pad':
    case 'pillow':
    case 'block':
    case 'blanket':
    case 'weight':
    case 'mat':
      return [];
  }
}

/** Pictures between upright 3 : 4 and lying 2 : 1, so that they sit well beside each other. */
function padded(left: number, top: number, right: number, bottom: number): Drawing['box'] {
  let [width, height] = [right - left, bottom - top];
  let x = left;
  let y = top;
  if (width < height * 0.75) {
    x -= (height * 0.75 - width) / 2;
    width = height * 0.75;
  }
  if (width > height * 2) {
    // The floor stays at the bottom.
    y -= width / 2 - height;
    height = width / 2;
  }
  return [Math.round(x), Math.round(y), Math.ceil(width), Math.ceil(height)];
}
