import { type Figure, type Pose, mirrorFigure, skeletonOf } from '@/core/figure';
import {
  MAT,
  angles,
  ankle,
  changed,
  figure,
  hand,
  hands,
  headOn,
  on,
  onLeftForearm,
  pose,
} from './kit';

/** Low back, trunk and hips, on the floor. */
const FACE_MAT = { kind: 'mat', x: [-92, 92] } as const;

/** Hands and knees where they are; the back between them hollow (−) or round (+). */
const quad = (pelvis: number, lumbar: number, thorax: number, nod: number, back = 0) =>
  pose('hands and knees', {
    pelvis: { flex: pelvis },
    lumbar: { flex: lumbar },
    thorax: { flex: thorax },
    head: { back, nod },
    legs: angles(pelvis, 3, 90, { end: -68 }),
  });

/** Kneeling back over the heels, arms long on the floor; `far` is where the hands lie. */
const overHeels = (pelvis: number, lumbar: number, thorax: number, far: number) =>
  pose('hands and knees', {
    pelvis: { flex: pelvis },
    lumbar: { flex: lumbar },
    thorax: { flex: thorax },
    head: { back: -0.4, nod: 4 },
    arms: hands([far, 1.4, 20], { pole: [-0.6, 0.6, 1], flat: [1, 0, 0] }),
    legs: angles(pelvis + 60, 6, 150, { end: -68 }),
  });

/** The pelvis rolled on the floor: the low back flat (+) or hollow (−); chest and head stay. */
const rolled = (degrees: number) =>
  headOn(
    pose('lying', {
      pelvis: { flex: -90 - degrees },
      lumbar: { flex: degrees },
      contacts: [on('buttocks', 'y', 0.7), on('upperBack', 'x', -50)],
    }),
    0,
    -6,
  );

/** Both knees let go to the right, shoulders staying. */
const kneesTo = (degrees: number) =>
  headOn(
    pose('lying', {
      pelvis: { side: degrees },
      lumbar: { turn: 0 - degrees * 0.3, side: degrees * 0.09 },
      thorax: { turn: 0 - degrees * 0.7 },
      arms: angles(0, 62, 4),
      contacts: [on('buttocks', 'y', degrees * 0.09), on('seat', 'x')],
      legs: {
        right: ankle(
          [44, 6.6 + degrees * 0.03, 9],
          [1, 0, 0],
          [0.4, 1 - degrees / 60, degrees / 40],
        ),
        left: ankle([44, 6.6, -3], [1, 0, 0], [0.4, 1 - degrees / 60, degrees / 40]),
      },
    }),
    0,
    -6,
  );

/** On the back, arms and legs in the air. */
const beetle = (change: Parameters<typeof pose>[1] = {}) =>
  headOn(
    pose('lying', { arms: angles(92, 4, 4), legs: angles(88, 3, 88, { end: 0 }), ...change }),
    0,
    -6,
  );

/** The shoulder of somebody on the forearms is so high, in cm. */
const ON_FOREARMS_CM = 34.8;
/** The slope, in degrees, at which a shoulder comes to that height (by halving: steeper is higher). */
function slopeFor(at: (slope: number) => Pose, side: 'Right' | 'Left'): Pose {
  let [low, high] = [0, 45];
  for (let i = 0; i < 20; i += 1) {
    const middle = (low + high) / 2;
    const { frames } = skeletonOf(at(middle));
    if (frames[`upperArm${side}`].at[1] > ON_FOREARMS_CM + (side === 'Left' ? 1.4 : 0))
      high = middle;
    else low = middle;
  }
  return at((low + high) / 2);
}

