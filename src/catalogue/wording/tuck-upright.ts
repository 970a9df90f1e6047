import type { Worded } from './worded';

const TUCK_FAULTS = {
  'Nods down instead of sliding back': 'Fix your gaze on a point straight ahead',
  'Tips up and looks at the ceiling': 'Keep the eyes level',
  'Shoulders creep up': 'Let the shoulders drop before you begin',
};

export const TUCK_UPRIGHT = {
  'tuck-seated': {
    steps: [
      'Sit tall: pelvis in the middle, chest up.',
      'Look straight ahead and slide your head straight back, as if along a shelf.',
      'Hold, then let it come forward gently.',
    ],
    cues: ['Look straight ahead', 'Straight back, not down', 'Shoulders down'],
    faults: TUCK_FAULTS,
    feel: 'A stretch at the base of the skull, length at the back of the neck.',
    normal: 'A stretch at the base of the skull.',
    stop: 'Tingling that starts or spreads down an arm.',
    watch: 'Gaze level. Must still be able to swallow where up-and-back is taught.',
  },
  'tuck-to-wall': {
    steps: [
      'Stand with buttocks and shoulders on the wall; or sit in a parked car against the headrest.',
      'Slide your head back towards it, eyes level.',
      'Hold a moment and let go gently.',
    ],
    cues: ['Eyes level', 'Towards it, not at any price'],
    faults: {
      'Forces the head to touch': 'Stop where it is easy; the wall comes nearer by itself',
      ...TUCK_FAULTS,
    },
    feel: 'Length at the back of the neck.',
    normal: 'A stretch at the base of the skull.',
    stop: 'Pain at the base of the neck that grows with repeating.',
    watch: 'Do not force the head to reach the wall. A car only when parked.',
  },
  'tuck-small-nod': {
    steps: [
      'Sit tall and tuck.',
      'From there roll your head into a small nod on the spot, and hold.',
      'Roll back, then let the tuck go.',
    ],
    cues: ['Roll, do not drop', 'Crown of the head up'],
    faults: {
      'Chin goes to the chest': 'A nod of a finger’s breadth is enough',
      ...TUCK_FAULTS,
    },
    feel: 'A stretch just under the skull.',
    normal: 'A stretch just under the skull.',
    stop: 'A headache that comes on with it.',
    watch: 'Rolls on the spot, not chin to chest.',
  },
  'tuck-turn-nod': {
    steps: [
      'Sit tall and tuck.',
      'Turn a little to one side, nod a little there, and hold. Back to the middle, then the other side.',
      'Then the same with the turn a little larger.',
    ],
    cues: ['Tuck stays', 'Small turns'],
    faults: {
      'The turn takes the tuck along': 'Tuck again in the middle before each turn',
      'The chin juts at the end': 'Stop the turn before it does',
    },
    feel: 'A stretch at the base of the skull on the other side.',
    normal: 'A stretch at the other side of the skull base.',
    stop: 'Dizziness with turning.',
    watch: 'Stretch at the opposite skull base. For a chin that juts in turning.',
  },
  'half-tuck-turn': {
    steps: [
      'Sit tall and tuck half as far as you can.',
      'Keep it there and turn to one side. One second at the end, then back.',
      'Stop just short of a painful end.',
    ],
    cues: ['Half tuck stays', 'Chin level all the way'],
    faults: {
      'The tuck fades during the turn': 'Turn less far; a mirror helps',
      'The trunk turns along': 'Keep the breastbone pointing ahead',
    },
    feel: 'An even turn, the neck staying long.',
    normal: 'A mild pull on the side you turn from.',
    stop: 'Sharp pain at the end of the turn.',
    watch: 'Just short of the painful side.',
  },
} satisfies Worded;
