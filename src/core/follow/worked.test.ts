import { randomLcg, randomNormal } from 'd3';
import { adherenceHistory, sessionKeysOn, lastDays } from '../history';
import { versionOn } from '../schedule';
import { FIRST } from '../../../tests/support/programme-cases';
import { recordCase } from '../../../tests/support/record-cases';
import { TRUTHS, type Truth, diary } from '../../../scripts/verdicts/generator';
import { asLine, drawnCases, rounded } from '../../../tests/support/worked';
import { ARM_CHAIN, LEG_CHAIN, REGIONS, SIDES } from '../symptoms';
import { addDays, dateRange, clockText } from '../units';
import {
  LIMBS,
  PAIN_MATTERS,
  type Reading,
  type Strip,
  compareSeams,
  daysSpreading,
  doingOver,
  inOrder,
  judgeAll,
  judgeCourse,
  judgeLimb,
  limbReadings,
  obstaclesOf,
  partAt,
  reachOf,
  readStrip,
  readingsOf,
  sayVerdict,
  stripTable,
} from '.';

const chanceOf = (seed: number) => {
  const fraction = randomLcg(seed);
  return { fraction, normal: randomNormal.source(fraction)(0, 1) };
};
const TRUTH_NAMES = Object.keys(TRUTHS) as Truth[];
const truths = Array.from({ length: 40 }, (_, i) => TRUTH_NAMES[i % TRUTH_NAMES.length] ?? 'flat');
const courses = truths.map((truth, i) =>
  diary(truth, [10, 14, 20, 30, 42, 60][i % 6] ?? 42, chanceOf(i / 50)).map(
    ({ day, value }): Reading => ({ date: addDays(FIRST, day), value }),
  ),
);
const MORE = { better: 'more' as const, by: 3, share: null, source: 'Ours.' };
const NEAR = { better: 'less' as const, by: 1, share: 0.1, source: 'Ours.' };

it('courses judged and said', () => {
  expect(
    courses.map((readings, i) =>
      asLine(
        truths[i],
        [PAIN_MATTERS, MORE, NEAR].map((matters) => {
          const verdict = judgeCourse(readings, matters);
          return [
            verdict.course,
            sayVerdict({ id: 'a', name: 'Pain', unit: 'of 10', matters, readings }, verdict),
            rounded([verdict.inflation, verdict.moreDays]),
          ];
        }),
      ),
    ),
  ).toMatchSnapshot();
  const shaped = (value: (day: number) => number, count: number, apart = 1): Reading[] =>
    Array.from({ length: count }, (_, day) => ({
      date: addDays(FIRST, day * apart),
      value: value(day),
    }));
  const shapes = [
    shaped((day) => 8 - day / 5, 30),
    shaped((day) => 2 + day / 5, 30),
    shaped(() => 5, 30),
    shaped((day) => 8 - day / 5, 13),
    shaped((day) => 8 - day / 5, 14),
    shaped((day) => 8 - day, 7, 2),
    shaped((day) => 8 - day / 7, 15),
    shaped((day) => (day < 25 ? 8 - day / 5 : 9), 30),
    shaped((day) => 1.2 - day / 30, 30),
    shaped((day) => 5 - (day > 14 ? 2 : 0), 28),
    shaped((day) => 5 - (day > 14 ? 1.5 : 0), 28),
    shaped((day) => 5 - (day > 14 ? 1.4 : 0), 28),
    shaped((day) => 0 + (day % 2), 28),
    [],
  ];
  expect(shapes.map((readings) => rounded(judgeCourse(readings, PAIN_MATTERS)))).toMatchSnapshot();
  expect(
    rounded(
      judgeAll(
        [{ id: 'a', name: 'Pain', unit: '', matters: PAIN_MATTERS, readings: shapes[0] ?? [] }],
        [FIRST, addDays(FIRST, 12)],
      ),
    ),
  ).toMatchSnapshot();
});

