import {
  BASE_POSES,
  type DrawnProp,
  type Figure,
  type Pose,
  SEAT_CM,
  add,
  cross,
  dot,
  minus,
  poseBetween,
  size,
  skeletonOf,
  turn,
  unit,
} from '@/core/figure';
import { type Flesh, HEAD_MIDDLE, bodyRings, fleshOf } from '@/core/figure/surface';
import { someOf } from '../../../tests/support/runs';
import { EXERCISES } from '..';
import { figureOf } from '.';

/** Skin and cloth give way so far, in cm; deeper something passes through something. */
const GIVES_CM = 1.1;

/** Frames looked at between two poses: nothing moves farther than a few centimetres from one to the next. */
const BETWEEN = 8;

const known = new WeakMap<Pose, readonly Flesh[]>();

/** The flesh of a pose, which several tests ask for. */
function fleshIn(pose: Pose): readonly Flesh[] {
  const flesh = known.get(pose) ?? fleshOf(skeletonOf(pose), pose);
  known.set(pose, flesh);
  return flesh;
}

/** Every pose, the way between those that a body goes between, and the fault. */
function frames({ poses, stages, path, fault }: Figure): (readonly [name: string, pose: Pose])[] {
  const ways = poses.flatMap((pose, i) => {
    const next = poses[i + 1] ?? (path === 'round' ? poses[0] : undefined);
    const own = [`pose ${i + 1}`, pose] as const;
    if (!next || stages) return [own];
    const between = Array.from({ length: BETWEEN - 1 }, (_, step) => {
      const share = (step + 1) / BETWEEN;
      return [`on the way from pose ${i + 1}`, poseBetween(pose, next, share)] as const;
    });
    return [own, ...between];
  });
  return fault ? [...ways, ['the fault', fault.pose]] : ways;
}

/** How deep a piece of the body is in a thing, in cm; less than nought outside it. */
function depthIn(prop: DrawnProp, { at: [x, y, z], radius }: Flesh): number {
  switch (prop.kind) {
    case 'wall':
      return prop.x > 0 ? x + radius - prop.x : prop.x - (x - radius);
    case 'chair': {
      const over = x > -18 && x < 22 && Math.abs(z) < 20 && y > SEAT_CM - 12;
      return over ? SEAT_CM - (y - radius) : -1;
    }
    case 'bench':
    case 'bed': {
      const [from, to] = prop.x;
      const over = x > from + 2 && x < to - 2 && y > prop.top - 16;
      return over ? prop.top - (y - radius) : -1;
    }
    case 'block': {
      if ('on' in prop.at) return -1;
      const [bx, by, bz] = prop.at;
      const [long, high, broad] = prop.size;
      const over = Math.abs(x - bx) < long / 2 - 1 && Math.abs(z - bz) < broad / 2;
      return over ? by + high / 2 - (y - radius) : -1;
    }
    case 'doorframe': {
      // A post 9 cm deep and 6 broad: how far a piece is inside its nearest face.
      const [dx, dz] = [4.5 + radius - Math.abs(x - prop.x), 3 + radius - Math.abs(z - prop.z)];
      return Math.min(dx, dz);
    }
    case 'mat':
    case 'ball':
    case 'roll':
    case 'pad':
    case 'pillow':
    case 'blanket':
    case 'weight':
    case 'wedge':
    case 'band':
    case 'cloth':
    case 'strap':
      // These give, or go with the body; the floor below is looked at.
      return -1;
  }
}

function throughs(figure: Figure): string[] {
  const found: string[] = [];
  for (const [name, pose] of frames(figure))
    for (const flesh of fleshIn(pose)) {
      const through = (what: string, depth: number) => {
        if (depth > GIVES_CM)
          found.push(`${name}: ${flesh.of} ${depth.toFixed(1)} cm in the ${what}`);
      };
      through('floor', flesh.radius - flesh.at[1]);
      for (const prop of figure.props) through(prop.kind, depthIn(prop, flesh));
    }
  return found;
}

const drawn = EXERCISES.map(({ id, name }) => {
  const figure = figureOf(id);
  if (!figure) throw new Error(`${id} has no figure.`);
  return [name, figure] as const;
});
/** Frame by frame; what an exercise's frames are is held for all of them by core/figure/worked.test.ts. */
const looked = someOf(drawn, 3);

