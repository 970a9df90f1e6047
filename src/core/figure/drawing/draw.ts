import { itemAt } from '../../units';
import { type Pose, type Skeleton, mirrorPose, poseBetween, skeletonOf, turn } from '../body';
import type { Figure, Push } from '../figure';
import { mirrorLit } from '../mirror-figure';
import { bodyRings } from '../surface/body-rings';
import { bodyShapes } from './body-shapes';
import { boxFor } from './frame-box';
import { headShapes } from './head-shapes';
import { type Keep, keepNothing, numbersOf } from '../keep';
import { mirrorProp } from './mirror-prop';
import { mirrorMovement, movementsBetween, withoutTwins } from './movement';
import { line } from './outline';
import { feelShapes } from './feel-sign';
import { propShapes } from './prop-shapes';
import { regionShapes } from './region-shapes';
import type { Drawing, Shape } from './shape';
import { ghostShapes, movementShapes, pushShapes } from './signs';
import { type Camera, SQUARE, cameraFor, see } from './view';

/** What to draw of a figure. */
export type DrawOptions = {
  /** Which way round: a one-sided exercise is described for the right. */
  readonly side?: 'right' | 'left';
  /** Where the moving part began, and the way it took. */
  readonly before?: boolean;
  /** Lit muscles and pushes. */
  readonly effort?: boolean;
  /** Exactly from the right side, for something to be measured; otherwise as the figure says. */
  readonly square?: boolean;
  /** The small picture of the whole body beside a close-up. */
  readonly inset?: boolean;
};

/**
 * How far along its path a figure is, as a pose.
 *
 * @param along 0 at the first pose, 1 at the last, even from pose to pose; one that goes round
 *   comes back from the last to the first between 1 and `roundEnd(figure)`
 */
export function poseAt(figure: Figure, along: number): Pose {
  const { from, to, share } = stretchAt(figure, along);
  return poseBetween(
    figure.poses[from] ?? figure.poses[0],
    figure.poses[to] ?? figure.poses[0],
    share,
  );
}

type Stretch = { readonly from: number; readonly to: number; readonly share: number };

/** Between which poses a figure is, by their order. */
function stretchAt({ path, poses }: Figure, along: number): Stretch {
  const count = path === 'round' ? poses.length + 1 : poses.length;
  const place = Math.min(Math.max(0, along) * (poses.length - 1), count - 1);
  const from = Math.min(Math.floor(place), count - 2);
  return { from, to: (from + 1) % poses.length, share: place - from };
}

/** Where a figure that goes round is back at its first pose; 1 for one that goes back. */
export function roundEnd({ path, poses }: Figure): number {
  return path === 'round' ? poses.length / (poses.length - 1) : 1;
}

/** Nearer to a pose than this a figure is in it. */
const IN_POSE = 0.06;

/** One moment of a figure, drawn. All moments of a figure share one box. */
export function drawFigure(
  figure: Figure,
  along: number,
  options: DrawOptions = {},
  keep: Keep = keepNothing,
): Drawing {
  const { from, to, share } = stretchAt(figure, along);
  const pose = poseAt(figure, along);
  const inPose = share < IN_POSE ? from : share > 1 - IN_POSE ? to : null;
  const pushes = figure.pushes.filter(({ at }) =>
    at ? inPose !== null && at.includes(inPose) : share > 1 - IN_POSE || from > 0,
  );
  // In a pose the picture shows how it was come to; the first is where everything begins.
  const begin = share < IN_POSE ? from - 1 : from;
  const signs = {
    pushes,
    move:
      options.before && !inPlaces(figure, begin, begin + 1) && begin >= 0
        ? ([begin, (begin + 1) % figure.poses.length] as const)
        : null,
  };
  return compose(figure, pose, options, signs, keep);
}

/** Poses that are only places have no way between them; from one barrier one sinks on to the next. */
function inPlaces({ stages }: Figure, from: number, to: number): boolean {
  return (
    stages !== null &&
    stages.by !== 'barrier' &&
    !stages.at.some((stage) => stage.from === from && stage.pose === to) &&
    stages.at.length > 1
  );
}

/** A pose in a figure's setting: also for its fault. */
export function drawPose(figure: Figure, pose: Pose, options: DrawOptions = {}): Drawing {
  return compose(figure, pose, options, { pushes: figure.pushes, move: null }, keepNothing);
}

type Signs = {
  readonly pushes: readonly Push[];
  readonly move: readonly [from: number, to: number] | null;
};

