import { type Figure, type Pose, SEAT_CM } from '@/core/figure';
import { CHAIR, HEAD_BAND, HOLD_BAND, changed, figure, hand, hands, on, pose, push } from './kit';

/** As people sit down: chest a little low, head a little forward. */
const SLOUCH = pose('sitting', {
  pelvis: { flex: -8 },
  lumbar: { flex: 6 },
  thorax: { flex: 12 },
  head: { back: -0.75, nod: -10 },
  contacts: [on('seat', 'y', SEAT_CM + 0.8), on('seat', 'x')],
});
const TALL = pose('sitting', { head: { back: -0.3 } });
const TUCK = changed(TALL, { head: { back: 0.85 } });
const HALF = changed(TALL, { head: { back: 0.3 } });

const tucked = (nod = 0, back = 0.85, from = TALL): Pose => changed(from, { head: { back, nod } });
const POKED = changed(TALL, { head: { back: -0.9, nod: -6 } });

const CHEEKS = hands('cheekRight', {
  shape: 'two fingers',
  pole: [0.2, -1, 0.7],
  away: [0.8, 0, 0.7],
});
const JAW = {
  right: hand('underJaw', { shape: 'fist', away: [0.6, 0, 0.5], pole: [1, -0.3, 0.4] }),
};
const FOREHEAD = { right: hand('forehead', { pole: [0.7, -1, 0.5], flat: [0, 1, -0.25] }) };
const BEHIND = hands('skullBase', { away: [-2, 1.4, 4], pole: [0, 0.2, 1], flat: [0, 0.5, -1] });
const BEHIND_UP = hands('skullBase', {
  away: [-4, 2.4, 4],
  pole: [0, 0.2, 1],
  flat: [0, 0.5, -1],
});

