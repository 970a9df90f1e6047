import fc from 'fast-check';
import { asLine, drawnCases, rounded } from '../../../tests/support/worked';
import {
  KINDS,
  KIND_IDS,
  type MeasureKindId,
  type MeasurementBody,
  kindOf,
  measuredValue,
} from '../measures';
import {
  NERVE_LEVELS,
  REGIONS,
  REPEATED_MOVEMENTS,
  TENSION_TESTS,
  irritability,
} from '../symptoms';
import {
  FINDING_RULES,
  type FindingFacts,
  type LatestMeasure,
  latest,
  latestValue,
  proposeFindings,
  readOldFinding,
  sameFacts,
} from '.';

/** A body for every form that has one, small numbers drawn by chance. */
const body = (form: string, n: number, kind: MeasureKindId): MeasurementBody | null => {
  switch (form) {
    case 'choice': {
      const { options = [''] } = kindOf(kind);
      return { form: 'choice', option: options[n % options.length] ?? '' };
    }
    case 'offsets':
      return { form: 'offsets', relaxed: 5 + (n % 60), tall: 5 + (n % 37), chest: n % 23 };
    case 'wedge':
      return { form: 'wedge', wedge: 60 + (n % 50), ear: 90 + (n % 20), shoulder: 110 + (n % 30) };
    case 'cuff':
      return {
        form: 'cuff',
        target: ([22, 24, 26, 28, 30] as const)[n % 5] ?? 22,
        holds: n % 11,
      };
    case 'nerve':
      return {
        form: 'nerve',
        levels: [
          {
            level: NERVE_LEVELS[n % 10]?.level ?? 'C5',
            side: n % 2 ? 'left' : 'right',
            strength: 3 + (n % 3),
            feeling: n % 4 ? 'normal' : 'reduced',
            reflex: n % 3 ? null : 'absent',
          },
        ],
        tension: [
          {
            test: TENSION_TESTS[n % 8] ?? 'slump sitting',
            side: n % 2 ? 'right' : 'left',
            positive: n % 3 !== 0,
          },
        ],
      };
    case 'body':
      return {
        form: 'body',
        regions: [REGIONS[n % REGIONS.length] ?? 'front left hand'],
        movements: [
          {
            movement: REPEATED_MOVEMENTS[n % REPEATED_MOVEMENTS.length] ?? 'tuck',
            effect: (['drawing in', 'spreading', 'no effect'] as const)[n % 3] ?? 'no effect',
          },
        ],
      } as unknown as MeasurementBody;
    case 'activities':
      return {
        form: 'activities',
        activities: [0, 1, 2].map((i) => ({ name: `activity ${i}`, score: (n + i * 3) % 11 })),
      };
    case 'sections':
      return { form: 'sections', scores: Array.from({ length: 10 }, (_, i) => (n + i) % 6) };
    case 'pressure':
      return { form: 'pressure', systolic: 120 + (n % 70), diastolic: 75 + (n % 40) };
    default:
      return null;
  }
};

function measureOf(kind: MeasureKindId, side: 'left' | 'right' | null, n: number): LatestMeasure {
  const { form, range } = KINDS[kind];
  const [least, most] = range;
  const given = body(form, n, kind);
  const value = given
    ? measuredValue(kind, [], given)
    : least + (((n * 7919) % 1000) / 1000) * (most - least);
  return {
    kind,
    side,
    value,
    trials: value === null ? [] : [value],
    body: given,
    note: '',
    painAtEnd: n % 4 ? null : n % 11,
    chinJut: n % 5 === 0,
    retest:
      n % 6 === 0 && value !== null ? { cue: 'chest up', trials: [value + (n % 30) - 5] } : null,
  };
}

const facts: fc.Arbitrary<FindingFacts> = fc
  .tuple(
    fc.subarray([...KIND_IDS], { minLength: 3 }),
    fc.array(fc.nat({ max: 4999 }), { minLength: 120, maxLength: 120 }),
    fc.nat({ max: 2 }),
  )
  .map(([kinds, rolls, flares]) => ({
    measures: kinds.flatMap((kind, i) =>
      KINDS[kind].sided
        ? (['left', 'right'] as const).map((side, j) =>
            measureOf(kind, side, rolls[i * 2 + j] ?? 0),
          )
        : [measureOf(kind, null, rolls[i * 2] ?? 0)],
    ),
    irritability:
      flares === 0
        ? null
        : irritability({
            provokedBy: flares === 1 ? 'almost nothing' : 'ordinary movement',
            worst: 7,
            settlesWithin: 'days',
          }),
    detectable: {},
    sex: null,
  }));

