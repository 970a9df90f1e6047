import {
  BASE_POSES,
  type Figure,
  PRINT_PALETTE,
  type Pose as BodyPose,
  type Vec,
  add,
  attributesOf,
  drawPose,
  skeletonOf,
  turn,
} from '@/core/figure';
import type { Facing, PhotoMarks, Point } from '@/core/measures';
import { millimetres } from '@/core/units';

/** How a person of the demo stands. Angles in degrees. */
export type Pose = {
  readonly craniovertebralAngle: number;
  readonly headTilt: number;
  readonly facing: Facing;
  /** Turn of the camera, clockwise positive. */
  readonly roll: number;
};

export const FIGURE_SIZE = { width: 900, height: 1200 } as const;
const PIXELS_PER_CM = 17;
/** Where C7 comes to lie in a picture that faces right. */
const C7_AT: Point = { x: 400, y: 560 };
const RULER_CM = 20;

/** Places of the head that are marked, in its own frame, in cm, where ear and outer eye corner are drawn. */
const TRAGUS: Vec = [0.8, 1.2, 7.2];
const EYE: Vec = [7.5, 2.9, 4];
/** The skin over the most prominent vertebra, in the chest's frame. */
const C7: Vec = [-4.5, 25.3, 0];

type Places = Readonly<Record<'tragus' | 'c7' | 'shoulder' | 'eye', Point>>;

/** Where the marks are on a body seen square from the side: forward and up, in cm. */
function placesOf(pose: BodyPose): Places {
  const { frames } = skeletonOf(pose);
  const { head } = frames;
  const flat = ([x, y]: Vec): Point => ({ x, y });
  return {
    tragus: flat(add(head.at, turn(head.turn, TRAGUS))),
    eye: flat(add(head.at, turn(head.turn, EYE))),
    c7: flat(add(frames.thorax.at, turn(frames.thorax.turn, C7))),
    shoulder: flat(frames.upperArmRight.at),
  };
}

const upward = (from: Point, to: Point) =>
  (Math.atan2(to.y - from.y, to.x - from.x) * 180) / Math.PI;

/** The place between two where something that only grows is as wanted, by halving. */
function halved(from: number, to: number, isPast: (value: number) => boolean): number {
  let [low, high] = [from, to];
  for (let i = 0; i < 40; i += 1) {
    const middle = (low + high) / 2;
    if (isPast(middle)) high = middle;
    else low = middle;
  }
  return (low + high) / 2;
}

/** A standing body whose neck and head have these angles: both joints of the neck are searched for. */
function bodyWith({ craniovertebralAngle, headTilt }: Pose): BodyPose {
  const standing = BASE_POSES.standing;
  const at = (low: number, high: number): BodyPose => ({
    ...standing,
    // The shoulders of somebody who holds the head forward are a little round.
    thorax: { ...standing.thorax, flex: Math.max(0, 52 - craniovertebralAngle) / 2 },
    neck: { ...standing.neck, flex: low },
    head: { ...standing.head, flex: high },
  });
  const nodded = (low: number): BodyPose => {
    const high = halved(-90, 60, (flex) => {
      const { tragus, eye } = placesOf(at(low, flex));
      return upward(tragus, eye) < headTilt;
    });
    return at(low, high);
  };
  const low = halved(-30, 65, (flex) => {
    const { c7, tragus } = placesOf(nodded(flex));
    return upward(c7, tragus) < craniovertebralAngle;
  });
  return nodded(low);
}

/**
 * A side view of a made-up person: the drawn body of the exercises, standing before a door frame that is
 * upright, beside a ruler of 20 cm, seen by a camera that may be turned. With the marks that are true of
 * it.
 */