function compose(
  figure: Figure,
  given: Pose,
  options: DrawOptions,
  signs: Signs,
  keep: Keep,
): Drawing {
  const mirrored = options.side === 'left';
  const camera = options.square ? SQUARE : cameraFor(figure.view, mirrored);
  const pose = mirrored ? mirrorPose(given) : given;
  const skeleton = skeletonOf(pose);
  const { box, unit, inset } = boxFor(figure, mirrored);
  const rings = bodyRings(skeleton, pose, camera, keep);
  const { shapes: bodyOnly, layers } = bodyShapes(skeleton, pose, rings, camera, figure.view, keep);
  const head = keep('head', [...numbersOf(skeleton, ['head']), pose.jaw], () =>
    headShapes(skeleton.frames.head, pose.jaw, camera, figure.eyesClosed),
  );
  const body = [...bodyOnly, ...head];
  const things = mirrored ? figure.props.map(mirrorProp) : figure.props;
  const props = (close: boolean) =>
    things
      .filter(({ kind }) => !close || kind !== 'chair')
      .flatMap((prop) => propShapes(prop, skeleton, camera));
  const shapes = [...props(inset !== null), ...body.filter((shape) => isIn(shape, box))];
  shapes.push(...things.flatMap((thing) => feelShapes(thing, skeleton, camera)));
  if (signs.move) shapes.push(...wayShapes(figure, signs.move, camera, mirrored, unit));
  if (options.effort !== false) {
    const lit = mirrored ? figure.lit.map(mirrorLit) : figure.lit;
    shapes.push(...regionShapes(lit, rings, layers, keep));
    shapes.push(...pushShapes(signs.pushes, skeleton, camera, mirrored, signSize(unit)));
  }
  if (inset && !figure.stages) shapes.push(...plumbLine(figure, box, camera, mirrored));
  const small = inset &&
    options.inset !== false && {
      place: inset.place,
      of: {
        box: inset.box,
        unit: inset.box[3] / 42,
        inset: null,
        shapes: [
          groundShape(figure, inset.box),
          ...inOrder([...props(false), ...body.filter(({ tone }) => !TOO_FINE.has(tone))]),
        ],
      },
    };
  return {
    box,
    unit,
    inset: small || null,
    shapes: [groundShape(figure, box), ...inOrder(shapes)],
  };
}

/** Whether something of a shape can be in a picture: the legs of a close-up are not written at all. */
function isIn({ within }: Shape, [x, y, wide, high]: Drawing['box']): boolean {
  if (!within) return true;
  const [left, top, right, bottom] = within;
  return left < x + wide && right > x && top < y + high && bottom > y;
}

const inOrder = (shapes: readonly Shape[]) => [...shapes].sort((a, b) => a.near - b.near);

/** What cannot be seen on a body a few centimetres high. */
const TOO_FINE: ReadonlySet<Shape['tone']> = new Set(['mark', 'inner', 'brow', 'eye']);

/** Signs are as large in every picture, but for the largest: there they would hide the body. */
const signSize = (unit: number) => Math.min(unit, 1.7);

/** Somebody upright leans less than this. */
const UPRIGHT = 0.85;

/**
 * A line that stays where it is, straight up through the shoulder: beside it a small slide of the head
 * is seen. Only from the side, of somebody upright.
 */
function plumbLine(
  figure: Figure,
  [, top, , high]: Drawing['box'],
  camera: Camera,
  mirrored: boolean,
): Shape[] {
  const start = mirrored ? mirrorPose(figure.poses[0]) : figure.poses[0];
  const { frames } = skeletonOf(start);
  if (figure.view !== 'side' || turn(frames.thorax.turn, [0, 1, 0])[1] < UPRIGHT) return [];
  const [x] = see(camera, frames[mirrored ? 'upperArmLeft' : 'upperArmRight'].at);
  const d = line([
    [x, top + 2],
    [x, top + high * 0.62],
  ]);
  return [{ tone: 'plumb', d, near: 500 }];
}

const knownWays = new WeakMap<Figure, Map<string, readonly Shape[]>>();

/** Where the moving part began and the way it takes: the same in every frame of a movement. */
function wayShapes(
  figure: Figure,
  stretch: readonly [from: number, to: number],
  camera: Camera,
  mirrored: boolean,
  unit: number,
): readonly Shape[] {
  const known = knownWays.get(figure) ?? new Map<string, readonly Shape[]>();
  knownWays.set(figure, known);
  const key = `${stretch.join()} ${mirrored}`;
  const made = known.get(key) ?? wayOf(figure, stretch, camera, mirrored, unit);
  known.set(key, made);
  return made;
}

function wayOf(
  figure: Figure,
  [from, to]: readonly [number, number],
  camera: Camera,
  mirrored: boolean,
  unit: number,
): Shape[] {
  const [start, end] = [itemAt(figure.poses, from), itemAt(figure.poses, to)];
  const movements = movementsBetween(start, end);
  const own = mirrored ? movements.map(mirrorMovement) : movements;
  const then = mirrored ? mirrorPose(start) : start;
  const skeleton: Skeleton = skeletonOf(then);
  return [
    ...ghostShapes(
      own.map(({ mover }) => mover),
      skeleton,
      then,
      camera,
    ),
    ...movementShapes(withoutTwins(own, camera), camera, signSize(unit)),
  ];
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
