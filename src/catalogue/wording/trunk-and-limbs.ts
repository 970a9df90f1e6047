import type { Worded } from './worded';

export const TRUNK_AND_LIMBS = {
  'curl-up': {
    steps: [
      'Lie on your back, one knee bent, your hands under the small of your back.',
      'Breathe out and take a little weight off head and shoulders together, neck long. Keep breathing.',
    ],
    cues: ['Not a sit-up', 'Shoulders stay down', 'Keep breathing'],
    faults: {
      'Presses the back into the hands': 'Keep the hollow as it is',
      'Chin pokes': 'Tuck first; tongue on the roof of the mouth',
    },
    feel: 'Firm work in the belly, none in the back.',
    normal: 'Tired belly.',
    stop: 'Pain down a leg.',
    watch: 'One knee bent, back not pressed into the hands; breathe out to lift.',
  },
  bridge: {
    steps: [
      'Lie on your back, knees bent.',
      'Squeeze the buttocks and lift the hips to a straight line; hold; lower.',
    ],
    cues: ['Buttocks first', 'Ribs down'],
    faults: { 'Back arches': 'Lift less high', 'Thighs cramp': 'Feet nearer' },
    feel: 'Work in the buttocks.',
    normal: 'Tired buttocks.',
    stop: 'Pain in the back that grows.',
    watch: 'Neutral back.',
  },
  'leg-reach': {
    steps: [
      'On hands and knees, find the middle position of your back.',
      'Slide one foot back and lift it, without the hips tilting. Hold.',
    ],
    cues: ['Hips level', 'Long neck'],
    faults: { 'Back sags': 'Only slide the toes back', 'Hips tilt': 'Lift less high' },
    feel: 'Even work across the back.',
    normal: 'Tired back and buttocks.',
    stop: 'Pain in the wrists or knees.',
    watch: 'Hips level; find neutral first.',
  },
  'hands-knees-reach': {
    steps: [
      'On hands and knees, find the middle position of your back.',
      'Reach one leg back and the opposite arm forward, without the hips tilting. Hold.',
    ],
    cues: ['Hips level', 'Long neck'],
    faults: { 'Hips tilt': 'Only slide the toes back', 'Back sags': 'Find the middle again first' },
    feel: 'Even work across the back.',
    normal: 'Tired back and buttocks.',
    stop: 'Pain in the wrists or knees.',
    watch: 'Hips level; find neutral first.',
  },
  'side-plank': {
    steps: [
      'Lie on your side on your forearm, knees bent. Free hand on the other shoulder.',
      'Push the hips forward and up to a straight line. Hold and breathe.',
    ],
    cues: ['Hips forward and up', 'Breathe'],
    faults: { 'Hips sag': 'Shorter holds', 'Shoulder sinks': 'Push the floor away' },
    feel: 'Firm work at the side of the trunk.',
    normal: 'Tired side.',
    stop: 'Pain in the shoulder.',
    watch: 'From the knees; legs long is the next step. Hips forward and up.',
  },
  'hip-hinge': {
    steps: [
      'Stand, hands on the front of your hips.',
      'Fold at the hips with the back straight, and rise by pushing the hips forward.',
    ],
    cues: ['Fold at the hips', 'Back straight'],
    faults: {
      'Back rounds': 'A stick along the back: skull, upper back, tail touch',
      'Knees lead': 'Hips back first',
    },
    feel: 'Work in the buttocks and the back of the thighs.',
    normal: 'Tired thighs.',
    stop: 'Pain down a leg.',
    watch: 'Squat instead of bending the neck or back in daily work.',
  },
  'straight-leg-raise': {
    steps: [
      'Lie on your back, one knee bent.',
      'Tighten the straight knee and lift that leg to the height of the other knee; lower slowly.',
    ],
    cues: ['Knee stays straight', 'Slowly down'],
    faults: { 'Knee bends': 'Tighten the thigh first', 'Back arches': 'Lift less high' },
    feel: 'Work at the front of the thigh.',
    normal: 'Soreness at the front of the thigh next day.',
    stop: 'Pain down the leg.',
    watch: 'Not where it pulls on a sensitive nerve.',
  },
  'knee-angle-hold': {
    steps: [
      'Sit, legs crossed at the ankles.',
      'Push the lower leg forward into the other one, which does not let it move.',
      'Then at the next angle.',
    ],
    cues: ['Half your push', 'Breathe'],
    faults: {
      'Full push': 'Half is meant',
      'Leans back': 'Sit tall, hands beside the seat',
      'Lets go suddenly': 'Ease off',
    },
    feel: 'Work at the front of the thigh.',
    normal: 'Soreness at the front of the thigh next day.',
    stop: 'Pain under the kneecap: leave that angle out.',
    watch: 'Legs crossed, push into the other leg.',
  },
  'band-foot-push': {
    steps: [
      'Sit, leg long, the band round the ball of the foot over a towel.',
      'Push the foot down against it, and let it come back slowly.',
    ],
    cues: ['Slowly back', 'Knee straight'],
    faults: { 'Band slips': 'The towel stops it', 'Knee bends': 'Shorter band' },
    feel: 'Work in the calf.',
    normal: 'Soreness in the calf next day.',
    stop: 'Sharp pain in the heel cord.',
    watch: 'Towel on the foot stops slipping. 80 % allows seven or eight, not ten.',
  },
} satisfies Worded;
