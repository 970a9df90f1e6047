import { lengthOf } from '../body';
import type { Disc } from '../drawing/outline';
import type { Seen } from '../drawing/view';
import { type Sight, along, place } from './sight';

/**
 * A cross-section of a part: how far its skin is from a point of its bone, in cm. Front and back,
 * left and right may differ: the section is four quarters of ellipses.
 */
export type Section = {
  /** The point of the bone, in the part's frame. */
  readonly at: readonly [x: number, y: number, z: number];
  readonly front: number;
  readonly back: number;
  /** To each side; a part on the right side of the body and one on the left are alike. */
  readonly side: number;
};

/** A section on the sheet: its middle and its four half-axes. */
export type Ring = {
  readonly at: Seen;
  readonly front: Seen;
  readonly back: Seen;
  readonly right: Seen;
  readonly left: Seen;
};

const scaled = (v: Seen, by: number): Seen => [v[0] * by, v[1] * by, v[2] * by];
export const plus = (a: Seen, b: Seen): Seen => [a[0] + b[0], a[1] + b[1], a[2] + b[2]];

export function ringOf(sight: Sight, { at, front, back, side }: Section): Ring {
  const forward = along(sight, [1, 0, 0]);
  const aside = along(sight, [0, 0, 1]);
  return {
    at: place(sight, at),
    front: scaled(forward, front),
    back: scaled(forward, -back),
    right: scaled(aside, side),
    left: scaled(aside, -side),
  };
}

/**
 * The rim of a section from one edge of the outline to the other, along the side that is seen.
 *
 * @param from a direction across the bone, one long: the edge where it begins
 */
export function rimOf(
  { at, front, back, right, left }: Ring,
  [nx, ny]: Way,
): (readonly [number, number])[] {
  const steps = [-0.75, -0.5, -0.25, 0, 0.25, 0.5, 0.75];
  // The rim's own half-axes: across the sheet, and the one of both ends that is nearer.
  const toward = (v: Seen) => v[0] * nx + v[1] * ny;
  const wide = touch({ at, front, back, right, left }, [nx, ny]);
  const thin = touch({ at, front, back, right, left }, [-nx, -ny]);
  const middle: Way = [(wide[0] + thin[0]) / 2, (wide[1] + thin[1]) / 2];
  const half: Way = [(wide[0] - thin[0]) / 2, (wide[1] - thin[1]) / 2];
  const f = front[2] >= back[2] ? front : back;
  const s = right[2] >= left[2] ? right : left;
  // What of the nearer quarter does not go along the edge's own direction.
  const [cf, cs] = [Math.abs(toward(s)), Math.abs(toward(f))];
  const length = lengthOf(cf, cs) || 1;
  const bulge: Way = [(f[0] * cf + s[0] * cs) / length, (f[1] * cf + s[1] * cs) / length];
  const along = bulge[0] * nx + bulge[1] * ny;
  const out: Way = [bulge[0] - along * nx, bulge[1] - along * ny];
  return steps.map((t) => {
    const share = Math.sqrt(1 - t * t);
    return [middle[0] - t * half[0] + out[0] * share, middle[1] - t * half[1] + out[1] * share];
  });
}

type Way = readonly [x: number, y: number];

/**
 * The point of a section that lies farthest in a direction of the sheet: where the outline touches
 * it. For half-axes f and s it is (f·(f·n) + s·(s·n)) / √((f·n)² + (s·n)²) from the middle.
 *
 * @param way one long
 */
export function touch({ at, front, back, right, left }: Ring, [nx, ny]: Way): Seen {
  const reach = (v: Seen) => v[0] * nx + v[1] * ny;
  const f = reach(front) >= 0 ? front : back;
  const s = reach(right) >= 0 ? right : left;
  const [a, b] = [reach(f), reach(s)];
  const length = lengthOf(a, b);
  if (length < 1e-9) return at;
  return [
    at[0] + (f[0] * a + s[0] * b) / length,
    at[1] + (f[1] * a + s[1] * b) / length,
    at[2] + (f[2] * a + s[2] * b) / length,
  ];
}

/**
 * A point of a section's skin.
 *
 * @param degrees 0 in front, 90 to the right, 180 behind
 */
export function skinAt(ring: Ring, degrees: number): Seen {
  const angle = (degrees * Math.PI) / 180;
  const [cos, sin] = [Math.cos(angle), Math.sin(angle)];
  return plus(
    ring.at,
    plus(
      scaled(cos >= 0 ? ring.front : ring.back, Math.abs(cos)),
      scaled(sin >= 0 ? ring.right : ring.left, Math.abs(sin)),
    ),
  );
}

/** How much the skin there looks at the viewer: positive is seen. Not one long. */
export function looksAt(ring: Ring, degrees: number): number {
  const angle = (degrees * Math.PI) / 180;
  const [cos, sin] = [Math.cos(angle), Math.sin(angle)];
  const f = cos >= 0 ? ring.front : ring.back;
  const s = sin >= 0 ? ring.right : ring.left;
  // The normal of an ellipse leans to its shorter half-axis: a way one long, over its length.
  return Math.abs(cos) * nearness(f) + Math.abs(sin) * nearness(s);
}

const nearness = ([x, y, z]: Seen) => z / (x * x + y * y + z * z || 1);

/** The direction across the line of two middles on the sheet; `otherwise` where one hides the other. */
export function across(from: Seen, to: Seen, otherwise: Way): Way {
  const [dx, dy] = [to[0] - from[0], to[1] - from[1]];
  const length = lengthOf(dx, dy);
  return length < 0.5 ? otherwise : [-dy / length, dx / length];
}

/** A row of sections on the sheet, first to last. */
export type Edges = {
  /** Where the outline touches each section, on one side and on the other. */
  readonly one: readonly Seen[];
  readonly other: readonly Seen[];
  /** The direction across the bone at each. */
  readonly ways: readonly Way[];
};

export function edgesOf(rings: readonly Ring[]): Edges {
  const one: Seen[] = [];
  const other: Seen[] = [];
  const ways: Way[] = [];
  let way: Way = [1, 0];
  for (const [i, ring] of rings.entries()) {
    const from = rings[Math.max(0, i - 1)] ?? ring;
    const to = rings[Math.min(rings.length - 1, i + 1)] ?? ring;
    way = across(from.at, to.at, way);
    ways.push(way);
    one.push(touch(ring, way));
    other.push(touch(ring, [-way[0], -way[1]]));
  }
  return { one, other, ways };
}

/**
 * Round parts as beads on a string: each section as the disc that is as broad as it across its bone.
 * Drawn with the lines that touch two beads after each other they are a limb from every side, also
 * where it points at the viewer.
 */
export function beadsOf({ one, other }: Edges): Disc[] {
  return one.map((a, i) => {
    const b = other[i] ?? a;
    return [(a[0] + b[0]) / 2, (a[1] + b[1]) / 2, lengthOf(a[0] - b[0], a[1] - b[1]) / 2];
  });
}
