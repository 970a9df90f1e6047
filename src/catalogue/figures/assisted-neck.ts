import { type DrawnProp, type Figure, mirrorFigure } from '@/core/figure';
import { CHAIR, MAT, changed, figure, hand, hands, headOn, pose } from './kit';

/** The head helped to the end of its way by a hand, a towel or what it lies on, and the eyes leading it. */
const SIT = pose('sitting', { head: { back: 0 } });
const ON_BELLY = hands('belly', { away: [0, 2, 6], pole: [0, -0.5, 1] });
const DOWN = pose('lying', { arms: ON_BELLY });

/** Skull base on two balls that lie side by side in a sock. */
const ON_TWO = (nod: number) => headOn(DOWN, 4.6, nod);
const TWO_BALLS: readonly DrawnProp[] = [-3.4, 3.4].map((z) => ({
  kind: 'ball',
  at: [-67, 3.2, z],
  radius: 3.3,
}));

const CHIN = {
  right: hand('chin', { shape: 'two fingers', away: [0.8, -0.4, 0], pole: [0.4, -1, 0.6] }),
};

/** A towel round the neck, as low as it is wanted, both ends drawn forward and up. */
const towel = (low: number): DrawnProp => ({
  kind: 'cloth',
  through: [
    { on: 'palmRight' },
    { on: 'nape', away: [1, low, 4.5] },
    { on: 'nape', away: [-0.5, low, 0] },
    { on: 'nape', away: [1, low, -4.5] },
    { on: 'palmLeft' },
  ],
});
const ENDS = hands([31, 106, 9], { pole: [0, -1, 0.7] });

/** Ends crossed: the right hand draws forward and across, the left one holds low. */
const CROSSED: DrawnProp = {
  kind: 'cloth',
  through: [
    { on: 'palmRight' },
    { on: 'cheekRight', away: [-3, -5, 1] },
    { on: 'nape', away: [-0.5, 0, 0] },
    { on: 'cheekLeft', away: [-6, -6, -1] },
    { on: 'palmLeft' },
  ],
};
const crossedHands = (x: number, z: number) => ({
  right: hand([x, 114, z], { pole: [0.2, -0.6, 1] }),
  left: hand([14, 84, -8], { pole: [0, -1, -0.6] }),
});

/** A thumb held up before the eyes, so far to the right. */
const thumb = (z: number) => ({
  right: hand([46 - Math.abs(z) * 0.25, 116, z], { pole: [-0.4, -1, 0.6], shape: 'fist' }),
});

export const ASSISTED_NECK: Readonly<Record<string, Figure>> = {
  'retraction-overpressure': figure({
    crop: 'upper',
    poses: {
      'Sitting tall, gaze level': SIT,
      'Head slid straight back': changed(SIT, { head: { back: 0.75 } }),
      'Two fingers on the chin press a little further': changed(SIT, {
        head: { back: 1 },
        arms: CHIN,
      }),
    },
    props: [CHAIR],
    works: ['deep neck flexors'],
    stretches: ['suboccipitals'],
    fault: ['Pushes the chin down', changed(SIT, { head: { back: 0.2, nod: 20 }, arms: CHIN })],
  }),
  'suboccipital-release': figure({
    crop: 'upper',
    eyesClosed: true,
    poses: {
      'The base of the skull on two balls': ON_TWO(-8),
      'The head sinks, the chin comes in a little': ON_TWO(8),
    },
    props: [MAT, ...TWO_BALLS],
    stretches: ['suboccipitals'],
    fault: ['Rolls hard over the balls', headOn(DOWN, 4.6, -14)],
  }),
  'towel-extension': figure({
    crop: 'upper',
    poses: {
      'Towel low round the neck, ends drawn forward': changed(SIT, {
        head: { back: 0.3 },
        arms: ENDS,
        grip: true,
      }),
      'Looks up over the towel, which keeps its pull': changed(SIT, {
        head: { back: 0.5, nod: -32 },
        arms: hands([31, 114, 9], { pole: [0, -1, 0.7] }),
        grip: true,
      }),
    },
    props: [CHAIR, towel(-5)],
    stretches: ['neck flexors'],
    fault: [
      'Head drops back over the towel',
      changed(SIT, { head: { back: -0.1, nod: -42 }, arms: ENDS, grip: true }),
    ],
  }),
  'towel-rotation': mirrorFigure(
    figure({
      view: 'front',
      crop: 'upper',
      poses: {
        'Towel round the middle of the neck, ends crossed': changed(SIT, {
          head: { back: 0.1 },
          arms: crossedHands(26, 4),
          grip: true,
        }),
        'The head turns and the upper hand goes along': changed(SIT, {
          head: { back: 0.1, turn: -44 },
          arms: crossedHands(24, -14),
          grip: true,
        }),
      },
      props: [CHAIR, CROSSED],
      stretches: ['side of neck'],
      fault: [
        'The hand drags the head',
        changed(SIT, { head: { turn: -44, side: 18 }, arms: crossedHands(24, -18), grip: true }),
      ],
    }),
  ),
  'eye-head': figure({
    view: 'front',
    crop: 'upper',
    poses: {
      'Eyes on a thumb held ahead': changed(SIT, { arms: thumb(2) }),
      'The thumb goes to the side, the eyes follow it': changed(SIT, { arms: thumb(30) }),
      'Then the head turns to it': changed(SIT, { head: { turn: 36 }, arms: thumb(30) }),
    },
    props: [CHAIR],
    works: ['suboccipitals'],
    fault: ['The head goes first', changed(SIT, { head: { turn: 46, side: 10 }, arms: thumb(2) })],
  }),
};
