import { itemAt } from '../../units';
import { lengthOf } from '../body';
import { type Edges, type Ring, beadsOf, edgesOf } from '../surface/section';
import { type Disc, capsule, chain, disc, smoothOn } from './outline';
import { Pen, type Point } from './pen';

/** A bone seen shorter than this many of its half-breadths points at the viewer: it is drawn as beads. */
const POINTS_AT_VIEWER = 1.3;

const flat = (at: readonly number[]): Point => [itemAt(at, 0), itemAt(at, 1)];

/** Whether the ends of a piece are round, or cut off square. */
type Ends = { readonly from: boolean; readonly to: boolean };
const ROUND: Ends = { from: true, to: true };

/**
 * One straight piece of a limb: its two edges as smooth lines, its ends round or cut off square.
 * Turns the same way as the beads do, so that pieces and beads fill as one.
 */
export function boneOutline(rings: readonly Ring[], ends: Ends = ROUND): string {
  const edges = edgesOf(rings);
  return boneBetween(edges, beadsOf(edges), ends);
}

function boneBetween({ one, other }: Edges, beads: readonly Disc[], ends: Ends): string {
  const [first, last] = [itemAt(beads, 0), itemAt(beads, -1)];
  const long = lengthOf(last[0] - first[0], last[1] - first[1]);
  const broad = Math.max(...beads.map(([, , r]) => r));
  if (long < POINTS_AT_VIEWER * broad) return chain(beads);
  const back = [...other].reverse();
  const [start, turn] = [flat(itemAt(one, 0)), flat(itemAt(back, 0))];
  const pen = smoothOn(new Pen().move(start), one.map(flat));
  if (ends.to) pen.arc(last[2], false, turn);
  else pen.line(turn);
  smoothOn(pen, back.map(flat));
  if (ends.from) pen.arc(first[2], false, start);
  return pen.close().toString();
}

/** Two straight pieces and the joint between them, and the beads at both ends of the whole. */
export function limbOutline(
  upper: readonly Ring[],
  lower: readonly Ring[],
): { readonly d: string; readonly from: Disc | null; readonly to: Disc | null } {
  const [a, b] = [edgesOf(upper), edgesOf(lower)];
  const [above, below] = [beadsOf(a), beadsOf(b)];
  const [end, begin] = [above.at(-1), below[0]];
  const joint = end && begin ? capsule(end, begin) + disc(begin) : '';
  return {
    d: boneBetween(a, above, ROUND) + joint + boneBetween(b, below, ROUND),
    from: above[0] ?? null,
    to: below.at(-1) ?? null,
  };
}

/** A row of sections whose ends are cut off along their own rims, as cloth ends in a hem. */
export function ribbon(
  { one, other }: Edges,
  hems: { readonly from: readonly Point[]; readonly to: readonly Point[] },
): string {
  const back = [...other].reverse();
  const pen = smoothOn(new Pen().move(flat(itemAt(one, 0))), one.map(flat));
  for (const at of [...hems.to, ...back.slice(0, 1).map(flat)]) pen.line(at);
  smoothOn(pen, back.map(flat));
  for (const at of hems.from) pen.line(at);
  return pen.close().toString();
}
