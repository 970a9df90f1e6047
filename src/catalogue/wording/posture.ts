import type { Worded } from './worded';

export const POSTURE = {
  'belly-breathing': {
    steps: [
      'Lie or sit easily, a hand on your belly.',
      'In for 4, hold for 4, out for 4, the hand rising and falling.',
    ],
    cues: ['Shoulders stay down', 'Quiet'],
    faults: { 'Chest rises': 'Breathe into the hand', Gasps: 'Count to 3 instead' },
    feel: 'The hand rising and falling; calm.',
    normal: 'A little light-headed at first: then breathe normally.',
    stop: 'Faintness.',
    watch: 'No breath holding where it is flagged: in 4, out 4.',
  },
  'sit-tall': {
    steps: [
      'Roll the pelvis to the middle.',
      'Chest up, crown tall, a small tuck.',
      'Stay there and breathe.',
    ],
    cues: ['Pelvis, chest, crown, tuck', 'Easy'],
    faults: { 'Stiff as a soldier': 'Half as much', 'Leans back': 'Ribs over the pelvis' },
    feel: 'Tall and easy.',
    normal: 'Tired back at first.',
    stop: 'Pain in the low back.',
    watch: 'Before every seated drill.',
  },
  'posture-reset': {
    steps: [
      'Wherever you are: pelvis to the middle, chest up, head over the shoulders, a small tuck.',
      'Keep it for a minute, and let it become a habit while you wait for something.',
    ],
    cues: ['Small tuck', 'Shoulders drop'],
    faults: {
      'Only with the timer': 'Tie it to waiting: a kettle, a queue, a phone that rings',
      'Full tuck all day': 'Only the share you were given',
    },
    feel: 'Tall and easy.',
    normal: 'You forget it: begin again.',
    stop: 'Ache that stays after letting go.',
    watch:
      'How far to tuck is a school’s choice: 10–20 %, 70–80 %, or 25–38 mm back from the slouch.',
  },
  'easy-walk': {
    steps: ['Walk at a pace at which you can talk.', 'Let the arms swing and look at the horizon.'],
    cues: ['Arms swing', 'Eyes on the horizon'],
    faults: {
      'Looks at the ground': 'Eyes on the horizon where the way is safe',
      'Too fast to talk': 'Slower',
    },
    feel: 'Warm and loose.',
    normal: 'Light sweat.',
    stop: 'Chest pain, or pain in the legs that stops when you stand still.',
    watch: 'As warm-up (one school: five minutes) or by itself.',
  },
  'easy-jog': {
    steps: [
      'Jog on the spot or along, with short steps, at a pace at which you can talk.',
      'Elbows bent, shoulders loose.',
    ],
    cues: ['Short steps', 'Shoulders loose', 'You can still talk'],
    faults: {
      'Chin pokes, shoulders up': 'Grow tall, shake the hands',
      'Lands hard': 'Shorter steps',
    },
    feel: 'Warm.',
    normal: 'Light sweat, a quicker breath.',
    stop: 'Chest pain, dizziness, pain that runs down an arm or leg.',
    watch: 'One school begins with five minutes of light activity; a walk does as well.',
  },
  'warm-pack': {
    steps: [
      'Lay a warm pack, in a cloth, over the base of your neck or the low back.',
      'Sit or lie easily and let the shoulders go. Warm, never hot.',
    ],
    cues: ['Warm, never hot', 'A cloth between', 'Shoulders let go'],
    faults: {
      'Hunches under it': 'Lean back, arms on a pillow',
      'Falls asleep on it': 'Set the timer; take it off then',
    },
    feel: 'Pleasant warmth.',
    normal: 'Skin a little pink.',
    stop: 'Burning, blisters, skin that stays flushed.',
    watch:
      'Before or after, as the patient likes it. Not on skin that feels badly, nor on a swelling.',
  },
  'cold-pack': {
    steps: [
      'Lay a cold pack, in a damp cloth, over the base of your neck or the low back.',
      'Take it off after the time, or sooner when it aches.',
    ],
    cues: ['A cloth between', 'Off when the time is over'],
    faults: {
      'Straight on the skin': 'A damp cloth between',
      'Too long': 'Five to ten minutes are enough',
    },
    feel: 'Cold, then dull.',
    normal: 'Skin a little flushed.',
    stop: 'White or numb skin, burning, a rash.',
    watch: 'One school closes the session with it. Not on skin that feels badly.',
  },
  'waiting-reset': {
    steps: [
      'In every queue, as a passenger, while the kettle boils: notice how you stand.',
      'Grow tall, let the head come a little back, and stay so for a few breaths. Never while driving.',
    ],
    cues: ['In every queue', 'Grow tall', 'Never while driving'],
    faults: {
      'Stiff as a soldier': 'Half as much',
      'Only thinks of it': 'Tie it to one thing you wait for every day',
    },
    feel: 'Tall and easy.',
    normal: 'You forget it: begin again.',
    stop: 'Ache that stays after letting go.',
    watch: 'Tied to waiting moments rather than to a timer: a school’s choice.',
  },
  'reading-push': {
    steps: [
      'While you read or look at your phone, slide the head a little back first.',
      'Then look down by a small nod, the neck itself staying back. Bring the page up to you.',
    ],
    cues: ['Back first, then down', 'The page comes up'],
    faults: {
      'The neck hangs over the page': 'Higher page, and back again',
      'Tucks as hard as it goes': 'A little is meant',
    },
    feel: 'Light work at the front of the neck.',
    normal: 'You forget it: begin again.',
    stop: 'Tingling in the arm.',
    watch: 'The backward push of looking up, kept in reading.',
  },
  'squat-to-look': {
    steps: [
      'Before anything low, a drawer or a child: step near it, feet apart.',
      'Go down by hips and knees, the neck in line with the back, and look at it there.',
    ],
    cues: ['Knees, not neck', 'Near it first', 'Neck in line'],
    faults: {
      'Bends back and neck instead': 'One knee on the floor does as well',
      'Heels lift': 'Feet wider',
    },
    feel: 'Work in the thighs, none in the neck.',
    normal: 'Tired thighs.',
    stop: 'Pain in the knees or down a leg.',
    watch: 'Squat instead of bending the neck or back in daily work.',
  },
} satisfies Worded;
