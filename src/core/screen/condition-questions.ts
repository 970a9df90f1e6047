import type { Question } from './question';

/** Conditions of the precaution matrix, and signs an examiner looks for. */
export const CONDITION_QUESTIONS = [
  {
    id: 'high-pressure',
    group: 'heart',
    ask: 'High blood pressure',
    plain: 'Do you have high blood pressure?',
  },
  {
    id: 'heart-disease',
    group: 'heart',
    ask: 'Heart disease',
    plain: 'Do you have heart disease?',
  },
  {
    id: 'carotid',
    group: 'heart',
    ask: 'Disease of the neck arteries, or a known tendency to faint',
    plain: 'Are the arteries of your neck narrowed, or do you faint easily?',
  },
  {
    id: 'blood-thinners',
    group: 'heart',
    ask: 'Blood thinners',
    plain: 'Do you take blood thinners?',
  },
  {
    id: 'disc-low-neck',
    group: 'conditions',
    ask: 'Disc trouble low in the neck',
    plain: 'Has a doctor found a disc problem in your neck?',
  },
  {
    id: 'instability',
    group: 'conditions',
    ask: 'Slipping segment or instability of the neck',
    plain: 'Have you been told that part of your neck is unstable?',
  },
  {
    id: 'inflammatory-arthritis',
    group: 'conditions',
    ask: 'Inflammatory arthritis',
    plain: 'Do you have an inflammatory joint disease?',
  },
  {
    id: 'hypermobility',
    group: 'conditions',
    ask: 'Hypermobility',
    plain: 'Are your joints unusually loose?',
  },
  {
    id: 'osteoporosis',
    group: 'conditions',
    ask: 'Osteoporosis',
    plain: 'Do you have brittle bones (osteoporosis)?',
  },
  {
    id: 'steroids',
    group: 'conditions',
    ask: 'Steroids over months',
    plain: 'Have you taken cortisone tablets for months?',
  },
  {
    id: 'lumbar-narrowing',
    group: 'conditions',
    ask: 'Narrowing or slip in the low back',
    plain: 'Have you been told that your spinal canal is narrow, or a vertebra has slipped?',
  },
  {
    id: 'pregnancy',
    group: 'conditions',
    ask: 'Pregnancy',
    plain: 'Are you pregnant?',
  },
  {
    id: 'pregnancy-second-half',
    group: 'conditions',
    ask: 'Second half of the pregnancy',
    plain: 'Are you in the second half of your pregnancy?',
    when: { yes: 'pregnancy' },
  },
  {
    id: 'jaw',
    group: 'conditions',
    ask: 'Jaw trouble',
    plain: 'Do you have jaw trouble?',
  },
  {
    id: 'limb-joints',
    group: 'conditions',
    ask: 'Shoulder, wrist or knee trouble',
    plain: 'Do you have trouble with a shoulder, wrist or knee?',
  },
  {
    id: 'straining',
    group: 'conditions',
    ask: 'Eye disease, or a hernia',
    plain: 'Do you have an eye disease or a hernia?',
  },
  {
    id: 'latex',
    group: 'conditions',
    ask: 'Latex allergy',
    plain: 'Are you allergic to latex (rubber)?',
  },
  { id: 'gait-sign', group: 'signs', ask: 'Gait deviation (wide, stiff or jerky)', plain: null },
  { id: 'hoffmann', group: 'signs', ask: 'Hoffmann’s sign', plain: null },
  { id: 'inverted-supinator', group: 'signs', ask: 'Inverted supinator sign', plain: null },
  { id: 'babinski', group: 'signs', ask: 'Babinski’s sign', plain: null },
  { id: 'clonus', group: 'signs', ask: 'Clonus, or brisk reflexes below the level', plain: null },
] as const satisfies readonly Question[];
