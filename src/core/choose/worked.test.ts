import fc from 'fast-check';
import { EXERCISES } from '@/catalogue';
import { exercise, plannedLines } from '../../../tests/support/programme-cases';
import { asLine, drawnCases } from '../../../tests/support/worked';
import { ASKED_PROPS, FAMILIES, POSITIONS, propStates, searchWords } from '../exercise';
import { ABOUT_NOTHING, type FindingFacts, FINDING_RULES, HELD_BY } from '../findings';
import { KIND_IDS } from '../measures';
import { PRECAUTIONS, type PrecautionId } from '../screen';
import { REPEATED_MOVEMENTS, TENSION_TESTS, irritability } from '../symptoms';
import {
  type Circumstances,
  type ConfirmedFinding,
  closedBecause,
  familiesFor,
  inSessionOrder,
  nextRungIn,
  orderHints,
  previousRungIn,
  sessionPlace,
  stepsOf,
  suggest,
  tradeWarnings,
  uncoveredFindings,
  withFamilies,
} from '.';

const PRECAUTION_IDS = Object.keys(PRECAUTIONS) as PrecautionId[];
const finding = (change: Partial<ConfirmedFinding['about']>): ConfirmedFinding => ({
  key: JSON.stringify(change),
  about: { ...ABOUT_NOTHING, ...change },
  say: JSON.stringify(change),
});
const FINDINGS: readonly ConfirmedFinding[] = FINDING_RULES.flatMap(({ id: rule }) => [
  finding({ rule }),
  finding({ rule, side: 'right' }),
  ...KIND_IDS.map((measure) => finding({ rule, measure, side: 'left' })),
  ...REPEATED_MOVEMENTS.map((direction) => finding({ rule, direction })),
  ...[...TENSION_TESTS, ...Object.values(HELD_BY)].map((part) => finding({ rule, part })),
]).filter((one, i, all) => familiesFor(one).length > 0 || i % 60 === 0 || all.length === 0);

const circumstances: fc.Arbitrary<Circumstances> = fc.record({
  props: fc.option(fc.subarray([...ASKED_PROPS]), { nil: null }),
  cannot: fc.subarray([...POSITIONS], { maxLength: 2 }),
  precautions: fc.subarray(PRECAUTION_IDS, { maxLength: 2 }),
});
const NO_LIMITS: Circumstances = { props: null, cannot: [], precautions: [] };

function facts(holds: Readonly<Record<string, number>>, flares: boolean): FindingFacts {
  return {
    measures: Object.entries(holds).map(([kind, value]) => ({
      kind: kind as never,
      side: null,
      value,
      trials: [value],
      body: null,
      note: '',
      painAtEnd: null,
      chinJut: false,
      retest: null,
    })),
    irritability: flares
      ? irritability({ provokedBy: 'almost nothing', worst: 8, settlesWithin: 'days' })
      : null,
    detectable: {},
    sex: null,
  };
}
const said = (rows: ReturnType<typeof suggest>) =>
  rows.map(({ exercise: one, side, because, rungBecause, instead, findings }) =>
    asLine(one.id, side, findings.length, because, rungBecause, instead),
  );

it('families and suggestions of every finding', () => {
  expect(FINDINGS.map((one) => asLine(one.key, familiesFor(one)))).toMatchSnapshot();
  expect(
    FINDINGS.filter((_, i) => i % 4 === 0).map((one) =>
      said(suggest([one], EXERCISES, facts({}, false), NO_LIMITS)),
    ),
  ).toMatchSnapshot();
});

it('suggestions by what can be held', () => {
  const flexors = [0, 4.9, 5, 9, 10, 23, 24, 60].map((value) => ({ 'deep-flexor-hold': value }));
  const others = [0, 9, 10, 29, 30, 59, 60].map((value) => ({
    'neck-extensor-hold': value,
    'trunk-extensor-hold': value,
    'side-hold': value,
    'nod-test': value,
  }));
  const rules = [...new Set(FINDING_RULES.map(({ id }) => id))].map((rule) => finding({ rule }));
  expect(
    [...flexors, ...others].flatMap((holds) =>
      [false, true].map((flares) =>
        asLine(
          holds,
          flares,
          rules.map(
            (one) =>
              suggest([one], EXERCISES, facts(holds, flares), NO_LIMITS).map(
                ({ exercise: first, rungBecause }) => `${first.id}: ${rungBecause}`,
              )[0] ?? '',
          ),
        ),
      ),
    ),
  ).toMatchSnapshot();
});

it('suggestions of several findings within what home and body allow', () => {
  const cases = fc.tuple(
    fc.subarray([...FINDINGS], { minLength: 1, maxLength: 5 }),
    circumstances,
    fc.boolean(),
  );
  expect(
    drawnCases(cases, 40, 2).map(([some, limits, flares]) =>
      said(suggest(some, EXERCISES, facts({ 'deep-flexor-hold': 12 }, flares), limits)),
    ),
  ).toMatchSnapshot();
});

it('what closes a step, and the steps beside it', () => {
  expect(
    drawnCases(fc.tuple(exercise, circumstances), 80, 4).map(([one, limits]) => {
      const beside = [
        nextRungIn(EXERCISES, limits),
        previousRungIn(EXERCISES, limits),
        nextRungIn(EXERCISES),
        previousRungIn(EXERCISES),
      ];
      return asLine(
        one.id,
        closedBecause(one, limits),
        beside.map((of) => of(one)?.id ?? null),
        propStates(one, limits.props),
        propStates(one, null).length,
      );
    }),
  ).toMatchSnapshot();
  expect(
    FAMILIES.map((family) =>
      asLine(
        family,
        stepsOf(EXERCISES, family).map(({ id }) => id),
      ),
    ),
  ).toMatchSnapshot();
  expect(EXERCISES.slice(0, 12).map((one) => searchWords(one).join(', '))).toMatchSnapshot();
});

it('the order of a session, and what the trade warns of', () => {
  const programmes = drawnCases(
    fc.tuple(plannedLines, fc.subarray(PRECAUTION_IDS, { maxLength: 2 })),
    120,
    6,
  );
  expect(EXERCISES.map((one) => `${one.id} ${sessionPlace(one)}`)).toMatchSnapshot();
  expect(
    programmes.map(([lines, precautions]) => {
      const exercises = lines.map((line) => line.exercise);
      const ordered = inSessionOrder([...lines, null], (line) => line?.exercise ?? null);
      const warned = tradeWarnings(
        lines.map((line) => ({ id: line.lineage, ...line })),
        precautions,
      );
      const findings = FINDINGS.filter((_, i) => i % 9 === 0).map(withFamilies);
      return asLine(
        exercises.map(({ id }) => id),
        orderHints(exercises).map(({ say }) => say),
        ordered.map((line) => line?.lineage ?? 'own'),
        warned.map(({ rule, lines: about }) => `${rule}: ${about.join(' ')}`),
        uncoveredFindings(findings, exercises).length,
      );
    }),
  ).toMatchSnapshot();
});
