import type { DrawnProp, Figure } from '@/core/figure';
import { CHAIR, angles, ankle, changed, figure, hand, hands, on, pose, push } from './kit';

/** Tucks with something more: a turn, a nod, arms overhead, a weight; and tucks kept through the day. */
const BENCH_TOP = 36;
const BENCH: DrawnProp = { kind: 'bench', x: [-38, 20], top: BENCH_TOP };
const overEdge = (arms: Parameters<typeof pose>[1], back: number, nod: number) =>
  pose('lying', {
    lumbar: { flex: -4 },
    thorax: { flex: -16 },
    legs: { right: ankle([48, 6.6, 12]), left: ankle([48, 6.6, -12]) },
    contacts: [on('buttocks', 'y', BENCH_TOP), on('seat', 'x')],
    ...arms,
    head: { back, nod },
  });
const OVERHEAD = { arms: angles(158, 14, 22) };
/** The far hand steadies a light weight, rolled in a cloth, on the forehead; the near one rests. */
const STEADY = {
  arms: {
    right: hand('belly', { away: [0, 4, 6], pole: [0, -0.3, 1] }),
    left: hand('templeLeft', { away: [0.6, 0, -3], pole: [0.2, 0.4, -1], shape: 'cupped' }),
  },
};

const onFours = (back: number, nod: number, turn = 0) =>
  pose('hands and knees', { head: { back, nod, turn } });

const TALL = pose('sitting', { head: { back: -0.3 } });
const TUCK = changed(TALL, { head: { back: 0.85 } });
const BAND: DrawnProp = {
  kind: 'band',
  through: [
    { on: 'palmRight' },
    { on: 'sideOfHeadRight' },
    { on: 'upperOcciput' },
    { on: 'sideOfHeadLeft' },
    { on: 'palmLeft' },
  ],
};
const HOLD = { arms: hands([34, 106, 12], { pole: [0, -1, 0.5] }), grip: true };
const PULL = push('upperOcciput', [-0.8, 0.6, 0]);

/** A book held low, both hands under it. */
const BOOK: DrawnProp = { kind: 'pad', at: [33, 92, 0], size: [3, 20, 27] };
const HELD_BOOK = { arms: hands([30, 88, 14.5], { pole: [-0.6, -1, 0.5] }), grip: true };

const STAND = pose('standing');
const WAITING = changed(STAND, {
  pelvis: { flex: -3 },
  thorax: { flex: 11 },
  head: { back: -0.8, nod: -6 },
});

export const HARDER_TUCKS: Readonly<Record<string, Figure>> = {
  'bench-edge-arms': figure({
    poses: {
      'Over the edge, tucked, arms up': overEdge({ arms: angles(88, 6, 8) }, 0.7, 10),
      'Arms overhead, the head stays level': overEdge(OVERHEAD, 0.7, 10),
    },
    props: [BENCH],
    works: ['deep neck flexors', 'upper back'],
    fault: ['Head drops as the arms go', overEdge(OVERHEAD, 0.9, -30)],
  }),
  'bench-edge-weight': figure({
    poses: {
      'Over the edge, the rolled weight on the forehead, a little back': overEdge(STEADY, 0.4, -14),
      'Brought level with the floor, no further': overEdge(STEADY, 0.7, 8),
    },
    props: [
      BENCH,
      { kind: 'weight', at: { on: 'forehead', away: [2.4, 0, 0] }, size: [5, 6.5, 14] },
    ],
    works: ['deep neck flexors', 'neck flexors'],
    fault: ['Goes past level to the chest', overEdge(STEADY, -0.3, 22)],
  }),
  'hands-knees-turn': figure({
    poses: {
      'On hands and knees, tucked': onFours(0.75, 6),
      'A small turn, the tuck kept': onFours(0.75, 6, 28),
    },
    works: ['neck extensors', 'deep neck flexors'],
    fault: ['Head hangs during the turn', onFours(-1, 18, 34)],
  }),
  'hands-knees-nod': figure({
    poses: {
      'On hands and knees, tucked': onFours(0.75, 6),
      'A small nod, the neck stays long': onFours(0.75, 20),
    },
    works: ['neck extensors', 'deep neck flexors'],
    fault: ['The whole neck drops', onFours(-1.1, 22)],
  }),
  'band-lengthening-turn': figure({
    view: 'front',
    crop: 'upper',
    poses: {
      'Lifted up and back against the band': changed(TUCK, HOLD),
      'A small turn, the length kept': changed(TALL, { ...HOLD, head: { back: 0.85, turn: 22 } }),
    },
    props: [CHAIR, BAND],
    works: ['neck extensors', 'deep neck flexors'],
    pushes: [PULL],
    fault: ['Loses length in the turn', changed(TALL, { ...HOLD, head: { back: -0.6, turn: 36 } })],
  }),
  'band-lengthening-nod': figure({
    crop: 'upper',
    poses: {
      'Lifted up and back against the band': changed(TUCK, HOLD),
      'A small nod, the length kept': changed(TALL, { ...HOLD, head: { back: 0.85, nod: 17 } }),
    },
    props: [CHAIR, BAND],
    works: ['neck extensors', 'deep neck flexors'],
    pushes: [PULL],
    fault: [
      'The band pulls the head forward',
      changed(TALL, { ...HOLD, head: { back: -0.9, nod: 14 } }),
    ],
  }),
  'reading-push': figure({
    crop: 'upper',
    poses: {
      'Reading, the head slid a little back': changed(TALL, { ...HELD_BOOK, head: { back: 0.3 } }),
      'Looks down by a nod, the neck stays back': changed(TALL, {
        ...HELD_BOOK,
        head: { back: 0.4, nod: 20 },
      }),
    },
    props: [CHAIR, BOOK],
    works: ['deep neck flexors', 'neck extensors'],
    fault: [
      'The neck hangs over the page',
      changed(TALL, { ...HELD_BOOK, thorax: { flex: 10 }, head: { back: -1, nod: 18 } }),
    ],
  }),
  'waiting-reset': figure({
    poses: {
      'As you find yourself waiting': WAITING,
      'Grown tall, the head a little back': changed(STAND, { head: { back: 0.25 } }),
    },
    works: ['upper back', 'deep neck flexors'],
    fault: [
      'Stiff as a soldier',
      changed(STAND, { lumbar: { flex: -8 }, thorax: { flex: -6 }, head: { back: 1, nod: 8 } }),
    ],
  }),
};
