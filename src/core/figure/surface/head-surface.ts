import type { Vec } from '../body';

/**
 * The head's skin, from the tragus of the ear, ear and eye level: x forward, y up, z to the right, in
 * cm. From memory of an adult's profile and breadths (depth 19.4, breadth 15.4, height 21.7).
 */
type Row = {
  readonly y: number;
  /** Skin behind and in front, the nose, lips and chin left out. */
  readonly back: number;
  readonly front: number;
  /** Where it is broadest, and half its breadth there. */
  readonly broad: number;
  readonly half: number;
  /** What nose, lips or chin add in the middle, and how far to the side they reach. */
  readonly bump: number;
  readonly reach: number;
};

const row = (
  y: number,
  back: number,
  front: number,
  broad: number,
  half: number,
  bump = 0,
  reach = 1.5,
): Row => ({ y, back, front, broad, half, bump, reach });

const ROWS: readonly Row[] = [
  row(13.15, -1.2, 1.6, 0.2, 1.2),
  row(12.5, -3.4, 4.0, 0.1, 3.6),
  row(11.2, -5.5, 6.3, -0.1, 5.4),
  row(9.4, -7.4, 8.0, -0.5, 6.6),
  row(7.2, -8.8, 9.0, -0.9, 7.4),
  row(5.0, -9.45, 9.45, -1, 7.7),
  row(3.7, -9.65, 9.6, -0.9, 7.55, 0.05),
  row(2.6, -9.7, 9.05, -0.4, 7.3, 0.2, 1.3),
  row(1.5, -9.7, 8.75, 0.2, 7.1, 0.95, 1.3),
  row(0.2, -9.6, 8.9, 0.8, 6.95, 1.85, 1.35),
  row(-0.8, -9.4, 9.05, 1.2, 6.9, 2.75, 1.45),
  row(-1.45, -9.2, 9.15, 1.3, 6.85, 2.4, 1.6),
  row(-2.05, -9.0, 9.3, 1.4, 6.75, 1.0, 1.5),
  row(-2.8, -8.6, 9.45, 1.5, 6.6, 0.9, 2.0),
  row(-3.4, -8.0, 9.6, 1.6, 6.45, 1.0, 2.3),
  row(-4.0, -7.0, 9.55, 1.7, 6.25, 0.45, 2.5),
  row(-4.7, -5.6, 9.5, 1.9, 6.0, 0.8, 2.2),
  row(-5.6, -3.2, 9.25, 2.2, 5.65, 0.45, 2.2),
  row(-6.9, -0.8, 9.2, 2.8, 4.9, 0.75, 2.2),
  row(-8.0, 2.0, 8.5, 4.0, 3.6, 0.85, 2.2),
  row(-8.6, 4.4, 7.3, 5.4, 2.0, 0.4, 1.8),
];

/** Where the ear's tragus is in the head's own frame. */
export const TRAGUS: Vec = [0.8, 1.2, 0];
/** Inside the head: every point of its skin is seen from here. */
export const HEAD_MIDDLE: Vec = [0.8, 2.6, 0];

/** Of a superellipse: 2 would be an ellipse, more is squarer. */
const SQUARE = 2.35;
const power = (share: number) => Math.sign(share) * Math.abs(share) ** (2 / SQUARE);

/** The point of a row at an angle: 0 in front, 90 to the right, 180 behind. */
function onRow({ y, back, front, broad, half, bump, reach }: Row, degrees: number): Vec {
  const angle = (degrees * Math.PI) / 180;
  const [cos, sin] = [power(Math.cos(angle)), power(Math.sin(angle))];
  const z = half * sin;
  const x = broad + (cos >= 0 ? front - broad : broad - back) * cos;
  const nose = Math.cos(angle) > 0 ? bump * Math.exp(-((z / reach) ** 2)) : 0;
  return [x + nose, y, z];
}

/** A row at any height, its numbers between those of its neighbours. */
function rowAt(y: number): Row {
  const top = ROWS[0] as Row;
  if (y >= top.y) return top;
  const i = ROWS.findIndex((one) => one.y <= y);
  const [above, below] = [ROWS[i - 1] ?? top, ROWS[i] ?? (ROWS.at(-1) as Row)];
  const share = above.y === below.y ? 0 : (above.y - y) / (above.y - below.y);
  const mix = (of: keyof Row) => above[of] + (below[of] - above[of]) * Math.min(1, share);
  return {
    y,
    back: mix('back'),
    front: mix('front'),
    broad: mix('broad'),
    half: mix('half'),
    bump: mix('bump'),
    reach: mix('reach'),
  };
}

/** The skin at a height, seen from the middle line at an angle (0 in front, 90 at the ear, 180 behind), in cm from the tragus. */
export function skinToward(y: number, bearing: number): Vec {
  const at = rowAt(y);
  let [low, high] = [0, 180];
  for (let i = 0; i < 20; i += 1) {
    const middle = (low + high) / 2;
    const [x, , z] = onRow(at, middle);
    if ((Math.atan2(z, x) * 180) / Math.PI < bearing) low = middle;
    else high = middle;
  }
  return onRow(at, (low + high) / 2);
}

