import type { Worded } from './worded';

const PUSH_FAULTS = {
  'Pushes with the whole trunk': 'Sit tall first; only the neck works',
  'Lets go suddenly': 'Ease off as slowly as you built it up',
  'Holds the breath': 'Count aloud',
};

export const TUCK_RESISTED = {
  'cheekbone-nod': {
    steps: [
      'Sit tall. Two fingers of each hand on your cheekbones.',
      'Begin a small nod and let the fingers stop it. Hold very lightly.',
    ],
    cues: ['Very light', 'Imagine the nod'],
    faults: { 'Shoves forward': 'Imagine the nod rather than do it', ...PUSH_FAULTS },
    feel: 'Almost nothing: that is right.',
    normal: 'A light ache deep at the front.',
    stop: 'Pain in the face or jaw.',
    watch: 'Very light: low-effort holds feel like almost nothing while they work.',
  },
  'skull-base-tuck': {
    steps: [
      'Sit tall. Fingers of both hands at the base of your skull.',
      'Slide your head back into them and let them stop it.',
    ],
    cues: ['Straight back', 'Elbows wide, shoulders down'],
    faults: { 'Tips the head up': 'Keep the eyes level', ...PUSH_FAULTS },
    feel: 'Light work at the back of the neck.',
    normal: 'A stretch at the base of the skull.',
    stop: 'A headache that comes on with it.',
    watch: 'Eyes level; overhead arms need sound shoulders.',
  },
  'forehead-tuck': {
    steps: [
      'Sit tall and tuck. Heel of your hand on your forehead.',
      'Press your forehead into the hand without moving, the tuck staying.',
      'Ease off slowly.',
    ],
    cues: ['Tuck stays', 'Build up slowly', 'Ease off slowly'],
    faults: { 'Starts from a poked chin': 'Tuck first, then press', ...PUSH_FAULTS },
    feel: 'Work at the front of the neck.',
    normal: 'Tired muscles at the front.',
    stop: 'Pain while pushing: a push that hurts is not for you.',
    watch: 'Keep the tuck; not from a poked chin.',
  },
  'under-jaw-tuck': {
    steps: [
      'Sit tall and tuck. A fist under your chin.',
      'Press the chin down into the fist without moving.',
      'Lips together, teeth apart, tongue loose.',
    ],
    cues: ['Teeth apart', 'Tuck stays'],
    faults: { 'Teeth clench': 'Lips together, teeth apart', ...PUSH_FAULTS },
    feel: 'Work at the front of the neck, nothing in the jaw.',
    normal: 'Tired muscles at the front.',
    stop: 'Pain or clicking in the jaw.',
    watch: 'Not with jaw trouble.',
  },
  'band-lengthening': {
    steps: [
      'Sit tall, the band over the back of your head, its ends in your hands in front.',
      'Lift the head up and back against it, long, and hold.',
    ],
    cues: ['Up and back', 'Swallow once: it must work', 'Shoulders down'],
    faults: { 'Only back, not up': 'Think of a thread at the crown', ...PUSH_FAULTS },
    feel: 'The whole neck working evenly, front and back.',
    normal: 'Mild soreness next day.',
    stop: 'The band slips towards the eyes: let go.',
    watch: 'Lift up and back, must still swallow.',
  },
  'tuck-hands-knees': {
    steps: [
      'On hands and knees, hands under shoulders. Push the floor away a little.',
      'Make the neck long and draw the chin in, eyes to the floor.',
      'Hold and breathe.',
    ],
    cues: ['Blades back', 'Long neck', 'Eyes to the floor'],
    faults: {
      'Head hangs': 'Bring the back of the head up to the line of the back',
      'Back sags': 'Breathe out and draw the belly up a little',
    },
    feel: 'Work at the back of the neck and between the blades.',
    normal: 'Tired muscles at the back of the neck.',
    stop: 'Pain in the wrists.',
    watch: 'Blades back, long neck.',
  },
  'tuck-bench-edge': {
    steps: [
      'Lie with your upper back over the edge at its stiffest point, pelvis dropped.',
      'Tuck and hold the head level with the floor.',
      'Come back by sliding down, a hand under the head.',
    ],
    cues: ['Head level', 'Tuck stays', 'Hand under the head to come up'],
    faults: {
      'Head drops below level': 'Stop, support it, begin again shorter',
      'Edge at the neck': 'Slide up until it lies at the stiff upper back',
    },
    feel: 'The upper back opens, the neck works evenly.',
    normal: 'Tired neck, an open feeling in the upper back.',
    stop: 'Dizziness, tingling, any change of sight.',
    watch: 'Edge at the stiffest point. Weighted only from extension to neutral.',
  },
} satisfies Worded;
