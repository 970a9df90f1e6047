import { type DrawnProp, type Figure, SEAT_CM } from '@/core/figure';
import {
  CHAIR,
  MAT,
  angles,
  ankle,
  changed,
  figure,
  hand,
  hands,
  headOn,
  on,
  pose,
  right,
} from './kit';

/** Hips, legs and walking: on a chair, standing, at a wall; and the nerve at the front of the thigh. */
const STAND = pose('standing');

const FEET_X = 41;
const reach = (x: number, y: number) => hands([x, y, 14], { pole: [-0.5, -1, 0.4], shape: 'flat' });

/** Hips back and down over the feet; `deep` 0–1. */
const squat = (deep: number, pelvis = 38, head = 0) =>
  pose('standing', {
    pelvis: { flex: pelvis * deep },
    head: { back: 0.2 * deep, nod: head },
    legs: angles((66 + pelvis) * deep, 6, 92 * deep, { end: 24 * deep }),
    arms: angles(pelvis * deep + 50 * deep, 8, 12),
  });

/** Squatting to something on the floor, both hands on it. */
const BOX: DrawnProp = { kind: 'block', at: [40, 15, 0], size: [26, 30, 32] };
const toBox = squatTo(1);
function squatTo(deep: number) {
  return pose('standing', {
    pelvis: { flex: 52 * deep },
    head: { back: 0.3, nod: 6 },
    legs: angles(132 * deep, 8, 112 * deep, { end: 32 * deep }),
    arms: hands([42, 36.5, 18], { pole: [-1, 0.2, 0.6] }),
  });
}

const WALL_CM = 54;
const WALL: DrawnProp = { kind: 'wall', x: WALL_CM };
/** Hands on the wall, the right leg back: the shin leans so many degrees over its foot. */
const lean = (shin: number, heel = 0, knee = 0) =>
  pose('standing', {
    pelvis: { flex: 6 },
    legs: {
      right: angles(6 - shin + knee, 2, knee, { end: shin - heel }),
      left: ankle([26, 6.6, -9]),
    },
    arms: hands([WALL_CM - 1.6, 128, 17], {
      pole: [0, -1, 0.4],
      flat: [-0.1, 1, 0],
      faces: [1, 0, 0],
    }),
    contacts: [on('ballRight', 'y', heel * 0.13), on('ballRight', 'x')],
  });

/** Balls of the feet stay; heels so many degrees up; fingertips on a wall. */
const tip = (degrees: number, knees = 0) =>
  pose('standing', {
    legs: angles(knees, 2, knees * 2, { end: knees - degrees }),
    arms: {
      right: hand([45.4, 126, 18], { pole: [0, -1, 0.4], flat: [-0.1, 1, 0], faces: [1, 0, 0] }),
      left: angles(-2, 7, 10),
    },
    contacts: [on('toeRight', 'y', 0.2), on('toeRight', 'x', 19)],
  });

/** Lying, the right leg up with a towel round the foot. */
const legUp = (degrees: number, knee = 4) =>
  headOn(
    pose('lying', {
      legs: { right: angles(degrees, 3, knee, { end: 8 }), left: ankle([46, 6.6, -9]) },
      arms: hands([-20, 36 + degrees * 0.14, 11], { pole: [-0.5, -1, 1] }),
      grip: true,
    }),
    0,
    -6,
  );
const TOWEL: DrawnProp = {
  kind: 'strap',
  through: [{ on: 'palmRight' }, { on: 'ballRight' }, { on: 'palmLeft' }],
};

/** Sitting, the right ankle on the left knee; leaning forward from the hips. */
const crossed = (degrees: number, round = 0) =>
  pose('sitting', {
    pelvis: { flex: degrees },
    thorax: { flex: round },
    head: { back: round > 0 ? -0.8 : 0 },
    legs: {
      right: ankle([34, SEAT_CM + 12 + degrees * 0.16, -8], [0.2, 0.1, -1], [0.5, 0.1, 1]),
      left: ankle([41, 6.6, -11]),
    },
    arms: {
      right: hand('shinRight', { away: [3, 12, 0], pole: [-1, -0.2, 0.6], shape: 'resting' }),
      left: hand('shinRight', { away: [3, -18, 0], pole: [-1, -0.2, -0.6], shape: 'resting' }),
    },
    contacts: [on('seat', 'y', SEAT_CM + degrees * 0.16), on('seat', 'x')],
  });

