import fc from 'fast-check';
import { dose } from '../../../tests/support/dose-lines';
import { asLine, drawnCases, rounded } from '../../../tests/support/worked';
import { formatDose } from '../dose';
import { KINDS, KIND_IDS } from '../measures';
import type { Instant } from '../schedule';
import { addDays, localDate } from '../units';
import {
  type LetterFacts,
  MOST_LETTER_ROWS,
  type ReviewMeasure,
  keepGoing,
  outcomeLetter,
  reviewRows,
  sayChange,
} from '.';

const TODAY = localDate('2026-11-27');
const measures: fc.Arbitrary<ReviewMeasure[]> = fc.array(
  fc
    .tuple(
      fc.constantFrom(...KIND_IDS),
      fc.constantFrom('left' as const, 'right' as const),
      fc.option(fc.nat({ max: 99 }), { nil: null }),
      fc.constantFrom(-60, -20, 0),
      fc.constantFrom('sitting', 'sitting', 'lying'),
      fc.constantFrom('by eye', 'by eye', 'photo'),
    )
    .map(([kind, side, value, day, position, instrument]) => ({
      at: 0 as Instant,
      kind,
      side: KINDS[kind].sided ? side : null,
      value,
      on: addDays(TODAY, day),
      position,
      instrument,
    })),
  { minLength: 10, maxLength: 60 },
);

it('what was measured at first beside what is now', () => {
  expect(
    drawnCases(measures, 25).map((rows) =>
      reviewRows(rows, {}, TODAY).map(({ kind, side, first, last, change, doneToday, otherwise }) =>
        asLine(
          kind,
          side,
          first.value,
          last?.value ?? null,
          rounded(change),
          sayChange(change),
          doneToday,
          otherwise,
        ),
      ),
    ),
  ).toMatchSnapshot();
});

it('a programme to keep going with', () => {
  expect(
    drawnCases(dose, 60, 3).map((one) => asLine(formatDose(one), formatDose(keepGoing(one)))),
  ).toMatchSnapshot();
});

it('letters', () => {
  const facts: LetterFacts = {
    kind: 'review',
    clinic: { name: 'Sailmaker’s Loft', phone: '01' },
    patientName: 'Oda Lindqvist',
    author: 'N.',
    date: TODAY,
    complaint: 'neck',
    from: addDays(TODAY, -40),
    forReferrer: true,
    measures: Array.from({ length: MOST_LETTER_ROWS + 2 }, (_, i) => ({
      name: `m${i}`,
      first: '1',
      last: '2',
      verdict: '',
    })),
    goals: ['row'],
    programme: ['tuck'],
    words: '',
    caution: '',
    sessionsDone: 30,
    sessionsDue: 42,
    share: 0.714,
    verdicts: ['Pain: better.'],
    limbs: ['The left arm draws in.'],
    beside: ['massage'],
  };
  expect(
    [
      {},
      { forReferrer: false },
      { sessionsDue: 0 },
      { share: null },
      { verdicts: [], limbs: [], beside: [] },
      { beside: ['a', 'b'] },
    ].map((change) => {
      const { paragraphs, measures: rows } = outcomeLetter({ ...facts, ...change });
      return [...paragraphs, rows.length];
    }),
  ).toMatchSnapshot();
});
