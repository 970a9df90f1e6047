import { type Frame, type Vec, add, dot, inverse, turn } from '../body';
import { around, hull, line, type Disc } from './outline';
import type { Shape } from './shape';
import { type Camera, see } from './view';

const SKULL = { at: [1, 5.5, 0] as Vec, half: [9.8, 9, 7.6] as Vec };
const NEAR_THE_FACE = 4;

/** The outline of an ellipsoid: its farthest point in each direction of the sheet. */
function skullOutline(head: Frame, camera: Camera): (readonly [number, number])[] {
  return Array.from({ length: 22 }, (_, i) => {
    const angle = (i / 22) * 2 * Math.PI;
    const way = add(scaled(camera.right, Math.cos(angle)), scaled(camera.down, Math.sin(angle)));
    const own = turn(inverse(head.turn), way);
    const stretched: Vec = [own[0] * SKULL.half[0], own[1] * SKULL.half[1], own[2] * SKULL.half[2]];
    const length = Math.hypot(...stretched) || 1;
    const at: Vec = [
      SKULL.at[0] + (stretched[0] * SKULL.half[0]) / length,
      SKULL.at[1] + (stretched[1] * SKULL.half[1]) / length,
      SKULL.at[2] + (stretched[2] * SKULL.half[2]) / length,
    ];
    const [x, y] = see(camera, add(head.at, turn(head.turn, at)));
    return [x, y] as const;
  });
}

const scaled = (v: Vec, by: number): Vec => [v[0] * by, v[1] * by, v[2] * by];

/** The head: skull, jaw, nose, and the marks that say where the face looks. */
export function headShapes(head: Frame, jawDegrees: number, camera: Camera): Shape[] {
  const place = (at: Vec) => see(camera, add(head.at, turn(head.turn, at)));
  const bead = (at: Vec, radius: number): Disc => {
    const [x, y] = place(at);
    return [x, y, radius];
  };
  const faces = (way: Vec) => dot(camera.near, turn(head.turn, way));
  const skull = skullOutline(head, camera);
  const drop = jawDegrees / 7;
  const jaw = [
    bead([7.6 - drop * 0.4, -5.2 - drop, 0], 2.6),
    bead([1.6, -3.4, 5], 2.2),
    bead([1.6, -3.4, -5], 2.2),
    bead([7.2, -0.5, 4], 2.8),
    bead([7.2, -0.5, -4], 2.8),
  ];
  const nose = [bead([10, 3, 0], 0.7), bead([12.4, -0.8, 0], 0.9), bead([10, -2, 0], 0.7)];
  const outline = around(jaw, skull) + around(nose);
  const near = dot(camera.near, add(head.at, turn(head.turn, [1, 4, 0])));
  const marks: string[] = [];
  for (const z of [1, -1] as const) {
    if (faces([0.9, 0.1, 0.42 * z]) > 0.12) {
      const [x, y] = place([9.5, 2.8, 3.3 * z]);
      marks.push(
        line([
          [x, y - 0.55],
          [x, y + 0.55],
        ]),
      );
    }
    if (faces([0, 0, z]) > 0.25) {
      const rim = [0, 1, 2, 3, 4, 5].map((i): Vec => {
        const angle = (i / 5) * 4.6 - 0.6;
        return [0.2 - 1.7 * Math.cos(angle), 0.8 + 2.6 * Math.sin(angle), 7.5 * z];
      });
      marks.push(line(rim.map((at) => place(at)).map(([x, y]) => [x, y] as const)));
    }
  }
  if (faces([1, 0, 0]) > -0.2) {
    const lips: Vec[] = [
      [9, -3.1, 2],
      [10.3, -3.9, 0],
      [9, -3.1, -2],
    ];
    const seen = lips.filter((_, i) => i === 1 || faces([0.75, 0, i === 0 ? 0.65 : -0.65]) > 0);
    if (seen.length > 1)
      marks.push(line(seen.map((at) => place(at)).map(([x, y]) => [x, y] as const)));
  }
  return [
    { tone: 'skin', d: outline, near: near + NEAR_THE_FACE },
    ...(marks.length > 0
      ? [{ tone: 'mark', d: marks.join(''), near: near + NEAR_THE_FACE + 0.01 } as const]
      : []),
  ];
}

/** Only the outline, for where the head was before. */
export function headOutline(head: Frame, camera: Camera): string {
  const [first, ...others] = hull(skullOutline(head, camera));
  return first ? line([first, ...others, first]) : '';
}
