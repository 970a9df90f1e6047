import {
  type Answer,
  type QuestionId,
  type ScreeningAnswers,
  answerTheRestNo,
  screen,
} from '@/core/screen';

/** A healthy adult of 40 with everything answered "no", but for these. */
export function adult(
  yes: readonly QuestionId[] = [],
  more: Partial<ScreeningAnswers> & { no?: readonly QuestionId[] } = {},
): ScreeningAnswers {
  const answers: Partial<Record<QuestionId, Answer>> = {};
  for (const id of yes) answers[id] = 'yes';
  for (const id of more.no ?? []) answers[id] = 'no';
  return answerTheRestNo({ age: 40, pressure: null, ...more, answers });
}
export const outcome = (...yes: QuestionId[]) => screen(adult(yes)).outcome;
export const fired = (facts: ScreeningAnswers) => screen(facts).fired.map((rule) => rule.id);
