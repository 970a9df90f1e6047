import { type DrawnProp, type Figure, mirrorFigure } from '@/core/figure';
import { CHAIR, angles, changed, figure, hand, hands, left, pose, right } from './kit';

const SIT = pose('sitting', { head: { back: 0 } });
const FINGER = { right: hand('neckBase', { shape: 'two fingers', pole: [0, 0.3, 1] }) };

/** A twisted cloth high round the neck: the right end pulled forward and across, the left held low. */
const CLOTH: DrawnProp = {
  kind: 'cloth',
  through: [
    { on: 'palmRight' },
    { on: 'cheekRight', away: [-2, -1.5, 1] },
    { on: 'skullBase', away: [-1, -1, 0] },
    { on: 'cheekLeft', away: [-5, -3, -1] },
    { on: 'palmLeft' },
  ],
};
const clothHands = (x: number, z: number) => ({
  right: hand([x, 116, z], { pole: [0.2, -0.6, 1] }),
  left: hand([14, 84, -8], { pole: [0, -1, -0.6] }),
});

const CRADLE = { right: hand('upperOcciput', { pole: [0.5, 0.5, 1], flat: [-0.2, -0.5, -1] }) };
const stretch = (side: number) => changed(SIT, { head: { back: 0.15, side } });

const STAND = pose('standing');
/** Hands clasped behind, so far behind the seat. */
const behind = (x: number, y: number) => ({
  ...hands([x, y, 3], { pole: [-0.6, 0.1, 1] }),
});

/** The right forearm up the frame of a door, elbow at the height of the shoulder. */
const FRAME_X = -4;
const doorway = (turn: number, blades = 0) =>
  pose('standing', {
    pelvis: { turn },
    legs: { right: angles(-10, 3, 0, { end: 10 }), left: angles(10, 3, 6, { end: -2 }) },
    arms: { right: hand([FRAME_X, 164, 47], { pole: [0, -1, 0.2], flat: [0, 1, 0] }) },
    blades: { up: blades },
    contacts: [
      { mark: 'seat', axis: 'y', at: 78 },
      { mark: 'seat', axis: 'x', at: 0 },
    ],
  });

const lunge = (forward: number, lumbar = 0, pelvis = 0) =>
  pose('half kneeling', {
    pelvis: { flex: pelvis },
    lumbar: { flex: lumbar },
    // The shank stays on the floor, however the thigh leans.
    legs: { right: angles(-6 - forward, 3, 84 - forward - pelvis, { end: -68 }) },
  });

