import { MARKS, type Skeleton, type Vec, SEAT_CM, add, dot, markAt, turn } from '../body';
import type { DrawnProp, Place } from '../figure';
import { capsule, disc, line, roundAbout } from './outline';
import type { Shape } from './shape';
import { type Camera, see } from './view';

/** How wide a seat, bed or bench is drawn, in cm. */
const BREADTH = 44;

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
      const seat = box([x + 2, SEAT_CM - 2, 0], [42, 4, 42]);
      const legs = [x - 17, x + 21].map((at) =>
        box([at, (SEAT_CM - 4) / 2, 0], [3, SEAT_CM - 4, 38]),
      );
      const rest = box([x - 20, SEAT_CM + 23, 0], [3.5, 46, 40]);
      return [seat, ...legs, ...(back ? [rest] : [])].map(behind);
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
      return [behind(box([(from + to) / 2, -1, 0], [to - from, 2, 56], 'thing-soft', 0.4))];
    }
    case 'bench': {
      const [from, to] = prop.x;
      return [
        behind(
          box([(from + to) / 2, prop.top / 2, 0], [to - from, prop.top, BREADTH], 'thing', 1.5),
        ),
      ];
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
        behind({ tone: 'thing-soft', d: roundAbout(profile.map((at) => [...flat(at), 0.6])), near: 0 }),
      ];
    }
    case 'band':
    case 'cloth':
    case 'strap': {
      const wide = prop.kind === 'band' ? 1.3 : 1.7;
      const points = prop.through.map((place) => placeOf(place, skeleton));
      const seen = points.map(flat);
      const near = Math.max(...points.map((at) => dot(camera.near, at)));
      const pieces = seen.slice(1).map((to, i) => {
        const from = seen[i] ?? to;
        return capsule([...from, wide], [...to, wide * 0.98]);
      });
      return [{ tone: 'thing', d: pieces.join(''), near: near + 6 }];
    }
  }
}

function corners([x, y, z]: Vec, [long, high, deep]: Vec): Vec[] {
  return [-1, 1].flatMap((a) =>
    [-1, 1].flatMap((b) =>
      [-1, 1].map((c): Vec => [x + (a * long) / 2, y + (b * high) / 2, z + (c * deep) / 2]),
    ),
  );
}
