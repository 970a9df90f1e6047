import type { DrawnProp, Figure } from '@/core/figure';
import { angles, ankle, figure, hand, hands, on, pose } from './kit';

/** Tucks with the head over the edge of a bench. */
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
const RESTING = { arms: hands('belly', { away: [0, 4, 6], pole: [0, -0.3, 1] }) };
const OVERHEAD = { arms: angles(158, 14, 22) };
/** The far hand steadies a light weight, rolled in a cloth, on the forehead; the near one rests. */
const STEADY = {
  arms: {
    right: hand('belly', { away: [0, 4, 6], pole: [0, -0.3, 1] }),
    left: hand('templeLeft', { away: [0.6, 0, -3], pole: [0.2, 0.4, -1], shape: 'cupped' }),
  },
};

export const BENCH_EDGE: Readonly<Record<string, Figure>> = {
  'tuck-bench-edge': figure({
    poses: {
      'Upper back over the edge': overEdge(RESTING, 0.1, -8),
      'Tucked, head level with the floor': overEdge(RESTING, 0.7, 10),
    },
    props: [BENCH],
    works: ['deep neck flexors'],
    fault: ['Head drops below level', overEdge(RESTING, 0.9, -34)],
  }),
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
    crop: 'upper',
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
};