/** Standing, chest slid so far to the right over hips that stay, shoulders level. */
const slid = (degrees: number, tilt = 0) =>
  changed(STAND, {
    lumbar: { side: degrees },
    thorax: { side: tilt - degrees },
    head: { side: tilt / 2 },
    arms: {
      right: hand('sideOfHipRight', { away: [0, 4, 1], pole: [-0.4, 0.2, 1] }),
      left: angles(-2, 12, 10),
    },
  });

/** On the left side, seen from above, the body slumped; the right knee bends as the head goes. */
const ON_LEFT = -90;
const frontNerve = (thigh: number, knee: number, nod: number, round: number) =>
  pose('on the side', {
    pelvis: { turn: ON_LEFT },
    lumbar: { flex: round * 0.5 },
    thorax: { flex: round * 0.5 },
    head: { nod, back: nod > 0 ? -0.6 : 0 },
    arms: { right: angles(60, 4, 30), left: angles(84, 0, 20) },
    legs: { right: angles(thigh, 0, knee, { end: -30 }), left: angles(86, 0, 80) },
    contacts: [on('sideOfHipLeft', 'y', 5.5), on('seat', 'x')],
  });

const stride = (forward: number, arms: number): Parameters<typeof pose>[1] => ({
  pelvis: { flex: 5 },
  legs: {
    right: angles(forward, 2, forward > 0 ? 34 : 26, { end: forward > 0 ? 6 : -16 }),
    left: angles(-forward, 2, forward > 0 ? 74 : 34, { end: forward > 0 ? -20 : 6 }),
  },
  arms: { right: angles(-arms, 8, 84), left: angles(arms, 8, 84) },
});

