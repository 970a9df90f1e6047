import { itemAt } from '../units';
import {
  add,
  type DrawnProp,
  markAt,
  type MarkName,
  MARKS,
  type Place,
  type Pose,
  SEAT_CM,
  skeletonOf,
  turn,
  type Vec,
} from '../figure';
import { rounded } from './range';

/** Things a drawing can have. */
export const THINGS = [
  'wall',
  'chair',
  'bed',
  'mat',
  'bench',
  'doorframe',
  'ball',
  'roll',
  'pad',
  'pillow',
  'block',
  'blanket',
  'weight',
  'wedge',
  'band',
  'cloth',
  'strap',
] as const satisfies readonly DrawnProp['kind'][];
export type Thing = (typeof THINGS)[number];

const MAT_CM: readonly [number, number] = [-92, 92];

/**
 * A thing where a body in this pose would first need it: a wall behind the head, a pillow under it, a
 * band between the hands. Sizes are common ones, ours.
 */
export function newThing(kind: Thing, pose: Pose): DrawnProp {
  const { frames } = skeletonOf(pose);
  const occiput = markAt(frames, 'occiput');
  const skull = markAt(frames, 'skull');
  const seat = markAt(frames, 'seat');
  const lowest = Math.min(seat[1], markAt(frames, 'buttocks')[1]);
  const between = (high: number): Vec => [
    skull[0],
    Math.max(high / 2, skull[1] - 10 - high / 2),
    0,
  ];
  const made = (): DrawnProp => {
    switch (kind) {
      case 'wall':
        return { kind, x: Math.min(occiput[0], markAt(frames, 'buttocks')[0]) - 0.5 };
      case 'chair':
        return { kind };
      case 'bed':
        return { kind, x: [seat[0] - 90, seat[0] + 30], top: lowest > 20 ? lowest : SEAT_CM };
      case 'mat':
        return { kind, x: MAT_CM };
      case 'bench':
        return { kind, x: [seat[0] - 30, seat[0] + 20], top: lowest > 10 ? lowest : SEAT_CM };
      case 'doorframe':
        return { kind, x: seat[0], z: 40 };
      case 'ball':
        return { kind, at: { on: 'palmRight', away: [3, 0, 0] }, radius: 4 };
      case 'roll':
        return { kind, at: { on: 'nape', away: [-5, 0, 0] }, radius: 5 };
      case 'pad':
        return { kind, at: { on: 'occiput', away: [-1.5, 0, 0] }, size: [3, 12, 14] };
      case 'pillow':
        return { kind, at: between(8), size: [30, 8, 40] };
      case 'blanket':
        return { kind, at: [seat[0] - 30, 2, 0], size: [66, 4, 44] };
      case 'block':
        return { kind, at: between(10), size: [14, 10, 30] };
      case 'weight':
        return { kind, at: { on: 'palmRight', away: [1.5, 0, 0] }, size: [5, 5, 16] };
      case 'wedge':
        return { kind, x: skull[0] + 10, height: 12, length: 30 };
      case 'band':
      case 'cloth':
      case 'strap':
        return { kind, through: [{ on: 'palmRight' }, { on: 'palmLeft' }] };
    }
  };
  return rounded(made());
}

/** A number of a thing that can be set, in cm: its name and where it stands in the thing. */
export type Measure = {
  readonly name: string;
  readonly value: number;
  readonly set: (value: number) => DrawnProp;
};

const AXES = ['forward', 'up', 'to the right'] as const;
const SIZES = ['long', 'high', 'broad'] as const;

const withPart = (vec: Vec, part: number, value: number): Vec => [
  part === 0 ? value : vec[0],
  part === 1 ? value : vec[1],
  part === 2 ? value : vec[2],
];

