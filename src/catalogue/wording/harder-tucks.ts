import type { Worded } from './worded';

const BENCH = {
  stop: 'Tingling, dizziness, any change of sight.',
};

export const HARDER_TUCKS = {
  'bench-edge-arms': {
    ...BENCH,
    steps: [
      'Lie with your upper back over the edge, pelvis dropped, head tucked and level.',
      'Bring both arms overhead and keep the head where it is. Breathe.',
    ],
    cues: ['Head level', 'Arms slowly', 'Keep breathing'],
    faults: {
      'Head drops as the arms go': 'Arms less far',
      'Ribs flare': 'Breathe out, pelvis heavy',
    },
    feel: 'Deep work at the front of the neck, the upper back opening.',
    normal: 'A shake, tired neck.',
    watch: 'After a minute without the arms is easy. Elbows bent with arm symptoms.',
  },
  'bench-edge-weight': {
    ...BENCH,
    steps: [
      'Lie with your upper back over the edge. Roll a light weight in a cloth and lay it on your forehead; one hand steadies it.',
      'From a little looking back, bring the head level with the floor, and no further. Slowly back.',
    ],
    cues: ['Level is the end', 'A small way', 'One hand steadies'],
    faults: {
      'Goes past level to the chest': 'Stop when the head is level',
      'Drops back fast': 'Count three on the way back',
    },
    feel: 'Work at the front of the neck.',
    normal: 'Soreness at the front of the neck next day.',
    watch: 'From a little extension to neutral only. The lightest weight there is first.',
  },
  'hands-knees-nod': {
    steps: [
      'On hands and knees, slide the head up in line with your back, tucked.',
      'Nod a little, the neck itself staying long, and come back.',
    ],
    cues: ['Only the head nods', 'Long neck'],
    faults: {
      'The whole neck drops': 'Smaller: it happens under the skull',
      'Looks up on the way back': 'Back to level, no further',
    },
    feel: 'Work at the front and back of the neck.',
    normal: 'Tired neck.',
    stop: 'Pain in the wrists or knees, dizziness.',
    watch: 'After the tuck holds there for 30 s.',
  },
  'hands-knees-turn': {
    steps: [
      'On hands and knees, slide the head up in line with your back, tucked.',
      'Turn the face a little to one side, then to the other, the tuck kept.',
    ],
    cues: ['Long neck', 'Small turns', 'Blades stay down'],
    faults: {
      'Head hangs during the turn': 'Tuck anew in the middle, turn less',
      'Shoulders turn too': 'Only the head',
    },
    feel: 'Work all round the neck.',
    normal: 'Tired neck and shoulders.',
    stop: 'Pain in the wrists or knees, dizziness.',
    watch: 'After the tuck holds there for 30 s.',
  },
  'band-lengthening-nod': {
    steps: [
      'Sit tall, the band flat round the back of your head, both ends held in front.',
      'Lift up and back against it; then nod a little and come back, the length kept.',
    ],
    cues: ['Up and back first', 'Only the head nods'],
    faults: {
      'The band pulls the head forward': 'A lighter pull; lift up again',
      'Chin goes to the chest': 'Smaller: it happens under the skull',
    },
    feel: 'Work at the front and back of the neck.',
    normal: 'Tired neck.',
    stop: 'Dizziness, tingling.',
    watch: 'After lengthening against the band holds for 30 s.',
  },
  'band-lengthening-turn': {
    steps: [
      'Sit tall, the band flat round the back of your head, both ends held in front.',
      'Lift up and back against it; then turn the face a little to each side, the length kept.',
    ],
    cues: ['Up and back first', 'Small turns', 'You can still swallow'],
    faults: {
      'Loses length in the turn': 'Turn less; lift up again in the middle',
      'Hands pull': 'The hands only hold',
    },
    feel: 'Even work round the neck.',
    normal: 'Tired neck.',
    stop: 'Dizziness, tingling.',
    watch: 'After lengthening against the band holds for 30 s.',
  },
} satisfies Worded;