export const LEGS: Readonly<Record<string, Figure>> = {
  'sit-to-stand': figure({
    poses: {
      'Sitting, feet under the knees': pose('sitting', {
        arms: reach(46, 92),
        legs: { right: ankle([FEET_X - 6, 6.6, 11]), left: ankle([FEET_X - 6, 6.6, -11]) },
      }),
      'Nose over the toes, back long': pose('sitting', {
        pelvis: { flex: 38 },
        contacts: [on('seat', 'y', SEAT_CM + 5), on('seat', 'x')],
        arms: reach(60, 76),
        legs: { right: ankle([FEET_X - 6, 6.6, 11]), left: ankle([FEET_X - 6, 6.6, -11]) },
      }),
      'Standing tall': pose('standing', {
        arms: reach(66, 116),
        legs: { right: ankle([FEET_X - 6, 6.6, 11]), left: ankle([FEET_X - 6, 6.6, -11]) },
        contacts: [on('seat', 'y', 78.4), on('seat', 'x', FEET_X - 8)],
      }),
    },
    props: [CHAIR],
    works: ['front of thigh', 'buttock'],
    fault: [
      'Throws the trunk up',
      pose('sitting', {
        pelvis: { flex: -14 },
        lumbar: { flex: 10 },
        arms: reach(40, 100),
        contacts: [on('seat', 'y', SEAT_CM + 1.6), on('seat', 'x')],
      }),
    ],
  }),
  squat: figure({
    poses: {
      'Standing, feet apart': squat(0),
      'Hips back and down, heels stay': squat(1),
    },
    works: ['front of thigh', 'buttock'],
    fault: ['Back rounds', changed(squat(1), { lumbar: { flex: 22 }, thorax: { flex: 22 } })],
  }),
  'squat-to-look': figure({
    poses: {
      'Standing before what is low': squat(0, 38, 4),
      'Down by the knees, the neck in line with the back': toBox,
    },
    props: [BOX],
    works: ['front of thigh', 'buttock'],
    fault: [
      'Bends back and neck instead',
      pose('standing', {
        pelvis: { flex: 56 },
        lumbar: { flex: 38 },
        thorax: { flex: 24 },
        head: { back: -1, nod: 10 },
        legs: angles(50, 6, 8, { end: 12 }),
        arms: angles(106, 8, 6),
      }),
    ],
  }),
  'hamstring-stretch': figure({
    poses: {
      'Lying, a towel round the foot': legUp(52),
      'The leg drawn up, the knee almost straight': legUp(80),
    },
    props: [MAT, TOWEL],
    stretches: [right('back of thigh', 'stretched')],
    fault: ['Pulls with a bent knee', legUp(88, 50)],
  }),
  'buttock-stretch': figure({
    view: 'quarter',
    poses: {
      'Sitting, one ankle on the other knee': crossed(0),
      'Leaning forward from the hips, back long': crossed(26),
    },
    props: [CHAIR],
    stretches: [right('buttock', 'stretched')],
    fault: ['Rounds the back', crossed(12, 34)],
  }),
  'calf-stretch': figure({
    poses: {
      'Hands on the wall, one leg back': lean(14),
      'Weight goes forward, the heel stays down': lean(27),
    },
    props: [WALL],
    stretches: [right('calf', 'stretched')],
    fault: ['Heel comes up', lean(26, 24)],
  }),
  'calf-raise': figure({
    poses: { 'Standing, fingertips steady': tip(0), 'Up on the balls of the feet': tip(34) },
    props: [{ kind: 'wall', x: 47 }],
    works: ['calf'],
    fault: ['Knees bend', tip(20, 20)],
  }),
  'side-glide': figure({
    view: 'front',
    poses: {
      'Standing tall, a hand on the hip': slid(0),
      'The chest slides to that side, shoulders level': slid(28),
    },
    stretches: ['low back'],
    fault: ['Bends instead of sliding', slid(18, 20)],
  }),
  'femoral-slider': figure({
    view: 'above',
    poses: {
      'On the side, rounded, the upper knee a little bent': frontNerve(-4, 56, 16, 30),
      'The knee bends as the head lifts': frontNerve(-14, 104, -22, 30),
    },
    props: [MAT],
    stretches: [right('front of thigh', 'stretched')],
    fault: ['Both ends tighten at once', frontNerve(-20, 120, 22, 36)],
  }),
  'femoral-tensioner': figure({
    view: 'above',
    poses: {
      'On the side, the upper knee a little bent, head level': frontNerve(-4, 56, -8, 24),
      'The knee bends, the chin comes down, then let go': frontNerve(-14, 104, 20, 34),
    },
    props: [MAT],
    stretches: [right('front of thigh', 'stretched'), right('front of hip', 'stretched')],
    fault: ['Held as a stretch', frontNerve(-24, 130, 24, 44)],
  }),
  'easy-jog': figure({
    poses: {
      'Short steps, elbows bent': pose('standing', {
        ...stride(24, 34),
        contacts: [on('seat', 'y', 79), on('seat', 'x')],
      }),
      'The other leg swings through': pose('standing', {
        pelvis: { flex: 5 },
        legs: { right: angles(10, 2, 22, { end: 14 }), left: angles(26, 2, 92, { end: -10 }) },
        arms: angles(4, 8, 84),
        contacts: [on('seat', 'y', 80.4), on('seat', 'x')],
      }),
      'And lands in front': pose('standing', {
        ...stride(-24, -34),
        contacts: [on('seat', 'y', 79), on('seat', 'x')],
      }),
    },
    fault: [
      'Chin pokes, shoulders up',
      pose('standing', {
        ...stride(24, 34),
        thorax: { flex: 10 },
        blades: { up: 4 },
        head: { back: -1, nod: -4 },
        contacts: [on('seat', 'y', 79), on('seat', 'x')],
      }),
    ],
  }),
};
