/** A disc on the sheet, in cm. */
export type Disc = readonly [x: number, y: number, radius: number];

type Point = readonly [x: number, y: number];

/** Millimetres are enough, and keep the drawing small. */
export function short(value: number): string {
  const text = (Math.round(value * 10) / 10).toString();
  return text === '-0' ? '0' : text;
}

const point = ([x, y]: Point) => `${short(x)} ${short(y)}`;

const STEPS = 14;

/** The closed line round several discs as round a string of beads, against the clock. */
export function around(discs: readonly Disc[], more: readonly Point[] = []): string {
  const points: Point[] = [...more];
  for (const [x, y, r] of discs) {
    const steps = r < 1 ? 5 : STEPS;
    for (let i = 0; i < steps; i += 1) {
      const angle = (i / steps) * 2 * Math.PI;
      points.push([x + r * Math.cos(angle), y + r * Math.sin(angle)]);
    }
  }
  const [first, ...others] = hull(points);
  return first ? `M${point(first)}L${others.map(point).join(' ')}Z` : '';
}

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

/**
 * The closed line round two discs, with true arcs: shorter than a hull of points. The bigger disc
 * alone when it covers the other.
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

export function disc([x, y, r]: Disc): string {
  const arc = (to: number) => `A${short(r)} ${short(r)} 0 1 0 ${short(to)} ${short(y)}`;
  return `M${short(x + r)} ${short(y)}${arc(x - r)}${arc(x + r)}Z`;
}

export function line(points: readonly Point[]): string {
  const [first, ...others] = points;
  return first ? `M${point(first)}L${others.map(point).join(' ')}` : '';
}