export const MOBILITY: Readonly<Record<string, Figure>> = {
  'neck-warm-up': figure({
    view: 'front',
    crop: 'upper',
    path: 'round',
    poses: {
      'Head level': SIT,
      'A turn to each side': changed(SIT, { head: { turn: 50 } }),
      'A nod': changed(SIT, { head: { nod: 22, back: -0.3 } }),
      'A side-bend to each side, lengthening out of it': changed(SIT, { head: { side: 26 } }),
    },
    props: [CHAIR],
    stretches: ['side of neck'],
    fault: [
      'Trunk sways',
      changed(SIT, { thorax: { side: 14 }, lumbar: { side: 8 }, head: { side: 20 } }),
    ],
  }),
  'head-return': figure({
    eyesClosed: true,
    view: 'front',
    crop: 'upper',
    poses: {
      'Eyes closed, facing the middle': SIT,
      'Turned a comfortable way, then back to the middle': changed(SIT, { head: { turn: 45 } }),
    },
    props: [CHAIR],
    works: ['suboccipitals'],
    fault: ['Turns too far', changed(SIT, { head: { turn: 72 } })],
  }),
  'look-up-push': figure({
    crop: 'upper',
    poses: {
      'A fingertip on the bump at the base of the neck': changed(SIT, {
        head: { back: 0.3 },
        arms: FINGER,
      }),
      'Looks up, the neck pushing back into the finger': changed(SIT, {
        head: { back: 0.75, nod: -28 },
        arms: FINGER,
      }),
    },
    props: [CHAIR],
    works: ['neck extensors', 'deep neck flexors'],
    fault: ['Head drops back', changed(SIT, { head: { back: 0.2, nod: -53 }, arms: FINGER })],
  }),
  'cloth-rotation': mirrorFigure(
    figure({
      view: 'front',
      crop: 'upper',
      poses: {
        'Cloth high round the neck, ends crossed': changed(SIT, {
          head: { back: 0.1 },
          arms: clothHands(26, 6),
          grip: true,
        }),
        'The upper hand draws the head round': changed(SIT, {
          head: { back: 0.1, turn: -48 },
          arms: clothHands(26, -14),
          grip: true,
        }),
      },
      props: [CHAIR, CLOTH],
      stretches: ['suboccipitals'],
      fault: [
        'It is yanked',
        changed(SIT, { head: { turn: -48, side: 16 }, arms: clothHands(26, -18), grip: true }),
      ],
    }),
  ),
  'head-rolls': figure({
    view: 'front',
    crop: 'upper',
    path: 'round',
    poses: {
      'Chin towards the chest': changed(SIT, { head: { nod: 26, back: -0.4 } }),
      'Ear towards the shoulder': changed(SIT, { head: { side: 28 } }),
      'Only as far back as is easy': changed(SIT, { head: { nod: -22 } }),
      'Ear towards the other shoulder': changed(SIT, { head: { side: -28 } }),
    },
    props: [CHAIR],
    stretches: ['side of neck'],
    fault: [
      'Drops back at the back of the circle',
      changed(SIT, { head: { back: 0.2, nod: -53 } }),
    ],
  }),
  'side-neck-stretch': mirrorFigure(
    figure({
      view: 'front',
      crop: 'upper',
      stages: { by: 'barrier', at: [{ pose: 1 }, { pose: 2 }, { pose: 3 }] },
      poses: {
        'Sitting tall': stretch(0),
        'First sense of pull': stretch(14),
        'Second, once the first has eased': stretch(23),
        Third: stretch(31),
      },
      props: [CHAIR],
      stretches: [left('side of neck', 'stretched'), left('upper trapezius', 'stretched')],
      fault: [
        'Shoulder comes up to the ear',
        changed(stretch(24), { blades: { up: 5 }, thorax: { side: 6 } }),
      ],
    }),
  ),
  'blade-lifter-stretch': mirrorFigure(
    figure({
      crop: 'upper',
      view: 'front',
      poses: {
        'Nose turned towards the other hip': changed(SIT, { head: { turn: 38 }, arms: CRADLE }),
        'Chin drawn down towards it, the hand only resting': changed(SIT, {
          head: { turn: 38, nod: 24, back: -0.6, side: 8 },
          arms: CRADLE,
        }),
      },
      props: [CHAIR],
      stretches: [left('upper trapezius', 'stretched'), left('neck extensors', 'stretched')],
      fault: [
        'Slumps into it',
        changed(SIT, {
          lumbar: { flex: 10 },
          thorax: { flex: 22 },
          head: { turn: 38, nod: 20, back: -1 },
          arms: CRADLE,
        }),
      ],
    }),
  ),
  'chest-stretch': figure({
    poses: {
      'Hands clasped behind, wrists off the back': changed(STAND, { arms: behind(-20, 84) }),
      'Chest opens, hands go back, chin level': changed(STAND, {
        thorax: { flex: -7 },
        blades: { back: 3 },
        head: { back: 0.3, nod: 7 },
        arms: behind(-34, 92),
      }),
    },
    stretches: ['chest'],
    fault: [
      'Low back arches',
      changed(STAND, {
        lumbar: { flex: -16 },
        head: { back: -1.1, nod: 2 },
        arms: behind(-34, 90),
      }),
    ],
  }),
  'doorway-stretch': figure({
    view: 'front',
    poses: {
      'Forearm on the frame, elbow at shoulder height': doorway(0),
      'The body turns away until the chest pulls': doorway(-24),
    },
    props: [{ kind: 'doorframe', x: FRAME_X + 8.7, z: 47 }],
    stretches: [right('chest', 'stretched')],
    fault: ['Shoulder rolls forward', doorway(-18, 6)],
  }),
  'hip-front-stretch': figure({
    poses: {
      'Half kneeling, trunk tall': lunge(0),
      'Seat tucked under, weight a little forward': lunge(18, 6, -8),
    },
    props: [{ kind: 'pillow', at: [0, -1, 9], size: [26, 3, 26] }],
    stretches: [right('front of hip', 'stretched')],
    fault: ['Back arches', lunge(16, -22, 14)],
  }),
};
