import type { QuestionId } from './question-ids';

/** "not tested" is an answer for a sign only: it was left out on purpose, and it is not a "no". */
export type Answer = 'yes' | 'no' | 'not tested';

/** What was answered. A question that is not in `answers` is unanswered, which is not "no" either. */
export type ScreeningAnswers = {
  readonly answers: Readonly<Partial<Record<QuestionId, Answer>>>;
  /** Whole years; null when not asked. */
  readonly age: number | null;
  /** mmHg, as measured at rest; null when not measured. */
  readonly pressure: { readonly systolic: number; readonly diastolic: number } | null;
};

export const NOTHING_ANSWERED: ScreeningAnswers = { answers: {}, age: null, pressure: null };

/** True, false, or not known yet. */
export type Truth = boolean | null;

/** A question's answer as a truth: a sign that was not tested is not known. */
export function truthOf(facts: ScreeningAnswers, id: QuestionId): Truth {
  const answer = facts.answers[id];
  return answer === 'yes' ? true : answer === 'no' ? false : null;
}
