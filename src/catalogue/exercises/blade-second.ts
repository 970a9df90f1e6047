import { PLAIN, entry } from './entry';

const BLADE = { family: 'Shoulder blade', region: 'shoulder', needs: PLAIN } as const;
const PRONE_LOADS = {
  climb: '2x10 hold 2s rest 60s every other day',
  'volume-load': '2x15-20 rest 60s every other day',
} as const;
const BAND_LOADS = {
  climb: '2x10-15 band light rest 60s every other day',
  'volume-load': '2x20-30 band light rest 60s every other day',
} as const;

const PRONE = {
  ...BLADE,
  position: 'face down',
  purpose: 'strengthen',
  mode: 'moved',
  usualDose: '2x10 hold 2s rest 60s every other day',
  doses: PRONE_LOADS,
} as const;

/** Face down: the lever grows from a W to a T to a Y. Doses are common practice, no source. */
export const PRONE_W = [
  entry({
    ...PRONE,
    id: 'prone-w',
    name: 'Arms in a W, face down',
    rung: 6,
    muscles: ['lower trapezius', 'middle trapezius'],
    traits: ['face-down'],
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
    keywords: ['scapula', 'lower trapezius', 'prone W'],
  }),
];

export const PRONE_Y = [
  entry({
    ...PRONE,
    id: 'prone-y',
    name: 'Arms in a Y, face down',
    rung: 8,
    muscles: ['lower trapezius'],
    traits: ['face-down', 'overhead', 'straight-arm overhead'],
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
    keywords: ['scapula', 'lower trapezius', 'prone Y'],
  }),
];

export const BLADE_AND_BAND = [
  entry({
    ...BLADE,
    id: 'wall-angel',
    name: 'Arms up the wall, back to it',
    rung: 10,
    position: 'standing',
    purpose: 're-educate',
    muscles: ['lower trapezius', 'thoracic extensors'],
    traits: ['overhead'],
    mode: 'moved',
    props: { wall: {} },
    usualDose: '2x8-10 slow rest 30s daily',
    doses: { climb: '2x8-10 slow rest 30s daily' },
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
    keywords: ['scapula', 'upward rotation', 'thoracic', 'wall'],
  }),
  entry({
    ...BLADE,
    id: 'band-pull-apart',
    name: 'Band pulled apart',
    rung: 11,
    position: 'standing',
    purpose: 'strengthen',
    muscles: ['middle trapezius', 'rhomboids'],
    traits: ['latex band'],
    mode: 'moved',
    props: { 'flat band': {} },
    usualDose: '2x10-15 band light rest 60s every other day',
    doses: BAND_LOADS,
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
    keywords: ['elastic', 'scapula', 'rear shoulder'],
  }),
  entry({
    ...BLADE,
    id: 'band-external-rotation',
    name: 'Band turn-out, elbows at the waist',
    rung: 12,
    position: 'standing',
    purpose: 'strengthen',
    muscles: ['external rotators of the shoulder', 'lower trapezius'],
    traits: ['latex band'],
    mode: 'moved',
    props: { 'flat band': {} },
    usualDose: '2x10-15 band light rest 60s every other day',
    doses: BAND_LOADS,
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
    keywords: ['elastic', 'rotator cuff', 'external rotation'],
  }),
];

export const UPPER_BACK_SEATED = [
  entry({
    family: 'Upper back',
    region: 'upper back',
    needs: PLAIN,
    id: 'chair-back-opening',
    name: 'Opening over the chair back',
    rung: 5,
    position: 'sitting',
    purpose: 'mobilise',
    muscles: ['thoracic joints', 'thoracic extensors'],
    traits: ['overhead'],
    mode: 'moved',
    props: { chair: {} },
    usualDose: 'x10 slow 1-3/day daily',
    doses: { climb: 'x10 slow 1-3/day daily' },
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
    keywords: ['desk', 'chest opening'],
  }),
];
