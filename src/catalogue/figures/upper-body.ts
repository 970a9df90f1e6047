import type { DrawnProp, Figure } from '@/core/figure';
import { MAT, angles, ankle, changed, figure, hands, headOn, on, pose, push } from './kit';

const SIT = pose('sitting', { head: { back: 0 } });
const STAND = pose('standing', { head: { back: 0 } });

const shoulders = (up: number, back: number, head = 0) =>
  changed(STAND, { blades: { up, back }, head: { back: head } });

const CLASP = hands([-24, 66, 3], { pole: [-0.6, 0, 1] });

/** Turned so that the head lies to the left of the picture. */
const ON_LEFT = -90;

/** On the left side, knees bent; upper arm and chest open backward, `share` of the way. */
const open = (share: number, knees = 0) =>
  pose('on the side', {
    pelvis: { turn: ON_LEFT },
    lumbar: { turn: 8 * share },
    thorax: { turn: 38 * share },
    head: { turn: 50 * share },
    arms: { right: angles(84 - 40 * share, 78 * share, 6), left: angles(84, -8, 4) },
    contacts: [on('sideOfHipLeft', 'y', 5.5), on('seat', 'x')],
    legs: { right: angles(64, knees, 88), left: angles(64, 0, 88) },
  });

const BLOCK_TOP = 8;
/** The middle of the upper back on a block, head resting beyond it. */
const overBlock = (more: number, arms: ReturnType<typeof hands>) =>
  headOn(
    pose('lying', {
      pelvis: { flex: -79 },
      lumbar: { flex: -5 },
      thorax: { flex: -8 - more },
      arms,
      legs: { right: ankle([38, 6.6, 10]), left: ankle([38, 6.6, -10]) },
    }),
    2,
    -4,
  );

const SLIDE_CM = 34;
const WALL: DrawnProp = { kind: 'wall', x: SLIDE_CM };
/** Facing a wall, palms on it at a height. */
const slide = (y: number, z: number, blades = 0) =>
  pose('standing', {
    pelvis: { flex: 2 },
    blades: { up: blades },
    arms: hands([SLIDE_CM, y, z], { pole: [-0.2, -0.5, 1], flat: [0, 1, 0] }),
    contacts: [on('heelRight', 'y'), { mark: 'ankleRight', axis: 'x', at: 0 }],
  });
const WALL_CM = 82;
const PUSH_WALL: DrawnProp = { kind: 'wall', x: WALL_CM };
/** Hands and feet stay: the farther the blades go forward, the less the body leans. */
const lean = (back: number, bent = 0) =>
  pose('standing', {
    pelvis: { flex: 9 + back * 0.3 + bent },
    legs: angles(-9 - back * 0.3 - bent, 2, 0, { end: 9 + back * 0.3 + bent }),
    blades: { back },
    arms: hands([WALL_CM - 1.6, 128, 19], {
      pole: [0, -1, 0.3],
      flat: [-0.25, 1, 0],
      faces: [1, 0.25, 0],
    }),
    contacts: [on('ballRight', 'y', 0.3), { mark: 'ballRight', axis: 'x', at: 0 }],
  });

const FAR = [92, 118, 0] as const;
const pull = (height: number): DrawnProp => ({
  kind: 'band',
  through: [{ on: 'palmRight' }, [FAR[0], height, 2], { on: 'palmLeft' }],
});
const rowHands = (x: number, y: number, z: number) => hands([x, y, z], { pole: [-1, -0.3, 0.6] });

const prone = (change: Parameters<typeof pose>[1]) =>
  pose('face down', { head: { back: 0.28, nod: 4 }, ...change });

/** Out to the side, over 90 down to the floor, under 90 lifted behind the trunk; thumb up. */
const wide = (out: number) => angles(-90, out, 4, { shape: 'flat' });

const overhead = angles(172, 16, 26);

