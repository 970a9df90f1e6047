import { type Ring, beadsOf, edgesOf } from '../surface/section';
import { type Point, capsule, chain, disc, short, smoothOn } from './outline';

/** A bone seen shorter than this many of its half-breadths points at the viewer: it is drawn as beads. */
const POINTS_AT_VIEWER = 1.3;

const flat = ([x, y]: readonly number[]): Point => [x ?? 0, y ?? 0];

/**
 * One straight piece of a limb: its two edges as smooth lines, its ends round or cut off square.
 * Turns the same way as the beads do, so that pieces and beads fill as one.
 */
export function boneOutline(rings: readonly Ring[], ends: { from: boolean; to: boolean }): string {
  const beads = beadsOf(rings);
  const [first, last] = [beads[0], beads.at(-1)];
  if (!first || !last) return '';
  const long = Math.hypot(last[0] - first[0], last[1] - first[1]);
  const broad = Math.max(...beads.map(([, , r]) => r));
  if (long < POINTS_AT_VIEWER * broad) return chain(beads);
  const { one, other } = edgesOf(rings);
  const back = [...other].reverse();
  const cap = (round: boolean, r: number, to: Point) =>
    round
      ? `A${short(r)} ${short(r)} 0 0 0 ${short(to[0])} ${short(to[1])}`
      : `L${short(to[0])} ${short(to[1])}`;
  const [start, turn] = [flat(one[0] ?? [0, 0]), flat(back[0] ?? [0, 0])];
  return (
    `M${short(start[0])} ${short(start[1])}${smoothOn(one.map(flat))}` +
    `${cap(ends.to, last[2], turn)}${smoothOn(back.map(flat))}` +
    `${cap(ends.from, first[2], start)}Z`
  );
}

/** Two straight pieces and the joint between them. */
export function limbOutline(upper: readonly Ring[], lower: readonly Ring[]): string {
  const [above, below] = [beadsOf(upper).at(-1), beadsOf(lower)[0]];
  const joint = above && below ? capsule(above, below) + disc(below) : '';
  const round = { from: true, to: true };
  return boneOutline(upper, round) + joint + boneOutline(lower, round);
}

/** A row of sections whose ends are cut off along their own rims, as cloth ends in a hem. */
export function ribbon(
  rings: readonly Ring[],
  hems: { from: readonly Point[]; to: readonly Point[] },
): string {
  const { one, other } = edgesOf(rings);
  const back = [...other].reverse();
  const start = flat(one[0] ?? [0, 0]);
  const on = (points: readonly Point[]) =>
    points.map(([x, y]) => `L${short(x)} ${short(y)}`).join('');
  return (
    `M${short(start[0])} ${short(start[1])}${smoothOn(one.map(flat))}` +
    `${on(hems.to)}L${short(back[0]?.[0] ?? 0)} ${short(back[0]?.[1] ?? 0)}` +
    `${smoothOn(back.map(flat))}${on(hems.from)}Z`
  );
}
