import fc from 'fast-check';
import { dose } from '../../../tests/support/dose-lines';
import { asLine, drawnCases } from '../../../tests/support/worked';
import { formatDose } from '../dose';
import { addDays, localDate } from '../units';
import { type Condition, holds } from './condition';
import {
  type Answer,
  NOTHING_ANSWERED,
  PRECAUTIONS,
  type PrecautionId,
  QUESTIONS,
  SCREENING_LASTS_DAYS,
  type ScreeningAnswers,
  TRAITS,
  type Trait,
  answerTheRestNo,
  blocksPrescribing,
  doseTraits,
  flagsInWords,
  flagsOn,
  isScreeningOld,
  isSign,
  OUTCOMES,
  questionsFor,
  referralLetter,
  screen,
  urgencyOf,
  withoutHidden,
  worstOutcome,
  yesInWords,
} from '.';

const answer: fc.Arbitrary<Answer | undefined> = fc.constantFrom<(Answer | undefined)[]>(
  'no',
  'no',
  'no',
  'no',
  'no',
  'yes',
  undefined,
  'not tested',
);
const answers: fc.Arbitrary<ScreeningAnswers> = fc.record({
  answers: fc
    .tuple(...QUESTIONS.map(() => answer))
    .map((given) =>
      Object.fromEntries(
        QUESTIONS.flatMap(({ id }, i) => (given[i] === undefined ? [] : [[id, given[i]]])),
      ),
    ),
  age: fc.constantFrom(null, 15, 16, 45, 46, 64, 65, 80),
  pressure: fc.constantFrom(
    null,
    { systolic: 120, diastolic: 80 },
    { systolic: 160, diastolic: 99 },
    { systolic: 159, diastolic: 100 },
    { systolic: 180, diastolic: 90 },
    { systolic: 179, diastolic: 110 },
  ),
});

/** Everything said no to, but for these. */
function but(yes: readonly string[], change: Partial<ScreeningAnswers> = {}): ScreeningAnswers {
  return {
    age: 40,
    pressure: null,
    answers: Object.fromEntries(QUESTIONS.map(({ id }) => [id, yes.includes(id) ? 'yes' : 'no'])),
    ...change,
  };
}

function line(facts: ScreeningAnswers): string {
  const { outcome, fired, precautions, unanswered, ageMissing, neckInjury, cord } = screen(facts);
  return asLine(
    outcome,
    fired.map(({ id }) => id).join(', '),
    precautions.join(', '),
    unanswered.length,
    ageMissing,
    neckInjury,
    cord,
  );
}

it('each answer alone, and each left out', () => {
  expect(QUESTIONS.map(({ id }) => `${id}: ${line(but([id]))}`)).toMatchSnapshot();
  expect(
    QUESTIONS.map(({ id }) => {
      const facts = but([]);
      return `${id}: ${line({ ...facts, answers: { ...facts.answers, [id]: undefined } })}`;
    }),
  ).toMatchSnapshot();
  expect(
    QUESTIONS.filter(({ id }) => isSign(id)).map(({ id }) => {
      const facts = but([]);
      return `${id}: ${line({ ...facts, answers: { ...facts.answers, [id]: 'not tested' } })}`;
    }),
  ).toMatchSnapshot();
});

it('every two signs of a serious cause together', () => {
  const rules = QUESTIONS.map(({ id }) => id);
  expect(
    rules.map((a, i) =>
      asLine(
        a,
        rules
          .slice(i + 1)
          .map((b) => screen(but([a, b])).outcome.slice(0, 4))
          .join(' '),
      ),
    ),
  ).toMatchSnapshot();
});

it('ages and pressures at their edges', () => {
  expect(
    [null, 0, 15, 16, 17, 45, 46, 49, 50, 51, 54, 55, 64, 65, 66, 70, 74, 75, 120].map((age) =>
      asLine(
        age,
        line(but([], { age })),
        line(
          but(['neck-injury', 'injury-recent', 'alert-stable', 'low-risk-factor', 'turns-45'], {
            age,
          }),
        ),
        line(but(['gait-sign', 'hoffmann'], { age })),
      ),
    ),
  ).toMatchSnapshot();
  expect(
    [139, 140, 159, 160, 161, 179, 180, 181].flatMap((systolic) =>
      [89, 90, 99, 100, 101, 109, 110, 111].map((diastolic) =>
        asLine(systolic, diastolic, line(but([], { pressure: { systolic, diastolic } }))),
      ),
    ),
  ).toMatchSnapshot();
});

