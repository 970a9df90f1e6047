import { type EpisodeArea, type MeasureKind, PROFILES, type Profile } from './kind';
import { TRADE, UNKNOWN, choice, hold, pain, photo, range, strength } from './kind-makers';
import type { Detectable } from './kind';
import type { Margin } from './trials';

/** Every kind of measurement, in the order of the visit. */
export const KINDS = {
  'craniovertebral-angle': photo('Craniovertebral angle', '°', 'more', {
    margin: { by: 4 },
    source: `4° from day to day. ${TRADE}`,
  }),
  'head-tilt': photo('Head tilt', '°', 'neither', {
    margin: { by: 5 },
    source: `5°. ${TRADE}`,
  }),
  'shoulder-angle': photo('Shoulder angle', '°', 'more', {
    margin: { by: 6 },
    source: `6°. ${TRADE}`,
  }),
  'forward-offset': photo('Ear in front of C7', 'mm', 'less', {
    margin: { by: 10 },
    source: `10 mm. ${TRADE}`,
  }),
  'wall-gap': {
    name: 'Wall gap',
    unit: 'mm',
    form: 'trials',
    step: 'below',
    sided: false,
    trials: 3,
    range: [0, 250],
    better: 'less',
    first: ['neck', 'posture'],
    position: 'standing',
    instrument: 'ruler or tape',
    detectable: { margin: { by: 10 }, source: `10 mm. ${TRADE}` },
    agree: { by: 10 },
    how: 'Buttocks and shoulders on the wall, feet as in the press, head in the patient’s own neutral.',
  },
  'wall-tuck': {
    name: 'Gap in a wall tuck',
    unit: 'mm',
    form: 'trials',
    step: 'below',
    sided: false,
    trials: 3,
    range: [0, 250],
    better: 'less',
    first: ['posture'],
    position: 'standing',
    instrument: 'ruler or tape',
    detectable: { margin: { by: 10 }, source: `10 mm. ${TRADE}` },
    agree: { by: 10 },
    how: 'As for the wall gap, then tucked as far as it goes without force: what is left. 0 when the head touches the wall.',
  },
  'held-from-below': {
    name: 'Held from below',
    unit: '%',
    form: 'offsets',
    step: 'below',
    sided: false,
    trials: 1,
    range: [-500, 500],
    better: 'neither',
    first: ['neck', 'posture'],
    position: 'sitting',
    instrument: 'ruler or tape',
    detectable: UNKNOWN,
    how: 'Ear in front of C7: sitting relaxed, then tall with the pelvis out of its backward tilt, then with the chest lifted.',
  },
  'wedge-fit': {
    name: 'Wedge fit',
    unit: 'mm',
    form: 'wedge',
    step: 'below',
    sided: false,
    trials: 1,
    range: [-300, 300],
    better: 'neither',
    first: [],
    position: 'lying',
    instrument: 'ruler or tape',
    detectable: UNKNOWN,
    how: 'On the floor, never on a bed. Ear and shoulder come level.',
  },
  'step-feel': choice(
    'Step at the base of the neck on looking up',
    'below',
    false,
    [],
    ['moves into the finger', 'slides away', 'no step felt'],
    'A fingertip on the bump under the skin crease while the patient looks up.',
  ),
  'neck-flexion': range('Neck bend forward', 50, false, ['neck']),
  'neck-extension': range('Neck bend back', 60, false, ['neck']),
  'neck-side-bend': range('Neck side-bend', 45, true, ['neck', 'posture']),
  'neck-turn': range('Neck turn', 80, true, ['neck', 'posture']),
  'controlled-looking-up': {
    ...range('Controlled looking up', 35, false, []),
    range: [0, 90],
    norm: { value: 30, source: 'goal 30–40°, common practice' },
    how: 'Only as high as the backward push on the finger is kept.',
  },
  'back-flexion': range('Low back bend forward', 60, false, ['back'], 'standing'),
  'back-extension': range('Low back bend back', 25, false, ['back'], 'standing'),
  'back-side-bend': range('Low back side-bend', 25, true, ['back'], 'standing'),
  'chest-muscle': choice(
    'Chest muscles',
    'range',
    true,
    ['posture'],
    ['normal', 'short'],
    'Lying, arm out and up: does the upper arm reach the couch?',
  ),
  'upper-back': choice(
    'Upper back on bending back',
    'range',
    false,
    ['posture'],
    ['moves', 'stiff'],
    'Sitting, over the back of a low chair.',
  ),
  'upper-neck-turn': choice(
    'Upper neck turn with the chin on the chest',
    'range',
    true,
    [],
    ['normal', 'stiff'],
    'Bent fully forward, then turned.',
  ),
  'deep-flexor-hold': hold(
    'Deep neck flexors, lying lift',
    'lying',
    ['neck', 'posture'],
    'Tuck, lift the head just off the couch, hold. Ends when the tuck is lost or it hurts. About 39 s men, 29 s women without pain (Domenech 2011), 24 s with it (Harris 2005); memory.',
  ),
  'nod-test': {
    name: 'Graded nod test',
    unit: '',
    form: 'cuff',
    step: 'control',
    sided: false,
    trials: 1,
    range: [0, 100],
    better: 'more',
    first: ['neck'],
    position: 'lying',
    instrument: 'air cuff',
    detectable: UNKNOWN,
    how: 'Cuff under the neck at 20 mmHg; nod to each target and hold ten seconds, up to ten times.',
  },
  'neck-extensor-hold': hold(
    'Neck extensors, prone hold',
    'face down',
    [],
    'Head held level over the end of the couch.',
  ),
  'trunk-flexor-hold': hold('Trunk flexors', 'lying', ['back'], 'Half sat up, back straight.'),
  'trunk-extensor-hold': hold(
    'Trunk extensors, prone hold',
    'face down',
    ['back'],
    'Trunk over the end of the couch, legs held.',
  ),
  'side-hold': {
    ...hold('Side hold', 'on the side', ['back'], 'Side plank, top foot in front.'),
    sided: true,
  },
  'strength-forward': strength('Push forward', false),
  'strength-back': strength('Push back', false),
  'strength-side': strength('Push to the side', true),
  'strength-turn': strength('Push into a turn', true),
  'nerve-examination': {
    name: 'Nerve examination',
    unit: '',
    form: 'nerve',
    step: 'nerve',
    sided: false,
    trials: 1,
    range: [0, 60],
    better: 'less',
    first: [],
    position: 'sitting',
    instrument: 'examination',
    detectable: UNKNOWN,
    how: 'By level: strength 0–5, feeling, reflex; then the tension and easing positions.',
  },
  'limb-symptoms': {
    name: 'Where it is felt',
    unit: '',
    form: 'body',
    step: 'nerve',
    sided: false,
    trials: 1,
    range: [0, 6],
    better: 'less',
    first: ['neck', 'back'],
    position: 'sitting',
    instrument: 'examination',
    detectable: UNKNOWN,
    how: 'Mark every place; then what repeated movements do to the furthest one.',
  },
  'wall-press-headache': choice(
    'Headache during a wall press',
    'nerve',
    false,
    [],
    ['eases', 'no change', 'worse'],
    'Ease points to tension and chooses an exercise.',
  ),
  'specific-activities': {
    name: 'Activities of the patient’s own',
    unit: 'of 10',
    form: 'activities',
    step: 'function',
    sided: false,
    trials: 1,
    range: [0, 10],
    better: 'more',
    first: ['neck', 'back', 'posture'],
    position: 'sitting',
    instrument: 'questionnaire',
    detectable: {
      margin: { by: 2 },
      source: '2 on the mean, 3 on one activity (Stratford 1995; at 90 %, not 95 %).',
    },
    how: 'Three to five activities, 0 cannot, 10 as before.',
  },
  'neck-index': {
    name: 'Neck Disability Index',
    unit: 'of 50',
    form: 'sections',
    step: 'function',
    sided: false,
    trials: 1,
    range: [0, 50],
    better: 'less',
    first: [],
    position: 'sitting',
    instrument: 'questionnaire',
    detectable: { margin: { by: 5 }, source: '5 of 50 (memory; publications differ widely).' },
    how: 'From the licensed form; section scores only.',
  },
  'back-index': {
    name: 'Low-back disability index (Oswestry)',
    unit: '%',
    form: 'sections',
    step: 'function',
    sided: false,
    trials: 1,
    range: [0, 100],
    better: 'less',
    first: [],
    position: 'sitting',
    instrument: 'questionnaire',
    detectable: { margin: { by: 10 }, source: '10 percentage points (memory).' },
    how: 'From the licensed form; section scores only.',
  },
  'pain-now': pain('Pain now'),
  'pain-best': pain('Pain at its best'),
  'pain-worst': pain('Pain at its worst'),
  'headache-days': {
    ...pain('Headache days in four weeks'),
    unit: 'days',
    range: [0, 28],
    first: ['neck'],
    detectable: UNKNOWN,
  },
  'disturbed-nights': {
    ...pain('Nights disturbed in a week'),
    unit: 'nights',
    range: [0, 7],
    first: [],
    detectable: UNKNOWN,
  },
  'curve-angle': {
    name: 'Neck curve on an image taken elsewhere',
    unit: '°',
    form: 'trials',
    step: 'outside',
    sided: false,
    trials: 1,
    range: [-60, 90],
    better: 'neither',
    first: [],
    position: 'standing',
    instrument: 'from another clinic',
    detectable: UNKNOWN,
    how: 'Only weakly tied to symptoms. Never a reason to repeat an image.',
  },
  'blood-pressure': {
    name: 'Blood pressure',
    unit: 'mmHg',
    form: 'pressure',
    step: 'outside',
    sided: false,
    trials: 1,
    range: [50, 300],
    better: 'neither',
    first: [],
    position: 'sitting',
    instrument: 'from another clinic',
    detectable: UNKNOWN,
    how: 'At rest, upper and lower.',
  },
} as const satisfies Readonly<Record<string, MeasureKind>>;

