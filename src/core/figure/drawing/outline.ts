/** A disc on the sheet, in cm. */
export type Disc = readonly [x: number, y: number, radius: number];

export type Point = readonly [x: number, y: number];

/** Millimetres are enough, and keep the drawing small. */
export function short(value: number): string {
  const text = (Math.round(value * 10) / 10).toString();
  return text === '-0' ? '0' : text;
}

const point = ([x, y]: Point) => `${short(x)} ${short(y)}`;

/** Convex hull (Andrew's monotone chain), against the clock on a sheet whose y points down. */
export function hull(points: readonly Point[]): Point[] {
  const sorted = [...points].sort((a, b) => a[0] - b[0] || a[1] - b[1]);
  const half = (all: readonly Point[]) => {
    const kept: Point[] = [];
    for (const next of all) {
      while (kept.length >= 2 && bends(kept.at(-2), kept.at(-1), next) >= 0) kept.pop();
      kept.push(next);
    }
    return kept.slice(0, -1);
  };
  return [...half(sorted), ...half(sorted.reverse())];
}

function bends(a: Point | undefined, b: Point | undefined, c: Point): number {
  if (!a || !b) return -1;
  return (b[0] - a[0]) * (c[1] - a[1]) - (b[1] - a[1]) * (c[0] - a[0]);
}

const STEPS = 16;

/**
 * The line round several discs as a rubber band lies about them, with true arcs at the discs; against
 * the clock. Corners never show, however large it is drawn.
 */
export function roundAbout(discs: readonly Disc[]): string {
  const owned = new Map<string, number>();
  const points: Point[] = [];
  for (const [index, [x, y, r]] of discs.entries())
    for (let i = 0; i < STEPS; i += 1) {
      const angle = ((i + 0.5) / STEPS) * 2 * Math.PI;
      const at: Point = [x + r * Math.cos(angle), y + r * Math.sin(angle)];
      owned.set(at.join(), index);
      points.push(at);
    }
  const owners = hull(points).map((at) => owned.get(at.join()) ?? 0);
  // Runs of one disc become one arc of it.
  const order = owners.filter(
    (owner, i) => owner !== owners[(i + owners.length - 1) % owners.length],
  );
  const [only] = owners;
  if (order.length < 2) return only === undefined ? '' : disc(discs[only] ?? [0, 0, 0]);
  const round = order.flatMap((owner, i) => {
    const from = discs[owner];
    const to = discs[order[(i + 1) % order.length] ?? 0];
    return from && to ? [{ from, to, leaves: tangent(from, to) }] : [];
  });
  const on = ([x, y, r]: Disc, angle: number): Point => [
    x + r * Math.cos(angle),
    y + r * Math.sin(angle),
  ];
  const parts = round.map(({ from, to, leaves }, i) => {
    const before = round[(i + round.length - 1) % round.length];
    const turned =
      ((((before?.leaves ?? leaves) - leaves) % (2 * Math.PI)) + 2 * Math.PI) % (2 * Math.PI);
    const arc = `A${short(from[2])} ${short(from[2])} 0 ${turned > Math.PI ? 1 : 0} 0 ${point(on(from, leaves))}`;
    return `${arc}L${point(on(to, leaves))}`;
  });
  const last = round.at(-1);
  return last ? `M${point(on(last.to, last.leaves))}${parts.join('')}Z` : '';
}

/** Where a line that touches two discs leaves the first, seen from its middle, going against the clock. */
function tangent(a: Disc, b: Disc): number {
  const far = Math.hypot(b[0] - a[0], b[1] - a[1]);
  const way = Math.atan2(b[1] - a[1], b[0] - a[0]);
  return way + Math.acos(Math.min(1, Math.max(-1, (a[2] - b[2]) / (far || 1))));
}

/**
 * The closed line round two discs, with true arcs. The bigger disc alone when it covers the other.
 */
export function capsule(a: Disc, b: Disc): string {
  const far = Math.hypot(b[0] - a[0], b[1] - a[1]);
  if (far <= Math.abs(a[2] - b[2]) + 0.05) return disc(a[2] > b[2] ? a : b);
  const way = Math.atan2(b[1] - a[1], b[0] - a[0]);
  const lean = Math.acos((a[2] - b[2]) / far);
  const on = ([x, y, r]: Disc, angle: number): Point => [
    x + r * Math.cos(angle),
    y + r * Math.sin(angle),
  ];
  const arc = (r: number, large: boolean, to: Point) =>
    `A${short(r)} ${short(r)} 0 ${large ? 1 : 0} 0 ${point(to)}`;
  return (
    `M${point(on(a, way + lean))}L${point(on(b, way + lean))}` +
    `${arc(b[2], lean > Math.PI / 2, on(b, way - lean))}` +
    `L${point(on(a, way - lean))}${arc(a[2], lean < Math.PI / 2, on(a, way + lean))}Z`
  );
}

/** A string of beads, each pair with the lines that touch both: all turn the same way, so that they fill as one. */
export function chain(discs: readonly Disc[]): string {
  return discs
    .slice(1)
    .map((to, i) => capsule(discs[i] ?? to, to))
    .join('');
}

export function disc([x, y, r]: Disc): string {
  const arc = (to: number) => `A${short(r)} ${short(r)} 0 1 0 ${short(to)} ${short(y)}`;
  return `M${short(x + r)} ${short(y)}${arc(x - r)}${arc(x + r)}Z`;
}

export function line(points: readonly Point[]): string {
  const [first, ...others] = points;
  return first ? `M${point(first)}L${others.map(point).join(' ')}` : '';
}

export function closed(points: readonly Point[]): string {
  return points.length < 3 ? '' : `${line(points)}Z`;
}

/**
 * A smooth line through points (centripetal Catmull–Rom, written as Bézier curves): it bends evenly
 * and makes no loop between points that lie unevenly (Yuksel, Schaefer & Keyser 2011; from memory).
 */
export function smooth(points: readonly Point[], isClosed = false): string {
  const [first] = points;
  if (!first) return '';
  return `M${point(first)}${smoothOn(points, isClosed)}${isClosed ? 'Z' : ''}`;
}

/** The curves of a smooth line that goes on from its first point. */
export function smoothOn(points: readonly Point[], isClosed = false): string {
  const all = withoutTwins(points);
  const [first] = all;
  if (!first) return '';
  if (all.length < 3)
    return all
      .slice(1)
      .map((to) => `L${point(to)}`)
      .join('');
  const n = all.length;
  const at = (i: number): Point =>
    all[isClosed ? (i + n) % n : Math.min(n - 1, Math.max(0, i))] ?? first;
  const pieces = Array.from({ length: isClosed ? n : n - 1 }, (_, i) => {
    const [a, b, c, d] = [at(i - 1), at(i), at(i + 1), at(i + 2)];
    const [h1, h2] = handles(a, b, c, d);
    return `C${point(h1)} ${point(h2)} ${point(c)}`;
  });
  return pieces.join('');
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

const gap = (a: Point, b: Point) => Math.sqrt(Math.hypot(a[0] - b[0], a[1] - b[1]));

function withoutTwins(points: readonly Point[]): Point[] {
  return points.filter((one, i) => {
    const before = points[i - 1];
    return !before || Math.hypot(one[0] - before[0], one[1] - before[1]) > 0.05;
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
  const length = Math.hypot(dx, dy);
  if (length < 1e-9) return Math.hypot(p[0] - a[0], p[1] - a[1]);
  return Math.abs((p[0] - a[0]) * dy - (p[1] - a[1]) * dx) / length;
}