export const UPPER_BODY: Readonly<Record<string, Figure>> = {
  'shoulder-rolls': figure({
    path: 'round',
    crop: 'upper',
    poses: {
      'Shoulders low': shoulders(-1, 0),
      'Up to the ears': shoulders(5, 0),
      'And back': shoulders(3, 4),
      'Down, the chest open': shoulders(-1.5, 3, 0.2),
    },
    works: ['upper trapezius', 'between the blades'],
    fault: ['Chin pokes', shoulders(5, -2, -1)],
  }),
  'clasp-and-open': figure({
    poses: {
      'Hands clasped behind the seat': changed(SIT, { arms: CLASP }),
      'Blades together, chest up': changed(SIT, {
        arms: CLASP,
        blades: { back: 4 },
        thorax: { flex: -8 },
      }),
      'Looks slightly up, then tucks': changed(SIT, {
        arms: CLASP,
        blades: { back: 4 },
        thorax: { flex: -10 },
        head: { back: 0.6, nod: 4 },
      }),
    },
    props: [{ kind: 'chair', back: false }],
    works: ['between the blades', 'deep neck flexors'],
    fault: [
      'Looks up from the neck',
      changed(SIT, { arms: CLASP, head: { back: -0.2, nod: -42 } }),
    ],
  }),
  'side-lying-opening': figure({
    view: 'above',
    poses: {
      'On the side, knees bent, palms together': open(0),
      'The upper arm and chest open, knees stay': open(1),
    },
    props: [MAT],
    stretches: ['chest'],
    fault: ['Knees come apart', open(1, 40)],
  }),
  'block-opening': figure({
    poses: {
      'Upper back on the block, knees bent': overBlock(
        0,
        hands('belly', { away: [0, 2, 6], pole: [0, -0.5, 1] }),
      ),
      'Let the chest open over it': overBlock(
        8,
        hands([-30, 1.9, 52], { pole: [0.2, 0.12, 1], flat: [0.5, 0, 1], faces: [0, 1, 0] }),
      ),
    },
    props: [MAT, { kind: 'block', at: [-38, BLOCK_TOP / 2, 0], size: [12, BLOCK_TOP, 40] }],
    stretches: ['chest'],
    fault: [
      'Block under the low back',
      headOn(
        pose('lying', {
          pelvis: { flex: -82 },
          lumbar: { flex: -24 },
          thorax: { flex: 10 },
          legs: { right: ankle([24, 6.6, 10]), left: ankle([24, 6.6, -10]) },
          contacts: [on('lowBack', 'y', BLOCK_TOP + 0.4), on('lowBack', 'x', -38)],
        }),
        0,
        -4,
      ),
    ],
  }),
  'blade-set': figure({
    view: 'back',
    crop: 'upper',
    poses: {
      'Shoulders at rest': changed(STAND, { blades: { up: 1, back: 0 } }),
      'Blades draw down and back': changed(STAND, { blades: { up: -1.5, back: 3 } }),
    },
    works: ['lower trapezius', 'between the blades'],
    fault: ['Shrugs first', changed(STAND, { blades: { up: 5, back: 1 } })],
  }),
  'wall-slide': figure({
    poses: {
      'Forearms up the wall, elbows low': slide(149, 17),
      'Arms slide up, shoulders stay low': slide(186, 17, 1),
    },
    props: [WALL],
    works: ['serratus', 'lower trapezius'],
    fault: ['Shoulders reach the ears', slide(186, 17, 7)],
  }),
  'floor-push-away': figure({
    pushes: [push('palmRight', [1, 0, 0], 1)],
    poses: {
      'Arms straight, chest sunk between the blades': lean(3),
      'The wall pushed away, upper back broad': lean(-3.5),
    },
    props: [PUSH_WALL],
    works: ['serratus'],
    fault: ['Elbows bend', lean(2, 3)],
  }),
  'band-row': figure({
    poses: {
      'Arms forward, the band just tight': changed(STAND, {
        arms: rowHands(46, 112, 8),
        grip: true,
      }),
      'Elbows drawn back to the waist': changed(STAND, {
        arms: rowHands(14, 110, 18),
        blades: { back: 3, up: -1 },
        grip: true,
      }),
    },
    props: [pull(112), { kind: 'wall', x: FAR[0] }],
    works: ['between the blades', 'upper arm'],
    fault: [
      'Shoulders shrug',
      changed(STAND, {
        arms: rowHands(16, 116, 18),
        blades: { up: 6 },
        head: { back: -0.7 },
        grip: true,
      }),
    ],
  }),
  'band-pull': figure({
    poses: {
      'Arms forward, the band just tight': changed(STAND, {
        arms: rowHands(48, 138, 8),
        grip: true,
      }),
      'Hands drawn to the face, elbows wide': changed(STAND, {
        arms: hands([17, 152, 20], { pole: [-0.5, 0, 1] }),
        blades: { back: 3, up: -0.5 },
        grip: true,
      }),
      'Then raised, blades down': changed(STAND, {
        arms: hands([6, 186, 22], { pole: [-0.3, 0, 1] }),
        blades: { back: 3, up: 0 },
        grip: true,
      }),
    },
    props: [pull(144), { kind: 'wall', x: FAR[0] }],
    works: ['between the blades', 'lower trapezius'],
    fault: [
      'Shoulders shrug',
      changed(STAND, {
        arms: hands([17, 156, 20], { pole: [-0.5, 0, 1] }),
        blades: { up: 7 },
        head: { back: -0.8 },
        grip: true,
      }),
    ],
  }),
  'prone-arms-wide': figure({
    view: 'front',
    poses: {
      'Face down, arms out wide, thumbs up': prone({ arms: wide(96) }),
      'Arms lift a little, blades together': prone({
        arms: wide(74),
        blades: { back: 3 },
      }),
    },
    props: [MAT],
    works: ['between the blades', 'lower trapezius'],
    fault: ['Shrugs', prone({ arms: wide(78), blades: { up: 5 } })],
  }),
  'overhead-shrug': figure({
    view: 'front',
    crop: 'upper',
    poses: {
      'Arms overhead, a tuck': changed(STAND, { arms: overhead, head: { back: 0.5 } }),
      'Shoulders lifted to the ears and held, the tuck kept': changed(STAND, {
        arms: overhead,
        blades: { up: 4.5 },
        head: { back: 0.6 },
      }),
    },
    works: ['upper trapezius', 'serratus'],
    fault: [
      'Chin pokes during the shrug',
      changed(STAND, { arms: overhead, blades: { up: 4.5 }, head: { back: -1, nod: -8 } }),
    ],
  }),
};
