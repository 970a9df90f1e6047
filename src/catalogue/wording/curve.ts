import type { Worded } from './worded';

const WEDGE_STOP = 'Any tingling, dizziness or visual change.';

export const CURVE_EXERCISES = {
  'neck-base-press': {
    steps: [
      'Sit tall, both hands on the base of your neck. Tuck a little more than half.',
      'Press forward with the hands and open the upper back over them.',
    ],
    cues: ['Hands press', 'Tuck stays'],
    faults: {
      'Tuck is lost': 'Begin again with the tuck',
      'Moves from the neck': 'Lift the breastbone',
    },
    feel: 'Opening at the base of the neck.',
    normal: 'A firm pressure.',
    stop: 'It still hurts with tuck and pressure.',
    watch:
      'Stop if it still hurts with tuck and pressure. A bump at the base of the neck may change up to about 65 years, hardly after; a soft pad or lost height is referred.',
  },
  'rolled-cloth': {
    steps: [
      'Sit at the bed edge, two pillows behind you, the rolled T-shirt round the middle of the neck.',
      'Pull it forward all the way and lean back from the trunk over it; come back slowly.',
    ],
    cues: ['Pull forward all the way', 'Lean from the trunk'],
    faults: {
      'Hip flexors do the work': 'Two pillows behind the back',
      'The head drops back': 'The pull forward comes first and stays',
    },
    feel: 'A lever at the middle of the neck, gentle.',
    normal: 'Light soreness: then every other day.',
    stop: WEDGE_STOP,
    watch: 'Daily, or every other day if sore. A shirt is narrower than a towel.',
  },
  'wedge-lying': {
    steps: [
      'Lie on the floor, the wedge under your neck, a folded blanket under the length of your trunk.',
      'Ear level with shoulder; knees bent. Let the neck settle.',
    ],
    cues: ['Let it settle', 'Ear level with shoulder'],
    faults: {
      'Done on the bed': 'On the floor: a bed moulds',
      'Head pushed forward': 'More blanket under the trunk',
    },
    feel: 'The neck settling over the wedge.',
    normal: 'A dull ache that fades.',
    stop: WEDGE_STOP,
    watch: 'Fit the blanket by mirror. First lengthen the time, or add the drills.',
  },
  'wedge-press': {
    steps: ['Lie on the wedge as before.', 'Press the neck gently into it, and let go slowly.'],
    cues: ['Gentle', 'Chin level'],
    faults: { 'Chin lifts': 'Press back, not up', 'Holds the breath': 'Out as you press' },
    feel: 'Light work at the back of the neck.',
    normal: 'Light soreness.',
    stop: WEDGE_STOP,
    watch: 'After wedge lying is easy.',
  },
  'wedge-look-over': {
    steps: [
      'Lie on the wedge as before.',
      'Look up and over it as far as is easy; come back slowly.',
    ],
    cues: ['As far as is easy', 'Slowly back'],
    faults: {
      'Drops over': 'Smaller, with control',
      'Comes up by force': 'A hand behind the head',
    },
    feel: 'The neck bending evenly over the wedge.',
    normal: 'Light soreness.',
    stop: WEDGE_STOP,
    watch: 'After wedge lying is easy. Not with arm symptoms or low disc trouble.',
  },
} satisfies Worded;
