import { itemAt } from '../../units';
import { lengthOf } from '../body';
import type { Seen } from '../drawing/view';

const BINS = 160;
const COS = Array.from({ length: BINS }, (_, i) => Math.cos((i * 2 * Math.PI) / BINS));
const SIN = Array.from({ length: BINS }, (_, i) => Math.sin((i * 2 * Math.PI) / BINS));
const TURN = 2 * Math.PI;

/** An outline round a middle: how far out it is in each direction, evenly from the right against y down. */
export type Silhouette = {
  readonly middle: readonly [x: number, y: number];
  readonly far: readonly number[];
  /** Which points of the skin it runs between, the nearer one. */
  readonly by: readonly number[];
};

/**
 * The outline of a surface all of whose points are seen from a middle inside it: in every direction
 * of the sheet the farthest edge between two neighbouring points. It stays true where the surface
 * hollows, as under a nose.
 *
 * @param points the surface on the sheet, `columns` to a row, each row closed
 */
export function silhouetteOf(
  points: readonly Seen[],
  columns: number,
  [mx, my]: readonly [number, number],
): Silhouette {
  const far = new Array<number>(BINS).fill(0);
  const by = new Array<number>(BINS).fill(0);
  const rows = points.length / columns;
  const xs = points.map(([x]) => x - mx);
  const ys = points.map(([, y]) => y - my);
  // Few points lie at the outline: only theirs are reckoned.
  const known = new Map<number, number>();
  const bearing = (i: number) => {
    const before = known.get(i);
    if (before !== undefined) return before;
    const made = (Math.atan2(itemAt(ys, i), itemAt(xs, i)) + TURN) % TURN;
    known.set(i, made);
    return made;
  };
  const edge = (a: number, b: number) => {
    const [ax, ay, bx, by2] = [itemAt(xs, a), itemAt(ys, a), itemAt(xs, b), itemAt(ys, b)];
    let [from, to] = [bearing(a), bearing(b)];
    let [first, second] = [a, b];
    let wide = to - from;
    if (wide > Math.PI) wide -= TURN;
    if (wide < -Math.PI) wide += TURN;
    if (wide < 0) {
      [from, to] = [to, from];
      [first, second] = [b, a];
      wide = -wide;
    }
    const begin = Math.ceil((from * BINS) / TURN);
    const end = Math.floor(((from + wide) * BINS) / TURN);
    const cross = ax * by2 - ay * bx;
    for (let i = begin; i <= end; i += 1) {
      const bin = i % BINS;
      const [c, s] = [itemAt(COS, bin), itemAt(SIN, bin)];
      const across = c * (by2 - ay) - s * (bx - ax);
      const r =
        Math.abs(across) < 1e-9 ? Math.max(lengthOf(ax, ay), lengthOf(bx, by2)) : cross / across;
      if (r > itemAt(far, bin) && r < 60) {
        far[bin] = r;
        by[bin] = i - begin < (end - begin) / 2 ? first : second;
      }
    }
  };
  const turns = facings(xs, ys, columns, rows);
  for (let row = 0; row < rows; row += 1)
    for (let column = 0; column < columns; column += 1) {
      const here = row * columns + column;
      const before = (column + columns - 1) % columns;
      // Only where skin that is seen meets skin that is not can the outline run.
      if (row === 0 || row === rows - 1 || turns[here] !== turns[here - columns])
        edge(here, row * columns + ((column + 1) % columns));
      if (row + 1 < rows && turns[here] !== turns[row * columns + before])
        edge(here, here + columns);
    }
  return { middle: [mx, my], far, by };
}

/** Which way round each patch between four neighbours is seen: its sign tells front from back. */
function facings(
  xs: readonly number[],
  ys: readonly number[],
  columns: number,
  rows: number,
): boolean[] {
  const turns = new Array<boolean>((rows - 1) * columns);
  for (let row = 0; row + 1 < rows; row += 1)
    for (let column = 0; column < columns; column += 1) {
      const a = row * columns + column;
      const b = row * columns + ((column + 1) % columns);
      const [c, d] = [b + columns, a + columns];
      const one = (itemAt(xs, c) - itemAt(xs, a)) * (itemAt(ys, d) - itemAt(ys, b));
      const other = (itemAt(ys, c) - itemAt(ys, a)) * (itemAt(xs, d) - itemAt(xs, b));
      turns[a] = one > other;
    }
  return turns;
}

/** A point of it, so far outside the skin. */
export function outlinePoint(
  { middle, far }: Silhouette,
  bin: number,
  out = 0,
): readonly [number, number] {
  const i = ((bin % BINS) + BINS) % BINS;
  const r = itemAt(far, i) + out;
  return [middle[0] + r * itemAt(COS, i), middle[1] + r * itemAt(SIN, i)];
}

/** The direction of an outline that points so far right and down. */
export function binToward(x: number, y: number): number {
  return Math.round((((Math.atan2(y, x) + TURN) % TURN) * BINS) / TURN) % BINS;
}

/** Which direction of an outline a point of the sheet lies in. */
export function binOf(
  { middle }: Silhouette,
  [x, y]: readonly [number, number, ...number[]],
): number {
  return binToward(x - middle[0], y - middle[1]);
}

export { BINS };