/** The skin of the face at a height and so far to the right of the middle, in cm from the tragus. */
export function faceAt(y: number, z: number): Vec {
  const at = rowAt(y);
  let [low, high] = [0, 90];
  for (let i = 0; i < 20; i += 1) {
    const middle = (low + high) / 2;
    if (onRow(at, middle)[2] < Math.abs(z)) low = middle;
    else high = middle;
  }
  const [x, , side] = onRow(at, (low + high) / 2);
  return [x, y, z < 0 ? -side : side];
}

const ANGLES = [0, 6, 12, 19, 28, 40, 54, 70, 86, 104, 124, 146, 165, 180];

/** The hair's edge: how high it is at each bearing from the face (0) over the ear (90) to the nape (180). */
const HAIRLINE: readonly (readonly [bearing: number, y: number])[] = [
  [0, 9.2],
  [14, 9.3],
  [26, 9.0],
  [36, 8.0],
  [43, 6.4],
  [50, 4.8],
  [62, 3.4],
  [72, 0.8],
  [80, 0.6],
  [86, 2.9],
  [98, 3.7],
  [108, 2.6],
  [114, 0.2],
  [120, -2.6],
  [136, -4.4],
  [158, -5.0],
  [180, -5.2],
];

export function hairEdge(bearing: number): number {
  const at = Math.abs(bearing);
  const i = Math.max(
    1,
    HAIRLINE.findIndex(([degrees]) => degrees >= at),
  );
  const [a, b] = [HAIRLINE[i - 1], HAIRLINE[i]];
  if (!a || !b) return -5.2;
  return a[1] + ((b[1] - a[1]) * (at - a[0])) / (b[0] - a[0]);
}

const isHair = ([x, y, z]: Vec) => y > hairEdge((Math.atan2(z, x) * 180) / Math.PI);

const shifted = ([x, y, z]: Vec): Vec => [x + TRAGUS[0], y + TRAGUS[1], z + TRAGUS[2]];

export type SkinPoint = { readonly at: Vec; readonly hair: boolean };

const onTheLeft = ([x, y, z]: Vec): Vec => [x, y, -z];

function allOverTheSkin(): readonly SkinPoint[] {
  return ROWS.flatMap((one) => {
    const right = ANGLES.map((degrees) => {
      const at = onRow(one, degrees);
      return { at: shifted(at), hair: isHair(at) };
    });
    // Both sides of a head are one another's mirror; reckoning each would cost a phone twice the time.
    const left = right
      .slice(1, -1)
      .reverse()
      .map(({ at, hair }) => ({ at: onTheLeft(at), hair }));
    return [...right, ...left];
  });
}

let skin: readonly SkinPoint[] | null = null;

/**
 * Every point of the skin once, in the head's own frame, row after row from crown to chin. Found when a head
 * is first drawn: a page that only fetches the drawing does not wait for it.
 */
export function skinPoints(): readonly SkinPoint[] {
  skin ??= allOverTheSkin();
  return skin;
}

/** As many points stand in each row. */
export const COLUMNS = 2 * ANGLES.length - 2;

/** A place of the face with the way its skin looks, in the head's frame. */
export type Spot = { readonly at: Vec; readonly looks: Vec };

function spot(at: Vec, beside: Vec, above: Vec): Spot {
  const a = [beside[0] - at[0], beside[1] - at[1], beside[2] - at[2]] as const;
  const b = [above[0] - at[0], above[1] - at[1], above[2] - at[2]] as const;
  const n = [
    a[1] * b[2] - a[2] * b[1],
    a[2] * b[0] - a[0] * b[2],
    a[0] * b[1] - a[1] * b[0],
  ] as const;
  const out = n[0] * (at[0] - 0.5) + n[1] * (at[1] - 2) + n[2] * at[2] < 0 ? -1 : 1;
  const length = (Math.hypot(...n) || 1) * out;
  return { at: shifted(at), looks: [n[0] / length, n[1] / length, n[2] / length] };
}

export function faceSpot(y: number, z: number): Spot {
  return spot(faceAt(y, z), faceAt(y, z + (z < 0 ? -0.3 : 0.3)), faceAt(y + 0.3, z));
}

/** @param bearing 0 in front, 90 over the right ear, -90 over the left one */
export function sideSpot(y: number, bearing: number): Spot {
  const at = Math.abs(bearing);
  const more = at > 170 ? -4 : 4;
  const right = spot(skinToward(y, at), skinToward(y, at + more), skinToward(y + 0.4, at));
  return bearing < 0 ? leftOf(right) : right;
}

/** The same place on the left. */
export const leftOf = ({ at, looks }: Spot): Spot => ({
  at: onTheLeft(at),
  looks: onTheLeft(looks),
});

let hairEdgeOnSkin: readonly Spot[] | null = null;

/**
 * Round the head along the hair's edge, from the left nape over the forehead to the right nape. Found on the
 * skin when hair is first drawn.
 */
export function hairEdgeSpots(): readonly Spot[] {
  if (!hairEdgeOnSkin) {
    const right = HAIRLINE.map(([bearing, y]) => sideSpot(y, bearing));
    hairEdgeOnSkin = [...right.slice(1).map(leftOf).reverse(), ...right.slice(0, -1)];
  }
  return hairEdgeOnSkin;
}
