import {
  MARKS,
  type Skeleton,
  type Vec,
  SEAT_CM,
  add,
  dot,
  markAt,
  minus,
  size,
  turn,
} from '../body';
import type { DrawnProp, Place } from '../figure';
import { chain, disc, line, roundAbout } from './outline';
import type { Shape } from './shape';
import { type Camera, isFromAbove, see } from './view';

/** How wide a seat, bed or bench is drawn, in cm. */
const BREADTH = 44;

/** How wide a mat is drawn from beside, in cm. */
const MAT_WIDE = 56;
/**
 * Looked down on it is the ground of whoever moves on it, so wide and so much longer at both ends, in cm: a
 * narrow one with a leg beyond it was taken for a bench with a leg that hangs.
 */
const GROUND = { wide: 170, longer: 16 } as const;

/** Where a place is in the room. */
export function placeOf(place: Place, { frames }: Skeleton): Vec {
  if (!('on' in place)) return place;
  const at = markAt(frames, place.on);
  return place.away ? add(at, turn(frames[MARKS[place.on].part].turn, place.away)) : at;
}

/** A thing as shapes on the sheet. */
export function propShapes(prop: DrawnProp, skeleton: Skeleton, camera: Camera): Shape[] {
  const flat = (at: Vec) => {
    const [x, y] = see(camera, at);
    return [x, y] as const;
  };
  const box = (middle: Vec, size: Vec, tone: Shape['tone'] = 'thing', round = 0.6): Shape => ({
    tone,
    d: roundAbout(corners(middle, size).map((at) => [...flat(at), round] as const)),
    near: dot(camera.near, middle),
  });
  const behind = (shape: Shape): Shape => ({ ...shape, near: -200 });
  switch (prop.kind) {
    case 'wall': {
      const { x, from = 0, to = 182 } = prop;
      // The wall's face as seen where the body touches it; what is behind it is hatched.
      const away = x > 0 ? 1 : -1;
      const rungs = Array.from({ length: 9 }, (_, i) => from + ((to - from) * (i + 1)) / 9);
      const hatch = rungs.map((y) => line([flat([x, y, 0]), flat([x + away * 5, y - 6, 0])]));
      return [
        {
          tone: 'thing-line',
          d: line([flat([x, from, 0]), flat([x, to, 0])]) + hatch.join(''),
          near: -200,
        },
      ];
    }
    case 'chair': {
      const { x = 0, back = true } = prop;
      const seat = box([x + 2, SEAT_CM - 1.8, 0], [43, 3.6, 42]);
      const post = (at: number, z: number, top: number) => box([at, top / 2, z], [3.2, top, 3.2]);
      const posts = [-19, 19].flatMap((z) => [
        post(x - 18, z, back ? SEAT_CM + 42 : SEAT_CM - 3),
        post(x + 21, z, SEAT_CM - 3),
      ]);
      const rest = box([x - 19, SEAT_CM + 32, 0], [2.4, 19, 38]);
      return [...posts, seat, ...(back ? [rest] : [])].map(behind);
    }
    case 'bed': {
      const [from, to] = prop.x;
      const middle = (from + to) / 2;
      return [
        behind(box([middle, prop.top - 8, 0], [to - from, 16, BREADTH * 1.6], 'thing-soft', 1.5)),
        behind(
          box([middle, (prop.top - 16) / 2, 0], [to - from - 8, prop.top - 18, BREADTH], 'thing'),
        ),
      ];
    }
    case 'mat': {
      const [from, to] = prop.x;
      const { wide, longer } = isFromAbove(camera) ? GROUND : { wide: MAT_WIDE, longer: 0 };
      const long = to - from + 2 * longer;
      return [behind(box([(from + to) / 2, -1, 0], [long, 2, wide], 'thing-soft', 0.4))];
    }
    case 'bench': {
      const [from, to] = prop.x;
      const leg = (x: number) => box([x, (prop.top - 6) / 2, 0], [4, prop.top - 7, BREADTH - 8]);
      return [
        leg(from + 7),
        leg(to - 7),
        box([(from + to) / 2, prop.top - 3, 0], [to - from, 6, BREADTH], 'thing-soft', 1.5),
      ].map(behind);
    }
    case 'doorframe':
      return [behind(box([prop.x, 100, prop.z], [9, 200, 6], 'thing', 0.3))];
    case 'ball':
    case 'roll': {
      const at = placeOf(prop.at, skeleton);
      const [x, y] = flat(at);
      const swirl = prop.kind === 'roll' ? disc([x, y, prop.radius * 0.45]) : '';
      const near = dot(camera.near, at);
      return [
        { tone: 'thing-soft', d: disc([x, y, prop.radius]), near },
        ...(swirl ? [{ tone: 'thing-line', d: swirl, near: near + 0.1 } as const] : []),
      ];
    }
    case 'pad':
    case 'pillow':
    case 'blanket':
    case 'weight':
    case 'block': {
      const soft = prop.kind === 'block' || prop.kind === 'weight' ? 'thing' : 'thing-soft';
      const round = prop.kind === 'pillow' ? 2.5 : 0.8;
      const at = placeOf(prop.at, skeleton);
      const size = prop.size.map((one) => Math.max(0.2, one - round * 2)) as unknown as Vec;
      return [box(at, size, soft, round)];
    }
    case 'wedge': {
      const { x, height, length } = prop;
      const profile: Vec[] = [
        [x, 0.3, 0],
        [x, height, 0],
        [x - 5, height - 0.6, 0],
        [x - length, 0.6, 0],
      ];
      return [
        behind({
          tone: 'thing-soft',
          d: roundAbout(profile.map((at) => [...flat(at), 0.6])),
          near: 0,
        }),
      ];
    }
    case 'band':
    case 'cloth':
    case 'strap':
      return ribbonShapes(prop, skeleton, camera);
  }
}

