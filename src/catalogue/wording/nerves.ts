import type { Worded } from './worded';

const SLIDER = {
  cues: ['Smooth, never into tingling', 'One end loosens as the other tightens'],
  faults: {
    'Pulls into tingling': 'Half as far, and slower',
    'Both ends tighten at once': 'Practise each end alone first',
  },
  feel: 'Easy movement, at most a mild pull that comes and goes.',
  normal: 'A mild pull that is gone at once.',
  stop: 'Tingling that stays longer than a few minutes.',
  watch: 'Never into tingling. Other end eases as one end loads.',
};
const TENSIONER = {
  cues: ['To the first pull only', 'Let go at once'],
  faults: {
    'Held as a stretch': 'One or two seconds, then let go',
    'Started before sliders are easy': 'Back to the slider',
  },
  feel: 'A brief pull along the nerve.',
  normal: 'A pull that settles within minutes.',
  stop: 'Pain or tingling that does not go away in a few minutes, or new weakness.',
  watch: 'A later stage. Settles within minutes, or drop back to the slider.',
};

export const NERVES = {
  'median-slider': {
    ...SLIDER,
    steps: [
      'Hold your arm out to the side, elbow bent, palm up.',
      'As you straighten the elbow and wrist, let your head bend towards that arm. As you bend the elbow, bring your head back.',
      'Smooth and easy: one end loosens as the other end tightens.',
    ],
  },
  'median-tensioner': {
    ...TENSIONER,
    steps: [
      'Arm out to the side, palm up, elbow bent.',
      'Straighten elbow and wrist while the head bends away, to the first pull; let go at once.',
    ],
  },
  'ulnar-slider': {
    ...SLIDER,
    steps: [
      'Arm out to the side, elbow bent, palm towards your face.',
      'Bring the hand towards the ear as the head bends towards it; take it away as the head comes back.',
    ],
  },
  'ulnar-tensioner': {
    ...TENSIONER,
    steps: [
      'Arm out to the side, palm towards your face.',
      'Bring the hand to the ear while the head bends away, to the first pull; let go at once.',
    ],
  },
  'radial-slider': {
    ...SLIDER,
    steps: [
      'Arm by your side, thumb inside the fist, palm to the back.',
      'Bend the wrist as the head bends towards that shoulder; let the wrist go as the head comes back.',
    ],
  },
  'radial-tensioner': {
    ...TENSIONER,
    steps: [
      'Arm by your side, shoulder drawn down, thumb inside the fist, palm to the back.',
      'Bend the wrist while the head bends away, to the first pull; let go at once.',
    ],
  },
  'sciatic-slider': {
    ...SLIDER,
    steps: [
      'Sit on a steady chair and let yourself slump a little.',
      'Straighten one knee while you look up; bend the knee while you look down.',
      'Smooth and easy.',
    ],
  },
  'sciatic-tensioner': {
    ...TENSIONER,
    steps: [
      'Sit on a steady chair and let yourself slump, looking down.',
      'Straighten one knee and draw the toes up to the first pull; let go at once.',
    ],
  },
  'femoral-slider': {
    ...SLIDER,
    steps: [
      'Lie on your side, a little rounded, the lower knee drawn up.',
      'Bend the upper knee back while you lift your head; straighten it while you look down.',
      'Smooth and easy.',
    ],
  },
  'femoral-tensioner': {
    ...TENSIONER,
    steps: [
      'Lie on your side, rounded, the lower knee drawn up, looking down.',
      'Bend the upper knee and draw the thigh back to the first pull; let go at once.',
    ],
  },
} satisfies Worded;
