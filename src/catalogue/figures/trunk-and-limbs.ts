import { type DrawnProp, type Figure, mirrorFigure } from '@/core/figure';
import {
  CHAIR,
  MAT,
  angles,
  changed,
  figure,
  hand,
  hands,
  on,
  onLeftForearm,
  pose,
  push,
  right,
} from './kit';

/** Carried by the left knee throughout: the right one leaves the floor. */
const FOUR = pose('hands and knees', {
  head: { back: 0.3, nod: 6 },
  contacts: [on('kneeFrontLeft', 'y'), on('kneeFrontLeft', 'x')],
});
const LEG_BACK = { right: angles(-8, 2, 4, { end: -30 }) };
const ARM_FORWARD = { left: angles(172, 4, 4) };

/**
 * On the left side, carried by the forearm under the shoulder and by the knees.
 *
 * @param tilt how steeply the trunk rises towards the head, in degrees
 * @param side bend of the low back, to the right; negative sags
 * @param chest bend of the chest, the same way
 */
const plank = (tilt: number, side = 0, chest = 0) => {
  const body = pose('on the side', {
    pelvis: { side: -90 + tilt },
    lumbar: { side },
    thorax: { side: chest },
    legs: angles(4, 0, 80, { end: -75 }),
    contacts: [on('kneeFrontLeft', 'y', 6.8), on('seat', 'x')],
  });
  return changed(body, {
    arms: {
      right: hand('shoulderTopLeft', { away: [6.5, 1.5, -1], pole: [1, -1.2, -0.4] }),
      left: onLeftForearm(body),
    },
  });
};

const SEAT_ARMS = hands([-6, 50, 26], { pole: [-1, 0.2, 0.6] });
const knee = (bend: number) =>
  pose('sitting', {
    arms: SEAT_ARMS,
    legs: { right: angles(86, 0, bend, { end: 0 }), left: angles(86, -9, Math.max(0, bend - 24)) },
  });

/** Sitting on the floor, legs long; the band round the ball of the right foot. */
const long = (toes: number, pelvis = -8) =>
  pose('lying long', {
    pelvis: { flex: pelvis },
    lumbar: { flex: 4 },
    head: { back: 0 },
    arms: hands([34, 42, 8], { pole: [-1, 0, 0.6] }),
    legs: {
      right: angles(90 + pelvis, 3, 2, { end: toes }),
      left: angles(90 + pelvis, 5, 6, { end: 0 }),
    },
    grip: true,
    contacts: [on('seat', 'y', 1), on('seat', 'x')],
  });
const FOOT_BAND: DrawnProp = {
  kind: 'band',
  through: [{ on: 'palmRight' }, { on: 'ballRight' }, { on: 'palmLeft' }],
};

const step = (forward: number, arms: number): Parameters<typeof pose>[1] => ({
  legs: {
    right: angles(forward, 2, forward > 0 ? 4 : 30, { end: forward > 0 ? 4 : 24 }),
    left: angles(-forward, 2, forward > 0 ? 30 : 4, { end: forward > 0 ? 24 : 4 }),
  },
  arms: { right: angles(-arms, 6, 22), left: angles(arms, 6, 22) },
  contacts: [on('seat', 'y', 77), on('seat', 'x')],
});

export const TRUNK_AND_LIMBS: Readonly<Record<string, Figure>> = {
  'leg-reach': figure({
    poses: {
      'On hands and knees, back long': FOUR,
      'One leg reaches back, hips level': changed(FOUR, { legs: LEG_BACK }),
    },
    works: ['low back', 'buttock'],
    fault: [
      'Back sags',
      changed(FOUR, {
        pelvis: { flex: 86 },
        lumbar: { flex: -22 },
        legs: { ...LEG_BACK, left: angles(86, 3, 90, { end: -68 }) },
      }),
    ],
  }),
  'hands-knees-reach': figure({
    poses: {
      'On hands and knees, back long': FOUR,
      'One leg reaches back': changed(FOUR, { legs: LEG_BACK }),
      'And the opposite arm forward, hips level': changed(FOUR, {
        legs: LEG_BACK,
        arms: ARM_FORWARD,
      }),
    },
    works: ['low back', 'buttock'],
    fault: [
      'Hips tilt',
      changed(FOUR, {
        pelvis: { flex: 84, side: 10 },
        lumbar: { flex: -20 },
        legs: { right: angles(-24, 6, 10, { end: -30 }) },
        arms: ARM_FORWARD,
      }),
    ],
  }),
  'side-plank': mirrorFigure(
    figure({
      view: 'front',
      poses: {
        'On the side, propped on the forearm, knees bent': plank(11, 24, 13),
        'Hips forward and up to a straight line': plank(24.6),
      },
      works: [{ muscle: 'side of trunk', as: 'working', side: 'left' }],
      fault: ['Hips sag', plank(13, 20, 6)],
    }),
  ),
  'knee-angle-hold': figure({
    stages: { by: 'station', at: [{ pose: 0 }, { pose: 1 }, { pose: 2 }] },
    poses: {
      'Knee well bent, ankles crossed': knee(88),
      'Half way': knee(62),
      'Nearly straight': knee(32),
    },
    props: [CHAIR],
    works: [right('front of thigh')],
    pushes: [push('shinRight', [1, 0.2, 0], 0, 1, 2)],
    fault: [
      'Leans back',
      changed(knee(62), { pelvis: { flex: -6 }, lumbar: { flex: -14 }, head: { back: -0.7 } }),
    ],
  }),
  'band-foot-push': figure({
    poses: {
      'Toes up, band taut, towel under it': long(14),
      'The foot pushes down, slowly back': long(-42),
    },
    props: [MAT, FOOT_BAND],
    works: [right('calf')],
    fault: ['Knee bends', changed(long(-30), { legs: { right: angles(98, 3, 26, { end: -30 }) } })],
  }),
  'easy-walk': figure({
    poses: {
      'Long steps, arms swinging': pose('standing', step(19, 26)),
      'The other leg swings through': pose('standing', {
        legs: { right: angles(2, 2, 7, { end: 5 }), left: angles(18, 2, 62, { end: 4 }) },
        arms: angles(0, 6, 22),
        contacts: [on('seat', 'y', 79.2), on('seat', 'x')],
      }),
      'And steps in front': pose('standing', step(-19, -26)),
    },
    fault: [
      'Looks at the ground',
      pose('standing', { ...step(19, 8), thorax: { flex: 12 }, head: { back: -1, nod: 22 } }),
    ],
  }),
};
