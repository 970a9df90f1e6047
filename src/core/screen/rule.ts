import type { Condition } from './condition';
import type { Outcome } from './outcome';
import type { PrecautionId } from './precautions';
import type { QuestionId } from './question-ids';

export type ScreeningRule = {
  readonly id: string;
  readonly outcome: Outcome;
  readonly when: Condition;
  /** Names what tripped the rule. Never a diagnosis. */
  readonly reason: string;
  readonly source: string;
  /** The precaution it puts into the file's header. */
  readonly precaution?: PrecautionId;
};

export const TRADE = 'Common practice, no source.';
export const any = (...ids: readonly QuestionId[]): Condition => ({
  any: ids.map((yes) => ({ yes })),
});
export const all = (...parts: readonly Condition[]): Condition => ({ all: parts });
/** True unless it was answered with yes. */
export const unless = (id: QuestionId): Condition => ({ unless: id });
export const yes = (id: QuestionId): Condition => ({ yes: id });

/** Above these, in mmHg, no effortful work before a medical opinion (memory; local policy decides). */
export const PRESSURE_BLOCK = [180, 110] as const;
/** From these, in mmHg, caution with long or hard holds (memory; local policy decides). */
export const PRESSURE_CAUTION = [160, 100] as const;
export const PRESSURE_SOURCE = 'From memory; local policy decides.';

export const CORD_SOURCE =
  'Any upper-motor sign, signs on both sides or clumsy hands: refer whatever the count (with Cook 2010, memory).';
export const NECK_RULE = 'Canadian C-spine rule (Stiell 2001).';
