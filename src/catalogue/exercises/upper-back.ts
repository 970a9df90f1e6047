import { PLAIN, SIDED, entry, sides } from './entry';

const BACK = { family: 'Upper back', region: 'upper back', purpose: 'mobilise' } as const;

/** Doses are common practice, no source. */
export const UPPER_BACK = [
  entry({
    ...BACK,
    id: 'shoulder-rolls',
    name: 'Backward shoulder rolls',
    rung: 1,
    position: 'standing',
    muscles: ['trapezius', 'rhomboids'],
    mode: 'moved',
    needs: PLAIN,
    usualDose: 'x10 slow daily',
    doses: { climb: 'x10 slow daily' },
    keywords: ['warm up', 'shoulders'],
  }),
  entry({
    ...BACK,
    id: 'clasp-and-open',
    name: 'Hands clasped, blades together, look slightly up, tuck',
    rung: 2,
    position: 'sitting',
    muscles: ['thoracic extensors', 'rhomboids', 'lower trapezius'],
    traits: ['extension'],
    mode: 'held',
    needs: PLAIN,
    usualDose: '3x10-15s gap 10s daily',
    doses: {
      lengthen: '3x10s gap 10s daily',
      'descending-sets': '6-4-2 hold 10-15s rest 20-30s daily',
    },
    keywords: ['thoracic extension', 'posture', 'desk'],
  }),
  entry({
    ...BACK,
    id: 'side-lying-opening',
    name: 'Side-lying trunk turn',
    rung: 3,
    position: 'on the side',
    muscles: ['thoracic rotators', 'pectorals'],
    mode: 'moved',
    sides: sides('turned', (side, other) => `opens to the ${side}: lie on the ${other} side`),
    needs: SIDED,
    props: { pillow: { towel: 'rolled up under the head: lower' } },
    ways: 'Each side.',
    usualDose: 'x8 move 6s each side daily',
    doses: { climb: 'x8 move 6s each side daily' },
    keywords: ['thoracic rotation', 'stiff upper back'],
  }),
  entry({
    ...BACK,
    id: 'block-opening',
    name: 'Upper-back opening over a block',
    rung: 4,
    position: 'lying',
    muscles: ['thoracic joints', 'pectorals'],
    traits: ['block', 'long flat on back', 'bruising pressure'],
    mode: 'lain',
    needs: PLAIN,
    props: {
      block: {
        roller: 'narrower and higher: stronger, begin shorter',
        towel: 'rolled up: lower and softer, so less opening',
      },
    },
    usualDose: '2min daily',
    doses: { lengthen: '30s daily' },
    keywords: ['thoracic extension', 'roller', 'passive'],
  }),
];
