import { type Degrees, type Millimetres, degrees, millimetres } from '../units';

/** A point of the picture in its pixels: x to the right, y down. */
export type Point = { readonly x: number; readonly y: number };

export type Facing = 'left' | 'right';

/** A line that is upright or level in the world, for the camera's roll. */
export type Reference = {
  readonly kind: 'vertical' | 'level';
  readonly a: Point;
  readonly b: Point;
};

/** Two points whose true distance is known. */
export type KnownLength = {
  readonly a: Point;
  readonly b: Point;
  readonly millimetres: Millimetres;
};

export type PhotoMarks = {
  readonly facing: Facing;
  readonly tragus: Point;
  readonly c7: Point;
  readonly shoulder: Point | null;
  readonly eye: Point | null;
  readonly reference: Reference | null;
  readonly scale: KnownLength | null;
};

export type PhotoMeasures = {
  /** At C7, between the horizontal and the line to the tragus (Watson & Trott 1993). */
  readonly craniovertebralAngle: Degrees;
  /** Line from tragus to outer eye corner above the horizontal; positive looks up. */
  readonly headTilt: Degrees | null;
  /** At the shoulder point, between the horizontal backwards and the line to C7; less is rounder. */
  readonly shoulderAngle: Degrees | null;
  /** Tragus in front of C7, level; negative is behind. Null without a known length. */
  readonly earToC7: Millimetres | null;
  /** Tragus in front of the shoulder point, level. */
  readonly earToShoulder: Millimetres | null;
  /** Turn of the camera that was taken out, clockwise positive; null without a reference line. */
  readonly cameraRoll: Degrees | null;
};

const TO_DEGREES = 180 / Math.PI;

function distance(a: Point, b: Point): number {
  return Math.hypot(b.x - a.x, b.y - a.y);
}

/**
 * How far the world is turned in the picture, in radians, from a line that is upright or level.
 * Which end is which does not matter, and a line is taken to be less than 45° off.
 */
function rollOf({ kind, a, b }: Reference): number {
  const [dx, dy] = [b.x - a.x, b.y - a.y];
  const turned = kind === 'level' ? Math.atan2(dy, dx) : Math.atan2(-dx, dy);
  // An undirected line has the same roll half a turn on.
  return turned - Math.PI * Math.round(turned / Math.PI);
}

/** A step of the picture as (forward, up) in the world, in pixels. */
function worldStep(from: Point, to: Point, roll: number, facing: Facing) {
  const [dx, dy] = [to.x - from.x, to.y - from.y];
  const right = dx * Math.cos(roll) + dy * Math.sin(roll);
  const down = -dx * Math.sin(roll) + dy * Math.cos(roll);
  return { forward: facing === 'right' ? right : -right, up: -down };
}

/** Millimetres of one pixel; null without a known length. */
export function millimetresPerPixel(scale: KnownLength | null): number | null {
  return scale && scale.millimetres / distance(scale.a, scale.b);
}

/** The turn of the camera, in degrees; 0 without a reference line. */
export function cameraRoll(marks: PhotoMarks): Degrees {
  return degrees(marks.reference ? rollOf(marks.reference) * TO_DEGREES : 0);
}

/**
 * Angles and offsets of a side photo. Turning, mirroring or scaling the picture with its marks
 * changes no angle.
 *
 * @example // tragus 10 cm above and 10 cm in front of C7: craniovertebral angle 45°
 */
export function measurePhoto(marks: PhotoMarks): PhotoMeasures {
  const { facing, tragus, c7, shoulder, eye, reference, scale } = marks;
  const roll = reference ? rollOf(reference) : 0;
  const step = (from: Point, to: Point) => worldStep(from, to, roll, facing);
  const perPixel = millimetresPerPixel(scale);
  const long = (pixels: number) => (perPixel === null ? null : millimetres(pixels * perPixel));
  const ear = step(c7, tragus);
  const gaze = eye && step(tragus, eye);
  const blade = shoulder && step(shoulder, c7);
  return {
    craniovertebralAngle: degrees(Math.atan2(ear.up, ear.forward) * TO_DEGREES),
    headTilt: gaze && degrees(Math.atan2(gaze.up, gaze.forward) * TO_DEGREES),
    shoulderAngle: blade && degrees(Math.atan2(blade.up, -blade.forward) * TO_DEGREES),
    earToC7: long(ear.forward),
    earToShoulder: shoulder && long(step(shoulder, tragus).forward),
    cameraRoll: reference && degrees(roll * TO_DEGREES),
  };
}

/**
 * The craniovertebral angle of a photo marked once or more: the mean of its markings.
 *
 * @returns null for a photo that is not marked
 */
export function meanCraniovertebralAngle(markings: readonly PhotoMarks[]): Degrees | null {
  if (markings.length === 0) return null;
  const sum = markings.reduce((all, marks) => all + measurePhoto(marks).craniovertebralAngle, 0);
  return degrees(sum / markings.length);
}

/** Fewest pixels between two marks that are to make a line. */
const SHORTEST_LINE = 8;

/** Why these marks cannot be measured, in a sentence; null when they can. */
export function marksProblem(marks: PhotoMarks): string | null {
  const { tragus, c7, eye, reference, scale } = marks;
  if (distance(tragus, c7) < SHORTEST_LINE)
    return 'Ear and C7 lie on the same spot. Move one of them.';
  if (eye && distance(tragus, eye) < SHORTEST_LINE)
    return 'Ear and eye lie on the same spot. Move one of them.';
  if (reference && distance(reference.a, reference.b) < SHORTEST_LINE * 4)
    return 'The upright or level line is too short to tell how the camera was turned.';
  if (reference && Math.abs(rollOf(reference) * TO_DEGREES) > 45)
    return `This line is more than 45° off; is it ${reference.kind === 'level' ? 'upright' : 'level'} instead?`;
  if (scale && distance(scale.a, scale.b) < SHORTEST_LINE * 4)
    return 'The known length is too short in the picture to measure by.';
  return null;
}

/** Below this, degrees, the head is called forward; the trade says 48 to 50. Common practice. */
export const FORWARD_HEAD_BELOW = { surely: degrees(48), perhaps: degrees(50) } as const;

/** How one picture is laid over another: their C7 together, upright, at one scale. */
export type Overlay = {
  /** Pixels of the drawing to one pixel of the picture. */
  readonly scale: number;
  /** Degrees by which the picture is turned back. */
  readonly turn: Degrees;
  readonly mirror: boolean;
};

/**
 * How to draw `other` so that it can be laid over `base` at C7.
 *
 * @returns the scale's ground: a known length in both, or (weaker) the distance from C7 to the ear
 */
export function overlayAtC7(
  base: PhotoMarks,
  other: PhotoMarks,
): Overlay & { readonly by: 'known length' | 'ear to C7' } {
  const [baseScale, otherScale] = [
    millimetresPerPixel(base.scale),
    millimetresPerPixel(other.scale),
  ];
  const known = baseScale !== null && otherScale !== null;
  return {
    by: known ? 'known length' : 'ear to C7',
    scale: known
      ? otherScale / baseScale
      : distance(base.tragus, base.c7) / distance(other.tragus, other.c7),
    turn: degrees(0 - cameraRoll(other)),
    mirror: base.facing !== other.facing,
  };
}
