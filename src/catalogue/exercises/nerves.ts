import { SIDED, entry, sides } from './entry';

const GLIDE = {
  region: 'arm',
  purpose: 'glide',
  mode: 'moved',
  needs: SIDED,
  sides: sides('limb', (side) => `the ${side} arm glides`),
} as const;
const LEG = sides('limb', (side) => `the ${side} leg glides`);
const SLIDER = {
  rung: 1,
  usualDose: 'x10 move 4s each side 1-3/day daily',
  doses: { climb: 'x10 move 4s each side 2/day daily' },
  cues: ['Smooth, never into tingling', 'One end loosens as the other tightens'],
  faults: {
    'Pulls into tingling': 'Half as far, and slower',
    'Both ends tighten at once': 'Practise each end alone first',
  },
  feel: 'Easy movement, at most a mild pull that comes and goes.',
  normal: 'A mild pull that is gone at once.',
  stop: 'Tingling that stays longer than a few minutes.',
  watch: 'Never into tingling. Other end eases as one end loads.',
} as const;
const TENSIONER = {
  rung: 2,
  traits: ['tensioner', 'end-range stretch'],
  usualDose: 'x5-10 hold 1-2s each side daily',
  doses: { climb: 'x5 hold 1-2s each side daily' },
  cues: ['To the first pull only', 'Let go at once'],
  faults: {
    'Held as a stretch': 'One or two seconds, then let go',
    'Started before sliders are easy': 'Back to the slider',
  },
  feel: 'A brief pull along the nerve.',
  normal: 'A pull that settles within minutes.',
  stop: 'Symptoms that do not settle within minutes, or new weakness.',
  watch: 'A later stage. Settles within minutes, or drop back to the slider.',
} as const;
const KEYWORDS = ['nerve glide', 'neurodynamic', 'tingling', 'arm'];

/** Doses are common practice, no source. */
export const NERVES = [
  entry({
    ...GLIDE,
    ...SLIDER,
    id: 'median-slider',
    name: 'Median nerve slider',
    family: 'Median nerve',
    position: 'standing',
    muscles: ['median nerve'],
    steps: [
      'Hold your arm out to the side, elbow bent, palm up.',
      'As you straighten the elbow and wrist, let your head bend towards that arm. As you bend the elbow, bring your head back.',
      'Smooth and easy: one end loosens as the other end tightens.',
    ],
    keywords: [...KEYWORDS, 'brachial', 'thumb'],
  }),
  entry({
    ...GLIDE,
    ...TENSIONER,
    id: 'median-tensioner',
    name: 'Median nerve tensioner',
    family: 'Median nerve',
    position: 'standing',
    muscles: ['median nerve'],
    steps: [
      'Arm out to the side, palm up, elbow bent.',
      'Straighten elbow and wrist while the head bends away, to the first pull; let go at once.',
    ],
    keywords: [...KEYWORDS, 'brachial', 'thumb'],
  }),
  entry({
    ...GLIDE,
    ...SLIDER,
    id: 'ulnar-slider',
    name: 'Ulnar nerve slider',
    family: 'Ulnar nerve',
    position: 'standing',
    muscles: ['ulnar nerve'],
    steps: [
      'Arm out to the side, elbow bent, palm towards your face.',
      'Bring the hand towards the ear as the head bends towards it; take it away as the head comes back.',
    ],
    keywords: [...KEYWORDS, 'little finger', 'elbow'],
  }),
  entry({
    ...GLIDE,
    ...TENSIONER,
    id: 'ulnar-tensioner',
    name: 'Ulnar nerve tensioner',
    family: 'Ulnar nerve',
    position: 'standing',
    muscles: ['ulnar nerve'],
    steps: [
      'Arm out to the side, palm towards your face.',
      'Bring the hand to the ear while the head bends away, to the first pull; let go at once.',
    ],
    keywords: [...KEYWORDS, 'little finger', 'elbow'],
  }),
  entry({
    ...GLIDE,
    ...SLIDER,
    id: 'radial-slider',
    name: 'Radial nerve slider',
    family: 'Radial nerve',
    position: 'standing',
    muscles: ['radial nerve'],
    steps: [
      'Arm by your side, thumb inside the fist, palm to the back.',
      'Bend the wrist as the head bends towards that shoulder; let the wrist go as the head comes back.',
    ],
    keywords: [...KEYWORDS, 'back of the hand', 'wrist'],
  }),
  entry({
    ...GLIDE,
    ...TENSIONER,
    id: 'radial-tensioner',
    name: 'Radial nerve tensioner',
    family: 'Radial nerve',
    position: 'standing',
    muscles: ['radial nerve'],
    steps: [
      'Arm by your side, shoulder drawn down, thumb inside the fist, palm to the back.',
      'Bend the wrist while the head bends away, to the first pull; let go at once.',
    ],
    keywords: [...KEYWORDS, 'back of the hand', 'wrist'],
  }),
  entry({
    ...GLIDE,
    ...SLIDER,
    id: 'sciatic-slider',
    name: 'Sciatic nerve slider, sitting',
    family: 'Sciatic nerve',
    position: 'sitting',
    region: 'leg',
    sides: LEG,
    muscles: ['sciatic nerve'],
    props: { chair: {} },
    steps: [
      'Sit on a steady chair and let yourself slump a little.',
      'Straighten one knee while you look up; bend the knee while you look down.',
      'Smooth and easy.',
    ],
    keywords: ['nerve glide', 'leg', 'slump', 'tingling', 'neurodynamic'],
  }),
  entry({
    ...GLIDE,
    ...TENSIONER,
    id: 'sciatic-tensioner',
    name: 'Sciatic nerve tensioner, sitting',
    family: 'Sciatic nerve',
    position: 'sitting',
    region: 'leg',
    sides: LEG,
    muscles: ['sciatic nerve'],
    props: { chair: {} },
    steps: [
      'Sit on a steady chair and let yourself slump, looking down.',
      'Straighten one knee and draw the toes up to the first pull; let go at once.',
    ],
    keywords: ['nerve glide', 'leg', 'slump', 'tingling', 'neurodynamic'],
  }),
];
