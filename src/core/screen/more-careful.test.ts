import fc from 'fast-check';
import { runs } from '../../../tests/support/runs';
import {
  type Answer,
  QUESTIONS,
  QUESTION_IDS,
  type QuestionId,
  RULES,
  type ScreeningAnswers,
  screen,
  withoutHidden,
} from '.';

const fired = (facts: ScreeningAnswers) => screen(facts).fired.map((rule) => rule.id);

describe('more careful wins', () => {
  const rank = ['go', 'precautions', 'refer', 'same day', 'emergency'];
  /** How grave the gravest rule that fires is; what is hidden counts for nothing. */
  const grave = (facts: ScreeningAnswers) =>
    Math.max(0, ...screen(withoutHidden(facts)).fired.map(({ outcome: of }) => rank.indexOf(of)));
  const anyFacts = fc.record({
    answers: fc
      .array(fc.constantFrom<Answer | undefined>('yes', 'no', 'no', 'no', undefined), {
        minLength: QUESTION_IDS.length,
        maxLength: QUESTION_IDS.length,
      })
      .map((given) =>
        Object.fromEntries(
          QUESTION_IDS.flatMap((id, at) => (given[at] === undefined ? [] : [[id, given[at]]])),
        ),
      ),
    age: fc.option(fc.integer({ min: 1, max: 95 })),
    pressure: fc.constant(null),
  }) as fc.Arbitrary<ScreeningAnswers>;
  const withAnswer = (facts: ScreeningAnswers, id: QuestionId, answer: Answer | undefined) => {
    const answers = { ...facts.answers };
    delete answers[id];
    return { ...facts, answers: answer === undefined ? answers : { ...answers, [id]: answer } };
  };
  const signs = QUESTIONS.filter(({ calms }) => calms === undefined).map(({ id }) => id);
  const reassuring = QUESTIONS.flatMap(({ id, calms }) => (calms ? [{ id, calms }] : []));
  /** They ask more of whoever says yes; which region it was makes nothing graver by itself. */
  const regions = signs.filter((id) => /^surgery-/.test(id));

  it('no set of answers becomes less severe by one more sign, over all questions and ages', () => {
    fc.assert(
      fc.property(anyFacts, fc.constantFrom(...signs), (facts, id) => {
        const without = Math.max(
          grave(withAnswer(facts, id, 'no')),
          grave(withAnswer(facts, id, undefined)),
        );
        expect([id, grave(withAnswer(facts, id, 'yes')) >= without]).toEqual([id, true]);
      }),
      runs(4000),
    );
    expect(regions).toHaveLength(4);
  });

  it('a reassuring answer keeps only the rules from firing that its question names', () => {
    expect(reassuring.length).toBeGreaterThan(8);
    const ids = RULES.map(({ id }) => id);
    for (const { id, calms } of reassuring)
      expect([id, calms.filter((rule) => !ids.includes(rule))]).toEqual([id, []]);
    fc.assert(
      fc.property(anyFacts, fc.constantFrom(...reassuring), (facts, { id, calms }) => {
        // Cleared by a physician takes the rest of the guided questions away with it.
        const reassured = fired(withAnswer(facts, id, 'yes'));
        for (const other of ['no', undefined] as const) {
          const gone = fired(withAnswer(facts, id, other)).filter(
            (rule) => !reassured.includes(rule),
          );
          expect([id, gone.filter((rule) => !calms.includes(rule))]).toEqual([id, []]);
        }
      }),
      runs(4000),
    );
  });

  it('what was not asked or not tested never reassures', () => {
    fc.assert(
      fc.property(anyFacts, fc.constantFrom(...reassuring), (facts, { id }) => {
        const reassured = screen(withAnswer(facts, id, 'yes'));
        const open = screen(withAnswer(facts, id, undefined));
        const order = ['go', 'precautions', 'unfinished', 'refer', 'same day', 'emergency'];
        expect(order.indexOf(open.outcome)).toBeGreaterThanOrEqual(
          Math.min(order.indexOf(reassured.outcome), order.indexOf('unfinished')),
        );
      }),
      runs(2000),
    );
  });
});
