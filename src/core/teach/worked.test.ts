import fc from 'fast-check';
import { WORDED_EXERCISES } from '@/catalogue/wording';
import { asLine, drawnCases } from '../../../tests/support/worked';
import { PURPOSES } from '../exercise';
import { MUSCLES } from '../figure';
import { ABOUT_NOTHING } from '../findings';
import { REGIONS } from '../symptoms';
import {
  SAID_PARTS,
  type TaughtLine,
  cuesByLineage,
  cuesFrom,
  expectedParts,
  feltVerdict,
  feltWords,
  findingsAnswered,
  gapsOfLine,
  noteAsText,
  sentencesFor,
  taughtInWords,
  teachingGaps,
  untaught,
  visitNote,
} from '.';

const yesNo = fc.constantFrom(null, 'yes' as const, 'no' as const);
const taught: fc.Arbitrary<TaughtLine> = fc.record({
  lineage: fc.constantFrom('a', 'b', 'c'),
  said: fc.constantFrom([], [...SAID_PARTS], [...SAID_PARTS.slice(0, 3)]),
  demonstrated: fc.boolean(),
  watched: fc.boolean(),
  felt: fc.subarray([...REGIONS], { maxLength: 3 }),
  comfortable: yesNo,
  breathing: yesNo,
  faults: fc.constantFrom(
    [],
    [{ fault: 'chin pokes', fix: '' }],
    [{ fault: 'chin pokes', fix: 'nod first' }],
    [
      { fault: 'holds breath', fix: 'count aloud' },
      { fault: 'x', fix: '' },
    ],
  ),
  cue: fc.constantFrom('', 'nod first', 'long neck'),
  questions: fc.constantFrom(null, '', 'how long'),
});

it('what is open after any teaching', () => {
  expect(
    drawnCases(taught, 70).map((line, i) => {
      const expected = expectedParts(MUSCLES.slice(i % 20, (i % 20) + 2));
      const facts = {
        lineage: line.lineage,
        name: 'Tuck',
        expected: i % 9 ? expected : [],
        missing: i % 4 ? [] : ['side'],
      };
      const verdict = feltVerdict(facts.expected, line.felt);
      return asLine(
        gapsOfLine(facts, line).map(({ say }) => say),
        verdict,
        feltWords(verdict, facts.expected),
        taughtInWords('Tuck', line),
        cuesFrom(line),
      );
    }),
  ).toMatchSnapshot();
  // Untouched but for one thing.
  const touched: Partial<TaughtLine>[] = [
    {},
    { said: ['kind'] },
    { felt: ['front left neck'] },
    { faults: [{ fault: 'x', fix: 'y' }] },
    { demonstrated: true },
    { watched: true },
    { comfortable: 'yes' },
    { breathing: 'no' },
    { questions: '' },
    { cue: 'x' },
  ];
  const facts = {
    lineage: 'a',
    name: 'Tuck',
    expected: expectedParts(['neck flexors']),
    missing: [],
  };
  expect(
    touched.map((change) => gapsOfLine(facts, { ...untaught('a'), ...change }).length),
  ).toMatchSnapshot();
  expect(
    [
      [true, true, true],
      [false, true, true],
      [true, false, true],
      [true, true, false],
    ].map(([consented = false, doseSaidAgain = false, dayToComeBack = false]) =>
      teachingGaps(
        [facts],
        [],
        { doseSaidAgain, dayToComeBack, minutes: null } as never,
        consented,
      ),
    ),
  ).toMatchSnapshot();
});

it('where it may be felt, and the reminders that come of it', () => {
  expect(MUSCLES.map((muscle) => asLine(muscle, expectedParts([muscle])))).toMatchSnapshot();
  const lines = drawnCases(taught, 24, 5);
  expect([
    ...cuesByLineage([lines.slice(0, 8), lines.slice(8, 16), lines.slice(16)]),
  ]).toMatchSnapshot();
});

it('what is said of each kind of exercise', () => {
  const finding = (rule: string) => ({
    key: rule,
    about: { ...ABOUT_NOTHING, rule },
    say: `${rule}.`,
  });
  const findings = ['deep-flexors', 'weak-side', 'wall-gap', 'added'].map(finding);
  const chosen = PURPOSES.flatMap((purpose) =>
    WORDED_EXERCISES.filter((one) => one.purpose === purpose).slice(0, 2),
  );
  expect(
    chosen.map((exercise, i) =>
      asLine(
        exercise.id,
        sentencesFor(
          {
            lineage: 'a',
            exercise: i % 3 ? exercise : { ...exercise, muscles: [], watch: '', stop: '' },
            words: i % 4 ? 'ten times' : '',
            setUp: [],
            missing: i % 2 ? [] : ['the side', 'the rest'],
            overridden: i % 5 ? [] : ['end range: knows it'],
          },
          findings,
        ),
        findingsAnswered(exercise, findings).map(({ key }) => key),
      ),
    ),
  ).toMatchSnapshot();
});

it('the note of a visit', () => {
  const full = {
    complaint: 'Neck pain',
    history: [
      ['Onset', 'in May'],
      ['Night', ''],
    ] as const,
    irritability: 'Flares easily.',
    goals: ['row'],
    screening: ['Go ahead'],
    measures: ['Turn left 60°'],
    findings: ['Left turn less.'],
    programme: { heading: 'Version 2', lines: ['Tuck 10x10s'], time: '5 min' },
    teaching: ['Tuck: said in full.'],
    review: 'Review on 2026-12-20.',
  };
  const empty = {
    complaint: '',
    history: [],
    irritability: null,
    goals: [],
    screening: [],
    measures: [],
    findings: [],
    programme: null,
    teaching: [],
    review: null,
  };
  expect([noteAsText(visitNote(full)), noteAsText(visitNote(empty))]).toMatchSnapshot();
});
