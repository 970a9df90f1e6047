import type { Exercise } from './exercise';

const NONE = { sided: false, effort: false } as const;
const SIDED = { sided: true, effort: false } as const;

/** Nerve glides and the low back. Doses are common practice, no source. */
export const NERVE_AND_LOW_BACK: readonly Exercise[] = [
  {
    id: 'median-slider',
    name: 'Median nerve slider',
    family: 'Nerve glide',
    rung: 1,
    position: 'standing',
    purpose: 'glide',
    mode: 'moved',
    needs: SIDED,
    props: [],
    usualDose: 'x10 move 4s each side 2/day daily',
    steps: [
      'Hold your arm out to the side, elbow bent, palm up.',
      'As you straighten the elbow and wrist, let your head bend towards that arm. As you bend the elbow, bring your head back.',
      'Smooth and easy: one end loosens as the other end tightens.',
    ],
    cues: ['Smooth, never into tingling', 'Head and arm together'],
    watch: 'Never into tingling. Sliders before tensioners.',
    keywords: ['arm', 'tingling', 'neurodynamic', 'brachial'],
  },
  {
    id: 'sciatic-slider',
    name: 'Sciatic nerve slider, sitting',
    family: 'Nerve glide',
    rung: 2,
    position: 'sitting',
    purpose: 'glide',
    mode: 'moved',
    needs: SIDED,
    props: [],
    usualDose: 'x10 move 4s each side daily',
    steps: [
      'Sit on a steady chair and let yourself slump a little.',
      'Straighten one knee while you look up; bend the knee while you look down.',
      'Smooth and easy.',
    ],
    cues: ['Smooth, never into tingling'],
    watch: 'Symptoms settle at once, or make it smaller.',
    keywords: ['leg', 'slump', 'tingling', 'neurodynamic'],
  },
  {
    id: 'press-up',
    name: 'Press-up lying face down',
    family: 'Low back',
    rung: 1,
    position: 'face down',
    purpose: 'mobilise',
    mode: 'moved',
    needs: NONE,
    props: [],
    usualDose: 'x10 hold 1s 3/day daily',
    steps: [
      'Lie face down with your hands under your shoulders.',
      'Straighten your arms and let your back sag; hips stay down. Breathe out at the top.',
      'Lower slowly.',
    ],
    cues: ['Hips stay down', 'Breathe out at the top'],
    watch:
      'Only if it draws symptoms in. Hands further forward is less. Not with stenosis or a slip.',
    keywords: ['extension', 'repeated movement', 'disc'],
  },
  {
    id: 'curl-up',
    name: 'Curl-up, hands under the low back',
    family: 'Low back',
    rung: 2,
    position: 'lying',
    purpose: 'endure',
    mode: 'held',
    needs: NONE,
    props: [],
    usualDose: '6-4-2 hold 10s rest 20-30s daily',
    steps: [
      'Lie on your back with one knee bent and your hands under the hollow of your low back.',
      'Breathe out and take the weight of your head and shoulders off the floor, no higher.',
      'Hold and keep breathing, then lower.',
    ],
    cues: ['No higher', 'Do not press into your hands', 'Keep breathing'],
    watch: 'Not a sit-up: the low back does not move.',
    keywords: ['abdominals', 'core', 'trunk endurance', 'stability'],
  },
];