describe('no part of a body passes through floor, wall, seat, bench, bed, block or door post', () => {
  it.each(looked)('%s', (_, figure) => {
    expect([...new Set(throughs(figure))]).toEqual([]);
  });

  it('would be seen', () => {
    const [, figure] = drawn.find(([name]) => name === 'Tuck to the wall or headrest') ?? [];
    const wall = figure?.props.find(({ kind }) => kind === 'wall');
    if (!figure || wall?.kind !== 'wall') throw new Error('no wall');
    const nearer = { ...figure, props: [{ ...wall, x: wall.x + 3 }] };
    expect(throughs(nearer).join()).toMatch(/trunk \d+\.\d cm in the wall/);
  });
});

describe('what hands and feet are laid on is touched by their skin', () => {
  it.each(looked)('%s', (_, figure) => {
    for (const pose of figure.poses) {
      const flesh = fleshIn(pose);
      for (const side of ['right', 'left'] as const) {
        const arm = pose.arms[side];
        if (arm.by !== 'goal' || typeof arm.to === 'string' || !arm.flat) continue;
        // On floor or wall: some of the hand is within a centimetre of it.
        const hand = flesh.filter(({ of }) => of === `hand${side === 'right' ? 'Right' : 'Left'}`);
        const upright = Math.abs(arm.flat[1]) > 0.7;
        const gap = Math.min(
          ...hand.map(({ at, radius }) =>
            upright ? Math.abs((arm.to as readonly number[])[0]! - at[0] - radius) : at[1] - radius,
          ),
        );
        expect(gap).toBeLessThan(2.5);
      }
    }
  });
});

/** Skin and hair give so far under a finger, in cm. */
const PRESSED_CM = 1.8;

/** Farther from the middle of a head nothing of it is, in cm. */
const HEAD_REACH_CM = 25;

/** From inside the head: along each piece of a hand, how deep it is under the skin there. */
function deepestInHead(pose: Pose, side: 'Right' | 'Left'): number {
  const skeleton = skeletonOf(pose);
  const flesh = fleshIn(pose);
  const { at, turn: turned } = skeleton.frames.head;
  const middle = add(at, turn(turned, HEAD_MIDDLE));
  const skin = flesh
    .filter(({ of }) => of === 'head')
    .map((piece) => minus(piece.at, middle))
    .map((out) => ({ way: unit(out), far: size(out) }));
  const depths = flesh
    .filter(({ of }) => of === `hand${side}`)
    .map((piece) => {
      const out = minus(piece.at, middle);
      const gap = size(out) - piece.radius;
      if (gap > HEAD_REACH_CM) return HEAD_REACH_CM - gap;
      const way = unit(out);
      const nearest = skin.reduce((best, one) =>
        dot(one.way, way) > dot(best.way, way) ? one : best,
      );
      return nearest.far - gap;
    });
  return Math.max(...depths);
}

describe('no hand goes into the head', () => {
  it.each(looked)('%s', (_, { poses, fault }) => {
    for (const [index, pose] of [...poses, ...(fault ? [fault.pose] : [])].entries())
      for (const side of ['Right', 'Left'] as const)
        expect([index, side, deepestInHead(pose, side) > PRESSED_CM]).toEqual([index, side, false]);
  });

  it('would be seen', () => {
    const base = BASE_POSES.sitting;
    const inside: Pose = {
      ...base,
      arms: {
        ...base.arms,
        right: { by: 'goal', to: 'forehead', offset: [-4, 0, 0], pole: [0.4, -1, 0.5] },
      },
    };
    expect(deepestInHead(inside, 'Right')).toBeGreaterThan(3);
    expect(deepestInHead(base, 'Right')).toBeLessThan(0);
  });
});

/** What lies on cloth and flesh presses in so far, in cm. */
const SUNK_CM = 2.2;
/** Hands that the back lies on, and fingers in the hollow over the collar bone, which no section has. */
const SUNK = new Set(['Curl-up, hands under the low back', 'Nod and hold, finger check']);