export const SITTING_TUCKS: Readonly<Record<string, Figure>> = {
  'tuck-seated': figure({
    crop: 'upper',
    poses: { 'Sitting tall, gaze level': TALL, 'Head slid straight back': TUCK },
    props: [CHAIR],
    works: ['deep neck flexors'],
    fault: ['Nods down instead of sliding back', changed(TALL, { head: { back: -0.4, nod: 26 } })],
  }),
  'tuck-small-nod': figure({
    crop: 'upper',
    poses: {
      'Sitting tall': TALL,
      'Head slid straight back': TUCK,
      'A small nod on top, the neck still long': tucked(15),
    },
    props: [CHAIR],
    works: ['deep neck flexors'],
    stretches: ['suboccipitals'],
    fault: ['Chin goes to the chest', changed(TALL, { head: { back: -1, nod: 22 } })],
  }),
  'tuck-turn-nod': figure({
    view: 'front',
    crop: 'upper',
    poses: {
      'Sitting tall, tucked': TUCK,
      'A small turn, the tuck kept': changed(TALL, { head: { back: 0.85, turn: 20 } }),
      'A small nod towards that side': changed(TALL, { head: { back: 0.85, nod: 14, turn: 20 } }),
    },
    works: ['deep neck flexors'],
    props: [CHAIR],
    stretches: [{ muscle: 'suboccipitals', as: 'stretched', side: 'left' }],
    fault: ['The turn takes the tuck along', changed(TALL, { head: { back: -0.9, turn: 55 } })],
  }),
  'half-tuck-turn': figure({
    view: 'front',
    crop: 'upper',
    poses: {
      'Half of a full tuck': HALF,
      'Turned, the half tuck kept': changed(TALL, { head: { back: 0.3, turn: 55 } }),
    },
    props: [CHAIR],
    works: ['deep neck flexors'],
    fault: [
      'The tuck fades during the turn',
      changed(TALL, { head: { back: -0.7, turn: 50, side: 18 } }),
    ],
  }),
  'cheekbone-nod': figure({
    crop: 'upper',
    poses: {
      'Two fingers on each cheekbone': changed(TALL, { head: { back: 0.2 }, arms: CHEEKS }),
      'A tiny nod into the fingers, nothing moves': changed(TALL, {
        head: { back: 0.25, nod: 3 },
        arms: CHEEKS,
      }),
    },
    props: [CHAIR],
    works: ['deep neck flexors'],
    pushes: [push('cheekRight', [0.9, -0.3, 0])],
    fault: ['Shoves forward', changed(POKED, { arms: CHEEKS })],
  }),
  'skull-base-tuck': figure({
    crop: 'upper',
    poses: {
      'Fingers at the base of the skull': changed(TALL, { arms: BEHIND }),
      'Slides back into the fingers': changed(TALL, { head: { back: 0.35 }, arms: BEHIND }),
    },
    props: [CHAIR],
    works: ['neck extensors', 'deep neck flexors'],
    pushes: [push('skullBase', [-1, 0.1, 0])],
    fault: ['Tips the head up', changed(TALL, { head: { back: 0.1, nod: -19 }, arms: BEHIND_UP })],
  }),
  'forehead-tuck': figure({
    crop: 'upper',
    poses: {
      'Tucked, one palm on the forehead': changed(TUCK, { arms: FOREHEAD }),
      'Presses lightly, the head stays back': changed(TALL, {
        head: { back: 0.85, nod: 2 },
        arms: FOREHEAD,
      }),
    },
    props: [CHAIR],
    works: ['deep neck flexors', 'neck flexors'],
    pushes: [push('forehead', [1, 0, 0])],
    fault: ['Starts from a poked chin', changed(POKED, { arms: FOREHEAD })],
  }),
  'under-jaw-tuck': figure({
    crop: 'upper',
    poses: {
      'Tucked, a fist under the jaw': changed(TUCK, { arms: JAW, grip: true }),
      'The jaw presses down, the head stays': changed(TALL, {
        head: { back: 0.85, nod: 3 },
        arms: JAW,
        grip: true,
      }),
    },
    props: [CHAIR],
    works: ['deep neck flexors'],
    pushes: [push('underJaw', [0.1, -1, 0])],
    fault: [
      'Pushes with the whole trunk',
      changed(TALL, {
        pelvis: { flex: 3 },
        lumbar: { flex: 13 },
        head: { back: -0.7, nod: 4 },
        arms: JAW,
        grip: true,
      }),
    ],
  }),
  'band-lengthening': figure({
    crop: 'upper',
    poses: {
      'Band round the back of the head': changed(TALL, { ...HOLD_BAND }),
      'Lifted up and back against it': changed(TUCK, { ...HOLD_BAND }),
    },
    props: [CHAIR, HEAD_BAND],
    works: ['neck extensors', 'deep neck flexors'],
    pushes: [push('upperOcciput', [-0.8, 0.6, 0])],
    fault: ['Only back, not up', changed(TALL, { head: { back: 0.7, nod: -28 }, ...HOLD_BAND })],
  }),
  'tuck-hands-knees': figure({
    poses: {
      'On hands and knees, neck long': pose('hands and knees', { head: { back: -0.35, nod: 4 } }),
      'Tucked, the back of the head up in line': pose('hands and knees', {
        head: { back: 0.75, nod: 6 },
      }),
    },
    works: ['neck extensors', 'deep neck flexors', 'serratus'],
    fault: ['Head hangs', pose('hands and knees', { head: { back: -1.1, nod: 22 } })],
  }),
  'sit-tall': figure({
    poses: {
      Slumped: SLOUCH,
      'Pelvis rolled to the middle': changed(SLOUCH, { pelvis: { flex: 0 }, lumbar: { flex: -4 } }),
      'Chest lifted, tall, a small tuck': tucked(0, 0.15),
    },
    props: [CHAIR],
    works: ['upper back', 'deep neck flexors'],
    fault: [
      'Stiff as a soldier',
      changed(TALL, { lumbar: { flex: -20 }, thorax: { flex: -10 }, head: { back: 0.9 } }),
    ],
  }),
  'posture-reset': figure({
    poses: {
      'As you find yourself': SLOUCH,
      'Tall, the head a little back': tucked(0, 0.2),
    },
    props: [CHAIR],
    works: ['upper back', 'deep neck flexors'],
    fault: [
      'Full tuck all day',
      changed(TALL, { lumbar: { flex: -12 }, thorax: { flex: -8 }, head: { back: 1, nod: 4 } }),
    ],
  }),
};
