import { arcCosine } from '../../units';
import { lengthOf } from '../body';
import { Pen, type Point } from './pen';

export type { Point } from './pen';

/** A disc on the sheet, in cm. */
export type Disc = readonly [x: number, y: number, radius: number];

const TURN = 2 * Math.PI;

const on = ([x, y, r]: Disc, angle: number): Point => [
  x + r * Math.cos(angle),
  y + r * Math.sin(angle),
];

/** Whether a disc lies within another; of two alike the first is kept. */
function covered(one: Disc, i: number, all: readonly Disc[]): boolean {
  return all.some((other, j) => {
    if (i === j) return false;
    const far = lengthOf(one[0] - other[0], one[1] - other[1]);
    const over = other[2] - one[2] - far;
    return over > 1e-6 || (over > -1e-6 && j < i);
  });
}

/**
 * The line round several discs as a rubber band lies about them, with true arcs at the discs; against
 * the clock. Corners never show, however large it is drawn. From disc to disc as a string is wrapped
 * round: the next is the one whose tangent is met first.
 */
export function roundAbout(all: readonly Disc[]): string {
  const discs = all.filter((one, i) => !covered(one, i, all));
  const [only] = discs;
  if (!only) return '';
  if (discs.length === 1) return disc(only);
  let current = discs.reduce((best, one) => (one[0] + one[2] > best[0] + best[2] ? one : best));
  const pen = new Pen().move(on(current, 0));
  let [angle, turned] = [0, 0];
  for (let step = 0; step < 2 * discs.length + 2; step += 1) {
    let [next, least] = [current, TURN];
    for (const one of discs) {
      if (one === current) continue;
      const down = (((angle - tangent(current, one)) % TURN) + TURN) % TURN;
      const by = down > TURN - 1e-7 ? 0 : down;
      if (by < least) [next, least] = [one, by];
    }
    if (turned + least >= TURN - 1e-7) break;
    angle -= least;
    turned += least;
    pen.arc(current[2], least > Math.PI, on(current, angle)).line(on(next, angle));
    current = next;
  }
  return pen
    .arc(current[2], TURN - turned > Math.PI, on(current, 0))
    .close()
    .toString();
}

/** Where a line that touches two discs leaves the first, seen from its middle, going against the clock. */
function tangent(a: Disc, b: Disc): number {
  const far = lengthOf(b[0] - a[0], b[1] - a[1]);
  const way = Math.atan2(b[1] - a[1], b[0] - a[0]);
  return way + arcCosine((a[2] - b[2]) / (far || 1));
}

/**
 * The closed line round two discs, with true arcs. The bigger disc alone when it covers the other.
 */
export function capsule(a: Disc, b: Disc): string {
  const far = lengthOf(b[0] - a[0], b[1] - a[1]);
  if (far <= Math.abs(a[2] - b[2]) + 0.05) return disc(a[2] > b[2] ? a : b);
  const way = Math.atan2(b[1] - a[1], b[0] - a[0]);
  const lean = Math.acos((a[2] - b[2]) / far);
  return new Pen()
    .move(on(a, way + lean))
    .line(on(b, way + lean))
    .arc(b[2], lean > Math.PI / 2, on(b, way - lean))
    .line(on(a, way - lean))
    .arc(a[2], lean < Math.PI / 2, on(a, way + lean))
    .close()
    .toString();
}

/** A string of beads, each pair with the lines that touch both: all turn the same way, so that they fill as one. */
export function chain(discs: readonly Disc[]): string {
  return discs
    .slice(1)
    .map((to, i) => capsule(discs[i] ?? to, to))
    .join('');
}

export function disc([x, y, r]: Disc): string {
  return new Pen()
    .move([x + r, y])
    .arc(r, true, [x - r, y])
    .arc(r, true, [x + r, y])
    .close()
    .toString();
}

export function line(points: readonly Point[]): string {
  const [first, ...others] = points;
  if (!first) return '';
  const pen = new Pen().move(first);
  for (const at of others) pen.line(at);
  return pen.toString();
}

export function closed(points: readonly Point[]): string {
  return points.length < 3 ? '' : `${line(points)}z`;
}

