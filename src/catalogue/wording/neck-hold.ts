import type { Worded } from './worded';

const HOLD_FAULTS = {
  'Head moves': 'Half the push; the head stays in the middle',
  'Lets go suddenly': 'Ease off as slowly as you built it up',
  'Holds the breath': 'Count aloud',
};

export const NECK_HOLD = {
  'six-way-hold': {
    steps: [
      'Sit tall with your head in the middle.',
      'Press your hand against your head and do not let the head move: forehead, back, left, right, turning left, turning right.',
      'Build the push up slowly and ease it off slowly.',
    ],
    cues: ['The head does not move', 'Ease off slowly', 'Keep breathing'],
    faults: { 'Shoves forward': 'Imagine the movement rather than do it', ...HOLD_FAULTS },
    feel: 'Even work all round the neck.',
    normal: 'Mild soreness next day.',
    stop: 'Pain in one direction: leave that one out and say so.',
    watch: 'Imagine the nod, do not shove forward. A painful direction is left out.',
  },
  'four-way-ball': {
    steps: [
      'Stand stacked: ear over shoulder over hip, a ball between head and wall.',
      'Press the ball without moving your head; then turn and do the next side.',
    ],
    cues: ['Stacked', 'Painless or stop'],
    faults: { 'Leans with the body': 'Stand nearer; only the neck presses', ...HOLD_FAULTS },
    feel: 'Even work on the side that presses.',
    normal: 'Mild soreness next day.',
    stop: 'Pain in any direction.',
    watch: 'Stacked posture; painless or stop.',
  },
  'prone-neck-hold': {
    steps: [
      'Lie face down, forehead on your hands, pelvis tilted back a little.',
      'Draw the blades down, press with the hands and float the head up, long, eyes to the floor.',
    ],
    cues: ['Never look up', 'Blades down', 'Long neck'],
    faults: { 'Looks up': 'Eyes stay on the floor', 'Low back arches': 'Tilt the pelvis back' },
    feel: 'Work at the back of the neck and between the blades.',
    normal: 'Tired muscles at the back of the neck.',
    stop: 'Pain in the low back.',
    watch: 'Pelvis tilted back, blades down, hands push; never look up.',
  },
  'wall-press': {
    steps: [
      'Stand with your back to the wall, feet a little out, the pad behind your head.',
      'Set yourself from the feet up: legs, trunk, shoulder blades, then head.',
      'Press your head straight back into the pad and hold.',
    ],
    cues: ['Straight back', 'Do not look up', 'Keep breathing'],
    faults: {
      'Pad thicker than the gap': 'A thinner pad: a thick one pushes the head forward',
      'Pushes with the whole trunk': 'Set the blades first; only the head presses',
      ...HOLD_FAULTS,
    },
    feel: 'Warm, even work at the back of the neck.',
    normal: 'Tired muscles at the back of the neck.',
    stop: 'A headache that grows with it.',
    watch:
      'Pad as thick as the wall gap: a thicker one pushes the head forward. Record whether it eases a headache.',
  },
  'side-band-hold': {
    steps: [
      'Kneel sideways to a firm anchor, the band flat round your upper head at its height.',
      'Move away until it pulls, and keep the head in the middle.',
    ],
    cues: ['Head in the middle', 'Band flat', 'Breathe'],
    faults: { 'Head tips to the band': 'Kneel nearer: less pull', ...HOLD_FAULTS },
    feel: 'Work on the side away from the band.',
    normal: 'Mild soreness at the side of the neck.',
    stop: 'The band slips or the anchor gives: let go.',
    watch: 'Mirror. Nearer is easier. Check the anchor before every session.',
  },
  'towel-pull': {
    steps: [
      'Sit or stand tall, the towel behind the upper back of your head, an end in each hand.',
      'Press your hands forward as the elbows straighten, and your head back into the towel.',
    ],
    cues: ['Chest up', 'Hands forward', 'Head long'],
    faults: { 'Looks up': 'Eyes level', ...HOLD_FAULTS },
    feel: 'Work between the blades and up the back of the neck.',
    normal: 'Tired upper back.',
    stop: 'Tingling in the hands.',
    watch: 'Towel on the upper back of the head. Chest up.',
  },
  'glide-press': {
    steps: [
      'Sit tall. A hand beside the head.',
      'Glide the head a little way into the hand without tipping it.',
    ],
    cues: ['No tipping', 'Small'],
    faults: { 'Head tips': 'Watch the line of your eyes in a mirror', ...HOLD_FAULTS },
    feel: 'Light, even work.',
    normal: 'Light ache.',
    stop: 'Pain in one direction.',
    watch: 'Without tipping: a school’s choice.',
  },
  'resisted-range': {
    steps: [
      'Sit tall. Your hand resists the head lightly: at the forehead, behind it, at the side.',
      'Move slowly against it as far as is easy, and slowly back.',
    ],
    cues: ['Slow both ways', 'Comfortable range only'],
    faults: {
      'Speeds up': 'Three seconds each way',
      'Chin pokes and the shoulder lifts': 'Chin in and shoulders heavy first; push less',
      ...HOLD_FAULTS,
    },
    feel: 'Work through the whole movement.',
    normal: 'Mild soreness next day.',
    stop: 'Pain in part of the range: stop short of it.',
    watch: 'A school’s choice. Not after injury.',
  },
  'shrug-hold': {
    steps: [
      'Stand on the strap, an end in each hand.',
      'Shrug gently against it and keep the effort at 3 to 5 of 10. Let the force fade if it must: keep the feeling.',
      'Breathe. Ease off slowly.',
    ],
    cues: ['Effort 3 to 5 of 10', 'Chin stays in', 'Breathe'],
    faults: {
      'Chin pokes during the shrug': 'Tuck a little first',
      'Effort climbs': 'Ease off until it feels like 4 again',
    },
    feel: 'Warm, slightly flushed, safe.',
    normal: 'Warmth, a flush, light sweat; not breathlessness.',
    stop: 'Breathlessness, pounding head.',
    watch: 'Must feel safe. High blood pressure or heart disease: record and control it first.',
  },
} satisfies Worded;
