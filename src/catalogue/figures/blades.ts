import type { DrawnProp, Figure } from '@/core/figure';
import { CHAIR, MAT, angles, changed, figure, hand, hands, pose } from './kit';

/** Shoulder blades and upper back, second half: against a wall, face down, with a band, overhead. */
const SIT = pose('sitting', { head: { back: 0 } });
const STAND = pose('standing', { head: { back: 0 } });

const WALL_X = -13;
/** Back at a wall, the backs of the arms on it, so high and so wide. */
const angel = (y: number, z: number, more: Parameters<typeof pose>[1] = {}) =>
  changed(STAND, {
    arms: hands([WALL_X + 5, y, z], { pole: [-0.1, -1, 0.5], faces: [1, 0, 0], flat: [0, 1, 0] }),
    head: { back: 0.5 },
    ...more,
  });

const prone = (change: Parameters<typeof pose>[1]) =>
  pose('face down', { head: { back: 0.28, nod: 4 }, ...change });
const Y_ARMS = (up: number) => angles(171 + up, 34, 4, { twist: 90, shape: 'flat' });
/** Elbows bent beside the ribs, hands level with the head: so high off the floor. */
const w = (y: number) => hands([52, y, 36], { pole: [-1, 0.3, 0.9], faces: [0, -1, 0] });

const BAND: DrawnProp = { kind: 'band', through: [{ on: 'palmRight' }, { on: 'palmLeft' }] };
const apart = (x: number, z: number) => hands([x, 134, z], { pole: [-0.6, -0.4, 1] });
const turnedOut = (x: number, z: number) => hands([x, 106, z], { pole: [-0.6, -1, 0.15] });

const overSide = (degrees: number, blades = 0) =>
  changed(STAND, {
    lumbar: { side: 0 - degrees * 0.55 },
    thorax: { side: 0 - degrees * 0.45 },
    head: { side: 0 - degrees * 0.2 },
    arms: {
      right: angles(168, 24, 18),
      left: hand('sideOfHipLeft', { away: [0, 4, -1], pole: [-0.4, 0.2, -1] }),
    },
    blades: { up: blades },
  });

const BEHIND_HEAD = hands('upperOcciput', {
  away: [-1, 0, 3.4],
  pole: [0.2, 0.3, 1],
  flat: [-0.2, 0.2, -1],
});

/** A warm or cold pack laid over the base of the neck. */
const pack = (feels: 'warm' | 'cold'): DrawnProp => ({
  kind: 'pad',
  at: { on: 'neckBase', away: [1.2, -4.9, 0] },
  size: [3, 11, 20],
  feels,
});

export const BLADES: Readonly<Record<string, Figure>> = {
  'wall-angel': figure({
    view: 'front',
    poses: {
      'Back to the wall, elbows bent, forearms up': angel(166, 46),
      'Arms slide up the wall, ribs and head stay': angel(194, 34),
    },
    works: ['lower trapezius', 'between the blades'],
    fault: ['Low back arches', angel(190, 34, { lumbar: { flex: -18 }, head: { back: -0.6 } })],
  }),
  'prone-y': figure({
    poses: {
      'Face down, arms long in a Y, thumbs up': prone({ arms: Y_ARMS(0) }),
      'Arms lift a little, shoulders away from the ears': prone({
        arms: Y_ARMS(11),
        blades: { back: 2, up: -1 },
      }),
    },
    props: [MAT],
    works: ['lower trapezius'],
    fault: ['Shrugs', prone({ arms: Y_ARMS(9), blades: { up: 5 } })],
  }),
  'prone-w': figure({
    view: 'front',
    poses: {
      'Face down, elbows bent by the ribs': prone({ arms: w(1.4) }),
      'Hands and elbows lift, blades together and down': prone({
        arms: w(11),
        blades: { back: 3, up: -1 },
      }),
    },
    props: [MAT],
    works: ['lower trapezius', 'between the blades'],
    fault: [
      'Head lifts',
      prone({ arms: w(11), thorax: { flex: -9 }, head: { back: 0, nod: -26 } }),
    ],
  }),
  'band-pull-apart': figure({
    view: 'quarter',
    poses: {
      'Arms forward, the band just tight': changed(STAND, { arms: apart(48, 14), grip: true }),
      'Hands drawn apart, blades together': changed(STAND, {
        arms: apart(26, 60),
        blades: { back: 3, up: -0.5 },
        grip: true,
      }),
    },
    props: [BAND],
    works: ['between the blades'],
    fault: [
      'Shoulders shrug',
      changed(STAND, { arms: apart(28, 58), blades: { up: 6 }, head: { back: -0.8 }, grip: true }),
    ],
  }),
  'band-external-rotation': figure({
    view: 'quarter',
    poses: {
      'Elbows by the waist, hands before it': changed(STAND, {
        arms: turnedOut(28, 12),
        grip: true,
      }),
      'Hands turned out, elbows stay': changed(STAND, {
        arms: turnedOut(17, 42),
        blades: { back: 2 },
        grip: true,
      }),
    },
    props: [BAND],
    works: ['between the blades'],
    fault: [
      'Elbows leave the waist',
      changed(STAND, {
        arms: hands([16, 112, 54], { pole: [-0.4, -0.4, 1] }),
        blades: { up: 4 },
        grip: true,
      }),
    ],
  }),
  'lat-stretch': figure({
    view: 'front',
    poses: {
      'Standing, one arm overhead': overSide(0),
      'Bends away, the arm lengthens over': overSide(30),
    },
    stretches: [{ muscle: 'side of trunk', as: 'stretched', side: 'right' }],
    fault: ['Shoulder jams at the ear', overSide(20, 6)],
  }),
  'chair-back-opening': figure({
    poses: {
      'Hands behind the head, upper back at the chair': changed(SIT, { arms: BEHIND_HEAD }),
      'The chest opens over the chair back': changed(SIT, {
        arms: BEHIND_HEAD,
        thorax: { flex: -17 },
        head: { back: 0.3, nod: 6 },
      }),
    },
    props: [CHAIR],
    stretches: ['chest'],
    works: ['upper back'],
    fault: [
      'Bends in the low back',
      changed(SIT, { arms: BEHIND_HEAD, lumbar: { flex: -22 }, thorax: { flex: -4 } }),
    ],
  }),
  'warm-pack': figure({
    crop: 'upper',
    eyesClosed: true,
    poses: {
      'A warm pack over the base of the neck': changed(SIT, { blades: { up: 2.6 } }),
      'Shoulders let go': changed(SIT, { blades: { up: -1.2 } }),
    },
    props: [CHAIR, pack('warm')],
    fault: ['Hunches under it', changed(SIT, { blades: { up: 4 }, head: { back: -0.8 } })],
  }),
  'cold-pack': figure({
    crop: 'upper',
    poses: {
      'A cold pack in a cloth behind the neck': changed(SIT, {
        blades: { up: 2.6 },
        head: { back: 0.2 },
      }),
      'Shoulders let go, breath slow': changed(SIT, { blades: { up: -1.2 }, head: { back: 0.2 } }),
    },
    props: [CHAIR, pack('cold')],
    fault: ['Straight on the skin', changed(SIT, { blades: { up: 5 }, head: { back: -0.4 } })],
  }),
};
