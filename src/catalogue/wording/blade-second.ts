import type { Worded } from './worded';

export const PRONE_W = {
  'prone-w': {
    steps: [
      'Lie face down, forehead on a folded towel. Bend your elbows beside your ribs, hands level with the head.',
      'Draw the blades together and down; hands and elbows lift a little. Lower slowly.',
    ],
    cues: ['Blades first', 'Neck long', 'Elbows near the ribs'],
    faults: { 'Head lifts': 'Forehead stays on the towel', Shrugs: 'Blades down first' },
    feel: 'Work between and below the blades.',
    normal: 'Soreness between the blades next day.',
    stop: 'Pinching in the shoulder.',
    watch: 'The shortest lever of the three.',
  },
  'prone-y': {
    steps: [
      'Lie face down, forehead on a folded towel, arms long beyond your head in a Y, thumbs up.',
      'Lift the arms a little, shoulders away from the ears. Lower slowly.',
    ],
    cues: ['Thumbs up', 'Shoulders away from the ears', 'Neck long'],
    faults: { Shrugs: 'Lift less high, blades down first', 'Low back arches': 'Ribs heavy' },
    feel: 'Work below the blades.',
    normal: 'Soreness below the blades next day.',
    stop: 'Pinching on top of the shoulder.',
    watch: 'The longest lever of the three; elbows bent with arm symptoms.',
  },
  'wall-angel': {
    steps: [
      'Stand with seat, upper back and, if it goes easily, head at the wall, a small tuck.',
      'Elbows bent, backs of the arms towards the wall, slide the arms up and down.',
    ],
    cues: ['Ribs stay down', 'Small tuck', 'Only as high as they stay near the wall'],
    faults: { 'Low back arches': 'Feet further out, less high', 'Chin pokes': 'Tuck anew' },
    feel: 'Work below the blades, the chest opening.',
    normal: 'Mild tiredness round the blades.',
    stop: 'Pinching on top of the shoulder, tingling.',
    watch: 'Do not force arms or head to reach the wall.',
  },
  'band-pull-apart': {
    steps: [
      'Stand tall, arms forward at shoulder height, the band between your hands.',
      'Draw the hands apart until the blades come together. Back slowly.',
    ],
    cues: ['Blades down and together', 'Small tuck', 'Slowly back'],
    faults: { 'Shoulders shrug': 'Hands lower', 'Low back arches': 'Ribs down' },
    feel: 'Work between the blades.',
    normal: 'Soreness between the blades next day.',
    stop: 'Pinching in the shoulder.',
    watch: 'Elbows soft with arm symptoms.',
  },
  'band-external-rotation': {
    steps: [
      'Stand tall, elbows bent at your waist, the band between your hands, palms up.',
      'Turn both hands outward, the elbows staying. Back slowly.',
    ],
    cues: ['Elbows stay', 'Blades down', 'Slowly back'],
    faults: {
      'Elbows leave the waist': 'A folded towel under each elbow',
      'Wrists bend back': 'Fists in line with the forearms',
    },
    feel: 'Work at the back of the shoulders.',
    normal: 'Soreness behind the shoulders next day.',
    stop: 'Pain at the front of the shoulder.',
    watch: 'Turns the shoulders out of their forward roll.',
  },
  'chair-back-opening': {
    steps: [
      'Sit right back on a steady chair, hands behind your head, elbows forward, a small tuck.',
      'Let the chest open back over the edge of the chair; the hands carry the head. Come back.',
    ],
    cues: ['Upper back only', 'Hands carry the head', 'Breathe out into it'],
    faults: {
      'Bends in the low back': 'Belly in, a cushion behind the low back',
      'Pulls on the head': 'Hands only carry it',
    },
    feel: 'The upper back opening.',
    normal: 'A click without pain.',
    stop: 'Tingling, dizziness.',
    watch: 'At the desk, in place of the block. A low back of the chair is needed.',
  },
} satisfies Worded;