type Ribbon = Extract<DrawnProp, { kind: 'band' | 'cloth' | 'strap' }>;

/** How far the ends of a cloth hang from the hands that hold it, in cm. */
const TAIL_CM = 11;
/** A band is so broad at rest, and grows narrower as it is drawn long (its area stays). */
const BAND_CM = { broad: 2.2, least: 1.1, rest: 90 } as const;

/** A band, strap or cloth: it bends evenly round what it lies on; cloth hangs on beyond the hands. */
function ribbonShapes({ kind, through }: Ribbon, skeleton: Skeleton, camera: Camera): Shape[] {
  const places = through.map((at) => placeOf(at, skeleton));
  const hangs = ([x, y, z]: Vec): Vec => [x, y - TAIL_CM, z];
  const [first, last] = [places[0], places.at(-1)];
  const whole = kind === 'cloth' && first && last ? [hangs(first), ...places, hangs(last)] : places;
  const long = places.slice(1).reduce((sum, at, i) => sum + size(minus(at, places[i] ?? at)), 0);
  const wide =
    kind === 'band'
      ? Math.max(
          BAND_CM.least,
          Math.min(BAND_CM.broad, (BAND_CM.broad * BAND_CM.rest) / (long || 1)),
        )
      : 1.8;
  const [, , head] = see(camera, markAt(skeleton.frames, 'skull'));
  const beads = evenly(whole).map((at) => {
    const [x, y, near] = see(camera, at);
    return { bead: [x, y, wide] as const, behind: near < head };
  });
  // What goes round the back of the head or neck is hidden by it.
  const runs: { behind: boolean; beads: (readonly [number, number, number])[] }[] = [];
  for (const { bead, behind } of beads) {
    const run = runs.at(-1);
    if (run?.behind === behind) run.beads.push(bead);
    else runs.push({ behind, beads: [...(run ? run.beads.slice(-1) : []), bead] });
  }
  const before = Math.max(...places.map((at) => dot(camera.near, at))) + 6;
  return runs.map((run) => ({
    tone: 'thing',
    d: chain(run.beads),
    near: run.behind ? head - 2 : before,
  }));
}

const BETWEEN = 5;

/** Points between places on a curve through them, so that nothing that bends has corners. */
function evenly(places: readonly Vec[]): Vec[] {
  return places.flatMap((at, i) => {
    const next = places[i + 1];
    if (!next) return [at];
    const before = places[i - 1] ?? at;
    const after = places[i + 2] ?? next;
    return Array.from({ length: BETWEEN }, (_, step) =>
      onCurve(before, at, next, after, step / BETWEEN),
    );
  });
}

/** Catmull–Rom, drawn a little tighter than usual. */
function onCurve(a: Vec, b: Vec, c: Vec, d: Vec, t: number): Vec {
  const pull = 0.32;
  const axis = (i: 0 | 1 | 2) => {
    const [m1, m2] = [pull * (c[i] - a[i]), pull * (d[i] - b[i])];
    const [t2, t3] = [t * t, t * t * t];
    return (
      (2 * t3 - 3 * t2 + 1) * b[i] +
      (t3 - 2 * t2 + t) * m1 +
      (3 * t2 - 2 * t3) * c[i] +
      (t3 - t2) * m2
    );
  };
  return [axis(0), axis(1), axis(2)];
}

function corners([x, y, z]: Vec, [long, high, deep]: Vec): Vec[] {
  return [-1, 1].flatMap((a) =>
    [-1, 1].flatMap((b) =>
      [-1, 1].map((c): Vec => [x + (a * long) / 2, y + (b * high) / 2, z + (c * deep) / 2]),
    ),
  );
}