export type MeasureKindId = keyof typeof KINDS;
export const KIND_IDS = Object.keys(KINDS) as MeasureKindId[];

/** A kind by its id, seen as the common shape. */
export function kindOf(id: MeasureKindId): MeasureKind {
  return KINDS[id];
}

/** What a clinic says instead of a kind's own detectable change. */
export type DetectableChanges = Readonly<
  Partial<Record<MeasureKindId, { readonly margin: Margin; readonly source: string }>>
>;

/** The detectable change that counts here: the clinic's where it has one. */
export function detectableOf(id: MeasureKindId, clinic: DetectableChanges): Detectable {
  return clinic[id] ?? kindOf(id).detectable;
}

/** The profile of what somebody chose an episode to be of; null where nobody did, or it is of something else. */
export function chosenProfile(area: EpisodeArea | null): Profile | null {
  return PROFILES.find((profile) => profile === area) ?? null;
}

/** The profile a complaint in the clinic's own words suggests; neck where nothing else is said. */
export function profileOf(complaint: string): Profile {
  if (/\bneck|headache|\barm\b/i.test(complaint)) return 'neck';
  if (/back|leg\b|sciatic|buttock|lift/i.test(complaint)) return 'back';
  return /postur|slouch|shoulder/i.test(complaint) ? 'posture' : 'neck';
}
