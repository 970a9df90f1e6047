import fc from 'fast-check';
import { asLine, drawnCases, rounded } from '../../../tests/support/worked';
import { REGIONS } from '../symptoms';
import { millimetres } from '../units';
import {
  CUFF_TARGETS,
  KINDS as KIND_TABLE,
  KIND_IDS,
  type MeasurementBody,
  type PhotoMarks,
  activityMean,
  backIndex,
  backIndexBand,
  bodyInWords,
  cameraRoll,
  changeBetween,
  detectableOf,
  forceBand,
  formatMeasure,
  heldFromBelow,
  impossible,
  kilogramForce,
  kilograms,
  marginAt,
  marksProblem,
  meanCraniovertebralAngle,
  measurePhoto,
  measuredValue,
  millimetresPerPixel,
  minimalDetectableChange,
  neckIndex,
  neckIndexBand,
  nodPerformanceIndex,
  operatorError,
  overlayAtC7,
  padThickness,
  roundMeasure,
  ruleOfThumbLoad,
  sideDifference,
  standardError,
  summariseTrials,
  trialsDisagree,
  trunkRatios,
  wedgeFit,
  wordsOf,
} from '.';

const KINDS = KIND_IDS;
const MARGINS = [null, { by: 10 }, { percent: 20 }, { by: 2, orPercent: 30 }] as const;

it('every kind: its words, its limits, its rounding', () => {
  expect(
    KINDS.map((kind) => {
      const { range, better } = KIND_TABLE[kind];
      const [least, most] = range;
      return asLine(
        kind,
        [wordsOf(kind, null), wordsOf(kind, 'left')],
        [least - 1, least, most, most + 1].map((value) => impossible(kind, value)),
        [least + 0.449, most - 0.05].map((value) => [
          roundMeasure(kind, value),
          formatMeasure(kind, value),
        ]),
        detectableOf(kind, {}).margin,
        rounded(changeBetween(10, 14.2, detectableOf(kind, {}).margin, better)),
      );
    }),
  ).toMatchSnapshot();
});

it('changes, sides and trials', () => {
  const values = [0, 5, 9, 10, 11, 40, 50, 62];
  expect(
    MARGINS.flatMap((margin) =>
      values.map((value) =>
        asLine(
          margin,
          value,
          margin ? marginAt(margin, value) : null,
          (['more', 'less', 'neither'] as const).map((better) =>
            rounded(changeBetween(50, value, margin, better)),
          ),
          rounded(sideDifference(value, 50, margin)),
          rounded(sideDifference(50, value, margin)),
        ),
      ),
    ),
  ).toMatchSnapshot();
  const trials = drawnCases(fc.array(fc.integer({ min: 40, max: 60 }), { maxLength: 4 }), 30);
  expect(
    trials.map((taken) =>
      asLine(
        taken,
        rounded(summariseTrials(taken)),
        MARGINS.slice(1).map((margin) => margin && trialsDisagree(taken, margin)),
        rounded(operatorError(taken.map((one) => one - 50))),
      ),
    ),
  ).toMatchSnapshot();
  expect(trialsDisagree([50, 60], { by: 10 })).toBe(false);
  expect(
    rounded([standardError(5, 0.9), standardError(5, 1), minimalDetectableChange(2)]),
  ).toMatchSnapshot();
});

it('tests of control, fits and loads', () => {
  expect(
    CUFF_TARGETS.map((target) => [0, 1, 10].map((holds) => nodPerformanceIndex(target, holds))),
  ).toMatchSnapshot();
  const holds = [
    [120, 100, 60, 80],
    [100, 100, 75, 75],
    [99, 100, 100, 95],
    [99, 100, 100, 105.1],
    [50, 0, 40, 0],
    [null, 100, 76, null],
    [80, null, null, 60],
  ] as const;
  expect(
    holds.map(([flexor, extensor, left, right]) =>
      rounded(trunkRatios({ flexor, extensor, left, right })),
    ),
  ).toMatchSnapshot();
  expect(rounded([forceBand(80), kilogramForce(98.0665), kilograms(10)])).toMatchSnapshot();
  expect(
    [
      [50, 30, 15],
      [10, 5, 0],
      [11, 5, 0],
      [-20, 0, 0],
      [40, 50, 60],
      [9, 5, 0],
    ].map(([relaxed = 0, tall = 0, chest = 0]) =>
      rounded([
        heldFromBelow({ relaxed, tall, chest }),
        heldFromBelow({ relaxed, tall, chest }, 20),
      ]),
    ),
  ).toMatchSnapshot();
  expect(
    [
      [90, 95, 120],
      [90, 35, 120],
      [90, 34, 120],
      [90, 25, 120],
      [90, 26, 120],
      [60, 20, 140],
    ].map(([wedge = 0, ear = 0, shoulder = 0]) => wedgeFit({ wedge, ear, shoulder })),
  ).toMatchSnapshot();
  expect([-4, 0, 4.9, 5, 47, 50].map(padThickness)).toMatchSnapshot();
  expect([-10, 0, 25.4, 76.2].map((mm) => rounded(ruleOfThumbLoad(mm)))).toMatchSnapshot();
});