/**
 * A smooth line through points (centripetal Catmull–Rom, written as Bézier curves): it bends evenly
 * and makes no loop between points that lie unevenly (Yuksel, Schaefer & Keyser 2011; from memory).
 */
export function smooth(points: readonly Point[], isClosed = false): string {
  const [first] = points;
  if (!first) return '';
  const pen = smoothOn(new Pen().move(first), points, isClosed);
  return (isClosed ? pen.close() : pen).toString();
}

/** Goes on from the first point, where the pen is, along a smooth line. */
export function smoothOn(pen: Pen, points: readonly Point[], isClosed = false): Pen {
  const all = withoutTwins(points);
  const [first] = all;
  if (!first) return pen;
  if (all.length < 3) {
    for (const to of all.slice(1)) pen.line(to);
    return pen;
  }
  const n = all.length;
  const at = (i: number): Point =>
    all[isClosed ? (i + n) % n : Math.min(n - 1, Math.max(0, i))] ?? first;
  for (let i = 0; i < (isClosed ? n : n - 1); i += 1) {
    const [a, b, c, d] = [at(i - 1), at(i), at(i + 1), at(i + 2)];
    const [h1, h2] = handles(a, b, c, d);
    pen.curve(h1, h2, c);
  }
  return pen;
}

function handles(a: Point, b: Point, c: Point, d: Point): [Point, Point] {
  const [ab, bc, cd] = [gap(a, b), gap(b, c), gap(c, d)];
  const pull = (p: Point, before: number, q: Point, after: number, mid: Point): Point => {
    // Tangent at `mid`, scaled to the span `bc`.
    const sum = before + after;
    if (before < 1e-6 || sum < 1e-6) return [0, 0];
    const tx = (mid[0] - p[0]) / before - (q[0] - p[0]) / sum + (q[0] - mid[0]) / (after || 1);
    const ty = (mid[1] - p[1]) / before - (q[1] - p[1]) / sum + (q[1] - mid[1]) / (after || 1);
    return [tx, ty];
  };
  const t1 =
    ab < 1e-6
      ? ([c[0] - b[0], c[1] - b[1]].map((v) => v / bc) as [number, number])
      : pull(a, ab, c, bc, b);
  const t2 =
    cd < 1e-6
      ? ([c[0] - b[0], c[1] - b[1]].map((v) => v / bc) as [number, number])
      : pull(b, bc, d, cd, c);
  return [
    [b[0] + (t1[0] * bc) / 3, b[1] + (t1[1] * bc) / 3],
    [c[0] - (t2[0] * bc) / 3, c[1] - (t2[1] * bc) / 3],
  ];
}

const gap = (a: Point, b: Point) => Math.sqrt(lengthOf(a[0] - b[0], a[1] - b[1]));

function withoutTwins(points: readonly Point[]): Point[] {
  return points.filter((one, i) => {
    const before = points[i - 1];
    return !before || lengthOf(one[0] - before[0], one[1] - before[1]) > 0.05;
  });
}

/** The points that matter of a line: none left out is farther than `within` cm from it (Douglas & Peucker 1973). */
export function simpler(points: readonly Point[], within: number): Point[] {
  const [first] = points;
  const last = points.at(-1);
  if (!first || !last || points.length < 3) return [...points];
  let [worst, at] = [0, 0];
  for (let i = 1; i < points.length - 1; i += 1) {
    const far = fromLine(points[i] ?? first, first, last);
    if (far > worst) [worst, at] = [far, i];
  }
  if (worst <= within) return [first, last];
  return [
    ...simpler(points.slice(0, at + 1), within).slice(0, -1),
    ...simpler(points.slice(at), within),
  ];
}

function fromLine(p: Point, a: Point, b: Point): number {
  const [dx, dy] = [b[0] - a[0], b[1] - a[1]];
  const length = lengthOf(dx, dy);
  if (length < 1e-9) return lengthOf(p[0] - a[0], p[1] - a[1]);
  return Math.abs((p[0] - a[0]) * dy - (p[1] - a[1]) * dx) / length;
}
