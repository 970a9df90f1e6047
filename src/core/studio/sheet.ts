import { add, cameraFor, scale, see, type Vec, type View } from '../figure';

/** Where a place of the room lies on the sheet, in cm to the right and down. */
export function onSheet(view: View, place: Vec): readonly [x: number, y: number] {
  const [x, y] = see(cameraFor(view), place);
  return [x, y];
}

type Axes = { readonly right: Vec; readonly down: Vec; readonly near: Vec };

/**
 * The way a drag goes. A picture from the side is seen a little from the front, one from the front a
 * little from above; a hand dragged across it means straight across.
 */
const STRAIGHT: Readonly<Partial<Record<View, Axes>>> = {
  side: { right: [1, 0, 0], down: [0, -1, 0], near: [0, 0, 1] },
  front: { right: [0, 0, -1], down: [0, -1, 0], near: [1, 0, 0] },
  back: { right: [0, 0, 1], down: [0, -1, 0], near: [-1, 0, 0] },
};

/**
 * A move on the sheet as a move in the room, in cm.
 *
 * @param nearer towards the viewer
 * @example fromSheet('front', 10, 0) // [0, 0, -10]: to the person's left
 */
export function fromSheet(view: View, right: number, down: number, nearer = 0): Vec {
  const axes = STRAIGHT[view] ?? cameraFor(view);
  return add(add(scale(axes.right, right), scale(axes.down, down)), scale(axes.near, nearer));
}

type Point = readonly [x: number, y: number];

/** Rounds of pushing apart: after so many nothing moves that could be seen. */
const ROUNDS = 40;

/**
 * Points moved off each other so far that each can be taken hold of: both feet of somebody seen from the
 * side lie in one place. Those that are apart already stay where they are.
 *
 * @param apart the least distance between two, in the points' own unit
 * @example spread([[0, 0], [1, 0], [50, 0]], 5) // [[-2, 0], [3, 0], [50, 0]]
 */
export function spread(points: readonly Point[], apart: number): Point[] {
  const places = points.map(([x, y]): [number, number] => [x, y]);
  for (let round = 0; round < ROUNDS; round += 1) {
    let moved = false;
    for (const [i, a] of places.entries())
      for (const [j, b] of places.entries()) {
        if (j <= i) continue;
        const [dx, dy] = [b[0] - a[0], b[1] - a[1]];
        const distance = Math.hypot(dx, dy);
        if (distance >= apart - 1e-6) continue;
        moved = true;
        // Two in the very same place go apart to the sides.
        const [x, y] = distance < 1e-6 ? [1, 0] : [dx / distance, dy / distance];
        const by = (apart - distance) / 2;
        a[0] -= x * by;
        a[1] -= y * by;
        b[0] += x * by;
        b[1] += y * by;
      }
    if (!moved) break;
  }
  return places;
}