it('seams, one after another', () => {
  const seams = [0, 9, 9, 22, 30].map((day) => addDays(FIRST, day));
  expect(
    courses
      .slice(3)
      .map((readings) =>
        compareSeams(readings, seams, PAIN_MATTERS).map(({ before, after, say, overlap }) =>
          asLine(before, after, say, rounded(overlap)),
        ),
      ),
  ).toMatchSnapshot();
  expect(
    compareSeams(inOrder([...(courses[4] ?? [])].reverse()), seams, MORE).map(({ say }) => say),
  ).toMatchSnapshot();
});

it('limbs', () => {
  const series = [
    [3, 3, 3, 3],
    [3, 3, 3, 3, 3],
    [5, 5, 4, 3, 2, 2, 1],
    [2, 2, 2, 3, 5, 5, 5],
    [1, 1, 1, 1, 1, 1, 1, 3, 3],
    [1, 1, 1, 1, 1, 1, 1, 3, 1],
    [6, 6, 1, 1, 1, 1, 1, 1, 1],
    [6, 1, 1, 1, 1, 1, 1, 1, 1],
    [-1, -1, -1, -1, -1, 2, 2],
    [-1, -1, -1, 1, 1, 1, 1],
    [4, 4, 4, 4, 4, 4, 4, 5, 6, 6],
    [2, 3, 2, 3, 2, 3, 2, 3, 4, 4, 4],
  ].map((values) => values.map((value, day) => ({ date: addDays(FIRST, day), value })));
  expect(
    series.flatMap((readings, i) =>
      LIMBS.slice(0, 4)
        .filter((_, n) => n === i % 4)
        .flatMap((limb) =>
          [false, true].map((grows) =>
            asLine(judgeLimb(limb, readings, grows), daysSpreading(readings)),
          ),
        ),
    ),
  ).toMatchSnapshot();
  expect(
    LIMBS.map((limb) =>
      asLine(
        limb,
        REGIONS.map((region) => reachOf(limb, [region])).join(' '),
        reachOf(limb, []),
        limbReadings(limb, [
          { date: FIRST, where: null },
          { date: FIRST, where: [] },
          { date: FIRST, where: REGIONS },
        ]),
      ),
    ),
  ).toMatchSnapshot();
  expect(
    [...ARM_CHAIN, ...SIDES].map((_, order) => [
      partAt('arm', order - 1),
      partAt('leg', order - 0.4),
    ]),
  ).toMatchSnapshot();
  expect(LEG_CHAIN).toHaveLength(7);
});

it('what was done, and what stands in the way', () => {
  const cases = drawnCases(recordCase, 24, 51).map(({ record, today }) => {
    const { facts, reports } = record;
    const { from, to } = lastDays(today, 21);
    const days = adherenceHistory(facts, from, to).map((adherence) => {
      const version = versionOn(facts.versions, adherence.date);
      return {
        date: adherence.date,
        adherence,
        done: facts.done.get(adherence.date) ?? { lines: [], sessions: [] },
        due: version ? [...sessionKeysOn(version, adherence.date, facts.waking)] : [],
        lines: (version?.lines ?? []).map(({ lineage }, i) => ({ lineage, times: 1 + (i % 2) })),
        recalled: reports.get(adherence.date)?.recalled ?? false,
      };
    });
    return doingOver(days);
  });
  expect(
    cases.map((doing, i) =>
      asLine(rounded(doing), obstaclesOf({ doing, minutes: 12, minutesADay: i % 2 ? 10 : null })),
    ),
  ).toMatchSnapshot();
  const [doing] = cases;
  if (!doing) throw new Error('no case');
  const bad = { ...doing.summary, share: 0.5, sessionsDue: 20, sessionsDone: 15 };
  const tried = [
    { skips: { pain: 2 } },
    { skips: { pain: 3 } },
    { skips: { 'no time': 3 } },
    { skips: { 'forgot how': 3 } },
    { skips: { 'no equipment': 3 } },
    { skips: { away: 3, other: 2 } },
    { skips: { other: 2 } },
    { skips: {}, summary: { ...bad, sessionsDone: 17 } },
    { skips: {}, summary: { ...bad, sessionsDone: 18 } },
    { skips: {}, overDoing: 0.24 },
    { skips: {}, overDoing: 0.25 },
    { summary: { ...bad, share: 0.8 }, overDoing: 0.5 },
    { summary: { ...bad, share: 0.79 } },
    { summary: { ...bad, share: null } },
    ...[
      [5, 5, 5, 2],
      [5, 5, 5, 4],
      [10, 10, 10, 7],
      [4, 4, 5, 0],
      [10, 9, 10, 6],
    ].map(([a = 0, b = 0, c = 0, d = 0]) => ({
      skips: {},
      times: [
        { key: 'session-1', due: a, done: b },
        { key: 'session-2', due: c, done: d },
      ],
    })),
  ];
  expect(
    tried
      .map((change) => ({ ...doing, times: [], overDoing: 0, summary: bad, ...change }))
      .map((one) =>
        [
          obstaclesOf({ doing: one, minutes: null, minutesADay: 10 }),
          obstaclesOf({ doing: one, minutes: 10, minutesADay: 10 }),
          obstaclesOf({ doing: one, minutes: 11, minutesADay: 10 }),
        ].map((found) => found.map(({ obstacle, say }) => `${obstacle}: ${say}`)),
      ),
  ).toMatchSnapshot();
});

