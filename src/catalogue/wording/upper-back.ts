import type { Worded } from './worded';

export const UPPER_BACK = {
  'shoulder-rolls': {
    steps: ['Stand or sit tall.', 'Roll the shoulders up, back and down with the breath.'],
    cues: ['Up on the in-breath', 'Down on the out-breath'],
    faults: { 'Chin pokes': 'Tuck a little first', 'Elbows do it': 'Let the arms hang' },
    feel: 'Loose shoulders.',
    normal: 'Soft grinding without pain.',
    stop: 'Pinching in the shoulder.',
    watch: 'Chin stays in.',
  },
  'clasp-and-open': {
    steps: [
      'Sit tall and clasp your hands behind you, shoulders turned out.',
      'Draw the blades together; look slightly up from the upper back; then tuck.',
      'Hold and breathe.',
    ],
    cues: ['Three moves in order', 'Shoulders turned out'],
    faults: {
      'Looks up from the neck': 'Lift the breastbone instead',
      'Low back arches': 'Ribs down',
    },
    feel: 'The upper back working, the chest opening.',
    normal: 'Tired between the blades.',
    stop: 'Pinching in the neck.',
    watch: 'Three moves in order; shoulders turned out.',
  },
  'side-lying-opening': {
    steps: [
      'Lie on your side, knees bent, head on a pillow, arms in front.',
      'Open the top arm to the other side and let the head follow; breathe out; come back.',
    ],
    cues: ['Knees stay together', 'Breathe out into it'],
    faults: {
      'Knees come apart': 'A pillow between them',
      'Arm leads, trunk does not': 'Turn the breastbone',
    },
    feel: 'The upper back turning, the chest opening.',
    normal: 'A mild pull across the chest.',
    stop: 'Tingling in the arm.',
    watch: 'Elbow bent with arm symptoms.',
  },
  'block-opening': {
    steps: [
      'Lie on your back across the block, at the stiff part of your upper back, knees bent.',
      'Let your arms rest and your back open. Stretch your legs out for more.',
    ],
    cues: ['Breathe slowly', 'Let it open'],
    faults: {
      'Block under the low back': 'Higher, below the blades',
      'Head hangs': 'A towel under it',
    },
    feel: 'The upper back opening.',
    normal: 'A firm, easy pressure that softens.',
    stop: 'Tingling, dizziness, pain round the ribs.',
    watch: 'Not with osteoporosis or instability. Legs straight is more.',
  },
} satisfies Worded;