type Ring = ReturnType<typeof bodyRings>['neck'][number];
const ROOM = { right: [1, 0, 0], down: [0, 1, 0], near: [0, 0, 1] } as const;
/** A section speaks for what is so near its plane, in cm. */
const BESIDE_CM = 3;

/** How deep a ball is in a part told by its sections: along the way from the bone of the nearest one. */
function depthInPart(rings: readonly Ring[], { at, radius }: Flesh): number {
  const planes = rings.map((ring) => {
    const out = minus(at, ring.at);
    return { ring, out, aside: Math.abs(dot(out, unit(cross(ring.front, ring.right)))) };
  });
  const nearest = planes.reduce((best, one) => (one.aside < best.aside ? one : best));
  if (nearest.aside > BESIDE_CM) return -Infinity;
  const { ring, out } = nearest;
  const ahead = dot(out, ring.front) >= 0 ? ring.front : ring.back;
  const beside = dot(out, ring.right) >= 0 ? ring.right : ring.left;
  const [a, b] = [dot(out, ahead) / dot(ahead, ahead), dot(out, beside) / dot(beside, beside)];
  const far = Math.hypot(a * size(ahead), b * size(beside));
  const skin = far / Math.max(1e-6, Math.hypot(a, b));
  return skin - (far - radius);
}

function sunkHands(pose: Pose): string[] {
  const skeleton = skeletonOf(pose);
  const rings = bodyRings(skeleton, pose, ROOM);
  const flesh = fleshIn(pose);
  const parts = {
    trunk: rings.trunk.all,
    neck: rings.neck,
    'right thigh': rings.thigh.right,
    'left thigh': rings.thigh.left,
  };
  return (['handRight', 'handLeft'] as const).flatMap((hand) =>
    Object.entries(parts).flatMap(([part, of]) => {
      const depth = Math.max(
        ...flesh.filter((piece) => piece.of === hand).map((piece) => depthInPart(of, piece)),
      );
      return depth > SUNK_CM ? [`${hand} ${depth.toFixed(1)} cm in the ${part}`] : [];
    }),
  );
}

describe('no hand goes into trunk, neck or thigh', () => {
  it.each(looked.filter(([name]) => !SUNK.has(name)))('%s', (_, { poses, fault }) => {
    for (const pose of [...poses, ...(fault ? [fault.pose] : [])])
      expect(sunkHands(pose)).toEqual([]);
  });

  it('would be seen', () => {
    const base = BASE_POSES.sitting;
    expect(sunkHands(base)).toEqual([]);
    const inside: Pose = {
      ...base,
      arms: {
        ...base.arms,
        right: { by: 'goal', to: 'belly', offset: [-7, 0, 0], pole: [0, -1, 1] },
      },
    };
    expect(sunkHands(inside).join()).toMatch(/handRight \d+\.\d cm in the trunk/);
  });
});

/** Fingers that are clasped or lie over each other go between each other so far, in cm. */
const CLASPED_CM = 2.4;

/** How deep one hand is in the other, in cm; less than nought apart. */
function handsInOneAnother(pose: Pose): number {
  const flesh = fleshIn(pose);
  const [right, left] = (['handRight', 'handLeft'] as const).map((hand) =>
    flesh.filter(({ of }) => of === hand),
  );
  return Math.max(
    ...(right ?? []).flatMap((a) =>
      (left ?? []).map((b) => a.radius + b.radius - size(minus(a.at, b.at))),
    ),
  );
}

describe('no hand goes through the other', () => {
  it.each(looked)('%s', (_, { poses, fault }) => {
    for (const pose of [...poses, ...(fault ? [fault.pose] : [])])
      expect(handsInOneAnother(pose)).toBeLessThan(CLASPED_CM);
  });

  it('would be seen', () => {
    const { sitting } = BASE_POSES;
    const both = (z: number): Pose => ({
      ...sitting,
      arms: {
        right: { by: 'goal', to: [30, 80, z], pole: [-1, -1, 1], shape: 'fist' },
        left: { by: 'goal', to: [30, 80, 0 - z], pole: [-1, -1, -1], shape: 'fist' },
      },
    });
    expect(handsInOneAnother(both(-4))).toBeGreaterThan(CLASPED_CM);
    expect(handsInOneAnother(both(9))).toBeLessThan(0);
  });
});
