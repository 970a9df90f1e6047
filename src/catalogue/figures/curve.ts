import { type DrawnProp, type Figure, SEAT_CM } from '@/core/figure';
import { CHAIR, MAT, angles, ankle, changed, figure, hands, headOn, on, pose, push } from './kit';

const SIT = pose('sitting', { head: { back: 0.1 } });
const ON_NAPE = hands('neckBase', { away: [0, 0, 3], pole: [0.5, 0.5, 1], flat: [0, -0.3, -1] });

/** A rolled cloth behind the neck, both ends drawn forward. */
const ROLL: DrawnProp = {
  kind: 'cloth',
  through: [
    { on: 'palmRight' },
    { on: 'nape', away: [1, -1, 4.5] },
    { on: 'nape', away: [-0.5, -1, 0] },
    { on: 'nape', away: [1, -1, -4.5] },
    { on: 'palmLeft' },
  ],
};
const BED: DrawnProp = { kind: 'bed', x: [-95, 18], top: 46 };
const PILLOWS: readonly DrawnProp[] = [
  { kind: 'pillow', at: [-41, 52, 0], size: [44, 13, 42] },
  { kind: 'pillow', at: [-48, 64, 0], size: [38, 12, 42] },
];
/** Sitting at the edge of a bed, leaning back from the hips onto pillows. */
const leaning = (back: number, nod: number, x = 28) =>
  pose('sitting', {
    pelvis: { flex: -back },
    contacts: [on('seat', 'y', SEAT_CM + 2.6), on('seat', 'x')],
    lumbar: { flex: 2 },
    head: { back: 0.2, nod },
    arms: hands([x - back * 0.75, 102 - back * 0.35, 10], { pole: [0, -1, 0.7] }),
    grip: true,
  });

const WEDGE_TOP = 9;
/** Lying with the neck over a wedge and a blanket under the whole trunk. */
const onWedge = (nod: number, high: number, arms = angles(-8, 18, 12)) =>
  headOn(
    pose('lying', {
      arms,
      legs: { right: ankle([46, 10, 9]), left: ankle([46, 10, -9]) },
      contacts: [
        { mark: 'buttocks', axis: 'y', at: 4 },
        { mark: 'seat', axis: 'x', at: 0 },
      ],
    }),
    high,
    nod,
  );
const BLANKET: DrawnProp = { kind: 'blanket', at: [-30, 2, 0], size: [66, 4, 44] };
const WEDGE: DrawnProp = { kind: 'wedge', x: -64, height: WEDGE_TOP, length: 26 };

export const CURVE: Readonly<Record<string, Figure>> = {
  'neck-base-press': figure({
    crop: 'upper',
    poses: {
      'Hands on the base of the neck, half a tuck': changed(SIT, {
        head: { back: 0.4 },
        arms: ON_NAPE,
      }),
      'Hands press, chest opens, the tuck stays': changed(SIT, {
        thorax: { flex: -9 },
        head: { back: 0.55, nod: 5 },
        arms: ON_NAPE,
      }),
    },
    props: [CHAIR],
    works: ['upper back', 'deep neck flexors'],
    pushes: [push('neckBase', [1, 0.1, 0])],
    fault: [
      'Tuck is lost',
      changed(SIT, { thorax: { flex: -6 }, head: { back: -0.6, nod: -31 }, arms: ON_NAPE }),
    ],
  }),
  'rolled-cloth': figure({
    poses: {
      'At the bed edge, cloth low behind the neck, pulled forward': leaning(8, 0),
      'The trunk leans back, the neck curves over the cloth': leaning(34, -24),
    },
    props: [BED, ...PILLOWS, ROLL],
    stretches: ['deep neck flexors'],
    fault: ['The head drops back', leaning(34, -44, 20)],
  }),
  'wedge-lying': figure({
    crop: 'upper',
    poses: {
      'Lying with the neck on the wedge': onWedge(2, 9),
      'Let go: ear level with the shoulder': onWedge(-12, 4),
    },
    props: [MAT, BLANKET, WEDGE],
    stretches: ['deep neck flexors'],
    fault: ['Head pushed forward', onWedge(8, 14)],
  }),
  'wedge-press': figure({
    crop: 'upper',
    poses: {
      'Neck on the wedge': onWedge(-8, 5),
      'The back of the head presses down, chin level': onWedge(-2, 3.4),
    },
    props: [MAT, BLANKET, WEDGE],
    works: ['neck extensors'],
    pushes: [push('occiput', [0, -1, 0])],
    fault: ['Chin lifts', onWedge(-34, 4)],
  }),
  'wedge-look-over': figure({
    crop: 'upper',
    poses: {
      'Neck on the wedge, eyes up': onWedge(-6, 5),
      'Looks up and over it, slowly': onWedge(-34, 3.6),
    },
    props: [MAT, BLANKET, WEDGE],
    works: ['neck extensors'],
    stretches: ['deep neck flexors'],
    fault: ['Drops over', onWedge(-50, 1)],
  }),
};