it('strips read day by day', () => {
  const on = (days: number) => addDays(FIRST, days);
  const due = {
    kind: 'due',
    date: on(0),
    isToday: false,
    share: 0.456,
    sessionsDue: 2,
    sessionsDone: 1,
    extraSeconds: 0,
  } as const;
  const strips: Strip[] = [
    {
      id: 'a',
      name: 'Dose',
      kind: 'dose',
      days: [
        due,
        { ...due, date: on(1), isToday: true },
        { kind: 'rest', date: on(2), extraSeconds: 0 },
        { kind: 'paused', date: on(3), extraSeconds: 0 },
        { kind: 'before', date: on(4) },
      ],
    },
    {
      id: 'b',
      name: 'Times',
      kind: 'times',
      points: [
        { date: on(0), minute: 490, share: 1 },
        { date: on(0), minute: 1445, share: 0.333 },
      ],
    },
    { id: 'c', name: 'Skips', kind: 'skips', points: [{ date: on(1), by: { pain: 2, away: 1 } }] },
    {
      id: 'd',
      name: 'Band',
      kind: 'band',
      most: 10,
      points: [
        { date: on(0), low: 2, high: 4, recalled: false },
        { date: on(1), low: 3, high: 3, recalled: true },
      ],
    },
    {
      id: 'e',
      name: 'Reach',
      kind: 'reach',
      chain: 'arm',
      points: [
        { date: on(0), value: -1 },
        { date: on(1), value: 0 },
        { date: on(2), value: 5 },
      ],
    },
    {
      id: 'f',
      name: 'Headache',
      kind: 'yes-no',
      points: [
        { date: on(0), value: true },
        { date: on(2), value: false },
      ],
    },
    { id: 'g', name: 'Soreness', kind: 'soreness', points: [{ date: on(2), value: 'flare' }] },
    { id: 'h', name: 'Line', kind: 'line', unit: '', points: [{ date: on(0), value: 5 }] },
    { id: 'i', name: 'Turn', kind: 'line', unit: '°', points: [{ date: on(2), value: 60 }] },
    {
      id: 'j',
      name: 'Notes',
      kind: 'notes',
      points: [
        { date: on(0), say: 'tired' },
        { date: on(0), say: 'long drive' },
      ],
    },
  ];
  const dates = dateRange(on(0), on(6));
  expect(stripTable(strips, dates)).toMatchSnapshot();
  expect(strips.map((strip) => [readStrip(strip, on(0)), readingsOf(strip)])).toMatchSnapshot();
  expect([0, 59, 60, 490, 1439, 1440, 1500].map(clockText)).toMatchSnapshot();
});

it('the simulated clinic', () => {
  expect(
    courses.slice(0, 6).map((readings) => readings.map(({ value }) => value).join('')),
  ).toMatchSnapshot();
});