it('any answers', () => {
  expect(
    drawnCases(answers, 120).map((facts) =>
      asLine(
        line(facts),
        Object.keys(withoutHidden(facts).answers).length,
        line(answerTheRestNo(facts)),
        line(answerTheRestNo(facts, 'patient')),
        [questionsFor(facts).length, questionsFor(facts, 'patient').length],
        yesInWords(withoutHidden(facts)).join('; '),
      ),
    ),
  ).toMatchSnapshot();
});

it('flags of doses and traits', () => {
  const ids = Object.keys(PRECAUTIONS) as PrecautionId[];
  const traits = Object.keys(TRAITS) as Trait[];
  expect(
    ids.map((id) =>
      asLine(
        id,
        flagsInWords(id),
        flagsOn([id], traits).map(({ trait }) => trait),
      ),
    ),
  ).toMatchSnapshot();
  expect(
    drawnCases(dose, 60, 9).map((one) => asLine(formatDose(one), doseTraits(one))),
  ).toMatchSnapshot();
});

it('outcomes and their urgency', () => {
  expect(
    ([...OUTCOMES, 'unfinished'] as const).map((outcome) =>
      asLine(outcome, blocksPrescribing(outcome), urgencyOf(outcome)),
    ),
  ).toMatchSnapshot();
  expect([
    worstOutcome([]),
    worstOutcome(['go', 'refer', 'precautions']),
    worstOutcome([...OUTCOMES]),
  ]).toMatchSnapshot();
  const today = localDate('2026-11-27');
  expect(
    [0, 89, 90, 91].map((days) =>
      isScreeningOld(addDays(today, -days), today, SCREENING_LASTS_DAYS),
    ),
  ).toMatchSnapshot();
});

it('letters', () => {
  const list = (count: number) => Array.from({ length: count }, (_, i) => `fact ${i + 1}`);
  expect(
    drawnCases(answers, 8, 5).map((screening, i) =>
      referralLetter({
        patientName: 'Oda Lindqvist',
        complaint: 'neck',
        clinic: { name: 'Sailmaker’s Loft', phone: '01' },
        author: 'N. Brandvold',
        date: localDate('2026-11-27'),
        to: 'Dr Example',
        screening,
        history: list([0, 8, 9][i % 3] ?? 0),
        prescribed: i % 2 === 0,
        measures: list(i),
      }),
    ),
  ).toMatchSnapshot();
});

it('conditions, with what is not known yet', () => {
  const facts = (first?: Answer, second?: Answer, third?: Answer): ScreeningAnswers => ({
    age: 50,
    pressure: { systolic: 150, diastolic: 90 },
    answers: {
      ...(first && { fever: first }),
      ...(second && { pregnancy: second }),
      ...(third && { 'gait-sign': third }),
    },
  });
  const [a, b, c] = ['fever', 'pregnancy', 'gait-sign'] as const;
  const conditions: Condition[] = [
    { yes: a },
    { no: a },
    { all: [{ yes: a }, { no: b }] },
    { any: [{ yes: a }, { yes: b }] },
    ...[0, 1, 2, 3].map((atLeast) => ({ atLeast, of: [a, b, c] })),
    { ageFrom: 50 },
    { ageFrom: 51 },
    { pressureOver: [150, 95], orAt: false },
    { pressureOver: [150, 95], orAt: true },
    { pressureOver: [160, 90], orAt: false },
    { pressureOver: [160, 90], orAt: true },
    { pressureOver: [149, 100], orAt: false },
    { pressureUnknown: true },
  ];
  const given = [undefined, 'yes', 'no', 'not tested'] as const;
  expect(
    conditions.map((condition) =>
      asLine(
        condition,
        given.flatMap((first) =>
          given.map((second) => holds(condition, facts(first, second, 'yes'))),
        ),
        holds(condition, facts('no', 'no', undefined)),
        holds(condition, NOTHING_ANSWERED),
      ),
    ),
  ).toMatchSnapshot();
});
