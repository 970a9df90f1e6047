import type { Worded } from './worded';

export const SHOULDER_BLADE = {
  'blade-set': {
    steps: [
      'Stand tall with your arms hanging.',
      'Slide your shoulder blades down and gently together. Hold, then let go slowly.',
    ],
    cues: ['Down before back', 'Neck long'],
    faults: { 'Shrugs first': 'Think of back pockets', 'Low back arches': 'Ribs down' },
    feel: 'Light work between and below the blades.',
    normal: 'Mild tiredness between the blades.',
    stop: 'Pinching in the shoulder.',
    watch: 'No shrug, low back does not arch.',
  },
  'wall-slide': {
    steps: [
      'Face the wall, forearms on it, elbows bent.',
      'Slide the forearms up, letting the blades turn out and round the ribs. Slide down.',
    ],
    cues: ['Elbows bent', 'Neck long'],
    faults: { 'Shoulders reach the ears': 'Stop lower', 'Chin pokes to the wall': 'Tuck a little' },
    feel: 'Work at the side of the ribs and below the blade.',
    normal: 'Mild tiredness round the blades.',
    stop: 'Pinching on top of the shoulder.',
    watch: 'Elbows stay bent with arm symptoms.',
  },
  'floor-push-away': {
    steps: [
      'Stand at arm’s length from the wall, hands on it, elbows straight.',
      'Let the chest sink between the blades. Then push the wall away until the upper back rounds a little.',
    ],
    cues: ['Elbows stay straight', 'Neck long'],
    faults: { 'Elbows bend': 'Only the blades move', 'Head hangs': 'Long neck, chin in' },
    feel: 'Work at the side of the ribs.',
    normal: 'Mild tiredness at the side of the ribs.',
    stop: 'Pain in the wrists.',
    watch: 'Lower (table, floor) is harder.',
  },
  'band-row': {
    steps: [
      'Fix the band at waist height and hold an end in each hand.',
      'Draw the blades back, then pull the elbows past your sides. Let it go back slowly.',
    ],
    cues: ['Blades first', 'Slowly back'],
    faults: {
      'Shoulders shrug': 'Blades down first',
      'Chin pokes on the pull': 'Tuck a little first',
    },
    feel: 'Work between the blades.',
    normal: 'Soreness between the blades next day.',
    stop: 'The anchor gives: let go.',
    watch: 'Check the anchor. Latex-free band with an allergy.',
  },
  'band-pull': {
    steps: [
      'Fix the band firmly in front of you at face height and hold one end in each hand.',
      'Draw your shoulder blades back and down, then pull your hands to your face and raise them.',
      'Let it go back slowly.',
    ],
    cues: ['Blades first', 'Shoulders away from the ears', 'Slowly back'],
    faults: { 'Shoulders shrug': 'Blades down first', 'Ribs flare': 'Breathe out on the pull' },
    feel: 'Work between the blades and behind the shoulders.',
    normal: 'Soreness between the blades next day.',
    stop: 'The anchor gives: let go.',
    watch: 'At the end of the session. Check the anchor; latex-free band with an allergy.',
  },
  'prone-arms-wide': {
    steps: [
      'Lie face down, forehead on a towel, arms out to the side and a little up, thumbs up.',
      'Draw the blades down and lift the arms a hand’s breadth.',
    ],
    cues: ['Thumbs up', 'Forehead stays down'],
    faults: { 'Neck lifts': 'Forehead heavy', Shrugs: 'Blades down first' },
    feel: 'Work below and between the blades.',
    normal: 'Soreness between the blades next day.',
    stop: 'Pinching on top of the shoulder.',
    watch: 'Elbows bent with arm symptoms.',
  },
  'overhead-shrug': {
    steps: [
      'Stand tall, arms overhead. Tuck.',
      'Shrug up fully towards the ears, the tuck staying. Hold, breathe, lower.',
    ],
    cues: ['Chin stays in', 'Straps at the front quiet'],
    faults: {
      'Chin pokes during the shrug': 'Tuck first: poking adds load',
      'Strap muscles work': 'Shrug less high',
    },
    feel: 'Work on top of the shoulders, none at the front of the neck.',
    normal: 'Tired shoulders.',
    stop: 'Tingling in the arms.',
    watch: 'Shrug fully, strap muscles quiet. Elbows bent with arm symptoms.',
  },
} satisfies Worded;
