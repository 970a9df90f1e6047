import type { Condition } from './condition';
import type { Question } from './question';

const injured: Condition = { yes: 'neck-injury' };
const backInjured: Condition = { yes: 'back-injury' };
const operated: Condition = { yes: 'surgery' };
const notCleared: Condition = { all: [injured, { no: 'neck-injury-cleared' }] };

/** Injury, concussion and surgery, with the guided rule for the neck. */
export const INJURY_QUESTIONS: readonly Question[] = [
  {
    id: 'neck-injury',
    group: 'injury',
    ask: 'Injury to the neck behind this complaint (fall, car accident, contact sport)',
    toPatient: true,
  },
  {
    id: 'neck-injury-cleared',
    group: 'injury',
    ask: 'Examined by a physician since, and cleared for exercise',
    toPatient: true,
    when: injured,
    calms: ['injury-not-alert', 'injury-signs', 'injury-outside-rule', 'injury-open'],
  },
  {
    id: 'injury-recent',
    group: 'injury',
    ask: 'Blunt injury within the last 48 hours',
    when: notCleared,
    calms: ['injury-outside-rule', 'injury-open'],
  },
  {
    id: 'alert-stable',
    group: 'injury',
    ask: 'Fully alert, and vital signs stable',
    when: notCleared,
    calms: ['injury-not-alert', 'injury-outside-rule', 'injury-open'],
  },
  {
    id: 'spinal-disease',
    group: 'injury',
    ask: 'Known disease of the spine, or earlier neck surgery',
    when: notCleared,
  },
  {
    id: 'dangerous-mechanism',
    group: 'injury',
    ask: 'Dangerous mechanism: fall from 1 m or five stairs, load on the top of the head, fast or rolling car crash, thrown out, motor leisure vehicle, bicycle',
    when: notCleared,
  },
  {
    id: 'limb-tingling',
    group: 'injury',
    ask: 'Tingling in arms or legs since the injury',
    when: notCleared,
  },
  {
    id: 'low-risk-factor',
    group: 'injury',
    ask: 'Any one low-risk factor: simple rear-end crash, sitting up, walked at any time since, pain came late, no tenderness along the mid-line',
    when: notCleared,
    calms: ['injury-signs', 'injury-open'],
  },
  {
    id: 'turns-45',
    group: 'injury',
    ask: 'Turns the head 45° to both sides by themselves (test only with a low-risk factor)',
    when: notCleared,
    calms: ['injury-signs', 'injury-open'],
  },
  {
    id: 'back-injury',
    group: 'injury',
    ask: 'Recent injury to the back (fall, lift, crash)',
    toPatient: true,
  },
  {
    id: 'back-injury-new',
    group: 'injury',
    ask: 'When: the injury to the back is less than two weeks old',
    toPatient: true,
    when: backInjured,
    byItself: true,
  },
  {
    id: 'back-injury-hard',
    group: 'injury',
    ask: 'How: a fall from a height or down stairs, a crash, or a heavy blow',
    toPatient: true,
    when: backInjured,
    byItself: true,
  },
  {
    id: 'back-injury-seen',
    group: 'injury',
    ask: 'Seen by whom: examined by a physician since, and cleared for exercise',
    toPatient: true,
    when: backInjured,
    calms: ['back-injury-hard', 'back-injury-hard-new'],
  },
  {
    id: 'concussion',
    group: 'injury',
    ask: 'Concussion in the last weeks',
    toPatient: true,
  },
  {
    id: 'concussion-cleared',
    group: 'injury',
    ask: 'Concussion seen by a physician, and cleared for exercise',
    toPatient: true,
    when: { yes: 'concussion' },
    calms: ['concussion-not-seen'],
  },
  {
    id: 'surgery',
    group: 'injury',
    ask: 'Surgery in the last months',
    toPatient: true,
  },
  {
    id: 'surgery-protocol',
    group: 'injury',
    ask: 'The surgeon’s protocol for exercise is in the record',
    when: operated,
    calms: ['surgery-without-protocol'],
  },
  {
    id: 'surgery-neck',
    group: 'injury',
    ask: 'The surgery was on the neck or the upper back',
    toPatient: true,
    when: operated,
    byItself: true,
  },
  {
    id: 'surgery-arm',
    group: 'injury',
    ask: 'The surgery was on the shoulder or the arm',
    toPatient: true,
    when: operated,
    byItself: true,
  },
  {
    id: 'surgery-back',
    group: 'injury',
    ask: 'The surgery was on the low back',
    toPatient: true,
    when: operated,
    byItself: true,
  },
  {
    id: 'surgery-leg',
    group: 'injury',
    ask: 'The surgery was on the hip or the leg',
    toPatient: true,
    when: operated,
    byItself: true,
  },
];
