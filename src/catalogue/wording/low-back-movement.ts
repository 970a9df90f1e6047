import type { Worded } from './worded';

const ONE_WAY = {
  normal: 'An ache in the middle of the back that fades; pain that draws in towards the spine.',
  stop: 'Pain or tingling that goes further down the leg, new numbness or weakness.',
};

export const LOW_BACK_MOVEMENT = {
  'face-down-lying': {
    ...ONE_WAY,
    steps: [
      'Lie face down, arms by your sides, head turned to the easier side.',
      'Let the back sink.',
    ],
    cues: ['Let it sink', 'Breathe slowly'],
    faults: {
      'Tenses the buttocks': 'Let them go with the out-breath',
      'Neck is strained': 'A thin towel under the forehead',
    },
    feel: 'The back settling.',
    watch: 'Unload first.',
  },
  'forearm-prop': {
    ...ONE_WAY,
    steps: ['Lie face down and come up on your forearms.', 'Let the low back sag.'],
    cues: ['Hips stay down', 'Shoulders away from the ears'],
    faults: {
      'Hangs in the shoulders': 'Push the floor away a little',
      'Holds the back stiff': 'Breathe out and let it sag',
    },
    feel: 'The low back bending in.',
    watch: 'Only the direction that draws symptoms in.',
  },
  'press-up': {
    ...ONE_WAY,
    steps: [
      'Lie face down with your hands under your shoulders.',
      'Straighten your arms and let your hips stay down. Breathe out at the top.',
      'Lower again.',
    ],
    cues: ['Hips stay down', 'Breathe out at the top'],
    faults: { 'Hips lift': 'Hands further forward: smaller', 'Buttocks squeeze': 'Let them go' },
    feel: 'The low back bending in a little more each time.',
    watch: 'Hands further forward is less. Only while it draws symptoms in.',
  },
  'standing-back-bend': {
    ...ONE_WAY,
    steps: ['Stand, hands on the small of your back.', 'Bend back over them and come up again.'],
    cues: ['Knees straight', 'Come right up each time'],
    faults: { 'Bends the knees': 'Lean on the hands instead', 'Throws the head back': 'Chin in' },
    feel: 'A pinch in the middle that eases with repeating.',
    watch: 'Portable: up to eight times a day.',
  },
  'knees-to-chest': {
    ...ONE_WAY,
    steps: [
      'Lie on your back and draw both knees to your chest with your hands.',
      'Hold a moment; let go.',
    ],
    cues: ['Arms do the work', 'Tail lifts a little'],
    faults: { 'Neck strains': 'A pillow under the head', 'Legs do the work': 'Pull with the arms' },
    feel: 'A stretch in the low back.',
    watch: 'When bending is to be restored. Not soon after waking.',
  },
  'sitting-bend': {
    ...ONE_WAY,
    steps: ['Sit on a steady chair, feet apart.', 'Bend down between the knees and come up.'],
    cues: ['Hang for a moment', 'Push up with the hands'],
    faults: {
      'Chair slides': 'Against a wall',
      'Comes up fast': 'Hands on the thighs',
      'Looks up on the way down': 'Let the head hang',
    },
    feel: 'A stretch in the low back.',
    watch: 'Steady chair. After knees to chest is easy.',
  },
  'standing-bend': {
    ...ONE_WAY,
    steps: [
      'Stand, feet apart, and slide your hands down your legs.',
      'Come up at once: no holding at the end.',
    ],
    cues: ['Never held', 'Slide the hands'],
    faults: { 'Holds at the end': 'Straight up again', Bounces: 'Slow both ways' },
    feel: 'A stretch in the low back that is gone at once.',
    watch: 'Last stage; no hold at the end. Not soon after waking.',
  },
} satisfies Worded;
