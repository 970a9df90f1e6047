import type { Worded } from './worded';

const STRETCH = {
  cues: ['No bouncing', 'Breathe out into it'],
};

export const LEG_STRETCHES = {
  'lat-stretch': {
    ...STRETCH,
    steps: [
      'Stand, one hand on the hip, the other arm up overhead.',
      'Bend away from that arm and let it grow long over your head. Stay there.',
    ],
    faults: {
      'Shoulder jams at the ear': 'Reach, do not lift',
      'Turns the chest': 'Both ribs look forward',
    },
    feel: 'A pull from hip to armpit.',
    normal: 'A strong but easy pull that softens.',
    stop: 'Pinching on top of the shoulder, tingling in the hand.',
    watch: 'Elbow bent with arm symptoms.',
  },
  'hamstring-stretch': {
    ...STRETCH,
    steps: [
      'Lie on your back, a towel round one foot, the other knee bent.',
      'Draw the leg up, the knee almost straight, until you first feel a pull. Stay there.',
    ],
    faults: {
      'Pulls with a bent knee': 'Lower, and straighten it first',
      'Toes drawn hard back': 'Foot loose: it pulls on the nerve',
    },
    feel: 'A pull at the back of the thigh.',
    normal: 'A strong but easy pull that softens.',
    stop: 'Tingling or pain below the knee.',
    watch: 'Not where it pulls on a sensitive nerve: a slider instead.',
  },
  'buttock-stretch': {
    ...STRETCH,
    steps: [
      'Sit at the front of a steady chair, one ankle on the other knee.',
      'Lean forward from the hips, back long, until you first feel a pull. Stay there.',
    ],
    faults: {
      'Rounds the back': 'Chest forward, not down',
      'Pushes the knee down': 'Let it be heavy',
    },
    feel: 'A pull deep in the buttock.',
    normal: 'A strong but easy pull that softens.',
    stop: 'Pain in the groin or down the leg.',
    watch: 'Not after a hip operation without the surgeon’s word.',
  },
  'calf-stretch': {
    ...STRETCH,
    steps: [
      'Stand with your hands on the wall, one leg back, its toes pointing forward.',
      'Bend the front knee and let your weight go forward, the heel behind staying down.',
    ],
    faults: { 'Heel comes up': 'A shorter step', 'Foot turns out': 'Toes to the wall' },
    feel: 'A pull in the calf.',
    normal: 'A strong but easy pull that softens.',
    stop: 'Sharp pain in the heel cord.',
    watch: 'Sudden pain and swelling of one calf is for a physician at once.',
  },
  'sit-to-stand': {
    steps: [
      'Sit at the front of a steady chair, feet under the knees.',
      'Bring your nose over your toes, back long, and stand up. Sit down slowly.',
    ],
    cues: ['Nose over toes', 'Back long', 'Slowly down'],
    faults: { 'Throws the trunk up': 'A higher seat', 'Knees fall in': 'Knees over the feet' },
    feel: 'Work in thighs and buttocks.',
    normal: 'Soreness in the thighs next day.',
    stop: 'Pain in the knees or down a leg.',
    watch: 'Hands on the seat or a higher seat is less.',
  },
  squat: {
    steps: [
      'Stand, feet as wide as your shoulders.',
      'Hips back and down, arms forward, heels on the floor; come up by pushing the floor away.',
    ],
    cues: ['Hips back first', 'Back long', 'Heels stay'],
    faults: { 'Back rounds': 'Less deep', 'Heels lift': 'Weight over the middle of the foot' },
    feel: 'Work in thighs and buttocks.',
    normal: 'Soreness in the thighs next day.',
    stop: 'Pain in the knees or down a leg.',
    watch: 'After sit to stand is easy.',
  },
  'calf-raise': {
    steps: [
      'Stand, fingertips on the wall.',
      'Rise slowly on the balls of both feet; lower slowly.',
    ],
    cues: ['Straight up', 'Slowly down'],
    faults: { 'Knees bend': 'Tighten the thighs first', 'Rolls outward': 'Weight on the big toe' },
    feel: 'Work in the calves.',
    normal: 'Soreness in the calves next day.',
    stop: 'Sharp pain in the heel cord.',
    watch: 'Compare the sides: a calf that cannot is a finding.',
  },
  clamshell: {
    steps: [
      'Lie on your side, hips and knees bent, feet together.',
      'Open the upper knee, the feet staying together and the pelvis still. Close slowly.',
    ],
    cues: ['Pelvis still', 'Feet together', 'Slowly back'],
    faults: { 'Pelvis rolls back': 'Open less far', 'Feet come apart': 'Press the heels together' },
    feel: 'Work deep in the upper buttock.',
    normal: 'Tired buttock.',
    stop: 'Pain in the groin or down the leg.',
    watch: 'Not after a hip operation without the surgeon’s word.',
  },
  'side-leg-lift': {
    steps: [
      'Lie on your side, legs long and in line with the trunk.',
      'Lift the upper leg a little, toes forward; lower slowly.',
    ],
    cues: ['Toes forward', 'In line with the trunk', 'Slowly down'],
    faults: { 'Leg drifts forward': 'Heel back', 'Trunk rolls back': 'Upper hand on the floor' },
    feel: 'Work at the side of the hip.',
    normal: 'Tired side of the hip.',
    stop: 'Pain at the side of the hip that stays.',
    watch: 'After the knee opening is easy.',
  },
} satisfies Worded;
