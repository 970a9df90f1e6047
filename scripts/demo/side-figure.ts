import type { Facing, PhotoMarks, Point } from '@/core/measures';
import { millimetres } from '@/core/units';

/** How a drawn person stands. Angles in degrees. */
export type Pose = {
  readonly craniovertebralAngle: number;
  readonly headTilt: number;
  readonly facing: Facing;
  /** Turn of the camera, clockwise positive. */
  readonly roll: number;
};

export const FIGURE_SIZE = { width: 900, height: 1200 } as const;
const PIXELS_PER_MM = 1.7;
const C7_AT: Point = { x: 400, y: 640 };
const RULER_MM = 200;
const EAR_FROM_C7_MM = 150;
const EYE_FROM_EAR_MM = 78;

const radians = (angle: number) => (angle * Math.PI) / 180;

/**
 * A side view of a made-up person, drawn by us, with the marks that are true of it: a door frame
 * behind is upright, a ruler beside is 200 mm. World: millimetres forward and up of C7.
 */
export function sideFigure(pose: Pose): { readonly svg: string; readonly marks: PhotoMarks } {
  const angle = radians(pose.craniovertebralAngle);
  const tragus = { x: EAR_FROM_C7_MM * Math.cos(angle), y: EAR_FROM_C7_MM * Math.sin(angle) };
  const tilt = radians(pose.headTilt);
  /** A point of the head, by its place forward and up of the ear. */
  const head = (x: number, y: number): Point => ({
    x: tragus.x + x * Math.cos(tilt) - y * Math.sin(tilt),
    y: tragus.y + x * Math.sin(tilt) + y * Math.cos(tilt),
  });
  const shoulder = { x: 32, y: -78 };
  const frame = { a: { x: -170, y: 330 }, b: { x: -170, y: -290 } };
  const ruler = { a: { x: 190, y: -70 }, b: { x: 190, y: -70 - RULER_MM } };

  const roll = radians(pose.roll);
  const middle = { x: FIGURE_SIZE.width / 2, y: FIGURE_SIZE.height / 2 };
  /** World to picture: mirrored, scaled, then turned about the middle as the camera was. */
  function seen({ x, y }: Point): Point {
    const left = C7_AT.x + x * PIXELS_PER_MM;
    const px = pose.facing === 'left' ? FIGURE_SIZE.width - left : left;
    const py = C7_AT.y - y * PIXELS_PER_MM;
    const [dx, dy] = [px - middle.x, py - middle.y];
    return {
      x: middle.x + dx * Math.cos(roll) - dy * Math.sin(roll),
      y: middle.y + dx * Math.sin(roll) + dy * Math.cos(roll),
    };
  }
  const text = (point: Point) => {
    const { x, y } = seen(point);
    return `${x.toFixed(1)},${y.toFixed(1)}`;
  };
  const shape = (points: readonly Point[], fill: string) =>
    `<polygon points="${points.map(text).join(' ')}" fill="${fill}" stroke="#3d4a45" stroke-width="3" stroke-linejoin="round"/>`;
  const stroke = (a: Point, b: Point, color: string, width: number) =>
    `<line x1="${seen(a).x}" y1="${seen(a).y}" x2="${seen(b).x}" y2="${seen(b).y}" stroke="${color}" stroke-width="${width}" stroke-linecap="round"/>`;
  const dot = (point: Point, r: number, fill: string) =>
    `<circle cx="${seen(point).x}" cy="${seen(point).y}" r="${r}" fill="${fill}"/>`;

  const skull = Array.from({ length: 40 }, (_, index) => {
    const turn = (index / 40) * 2 * Math.PI;
    return head(-8 + 96 * Math.cos(turn), 42 + 86 * Math.sin(turn));
  });
  const face = [
    head(70, 95),
    head(90, 40),
    head(86, 10),
    head(116, -28),
    head(96, -38),
    head(101, -52),
    head(94, -64),
    head(92, -90),
    head(66, -104),
    head(8, -66),
    head(0, 0),
  ];
  const neck = [
    { x: 0, y: 0 },
    head(-74, -2),
    head(14, -60),
    head(40, -96),
    { x: 78, y: -62 },
    { x: 40, y: -70 },
  ];
  const trunk = [
    { x: 2, y: 2 },
    { x: -34, y: -60 },
    { x: -54, y: -160 },
    { x: -40, y: -340 },
    { x: 112, y: -340 },
    { x: 118, y: -170 },
    { x: 100, y: -90 },
    { x: 76, y: -62 },
  ];
  const ticks = Array.from({ length: RULER_MM / 10 + 1 }, (_, index) =>
    stroke(
      { x: ruler.a.x, y: ruler.a.y - index * 10 },
      { x: ruler.a.x + (index % 5 === 0 ? 14 : 8), y: ruler.a.y - index * 10 },
      '#3d4a45',
      2,
    ),
  );
  const svg = `<svg xmlns="http://www.w3.org/2000/svg" width="${FIGURE_SIZE.width}" height="${FIGURE_SIZE.height}">
<rect width="100%" height="100%" fill="#dfe6e2"/>
${stroke(frame.a, frame.b, '#8a968f', 10)}
${shape(neck, '#c9a68a')}${shape(trunk, '#7f9aa6')}${shape(skull, '#6b5a4c')}${shape(face, '#d3b196')}
${stroke(shoulder, { x: shoulder.x + 6, y: -330 }, '#3d4a45', 104)}${stroke(shoulder, { x: shoulder.x + 6, y: -330 }, '#8eaab6', 98)}
${dot(head(-6, 2), 24, '#c08f70')}${dot(tragus, 5, '#7a3d22')}
${dot(head(EYE_FROM_EAR_MM, 0), 5, '#26332e')}
${dot({ x: 0, y: 0 }, 8, '#b3241b')}${dot(shoulder, 8, '#b3241b')}
${stroke(ruler.a, ruler.b, '#3d4a45', 4)}${ticks.join('')}
</svg>`;
  return {
    svg,
    marks: {
      facing: pose.facing,
      tragus: seen(tragus),
      c7: seen({ x: 0, y: 0 }),
      shoulder: seen(shoulder),
      eye: seen(head(EYE_FROM_EAR_MM, 0)),
      reference: { kind: 'vertical', a: seen(frame.a), b: seen(frame.b) },
      scale: { a: seen(ruler.a), b: seen(ruler.b), millimetres: millimetres(RULER_MM) },
    },
  };
}