/** From the knees or the toes to the head on the forearms; the low back straight, or sagging (−). */
const board = (from: 'knees' | 'toes', lumbar = 0) => {
  const body = slopeFor(
    (slope) =>
      pose('face down', {
        pelvis: { flex: 90 - slope - lumbar * 0.6 },
        lumbar: { flex: lumbar },
        head: { back: 0.35, nod: 2 },
        legs:
          from === 'knees'
            ? angles(-lumbar * 0.2, 4, slope - lumbar * 0.4, { end: -68 })
            : angles(-lumbar * 0.2, 4, 0, { end: 2 }),
        contacts:
          from === 'knees'
            ? [on('kneeFrontLeft', 'y'), on('kneeFrontLeft', 'x')]
            : [on('toeLeft', 'y', 0.5), on('toeLeft', 'x')],
      }),
    'Right',
  );
  const [x] = skeletonOf(body).frames.upperArmRight.at;
  return changed(body, {
    arms: hands([x + 25, 2, 14], { pole: [-0.7, -1, 0.5], flat: [1, 0, -0.2] }),
  });
};

/** Propped on the forearms, the hips still on the floor. */
const PROPPED = (() => {
  const body = pose('face down', {
    pelvis: { flex: 86.5 },
    lumbar: { flex: -30 },
    thorax: { flex: -20 },
    head: { back: 0.2, nod: -4 },
    legs: angles(0, 4, 2, { end: -68 }),
    contacts: [on('kneeFrontLeft', 'y', 1.9), on('kneeFrontLeft', 'x')],
  });
  const [x] = skeletonOf(body).frames.upperArmRight.at;
  return changed(body, {
    arms: hands([x + 27, 2, 14], { pole: [-0.9, -0.5, 0.6], flat: [1, 0, -0.2] }),
  });
})();

/** Face down, arms long beyond the head. */
const REACHING = { head: { back: 0.28, nod: 4 } };
const lift = (limb: number) =>
  pose('face down', {
    ...REACHING,
    arms: { right: angles(173, 14, 4), left: angles(173 + limb * 0.8, 14, 4) },
    legs: {
      right: angles(-2 - limb * 0.7, 4, 0, { end: -70 }),
      left: angles(-2, 4, 0, { end: -70 }),
    },
  });

/** On the left side, knees bent or long; the right leg opened so many degrees. */
const onSide = (out: number, knees: number, spin = 0) =>
  pose('on the side', {
    pelvis: { side: -86.6 },
    contacts: [on('sideOfHipLeft', 'y', 1.6), on('seat', 'x')],
    arms: {
      right: hand([30, 1.5, -34], { pole: [0.4, 0.5, 0.4], flat: [0.6, 0, -1] }),
      left: angles(150, -8, 20),
    },
    legs: {
      right: angles(knees, out, knees > 10 ? 85 : 4, { spin, end: knees > 10 ? 0 : -10 }),
      left: angles(knees, 0, knees > 10 ? 85 : 4),
    },
  });

/** On the left side on the forearm, legs long; the low back straight, or sagging by so many degrees. */
const plank = (sag = 0) => {
  const body = slopeFor(
    (slope) =>
      pose('on the side', {
        pelvis: { side: -90 + slope - sag * 0.7 },
        lumbar: { side: sag },
        legs: angles(2, 0, 0, { end: 0 }),
        contacts: [on('ankleLeft', 'y', 5), on('seat', 'x')],
      }),
    'Left',
  );
  return changed(body, {
    arms: {
      right: hand('sideOfHipRight', { away: [2, 2, 0], pole: [0.2, 1, 0.2] }),
      left: onLeftForearm(body),
    },
  });
};

