import type { Worded } from './worded';

const STRAPS_QUIET = {
  'Strap muscles at the front pop out': 'Do less: a smaller nod, or back to the step before',
};

export const NOD_AND_TUCK_LYING = {
  'nod-on-ball': {
    steps: [
      'Lie on your back with the ball under your head at the height of your ears.',
      'Let your head stay heavy and roll the ball with it in a small, slow nod.',
      'Come back just as slowly.',
    ],
    cues: ['Head heavy', 'Small and slow', 'Jaw loose'],
    faults: {
      'Chin juts to one side': 'Make it smaller; a light hand guides the jaw to the middle',
      'Head lifts off the ball': 'Let it grow heavy first, then nod',
    },
    feel: 'The ball rolling under a heavy head; a little work deep at the front.',
    normal: 'A mild stretch at the base of the skull.',
    stop: 'Dizziness while nodding.',
    watch: 'Compare the sides. A light hand may help at first.',
  },
  'tuck-lying': {
    steps: [
      'Lie on your back with your knees bent. If your head tips back, put a thin pillow under it.',
      'Slide the back of your head along the pillow, so that your chin draws in and your neck grows long.',
      'Hold, and keep breathing: in for 4, hold 4, out for 4 suits it well. Then ease off.',
    ],
    cues: ['Shoulders down', 'Mouth closed, jaw soft', 'Keep breathing'],
    faults: {
      'Chin nods down to the chest': 'Slide back as along a shelf, eyes to the ceiling',
      'Low back arches': 'Let the back lie flat, knees bent',
      ...STRAPS_QUIET,
    },
    feel: 'The back of the neck growing long; light work deep at the front.',
    normal: 'A stretch at the base of the skull, a fine shake.',
    stop: 'Pain down an arm that was not there before.',
    watch: 'Back stays flat; the head slides rather than nods. The strap muscles stay quiet.',
  },
  'nod-hold-finger-check': {
    steps: [
      'Lie on your back with a very small pillow. Lay two fingers beside your windpipe, as light as a feather.',
      'Nod a little, as if saying yes to a small child, and hold.',
      'The cords under your fingers stay soft. If they spring out, do less.',
    ],
    cues: ['Fingers light', 'Cords stay soft', 'Breathe'],
    faults: {
      'Fingers press': 'Touch the skin only; never press beside the windpipe',
      ...STRAPS_QUIET,
    },
    feel: 'Almost nothing at the front, a little deep work.',
    normal: 'A fine shake at the front of the neck: a good sign.',
    stop: 'Faintness, or a throb under the fingers that bothers you.',
    watch: 'Once a day first, then a second and a third session.',
  },
  'tuck-lighten': {
    steps: [
      'Lie on your back with your knees bent and draw your chin in.',
      'Take only a little of the weight off: the back of your head stays in touch with the floor.',
      'Hold, then let the weight down slowly.',
    ],
    cues: ['Only a little lighter', 'Back of the head stays down', 'Keep breathing'],
    faults: {
      'Head comes off the floor': 'Think of a sheet of paper you could just slide out',
      ...STRAPS_QUIET,
    },
    feel: 'Light work deep at the front of the neck.',
    normal: 'A fine shake, mild soreness next day.',
    stop: 'A headache that comes on with it.',
    watch: 'The head does not lift. If the strap muscles pop out, go back a step.',
  },
  'tuck-lift': {
    steps: [
      'Lie on your back and draw your chin in as far as is easy.',
      'Keep the tuck and lift your head barely off the floor. Look towards your knees.',
      'Hold, then lower your head slowly, still tucked.',
    ],
    cues: ['Barely off the floor', 'Chin stays in', 'Look to the knees'],
    faults: {
      'Chin pokes as the head rises': 'Lower at once, tuck again, lift less',
      'Head lifted too high': 'A finger’s breadth is enough',
      ...STRAPS_QUIET,
    },
    feel: 'Firm work at the front of the neck, not in the throat.',
    normal: 'A shake, tired muscles at the front next day.',
    stop: 'Pain between the shoulder blades or down an arm.',
    watch: 'Ends when the tuck is lost. With small turns once it is held 30 s.',
  },
  'lift-over-ball': {
    steps: [
      'Lie on your back with the ball under your head. Tip your chin up a little.',
      'Let your head hover just off the ball. Draw the chin in while it hovers, then lower it slowly.',
    ],
    cues: ['Slowly through all four', 'Lower ribs stay down'],
    faults: {
      'Ribs flare': 'Breathe out as you hover',
      'It is rushed': 'Give each of the four parts a breath',
    },
    feel: 'Work along the whole front of the neck.',
    normal: 'A shake as the head hovers.',
    stop: 'Dizziness with the chin up.',
    watch: 'Looking up only as far as it is controlled.',
  },
  'chin-held-ball': {
    steps: [
      'Lie on your back and hold a tennis-sized ball between chin and chest.',
      'Draw the chin in and press lightly on the ball. Hold, and breathe.',
      'Ease off slowly.',
    ],
    cues: ['Slow', 'Teeth apart', 'Breathe'],
    faults: {
      'Jaw clenches': 'Lips together, teeth apart, tongue loose',
      'It comes first in the session': 'Do it last: it is the hardest at the front',
      'Head comes off the floor': 'Only the chin presses; the head stays down',
    },
    feel: 'Strong work deep at the front of the neck.',
    normal: 'Tired muscles at the front.',
    stop: 'Pain in the jaw.',
    watch: 'Hardest of the set, do it last. Not with jaw trouble.',
  },
} satisfies Worded;