/** Every number of a thing, for fields. A thing on the body is told from that place of the body. */
export function measuresOf(prop: DrawnProp): Measure[] {
  const one = (name: string, value: number, set: Measure['set']): Measure => ({ name, value, set });
  switch (prop.kind) {
    case 'wall':
      return [one('forward', prop.x, (x) => ({ ...prop, x }))];
    case 'chair':
      return [one('forward', prop.x ?? 0, (x) => ({ ...prop, x }))];
    case 'mat':
      return ends(prop.x, (x) => ({ ...prop, x }));
    case 'bed':
    case 'bench':
      return [
        ...ends(prop.x, (x) => ({ ...prop, x })),
        one('top', prop.top, (top) => ({ ...prop, top })),
      ];
    case 'doorframe':
      return [
        one('forward', prop.x, (x) => ({ ...prop, x })),
        one('to the right', prop.z, (z) => ({ ...prop, z })),
      ];
    case 'wedge':
      return [
        one('forward', prop.x, (x) => ({ ...prop, x })),
        one('high', prop.height, (height) => ({ ...prop, height })),
        one('long', prop.length, (length) => ({ ...prop, length })),
      ];
    case 'ball':
    case 'roll':
      return [
        ...placed(prop.at, (at) => ({ ...prop, at })),
        one('radius', prop.radius, (radius) => ({ ...prop, radius })),
      ];
    case 'pad':
    case 'pillow':
    case 'block':
    case 'blanket':
    case 'weight':
      return [
        ...placed(prop.at, (at) => ({ ...prop, at })),
        ...SIZES.map((name, part) =>
          one(name, itemAt(prop.size, part), (value) => ({
            ...prop,
            size: withPart(prop.size, part, value),
          })),
        ),
      ];
    case 'band':
    case 'cloth':
    case 'strap':
      return prop.through.flatMap((place, end) =>
        'on' in place
          ? []
          : placed(place, (at) => ({
              ...prop,
              through: prop.through.map((other, index) => (index === end ? at : other)),
            })).map((measure) => ({ ...measure, name: `end ${end + 1}, ${measure.name}` })),
      );
  }
}

function placed(place: Place, set: (place: Place) => DrawnProp): Measure[] {
  const vec = 'on' in place ? (place.away ?? [0, 0, 0]) : place;
  return AXES.map((name, part) => ({
    name,
    value: itemAt(vec, part),
    set: (value) => {
      const next = withPart(vec, part, value);
      return set('on' in place ? { ...place, away: next } : next);
    },
  }));
}

function ends(
  [from, to]: readonly [number, number],
  set: (x: readonly [number, number]) => DrawnProp,
): Measure[] {
  return [
    { name: 'from', value: from, set: (value) => set([value, to]) },
    { name: 'to', value: to, set: (value) => set([from, value]) },
  ];
}

/** A place of a thing that can be hung elsewhere: on the body or in the room. */
export type Hanging = {
  readonly name: string;
  /** The place of the body it goes along with; null in the room. */
  readonly on: MarkName | null;
  readonly hang: (on: MarkName | null) => DrawnProp;
};

/** What of a thing can be put on the body, or taken off it to where it is in this pose. */
export function hangingsOf(prop: DrawnProp, pose: Pose): Hanging[] {
  const hanging = (name: string, place: Place, set: (place: Place) => DrawnProp): Hanging => ({
    name,
    on: 'on' in place ? place.on : null,
    hang: (on) => rounded(set(on === null ? inRoom(place, pose) : { on })),
  });
  switch (prop.kind) {
    case 'ball':
    case 'roll':
      return [hanging('is', prop.at, (at) => ({ ...prop, at }))];
    case 'pad':
    case 'pillow':
    case 'block':
    case 'blanket':
    case 'weight':
      return [hanging('is', prop.at, (at) => ({ ...prop, at }))];
    case 'band':
    case 'cloth':
    case 'strap':
      return prop.through.map((place, end) =>
        hanging(`end ${end + 1}`, place, (at) => ({
          ...prop,
          through: prop.through.map((other, index) => (index === end ? at : other)),
        })),
      );
    case 'wall':
    case 'chair':
    case 'bed':
    case 'mat':
    case 'bench':
    case 'doorframe':
    case 'wedge':
      return [];
  }
}

function inRoom(place: Place, pose: Pose): Vec {
  if (!('on' in place)) return place;
  const { frames } = skeletonOf(pose);
  const at = markAt(frames, place.on);
  return place.away ? add(at, turn(frames[MARKS[place.on].part].turn, place.away)) : at;
}
