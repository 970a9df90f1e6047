import { CONDITION_QUESTIONS } from './condition-questions';
import { ILLNESS_QUESTIONS } from './illness-questions';
import { INJURY_QUESTIONS } from './injury-questions';
import type { Question } from './question';
import type { QuestionId } from './question-ids';

/** Every question, in the order in which they are asked. */
export const QUESTIONS: readonly Question[] = [
  ...INJURY_QUESTIONS,
  ...ILLNESS_QUESTIONS,
  ...CONDITION_QUESTIONS,
];

/** A question by its id. */
export function questionOf(id: QuestionId): Question {
  const found = QUESTIONS.find((question) => question.id === id);
  if (!found) throw new RangeError(`no question ${id}`);
  return found;
}

/** A question as the clinician reads it, by its id; the id itself where a later release dropped it. */
export function askedIn(id: string): string {
  return QUESTIONS.find((question) => question.id === id)?.ask ?? id;
}

/** Signs may be left "not tested"; everything else is yes or no. */
export function isSign(id: QuestionId): boolean {
  return questionOf(id).group === 'signs';
}