export function sideFigure(pose: Pose): {
  readonly svg: string;
  readonly marks: PhotoMarks;
  /** How far the ear is in front of C7 on the body itself, in mm. */
  readonly forwardMm: number;
} {
  const body = bodyWith(pose);
  const { tragus, c7, shoulder, eye } = placesOf(body);
  const frame = { a: { x: c7.x - 15, y: c7.y + 31 }, b: { x: c7.x - 15, y: c7.y - 33 } };
  const ruler = { a: { x: c7.x + 23, y: c7.y - 9 }, b: { x: c7.x + 23, y: c7.y - 9 - RULER_CM } };

  const roll = (pose.roll * Math.PI) / 180;
  const middle = { x: FIGURE_SIZE.width / 2, y: FIGURE_SIZE.height / 2 };
  /** World to picture: mirrored, scaled, then turned about the middle as the camera was. */
  function seen({ x, y }: Point): Point {
    const left = C7_AT.x + (x - c7.x) * PIXELS_PER_CM;
    const px = pose.facing === 'left' ? FIGURE_SIZE.width - left : left;
    const py = C7_AT.y - (y - c7.y) * PIXELS_PER_CM;
    const [dx, dy] = [px - middle.x, py - middle.y];
    return {
      x: middle.x + dx * Math.cos(roll) - dy * Math.sin(roll),
      y: middle.y + dx * Math.sin(roll) + dy * Math.cos(roll),
    };
  }
  const still: Figure = {
    view: 'side',
    crop: 'whole',
    poses: [body, body],
    path: 'back',
    names: ['Standing', 'Standing'],
    props: [],
    lit: [],
    pushes: [],
    fault: null,
    stages: null,
  };
  const drawing = drawPose(still, body, { square: true, effort: false });
  const shapes = drawing.shapes
    .filter(({ tone, d }) => tone !== 'ground' && d !== '')
    .map(({ tone, d }) => `<path ${attributesOf(PRINT_PALETTE[tone])} d="${d}"/>`)
    .join('');
  // The same way as `seen`, told to the picture: sheets go down where the world goes up.
  const mirror = pose.facing === 'left' ? `translate(${FIGURE_SIZE.width} 0) scale(-1 1) ` : '';
  const placed = `rotate(${pose.roll} ${middle.x} ${middle.y}) ${mirror}translate(${C7_AT.x} ${C7_AT.y}) scale(${PIXELS_PER_CM}) translate(${-c7.x} ${c7.y})`;

  const stroke = (a: Point, b: Point, color: string, width: number) =>
    `<line x1="${seen(a).x}" y1="${seen(a).y}" x2="${seen(b).x}" y2="${seen(b).y}" stroke="${color}" stroke-width="${width}" stroke-linecap="round"/>`;
  const dot = (point: Point, r: number, fill: string) =>
    `<circle cx="${seen(point).x}" cy="${seen(point).y}" r="${r}" fill="${fill}"/>`;
  const ticks = Array.from({ length: RULER_CM + 1 }, (_, index) =>
    stroke(
      { x: ruler.a.x, y: ruler.a.y - index },
      { x: ruler.a.x + (index % 5 === 0 ? 1.4 : 0.8), y: ruler.a.y - index },
      '#3d4a45',
      2,
    ),
  );
  const svg = `<svg xmlns="http://www.w3.org/2000/svg" width="${FIGURE_SIZE.width}" height="${FIGURE_SIZE.height}">
<rect width="100%" height="100%" fill="#dfe6e2"/>
${stroke(frame.a, frame.b, '#8a968f', 10)}
<g transform="${placed}"><g paint-order="stroke" stroke-linejoin="round" stroke-linecap="round">${shapes}</g></g>
${dot(tragus, 5, '#7a3d22')}
${dot(c7, 8, '#b3241b')}${dot(shoulder, 8, '#b3241b')}
${stroke(ruler.a, ruler.b, '#3d4a45', 4)}${ticks.join('')}
</svg>`;
  return {
    svg,
    forwardMm: (tragus.x - c7.x) * 10,
    marks: {
      facing: pose.facing,
      tragus: seen(tragus),
      c7: seen(c7),
      shoulder: seen(shoulder),
      eye: seen(eye),
      reference: { kind: 'vertical', a: seen(frame.a), b: seen(frame.b) },
      scale: { a: seen(ruler.a), b: seen(ruler.b), millimetres: millimetres(RULER_CM * 10) },
    },
  };
}