export const FLOOR: Readonly<Record<string, Figure>> = {
  'cat-camel': figure({
    path: 'round',
    poses: {
      'On hands and knees, back level': quad(77, 0, 0, 4),
      'The whole back rounded up': quad(46, 34, 24, 14, -0.5),
      'Then let down hollow': quad(104, -27, -6, -14, 0.1),
    },
    stretches: ['low back', 'upper back'],
    fault: ['Moves the neck alone', quad(77, 0, 0, -40, 0.2)],
  }),
  'heels-rest': figure({
    poses: {
      'On hands and knees': pose('hands and knees', {
        arms: hands([54, 1.4, 18], { pole: [-1, 0, 0.4], flat: [1, 0, 0] }),
      }),
      'Hips back over the heels, arms long': overHeels(74, 26, 10, 46),
    },
    props: [{ kind: 'mat', x: [-60, 70] }],
    stretches: ['low back', 'side of trunk'],
    fault: ['Hips stay high', overHeels(72, 6, 34, 58)],
  }),
  'pelvic-tilt': figure({
    poses: {
      'Low back hollow, knees bent': rolled(-7),
      'Pelvis rolled back, low back on the floor': rolled(7),
    },
    props: [MAT],
    works: ['belly'],
    fault: [
      'Lifts the buttocks',
      headOn(
        pose('lying', {
          pelvis: { flex: -104 },
          lumbar: { flex: 4 },
          contacts: [
            { mark: 'upperBack', axis: 'y', at: 1.4 },
            { mark: 'upperBack', axis: 'x', at: -50 },
          ],
        }),
        0,
        4,
      ),
    ],
  }),
  'knee-rolls': figure({
    view: 'above',
    poses: {
      'Knees bent, together': kneesTo(0),
      'Both knees rolled to one side, shoulders stay': kneesTo(32),
    },
    props: [MAT],
    stretches: ['low back', 'side of trunk'],
    fault: [
      'A shoulder lifts',
      changed(kneesTo(34), {
        thorax: { turn: -10 },
        lumbar: { turn: -8 },
        arms: hands('belly', { away: [0, 2, 6], pole: [0, -0.5, 1] }),
      }),
    ],
  }),
  'dead-bug': figure({
    poses: {
      'Arms up, hips and knees at right angles': beetle(),
      'One leg reaches out, the other arm back, the low back still': beetle({
        arms: { right: angles(92, 4, 4), left: angles(160, 6, 4) },
        legs: { right: angles(22, 3, 12, { end: -10 }), left: angles(88, 3, 88, { end: 0 }) },
      }),
    },
    props: [MAT],
    works: ['belly'],
    fault: [
      'Low back lifts',
      headOn(
        pose('lying', {
          pelvis: { flex: -80 },
          lumbar: { flex: -14 },
          thorax: { flex: 4 },
          arms: { right: angles(92, 4, 4), left: angles(164, 6, 4) },
          legs: { right: angles(14, 3, 4, { end: -10 }), left: angles(78, 3, 88, { end: 0 }) },
        }),
        0,
        -6,
      ),
    ],
  }),
  'front-plank-knees': figure({
    poses: {
      'Face down on the forearms': PROPPED,
      'One line from the knees to the head': board('knees'),
    },
    props: [FACE_MAT],
    works: ['belly'],
    fault: ['Hips sag', board('knees', -14)],
  }),
  'front-plank': figure({
    poses: {
      'On forearms and toes, hips low': board('toes', -28),
      'One line from the heels to the head': board('toes'),
    },
    props: [FACE_MAT],
    works: ['belly', 'front of thigh'],
    fault: ['Low back sags', board('toes', -16)],
  }),
  'prone-lifts': figure({
    poses: {
      'Face down, arms long beyond the head': lift(0),
      'One leg and the other arm lift a little': lift(16),
    },
    props: [FACE_MAT],
    works: ['low back', 'buttock'],
    fault: ['Lifts too high', changed(lift(34), { head: { back: 0, nod: -30 } })],
  }),
  clamshell: figure({
    view: 'front',
    poses: {
      'On the side, knees bent, feet together': onSide(0, 50),
      'The upper knee opens, feet stay together': onSide(30, 50, 26),
    },
    works: [{ muscle: 'buttock', as: 'working', side: 'right' }],
    fault: ['Pelvis rolls back', changed(onSide(44, 40, 30), { pelvis: { turn: 16 } })],
  }),
  'side-leg-lift': figure({
    view: 'front',
    poses: {
      'On the side, legs long': onSide(0, 0),
      'The upper leg lifts, toes forward': onSide(26, 0),
    },
    works: [{ muscle: 'buttock', as: 'working', side: 'right' }],
    fault: ['Leg drifts forward', onSide(26, 8)],
  }),
  'side-plank-legs': mirrorFigure(
    figure({
      view: 'front',
      poses: {
        'On the side, propped on the forearm, legs long': plank(26),
        'Hips forward and up to a straight line': plank(),
      },
      works: [{ muscle: 'side of trunk', as: 'working', side: 'left' }],
      fault: ['Hips sag', plank(13)],
    }),
  ),
};
