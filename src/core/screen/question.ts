import type { Condition } from './condition';

/** The groups of the page, in the order of the talk. */
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
  readonly id: string;
  readonly group: GroupId;
  /** As the clinician reads it. */
  readonly ask: string;
  /** As the patient reads it before the visit; null where only an examiner can tell. */
  readonly plain: string | null;
  /** Asked only when this holds. */
  readonly when?: Condition;
  /** Here "yes" is the reassuring answer, so that "everything no" leaves it alone. */
  readonly guided?: true;
};
