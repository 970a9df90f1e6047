import { type Contact, type Figure, markAt, skeletonOf } from '@/core/figure';
import {
  MAT,
  angles,
  changed,
  figure,
  hand,
  hands,
  headOn,
  pillowUnder,
  pose,
  push,
  right,
} from './kit';

const ON_BELLY = hands('belly', { away: [0, 2, 6], pole: [0, -0.5, 1] });

/** Lying with hands on the belly, so that the picture can be about the head. */
const DOWN = pose('lying', { arms: ON_BELLY });
const THIN = 4;
const LIE = headOn(DOWN, THIN, -4);
const TUCKED = headOn(DOWN, THIN, 13);
const PILLOW = pillowUnder(LIE, THIN);
const FLAT = headOn(DOWN, 0, -7);

/** Off the floor by so many centimetres more. */
const lifted = (cm: number, nod: number) => {
  const { contacts, ...rest } = headOn(DOWN, cm, nod);
  return { ...rest, contacts: contacts.filter(({ mark }) => mark !== 'skull') };
};

/** A soft ball of 10 cm gives way under a head: so high it lies. */
const BALL_CM = 3.4;
const ON_BALL_CM = 6;
const ON_BALL = headOn(DOWN, ON_BALL_CM, -6);
/** A soft ball that gives, under the back of the head. */
const BALL = {
  kind: 'ball',
  at: [markAt(skeletonOf(ON_BALL).frames, 'skull')[0], BALL_CM - 0.3, 0],
  radius: BALL_CM,
} as const;

/** The near hand, its elbow beside the trunk: the fingers are seen from tip to knuckle beside the windpipe. */
const fingers = {
  right: hand('throat', {
    shape: 'two fingers',
    away: [1.6, 0.6, 3],
    flat: [-0.8, -0.5, -0.4],
    pole: [0.3, -1, 0.5],
  }),
};

/** Shoulders and head stay down, the hips go up: carried by the upper back. */
const ON_SHOULDERS: readonly Contact[] = [
  { mark: 'upperBack', axis: 'y', at: 1.4 },
  { mark: 'upperBack', axis: 'x', at: -50 },
];

/** A hand on the belly that has risen so many centimetres. */
const onBelly = (rise: number) => ({
  right: hand('belly', { away: [rise, 3, 3], pole: [0, -0.4, 1] }),
});

const HUG = hands('shinRight', { away: [0, 6, 0], pole: [0, 0.4, 1], shape: 'cupped' });
const kneesUp = angles(118, 8, 125);

/** Hands under the low back, one knee bent; `up` is how far head and shoulders are lifted, 0–1. */
const curl = (up: number) =>
  pose('lying', {
    thorax: { flex: 17 * up },
    head: { back: 0.1 + 0.1 * up, nod: 2 + 2 * up },
    arms: hands('sideOfBackRight', {
      away: [0, 0, -2],
      pole: [0.2, 0.1, 1],
      faces: [0, -1, 0],
      flat: [0.3, 0, -1],
    }),
    legs: { left: angles(-3, 5, 0, { end: -15 }) },
  });

/** One knee bent, the right leg lifted so many degrees. */
const legUp = (degrees: number, knee = 0) =>
  headOn(pose('lying', { legs: { right: angles(degrees - 2, 3, knee, { end: 0 }) } }), 0, -5);

