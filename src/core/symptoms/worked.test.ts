import { asLine } from '../../../tests/support/worked';
import {
  ARM_CHAIN,
  COMPARED,
  COMPLAINTS,
  FEELINGS,
  LEG_CHAIN,
  NERVE_LEVELS,
  NO_BASELINE,
  OTHER_PARTS,
  PROVOKED_BY,
  REFLEXES,
  REGIONS,
  REPEATED_MOVEMENTS,
  SETTLES_WITHIN,
  TENSION_TESTS,
  adviseOn,
  directionalPreference,
  furthestReach,
  irritability,
  isFurther,
  isStopAdvice,
  nerveChange,
  nerveDeficits,
  partOf,
  positiveTension,
  reachChange,
} from '.';

const BASELINES = [
  NO_BASELINE,
  { worst: 5, arm: 2, leg: null, known: ['headache', 'numb or tingling'] as const },
  { worst: 8, arm: 6, leg: 4, known: COMPLAINTS },
];

it('every report against every usual state', () => {
  expect(
    COMPLAINTS.flatMap((complaint) =>
      COMPARED.flatMap((compared) =>
        BASELINES.map((baseline, i) =>
          asLine(
            complaint,
            compared,
            i,
            Array.from({ length: 11 }, (_, severity) => {
              const report = { complaint, compared, severity, furthest: null };
              const { advice, rule } = adviseOn(report, baseline);
              return `${severity}: ${advice}${isStopAdvice(advice) ? '!' : ''} (${rule})`;
            }).join('; '),
          ),
        ),
      ),
    ),
  ).toMatchSnapshot();
});

it('every part against every usual reach', () => {
  expect(
    [...ARM_CHAIN, ...LEG_CHAIN, ...OTHER_PARTS, null].map((part) =>
      asLine(
        part,
        BASELINES.map((baseline) => isFurther(part, baseline)),
        adviseOn(
          { complaint: 'other', compared: 'as usual', severity: 1, furthest: part },
          NO_BASELINE,
        ),
      ),
    ),
  ).toMatchSnapshot();
});

it('irritability at every point', () => {
  expect(
    PROVOKED_BY.flatMap((provokedBy) =>
      SETTLES_WITHIN.flatMap((settlesWithin) =>
        [0, 3, 4, 6, 7, 8, 10].map((worst) => {
          const { level, points, reasons } = irritability({ provokedBy, settlesWithin, worst });
          return asLine(points, level, reasons.join(', '));
        }),
      ),
    ),
  ).toMatchSnapshot();
});

it('regions, parts and reach', () => {
  expect(
    REGIONS.map((region) => asLine(region, partOf(region), furthestReach([region]))),
  ).toMatchSnapshot();
  expect(
    furthestReach([
      'back left neck',
      'front left hand',
      'front left elbow',
      'back right calf',
      'back right thigh',
      'back left head',
    ]),
  ).toMatchSnapshot();
  const reaches = [null, 0, 1, 6];
  expect(
    reaches.flatMap((before) => reaches.map((after) => reachChange(before, after))),
  ).toMatchSnapshot();
  const [first = 'tuck', second = 'tuck', third = 'tuck'] = REPEATED_MOVEMENTS;
  const trial = (
    movement: (typeof REPEATED_MOVEMENTS)[number],
    effect: 'drawing in' | 'spreading' | 'no effect',
  ) => ({ movement, effect }) as Parameters<typeof directionalPreference>[0][number];
  expect([
    directionalPreference([]),
    directionalPreference([
      trial(first, 'drawing in'),
      trial(first, 'drawing in'),
      trial(second, 'no effect'),
    ]),
    directionalPreference([
      trial(first, 'drawing in'),
      trial(first, 'spreading'),
      trial(third, 'drawing in'),
    ]),
  ]).toMatchSnapshot();
});

it('the nerve examination, counted and compared', () => {
  const finding = (
    level: (typeof NERVE_LEVELS)[number]['level'],
    side: 'left' | 'right',
    strength: number | null,
    feeling: (typeof FEELINGS)[number] | null,
    reflex: (typeof REFLEXES)[number] | null,
  ) => ({ level, side, strength, feeling, reflex });
  const before = {
    levels: [
      finding('C6', 'left', 4, 'reduced', 'normal'),
      finding('C7', 'right', 5, 'normal', null),
      finding('L5', 'left', null, 'absent', 'brisk'),
    ],
    tension: TENSION_TESTS.map((test, i) => ({
      test,
      side: i % 2 ? ('left' as const) : ('right' as const),
      positive: i % 3 !== 1,
    })),
  };
  const now = {
    levels: [
      finding('C6', 'left', 5, 'normal', 'reduced'),
      finding('C7', 'right', 3, 'reduced', null),
      finding('C7', 'left', 4, 'absent', null),
      finding('L5', 'left', 5, 'reduced', 'absent'),
      finding('S1', 'left', 5, 'normal', 'normal'),
    ],
    tension: [],
  };
  expect([
    nerveDeficits(before),
    nerveDeficits(now),
    nerveChange(before, now),
    nerveChange(now, before),
    nerveChange(null, now),
    nerveChange(null, before),
    positiveTension(before),
    positiveTension(now),
  ]).toMatchSnapshot();
});
