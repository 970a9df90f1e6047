import type { Worded } from './worded';

export const NECK_MOBILITY = {
  'neck-warm-up': {
    steps: [
      'Sit tall. Ten seconds each: turn left and right, nod, slide the chin out and in, bend to each side.',
      'Stay within what is comfortable. Lengthen as you come out of each side bend.',
    ],
    cues: ['Easy and small', 'Trunk still'],
    faults: {
      'Chases the end of range': 'Stay in the easy middle',
      'Trunk sways': 'Hands on the thighs',
    },
    feel: 'Loose and warm.',
    normal: 'A soft click or two.',
    stop: 'Dizziness with any of the four.',
    watch: 'Comfortable range only.',
  },
  'head-return': {
    steps: [
      'Sit tall and look at a mark on the wall. Close your eyes.',
      'Turn a little to one side and come back to where you think the mark is. Open your eyes and see.',
    ],
    cues: ['Slow', 'Feel, do not guess'],
    faults: { Peeks: 'A soft scarf over the eyes', 'Turns too far': 'Half-way is enough' },
    feel: 'Concentration, hardly any work.',
    normal: 'A little unsteadiness at first.',
    stop: 'Dizziness or nausea that stays.',
    watch: 'After injury or with unsteadiness: measure how far off the mark.',
  },
  'look-up-push': {
    steps: [
      'Sit tall, a fingertip on the bump under the crease at the back of your neck.',
      'Slide your head back and keep that push while you look up.',
      'Stop where the bump would slip away from your finger; hold; come back.',
    ],
    cues: ['Push back first', 'Only as high as the push stays'],
    faults: {
      'Head drops back': 'Stop lower; the push comes first',
      'The bump slides away forwards': 'Come back to where it did not',
    },
    feel: 'The bump moving back into your finger.',
    normal: 'Work at the back of the neck.',
    stop: 'Tingling, dizziness, any change of sight.',
    watch: 'Record the controlled angle each visit. Keep the push when reading, too.',
  },
  'cloth-rotation': {
    steps: [
      'Twist the pillowcase to a rope and lay it high round the neck, just under the skull.',
      'Turn your head and let one hand help with small pulses along the cheek, the other holds.',
    ],
    cues: ['High on the neck', 'Small pulses', 'Never forced'],
    faults: {
      'Cloth slides low': 'Up again, just under the skull',
      'It is yanked': 'Pulses a child could do',
    },
    feel: 'A stretch just under the skull.',
    normal: 'A stretch, a light ache afterwards.',
    stop: 'Dizziness, faintness, trouble with sight or speech.',
    watch: 'High on the neck. Not low with disc trouble.',
  },
  'head-rolls': {
    steps: [
      'Sit tall and roll the head slowly in a circle, small at first.',
      'Then the other way round.',
    ],
    cues: ['Slow', 'Small circles'],
    faults: {
      'Drops back at the back of the circle': 'Leave that part out',
      Fast: 'Six seconds a round',
    },
    feel: 'Loose and even.',
    normal: 'A soft click or two.',
    stop: 'Dizziness, faintness, trouble with sight or speech.',
    watch: 'Some warm up with it, others avoid it: avoid unless there is a reason.',
  },
} satisfies Worded;
