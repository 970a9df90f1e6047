import type { Condition } from './condition';
import type { QuestionId } from './question-ids';

/** The groups of the page, in the order in which they are asked. */
export const GROUPS = {
  injury: 'Injury and surgery',
  serious: 'General health',
  cord: 'Nerves, bladder and walking',
  artery: 'Head, eyes and balance',
  heart: 'Heart and circulation',
  conditions: 'Conditions that change the choice of exercises',
  signs: 'Signs on examination',
} as const;
export type GroupId = keyof typeof GROUPS;

export type Question = {
  readonly id: QuestionId;
  readonly group: GroupId;
  /** As the clinician reads it. */
  readonly ask: string;
  /** Asked of the patient before the visit too, in the words of the patient's texts; otherwise only an examiner can tell. */
  readonly toPatient?: true;
  /** Asked only when this holds. */
  readonly when?: Condition;
  /** Never answered by "everything else: no"; somebody has to ask it. */
  readonly byItself?: true;
  /**
   * Here "yes" is the reassuring answer: the ids of the rules it may keep from firing, and no other.
   * Such a question is never answered by "everything else: no" either.
   */
  readonly calms?: readonly string[];
};