it('what any measures lead to', () => {
  expect(
    drawnCases(facts, 45).map((given) =>
      proposeFindings(given).map(({ key, about, say, towards, cue }) =>
        asLine(key, rounded(about), say, towards, cue),
      ),
    ),
  ).toMatchSnapshot();
});

it('each number of a kind, across its range', () => {
  expect(
    KIND_IDS.filter((kind) => body(KINDS[kind].form, 0, kind) === null).flatMap((kind) => {
      const [least, most] = KINDS[kind].range;
      const steps = Array.from({ length: 41 }, (_, i) =>
        Math.round(least + ((most - least) * i) / 40),
      );
      const said = [
        ...new Set([
          ...steps,
          ...[23, 24, 28, 29, 38, 39, 47, 48, 49, 50, 59, 60].filter(
            (n) => n >= least && n <= most,
          ),
        ]),
      ]
        .sort((a, b) => a - b)
        .map((value) => {
          const sides = KINDS[kind].sided ? (['left', 'right'] as const) : ([null] as const);
          const measures = sides.map((side, i): LatestMeasure => ({
            kind,
            side,
            value: i === 0 ? value : most,
            trials: [value],
            body: null,
            note: '',
            painAtEnd: null,
            chinJut: false,
            retest: null,
          }));
          const found = proposeFindings({
            measures,
            irritability: null,
            detectable: {},
            sex: null,
          });
          return `${value}:${found.map(({ key }) => key).join('+')}`;
        });
      return [
        `${kind} ${said.filter((one, i) => one.split(':')[1] !== said[i - 1]?.split(':')[1]).join(' ')}`,
      ];
    }),
  ).toMatchSnapshot();
});

it('old findings read by their keys, and the same facts again', () => {
  const keys = FINDING_RULES.flatMap(({ id }) => [
    id,
    `${id}: neck-turn`,
    `${id}: neck-turn left`,
    `${id}: neck-turn left more`,
    `${id}: nowhere`,
    `${id}: C7 right`,
    `${id}: median nerve tension left`,
    `${id}: tuck`,
    `${id}: neck`,
    `${id}: arm`,
  ]);
  expect(
    [...keys, 'added', 'added: 5', 'unknown: x'].map((key) =>
      asLine(
        key,
        ['Left neck turn less by 10°.', 'Neck turn.', null].map((proposed) =>
          readOldFinding({ key, proposed, towards: 'neck strength leads' }),
        ),
        readOldFinding({
          key,
          proposed: null,
          towards: 'upper-back extension and shoulder-blade work lead',
        }),
      ),
    ),
  ).toMatchSnapshot();
  const about = {
    rule: 'a',
    measure: 'neck-turn',
    side: 'left',
    direction: null,
    part: 'x',
    numbers: { value: 5 },
  } as const;
  expect(
    [
      {},
      { rule: 'b' },
      { measure: null },
      { side: 'right' },
      { direction: 'tuck' },
      { part: null },
      { numbers: null },
      { numbers: { value: 6 } },
      { numbers: {} },
      { numbers: { value: 5, other: 1 } },
      { numbers: { other: 5 } },
    ].map((change) => sameFacts(about, { ...about, ...change } as typeof about)),
  ).toMatchSnapshot();
  const measures = [
    measureOf('neck-turn', 'left', 5),
    measureOf('neck-turn', 'left', 9),
    measureOf('wall-gap', null, 3),
  ];
  const given = { measures, irritability: null, detectable: {}, sex: null };
  expect(
    [
      latest(given, 'neck-turn'),
      latestValue(given, 'neck-turn', 'left'),
      latestValue(given, 'wall-gap'),
      latestValue(given, 'nod-test'),
    ].map((one) => rounded(one)),
  ).toMatchSnapshot();
});