export const LYING: Readonly<Record<string, Figure>> = {
  'nod-on-ball': figure({
    crop: 'upper',
    poses: {
      'Head heavy on the ball': ON_BALL,
      'Nodded, the ball rolled with it': headOn(DOWN, ON_BALL_CM, 13),
    },
    props: [MAT, BALL],
    works: ['deep neck flexors'],
    fault: ['Head lifts off the ball', lifted(15, 18)],
  }),
  'ball-turns': figure({
    view: 'above',
    crop: 'upper',
    poses: {
      'Head heavy on the ball, face up': headOn(DOWN, ON_BALL_CM),
      'Rolled to one side, the chin level with it': headOn(DOWN, ON_BALL_CM, 0, { turn: 34 }),
    },
    props: [MAT, BALL],
    works: ['deep neck flexors'],
    fault: ['Chin juts at the end', headOn(DOWN, ON_BALL_CM, -14, { turn: 40, side: -12 })],
  }),
  'retraction-lying': figure({
    crop: 'upper',
    poses: {
      'Head at rest on the pillow': LIE,
      'Chin drawn in, the back of the head pressed into the pillow': headOn(DOWN, THIN - 0.8, 10),
    },
    props: [MAT, PILLOW],
    works: ['deep neck flexors', 'neck extensors'],
    pushes: [push('occiput', [0, -1, 0])],
    fault: ['Tips the head back', headOn(DOWN, THIN, -18)],
  }),
  'tuck-lying': figure({
    crop: 'upper',
    poses: { 'Head at rest': LIE, 'Chin drawn in, neck long': TUCKED },
    props: [MAT, PILLOW],
    works: ['deep neck flexors'],
    fault: ['Chin nods down to the chest', lifted(9, 26)],
  }),
  'nod-hold-finger-check': figure({
    crop: 'upper',
    poses: {
      'Two fingers beside the windpipe': changed(LIE, { arms: fingers }),
      'A small nod, held': changed(headOn(DOWN, THIN, 9), { arms: fingers }),
    },
    props: [MAT, PILLOW],
    works: ['deep neck flexors'],
    fault: ['Strap muscles at the front pop out', changed(lifted(6.8, 14), { arms: fingers })],
  }),
  'tuck-lighten': figure({
    crop: 'upper',
    poses: {
      'Head at rest': LIE,
      'Chin drawn in': TUCKED,
      'A little weight taken off, head still touching': headOn(DOWN, THIN + 0.7, 15),
    },
    props: [MAT, PILLOW],
    works: ['deep neck flexors'],
    fault: ['Head comes off the floor', lifted(12, 12)],
  }),
  'tuck-lift': figure({
    crop: 'upper',
    poses: {
      'Head at rest': FLAT,
      'Chin drawn in': headOn(DOWN, 0, 11),
      'Barely off the floor, still tucked': lifted(3.5, 16),
    },
    props: [MAT],
    works: ['deep neck flexors', 'neck flexors'],
    fault: ['Chin pokes as the head rises', lifted(7.5, -8)],
  }),
  'lift-over-ball': figure({
    crop: 'upper',
    path: 'round',
    poses: {
      'Head on the ball': headOn(DOWN, ON_BALL_CM, 2),
      'Chin up a little': headOn(DOWN, ON_BALL_CM, -10),
      'Hovering just off the ball': lifted(6.8, -2),
      'Chin drawn in while hovering': lifted(6.8, 14),
    },
    props: [MAT, BALL],
    works: ['deep neck flexors', 'neck flexors'],
    fault: [
      'Ribs flare',
      changed(lifted(6.8, -4), {
        pelvis: { flex: -80 },
        lumbar: { flex: -4 },
        thorax: { flex: -15 },
      }),
    ],
  }),
  'chin-held-ball': figure({
    crop: 'upper',
    poses: {
      'Ball between chin and chest': headOn(DOWN, 0, 6),
      'Pressed lightly on the ball': headOn(DOWN, 0, 12),
    },
    props: [MAT, { kind: 'ball', at: { on: 'underJaw', away: [1, -3, 0] }, radius: 3.3 }],
    works: ['deep neck flexors', 'neck flexors'],
    pushes: [push('underJaw', [0.9, -0.25, 0], 1)],
    fault: ['Head comes off the floor', lifted(7, 18)],
  }),
  'belly-breathing': figure({
    poses: {
      'Breathed out, a hand on the belly': changed(LIE, { arms: onBelly(0) }),
      'Breathed in, the hand has risen': changed(LIE, { arms: onBelly(2.6) }),
    },
    props: [MAT, PILLOW],
    works: ['belly'],
    fault: [
      'Chest rises',
      headOn(
        pose('lying', {
          thorax: { flex: -8 },
          blades: { up: 3.5 },
          arms: onBelly(0),
          contacts: ON_SHOULDERS,
        }),
        THIN,
        -2,
      ),
    ],
  }),
  'knees-to-chest': figure({
    poses: {
      'Knees bent': LIE,
      'Both knees drawn to the chest': headOn(
        pose('lying', { pelvis: { flex: -86 }, lumbar: { flex: -2 }, legs: kneesUp, arms: HUG }),
        THIN,
        0,
      ),
    },
    props: [MAT, PILLOW],
    stretches: ['low back'],
    fault: [
      'Neck strains',
      pose('lying', {
        pelvis: { flex: -76 },
        lumbar: { flex: 4 },
        thorax: { flex: 14 },
        head: { back: -1.1, nod: 6 },
        legs: kneesUp,
        arms: HUG,
      }),
    ],
  }),
  'curl-up': figure({
    poses: {
      'Hands under the small of the back': headOn(curl(0), 0, -6),
      'A little weight off head and shoulders': curl(1),
    },
    props: [MAT],
    works: ['belly'],
    fault: ['Chin pokes', changed(curl(1), { head: { back: -1.2, nod: -4 } })],
  }),
  bridge: figure({
    poses: {
      'Knees bent, arms by the sides': headOn(pose('lying'), 0, -6),
      'Hips lifted to a straight line': headOn(
        pose('lying', {
          pelvis: { flex: -108 },
          lumbar: { flex: 2 },
          arms: angles(-23, 12, 8),
          contacts: ON_SHOULDERS,
        }),
        0,
        8,
      ),
    },
    props: [MAT],
    works: ['buttock', 'back of thigh'],
    fault: [
      'Back arches',
      headOn(
        pose('lying', {
          pelvis: { flex: -103 },
          lumbar: { flex: -11 },
          arms: angles(-29, 12, 8),
          contacts: [
            { mark: 'upperBack', axis: 'y', at: 3.4 },
            { mark: 'upperBack', axis: 'x', at: -50 },
          ],
        }),
        0,
        4,
      ),
    ],
  }),
  'straight-leg-raise': figure({
    poses: {
      'One knee bent, the other leg long': legUp(0),
      'Leg at the height of the other knee': legUp(42),
    },
    props: [MAT],
    works: [right('front of thigh')],
    fault: ['Knee bends', legUp(40, 40)],
  }),
};
