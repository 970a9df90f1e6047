import type { Question } from './question';

/** Conditions of the precaution matrix, and signs an examiner looks for. */
export const CONDITION_QUESTIONS: readonly Question[] = [
  {
    id: 'high-pressure',
    group: 'heart',
    ask: 'High blood pressure',
    toPatient: true,
  },
  {
    id: 'heart-disease',
    group: 'heart',
    ask: 'Heart disease',
    toPatient: true,
  },
  {
    id: 'carotid',
    group: 'heart',
    ask: 'Disease of the neck arteries, or a known tendency to faint',
    toPatient: true,
  },
  {
    id: 'blood-thinners',
    group: 'heart',
    ask: 'Blood thinners',
    toPatient: true,
  },
  {
    id: 'disc-low-neck',
    group: 'conditions',
    ask: 'Disc trouble low in the neck',
    toPatient: true,
  },
  {
    id: 'instability',
    group: 'conditions',
    ask: 'Slipping segment or instability of the neck',
    toPatient: true,
  },
  {
    id: 'inflammatory-arthritis',
    group: 'conditions',
    ask: 'Inflammatory arthritis',
    toPatient: true,
  },
  {
    id: 'hypermobility',
    group: 'conditions',
    ask: 'Hypermobility',
    toPatient: true,
  },
  {
    id: 'osteoporosis',
    group: 'conditions',
    ask: 'Osteoporosis',
    toPatient: true,
  },
  {
    id: 'steroids',
    group: 'conditions',
    ask: 'Steroids over months',
    toPatient: true,
  },
  {
    id: 'lumbar-narrowing',
    group: 'conditions',
    ask: 'Narrowing or slip in the low back',
    toPatient: true,
  },
  {
    id: 'pregnancy',
    group: 'conditions',
    ask: 'Pregnancy',
    toPatient: true,
  },
  {
    id: 'pregnancy-second-half',
    group: 'conditions',
    ask: 'Second half of the pregnancy',
    toPatient: true,
    when: { yes: 'pregnancy' },
  },
  {
    id: 'jaw',
    group: 'conditions',
    ask: 'Jaw trouble',
    toPatient: true,
  },
  {
    id: 'limb-joints',
    group: 'conditions',
    ask: 'Shoulder, wrist or knee trouble',
    toPatient: true,
  },
  {
    id: 'straining',
    group: 'conditions',
    ask: 'Eye disease, or a hernia',
    toPatient: true,
  },
  {
    id: 'latex',
    group: 'conditions',
    ask: 'Latex allergy',
    toPatient: true,
  },
  { id: 'gait-sign', group: 'signs', ask: 'Gait deviation (wide, stiff or jerky)' },
  { id: 'hoffmann', group: 'signs', ask: 'Hoffmann’s sign' },
  { id: 'inverted-supinator', group: 'signs', ask: 'Inverted supinator sign' },
  { id: 'babinski', group: 'signs', ask: 'Babinski’s sign' },
  { id: 'clonus', group: 'signs', ask: 'Clonus, or brisk reflexes below the level' },
];