it('scores', () => {
  const score = fc.array(fc.constantFrom(0, 1, 2, 3, 4, 5, null), { minLength: 9, maxLength: 11 });
  expect(
    drawnCases(score, 30).map((scores) =>
      asLine(scores, rounded([neckIndex(scores), backIndex(scores)])),
    ),
  ).toMatchSnapshot();
  expect(
    [[0, 0, 0, 0, 0, 0, 0, 0, null, null], Array(10).fill(null), Array(10).fill(5)].map(
      (scores) => [neckIndex(scores), backIndex(scores)],
    ),
  ).toMatchSnapshot();
  expect([0, 4, 4.9, 5, 14, 14.9, 15, 24, 25, 34, 35, 50].map(neckIndexBand)).toMatchSnapshot();
  expect([0, 20, 20.1, 40, 41, 60, 61, 80, 81, 100].map(backIndexBand)).toMatchSnapshot();
  const activities = (count: number) =>
    Array.from({ length: count }, (_, i) => ({ name: 'row', score: i * 2 }));
  expect([0, 2, 3, 5, 6].map((count) => activityMean(activities(count)))).toMatchSnapshot();
});

const BODIES: readonly MeasurementBody[] = [
  { form: 'choice', option: 'head first' },
  { form: 'offsets', relaxed: 50, tall: 30, chest: 15 },
  { form: 'offsets', relaxed: 10, tall: 5, chest: 0 },
  { form: 'wedge', wedge: 90, ear: 95, shoulder: 120 },
  { form: 'wedge', wedge: 90, ear: 15, shoulder: 120 },
  { form: 'cuff', target: 24, holds: 6 },
  { form: 'nerve', levels: [], tension: [] },
  {
    form: 'nerve',
    levels: [{ level: 'C6', side: 'left', strength: 4, feeling: 'reduced', reflex: 'absent' }],
    tension: [],
  },
  { form: 'body', regions: [...REGIONS.slice(0, 3)], movements: [] },
  { form: 'body', regions: ['back left thigh', 'front right hand'], movements: [] },
  { form: 'body', regions: [], movements: [] },
  { form: 'activities', activities: [3, 5, 4].map((points) => ({ name: 'row', score: points })) },
  { form: 'sections', scores: [2, 2, 2, 2, 2, 2, 2, 2, null, null] },
  { form: 'pressure', systolic: 150, diastolic: 90 },
] as const;

it('what a body of a measure comes to, in number and words', () => {
  expect(
    BODIES.map((body) => {
      const values = (['neck-index', 'back-index'] as const).map((kind) =>
        measuredValue(kind, [], body),
      );
      return asLine(body, rounded(values), bodyInWords({ value: values[0] ?? null, body }));
    }),
  ).toMatchSnapshot();
  expect([
    measuredValue('neck-turn', [60, 62], null),
    measuredValue('neck-turn', [], null),
    bodyInWords({ value: null, body: null }),
    bodyInWords({ value: 3.6, body: null }),
  ]).toMatchSnapshot();
});

const coordinate = fc.integer({ min: 0, max: 400 });
const point = fc.record({ x: coordinate, y: coordinate });
const orNone = <T>(one: fc.Arbitrary<T>) => fc.option(one, { nil: null });
const marks: fc.Arbitrary<PhotoMarks> = fc.record({
  facing: fc.constantFrom('left' as const, 'right' as const),
  tragus: point,
  c7: point,
  shoulder: orNone(point),
  eye: orNone(point),
  reference: orNone(
    fc.record({ kind: fc.constantFrom('vertical' as const, 'level' as const), a: point, b: point }),
  ),
  scale: orNone(fc.record({ a: point, b: point, millimetres: fc.constant(millimetres(100)) })),
});

it('a side photo measured from its marks', () => {
  const photos = drawnCases(marks, 60);
  expect(
    photos.map((photo, i) =>
      asLine(
        rounded(measurePhoto(photo)),
        rounded([cameraRoll(photo), millimetresPerPixel(photo.scale)]),
        rounded(overlayAtC7(photo, photos[i + 1] ?? photo)),
        marksProblem(photo),
      ),
    ),
  ).toMatchSnapshot();
  expect(
    rounded([meanCraniovertebralAngle([]), meanCraniovertebralAngle(photos.slice(0, 3))]),
  ).toMatchSnapshot();
});

it('marks that are too near each other, at the edge', () => {
  const at = (x: number, y = 0) => ({ x, y });
  const base: PhotoMarks = {
    facing: 'right',
    tragus: at(100),
    c7: at(0),
    shoulder: null,
    eye: null,
    reference: null,
    scale: null,
  };
  const tried: PhotoMarks[] = [
    { ...base, tragus: at(7) },
    { ...base, tragus: at(8) },
    { ...base, eye: at(107) },
    { ...base, eye: at(108) },
    ...[31, 32].map((long) => ({
      ...base,
      reference: { kind: 'level' as const, a: at(0), b: at(long) },
    })),
    ...[31, 32].map((long) => ({
      ...base,
      scale: { a: at(0), b: at(long), millimetres: millimetres(100) },
    })),
    ...[99, 100, 101].map((rise) => ({
      ...base,
      reference: { kind: 'level' as const, a: at(0), b: at(100, rise) },
    })),
    ...[99, 100, 101].map((rise) => ({
      ...base,
      reference: { kind: 'vertical' as const, a: at(0), b: at(rise, 100) },
    })),
  ];
  expect(tried.map(marksProblem)).toMatchSnapshot();
});
