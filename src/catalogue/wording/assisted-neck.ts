import type { Worded } from './worded';

export const ASSISTED_NECK = {
  'ball-turns': {
    steps: [
      'Lie on your back, the soft ball under your head at the height of your ears.',
      'Let the head stay heavy and roll it slowly to one side, the chin level.',
      'Roll back to the middle, then to the other side. Feel whether both go alike.',
    ],
    cues: ['Head stays heavy', 'Chin level', 'Compare the sides'],
    faults: {
      'Chin juts at the end': 'Stop before it does; a light hand may help',
      'Head lifts off the ball': 'Let the ball carry it',
    },
    feel: 'The ball rolling with your head; the same on both sides.',
    normal: 'One side going less far than the other.',
    stop: 'Dizziness, or pain that runs down the arm.',
    watch: 'A jut on one side is a finding: cue it and look again at once.',
  },
  'retraction-lying': {
    steps: [
      'Lie on your back, knees bent, a thin pillow under your head.',
      'Draw the chin in and press the back of your head lightly into the pillow. Let go.',
    ],
    cues: ['Straight back', 'Lightly', 'Mouth closed'],
    faults: {
      'Tips the head back': 'Look at the ceiling straight above you',
      'Shoulders press too': 'Only the head goes',
    },
    feel: 'Length at the back of the neck.',
    normal: 'A stretch at the base of the skull.',
    stop: 'Pain or tingling that goes further down the arm.',
    watch: 'Unloaded: for whoever cannot do it sitting yet. What draws symptoms in goes on.',
  },
  'retraction-overpressure': {
    steps: [
      'Sit tall and slide your head straight back, your gaze level.',
      'At the end, two fingers on the chin press a little further back. Let go each time.',
    ],
    cues: ['Slide first, then press', 'Gaze level', 'Let go each time'],
    faults: {
      'Pushes the chin down': 'Fingers press straight back',
      'Presses hard': 'As much as a coin on the chin',
    },
    feel: 'A firm end, at the base of the neck.',
    normal: 'A stretch at the base of the skull.',
    stop: 'Pain or tingling that goes further down the arm, dizziness.',
    watch: 'Only where the tuck alone has stopped helping, and symptoms draw in.',
  },
  'eye-head': {
    steps: [
      'Sit tall, a thumb held up before your eyes.',
      'Move the thumb to the side and follow it with your eyes alone.',
      'Then turn the head until the nose points at the thumb. Come back the same way.',
    ],
    cues: ['Eyes first', 'Then the nose', 'Slowly'],
    faults: {
      'The head goes first': 'Keep the nose ahead until the eyes are there',
      'The thumb is lost': 'Slower, and less far',
    },
    feel: 'Nothing but that it goes smoothly.',
    normal: 'A little unsteadiness that passes at once.',
    stop: 'Dizziness that stays, double vision.',
    watch: 'After a neck that was hurt, or with unsteadiness once it is cleared. Small before far.',
  },
  'towel-extension': {
    steps: [
      'Sit tall, a towel low round the back of your neck, an end in each hand, drawn forward.',
      'Keep the pull and look up over the towel as far as is easy. Come back.',
    ],
    cues: ['Pull stays', 'Tuck before you look up', 'Come back the same way'],
    faults: {
      'Head drops back over the towel': 'Less far; the pull carries the neck',
      'The towel rides up': 'Lay it low again, at the base of the neck',
    },
    feel: 'The neck opening over the towel, no pinch.',
    normal: 'Stiffness that eases as you repeat it.',
    stop: 'Tingling, dizziness, any change of sight.',
    watch: 'Supported extension: never beyond the controlled angle.',
  },
  'towel-rotation': {
    steps: [
      'Lay a towel round the middle of your neck and cross the ends before you.',
      'Turn your head and let the upper hand draw along, the other holds low. Come back.',
    ],
    cues: ['You turn, the towel goes along', 'No pain', 'Same height all the way'],
    faults: {
      'The hand drags the head': 'The turn is yours; the towel only goes along',
      'The towel slides up': 'Lay it at the stiff place again',
    },
    feel: 'The turn going a little further without pain.',
    normal: 'A stretch on one side of the neck.',
    stop: 'Dizziness, tingling, pain that runs down the arm.',
    watch: 'Painless or not at all. With disc trouble low in the neck: not there.',
  },
  'suboccipital-release': {
    steps: [
      'Lie on your back, two firm balls in a sock under the base of your skull, one each side.',
      'Let the head sink and the chin come in a little. Breathe slowly.',
    ],
    cues: ['Head heavy', 'Chin a little in', 'Breathe slowly'],
    faults: {
      'Rolls hard over the balls': 'Lie still and let it sink',
      'Balls lie on the neck': 'Higher, under the edge of the skull',
    },
    feel: 'A dull pressure that lets go.',
    normal: 'The head feeling heavy afterwards.',
    stop: 'A headache that comes on, feeling dizzy, any change of sight.',
    watch: 'Never on the side or front of the neck. Not with blood thinners without thought.',
  },
} satisfies Worded;
