import {
  LENGTHS_CM,
  type Vec,
  dot,
  markAt,
  minus,
  mirrorPose,
  type Skeleton,
  size,
  skeletonOf,
} from '../body';
import type { DrawnProp, Figure } from '../figure';
import { mirrorMovement, movementsBetween, onSheet } from './movement';
import type { Drawing } from './shape';
import { type Camera, cameraFor, see } from './view';

const MARGIN = 4;

/** What a figure's pictures show, and how its signs are sized in them. */
export type FrameBox = {
  /** Left, top, width and height, in cm. */
  readonly box: Drawing['box'];
  /** Centimetres that look like one of a close-up: signs are as large in every picture. */
  readonly unit: number;
  /** Beside a close-up: where in it the whole body is shown small, and what of the room that shows. */
  readonly inset: { readonly place: Drawing['box']; readonly box: Drawing['box'] } | null;
};

const known = new WeakMap<Figure, { right?: FrameBox; left?: FrameBox }>();

/** The part of the sheet that shows every pose of a figure. Reckoned once, since all its moments share it. */
export function boxFor(figure: Figure, mirrored: boolean): FrameBox {
  const side = mirrored ? 'left' : 'right';
  const before = known.get(figure) ?? {};
  const made = before[side] ?? withInset(figure, cameraFor(figure.view, mirrored), mirrored);
  known.set(figure, { ...before, [side]: made });
  return made;
}

/** What a close-up leaves for the whole body: a share of its height, or of its width where somebody lies. */
const INSET_HIGH = 0.52;
const INSET_WIDE = 0.4;

/** A close-up has room beside it, or above, for a small picture of the whole body in its place. */
function withInset(figure: Figure, camera: Camera, mirrored: boolean): FrameBox {
  const close = boxOf(figure, camera, mirrored);
  if (figure.crop === 'whole') return { ...close, inset: null };
  const { box: whole } = boxOf({ ...figure, crop: 'whole' }, camera, mirrored);
  const [x, y, wide, high] = close.box;
  const aspect = whole[2] / whole[3];
  if (aspect > 1.3) {
    const w = Math.round(wide * INSET_WIDE);
    const h = Math.round(w / aspect);
    return {
      ...close,
      box: [x, y - h, wide, high + h],
      inset: { place: [x + 1, y - h + 1, w, h], box: whole },
    };
  }
  const h = Math.round(high * INSET_HIGH);
  const w = Math.round(h * aspect);
  // On the side that somebody seen from the side looks away from.
  const place: Drawing['box'] = [(mirrored ? x + wide : x - w) + 1, y + high - h - 1, w, h];
  return { ...close, box: [mirrored ? x : x - w, y, wide + w, high], inset: { place, box: whole } };
}

/** A picture so high shows signs at their own size, in cm. */
const CLOSE_UP_CM = 70;

function boxOf(figure: Figure, camera: Camera, mirrored: boolean): Omit<FrameBox, 'inset'> {
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
  for (const [i, to] of figure.poses.entries()) {
    const from = figure.poses[i - 1];
    for (const one of from && (!figure.stages || figure.stages.by === 'barrier')
      ? movementsBetween(from, to)
      : []) {
      const way = onSheet(mirrored ? mirrorMovement(one) : one, camera, 6);
      for (const [x, y] of way ?? []) include(x, y, 1.5);
    }
  }
  const box = padded(left - MARGIN, top - MARGIN, right + MARGIN, bottom + MARGIN);
  return { box, unit: Math.max(1, Math.max(box[3], box[2] / 1.4) / CLOSE_UP_CM) };
}

const NEAR_THE_HEAD_CM = 42;
const STILL_CM = 9;

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
      return whole ? [flat([(prop.x ?? 0) - 24, 4, 0]), flat([(prop.x ?? 0) - 24, 60, 0])] : [];
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
