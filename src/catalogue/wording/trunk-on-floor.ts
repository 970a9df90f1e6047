import type { Worded } from './worded';

export const LOW_BACK_EASY = {
  'pelvic-tilt': {
    steps: [
      'Lie on your back, knees bent.',
      'Roll the pelvis back until the small of your back lies on the floor. Then roll it forward until it is hollow.',
      'Stop in the middle: that is neutral.',
    ],
    cues: ['Small and slow', 'Buttocks stay down', 'Find the middle'],
    faults: {
      'Lifts the buttocks': 'Only roll; the weight stays',
      'Presses with the feet': 'Feet light',
    },
    feel: 'The low back moving, easily.',
    normal: 'A little stiffness that goes.',
    stop: 'Pain down a leg.',
    watch: 'The way to find neutral, before everything else for the trunk.',
  },
  'knee-rolls': {
    steps: [
      'Lie on your back, knees bent and together, arms out.',
      'Let both knees roll to one side as far as is easy, then to the other.',
    ],
    cues: ['Shoulders stay', 'Knees together', 'No farther than easy'],
    faults: { 'A shoulder lifts': 'Less far', 'Lets the knees drop': 'Lower them slowly' },
    feel: 'The low back turning.',
    normal: 'A pull at the side of the trunk.',
    stop: 'Pain down a leg.',
    watch: 'Small at first when a turn is what provokes.',
  },
  'cat-camel': {
    steps: [
      'On hands and knees, round the whole back up, slowly.',
      'Then let it down hollow. Go between the two without stopping at either end.',
    ],
    cues: ['The whole back', 'No pushing at the ends', 'With the breath'],
    faults: {
      'Moves the neck alone': 'Begin at the tail',
      'Pushes into the ends': 'Turn back before them',
    },
    feel: 'The back loosening.',
    normal: 'Clicks without pain.',
    stop: 'Pain down a leg or in the wrists.',
    watch: 'Movement, not a stretch: six to eight are enough.',
  },
  'heels-rest': {
    steps: [
      'From hands and knees let your hips sink back over your heels.',
      'Leave the arms long on the floor, let the head hang, and breathe.',
    ],
    cues: ['Hips back', 'Arms long', 'Breathe into the back'],
    faults: {
      'Hips stay high': 'A pillow between heels and seat',
      'Shoulders creep up': 'Let the arms be heavy',
    },
    feel: 'Length in the low back and under the arms.',
    normal: 'A pull at the front of the thighs.',
    stop: 'Pain in the knees or down a leg.',
    watch: 'Not where bending draws symptoms out, nor soon after waking.',
  },
  'side-glide': {
    steps: [
      'Stand with your feet apart, a hand on the hip.',
      'Slide the chest to that side over hips that stay, shoulders level. Come back to the middle.',
    ],
    cues: ['Shoulders level', 'Slide, do not bend', 'Back to the middle each time'],
    faults: {
      'Bends instead of sliding': 'Shoulders stay level; a wall at the shoulder helps',
      'Hips go along': 'The hand keeps them',
    },
    feel: 'The low back shifting.',
    normal: 'An ache in the middle that fades; pain that draws in towards the spine.',
    stop: 'Pain or tingling that goes further down the leg, new numbness or weakness.',
    watch: 'For a trunk that stands off to one side. Only while it draws symptoms in.',
  },
  'side-plank-legs': {
    steps: [
      'Lie on your side on your forearm, legs long, the upper foot in front. Free hand on the hip.',
      'Push the hips forward and up to a straight line. Hold and breathe.',
    ],
    cues: ['Hips forward and up', 'Breathe'],
    faults: {
      'Hips sag': 'Shorter holds, or from the knees',
      'Shoulder sinks': 'Push the floor away',
    },
    feel: 'Firm work at the side of the trunk.',
    normal: 'Tired side.',
    stop: 'Pain in the shoulder.',
    watch: 'After the side plank from the knees holds its sets.',
  },
  'dead-bug': {
    steps: [
      'Lie on your back, arms up, hips and knees at right angles.',
      'Let one leg reach out and the other arm go back, the low back still. Come back; change.',
    ],
    cues: ['Low back still', 'Breathe out as they go', 'Slowly'],
    faults: {
      'Low back lifts': 'Reach less far, or only with the leg',
      'Holds the breath': 'Out as they go, in as they come',
    },
    feel: 'Work deep in the belly.',
    normal: 'Tired belly.',
    stop: 'Pain in the back that grows.',
    watch: 'The back keeps its middle; the limbs only test it.',
  },
  'front-plank-knees': {
    steps: [
      'Face down on your forearms, elbows under the shoulders, knees on the floor.',
      'Lift the hips to one line from the knees to the head. Hold and breathe.',
    ],
    cues: ['One line', 'Push the floor away', 'Breathe'],
    faults: { 'Hips sag': 'Squeeze the buttocks, shorter holds', 'Head hangs': 'Tuck, long neck' },
    feel: 'Firm work in the belly.',
    normal: 'Tired belly and shoulders.',
    stop: 'Pain in the low back or the shoulders.',
    watch: 'Stop before the low back sags.',
  },
  'front-plank': {
    steps: [
      'Lie face down on your forearms. Elbows under the shoulders, toes tucked under.',
      'Lift to one line from the heels to the head. Hold and breathe.',
    ],
    cues: ['One line', 'Push the floor away', 'Breathe'],
    faults: {
      'Low back sags': 'From the knees again',
      'Hips stick up': 'Bring them into the line',
    },
    feel: 'Firm work in the belly and thighs.',
    normal: 'A shake, tired belly.',
    stop: 'Pain in the low back or the shoulders.',
    watch: 'After the front plank from the knees holds its sets.',
  },
  'prone-lifts': {
    steps: [
      'Lie face down, arms long beyond your head, forehead on the floor.',
      'Lift one leg and the other arm a hand’s breadth; hold; lower; change.',
    ],
    cues: ['Long before high', 'Forehead down', 'Breathe'],
    faults: {
      'Lifts too high': 'A hand’s breadth is enough',
      'Head lifts': 'Forehead stays down',
    },
    feel: 'Even work along the back.',
    normal: 'Tired back and buttocks.',
    stop: 'Pain down a leg.',
    watch: 'A pillow under the belly where the low back hollows.',
  },
} satisfies Worded;
