import fc from 'fast-check';
import {
  type Point,
  autocorrelation,
  meanInterval,
  medianTime,
  survival,
  survivalAt,
  median,
  medianPairwiseSlope,
  nonOverlap,
  ranks,
  shareInterval,
  trendTest,
  twoSidedP,
  varianceInflation,
} from '.';

const series = (...values: number[]): Point[] => values.map((y, x) => ({ x, y }));
const paired = (xs: number[], ys: number[]): Point[] =>
  xs.map((x, index) => ({ x, y: ys[index] ?? 0 }));

const FALLING = series(6, 6, 5, 7, 5, 4, 5, 4, 4, 3, 4, 3, 2, 3);
const RISING = series(3, 3, 3, 3, 4, 3, 5, 4, 5, 6);
const SHORT = series(7, 2, 9, 4, 1, 8, 3);
const TIED_TIMES = paired([0, 0, 1, 3, 4, 4, 6, 9], [5, 4, 4, 3, 3, 1, 2, 0]);

/** Recorded from scipy 1.10.1: `scipy.stats.theilslopes(y, x, 0.95)`: slope, low, high. */
const THEILSLOPES: readonly (readonly [string, Point[], number, number, number])[] = [
  ['a fall with ties', FALLING, -0.2857142857142857, -0.4, -0.2],
  ['a rise with ties', RISING, 0.3333333333333333, 0, 0.5],
  ['five equal values', series(5, 5, 5, 5, 5), 0, 0, 0],
  ['seven scattered values', SHORT, -0.3333333333333333, -4, 1.5],
  ['several values at one time', TIED_TIMES, -0.5, -0.75, -0.25],
];

describe('the median pairwise slope', () => {
  it.each(THEILSLOPES)('agrees with the reference library: %s', (_name, points, ...expected) => {
    const found = medianPairwiseSlope(points);
    expect([found?.slope, found?.low, found?.high]).toEqual(
      expected.map((value) => expect.closeTo(value, 12) as unknown),
    );
  });

  it('has no answer for two readings, or for one moment', () => {
    expect(medianPairwiseSlope(series(1, 2))).toBeNull();
    expect(medianPairwiseSlope(paired([1, 1, 1], [1, 2, 3]))).toBeNull();
  });

  it('is hardly moved by one wild value', () => {
    const calm = Array.from({ length: 20 }, (_, x) => ({ x, y: 10 - x / 4 }));
    const wild = calm.map((point) => (point.x === 10 ? { x: 10, y: 100 } : point));
    expect(medianPairwiseSlope(wild)?.slope).toBeCloseTo(-0.25, 6);
  });

  it('grows wider with the allowance for correlation, never narrower', () => {
    const [bare, wide] = [medianPairwiseSlope(FALLING), medianPairwiseSlope(FALLING, 3)];
    expect(wide?.slope).toBe(bare?.slope);
    expect(wide?.low).toBeLessThan(bare?.low ?? 0);
    expect(wide?.high).toBeGreaterThanOrEqual(bare?.high ?? 0);
  });
});

/** Recorded from scipy 1.10.1: `scipy.stats.kendalltau(x, y, method='asymptotic')`: tau, p. */
const KENDALLTAU: readonly (readonly [string, Point[], number, number])[] = [
  ['a fall with ties', FALLING, -0.7833862382690819, 0.00020817820728359624],
  ['a rise with ties', RISING, 0.7525489793561388, 0.004918698145511134],
  ['seven scattered values', SHORT, -0.14285714285714288, 0.6523041372117628],
  ['ties in both', TIED_TIMES, -0.8461538461538463, 0.005017926146218106],
];

describe('the test of a monotone trend', () => {
  it.each(KENDALLTAU)('agrees with the reference library: %s', (_name, points, tau, p) => {
    const found = trendTest(points);
    expect(found.tau).toBeCloseTo(tau, 12);
    // The reference takes no correction for continuity; ours is a little more careful.
    expect(twoSidedP(found.score / Math.sqrt(found.variance))).toBeCloseTo(p, 6);
    expect(found.p).toBeGreaterThan(p);
  });

  it('sees nothing where all is tied, or nothing was told', () => {
    expect(trendTest(series(5, 5, 5, 5))).toMatchObject({ score: 0, tau: 0, z: 0 });
    expect(trendTest([])).toMatchObject({ score: 0, z: 0 });
    // n(n−1)(2n+5)∕18 for readings without ties (Kendall 1975).
    expect(trendTest(series(1, 2)).variance).toBe(1);
    // Tied in both: of the three ways to pair them one scores 2 and two score -1, so that the variance is 2.
    const tied = [
      { x: 0, y: 1 },
      { x: 0, y: 1 },
      { x: 1, y: 2 },
    ];
    expect(trendTest(tied).variance).toBeCloseTo(2, 12);
    expect(trendTest(series(1, 2, 3)).variance).toBeCloseTo(11 / 3, 12);
  });

  it('is for independent readings where nothing else is said, and more careful where they hang together', () => {
    const found = trendTest(FALLING);
    expect(found.z).toBeCloseTo((found.score + 1) / Math.sqrt(found.variance), 12);
    expect(trendTest(FALLING, 4).z).toBeCloseTo(found.z / 2, 12);
  });

  it('does not care for the order in which readings arrive', () => {
    fc.assert(
      fc.property(fc.shuffledSubarray(FALLING, { minLength: FALLING.length }), (shuffled) => {
        expect(trendTest(shuffled)).toEqual(trendTest(FALLING));
        expect(medianPairwiseSlope(shuffled)).toEqual(medianPairwiseSlope(FALLING));
      }),
    );
  });
});

/** Recorded from scipy 1.10.1: `scipy.stats.mannwhitneyu(before, after).statistic ÷ (n · m)`. */
const MANNWHITNEY: readonly (readonly [number[], number[], number])[] = [
  [[5, 6], [4, 5], 0.875],
  [[6, 7, 5, 6, 6, 8], [5, 4, 5, 3, 6, 4, 2], 0.9166666666666666],
  [[1, 2, 3], [4, 5, 6], 0],
  [[3, 3], [3, 3, 3], 0.5],
];

describe('non-overlap of all pairs', () => {
  it.each(MANNWHITNEY)('agrees with the reference library: %j, then %j', (before, after, share) => {
    expect(nonOverlap(before, after, 'less')?.share).toBeCloseTo(share, 12);
    expect(nonOverlap(before, after, 'more')?.share).toBeCloseTo(1 - share, 12);
  });

  it('has an interval around its share, within 0–1, and wider for fewer readings', () => {
    const values = fc.array(fc.integer({ min: 0, max: 10 }), { minLength: 1, maxLength: 20 });
    fc.assert(
      fc.property(values, values, (before, after) => {
        const found = nonOverlap(before, after, 'less');
        if (!found) throw new Error('two sides');
        expect(found.low).toBeLessThanOrEqual(found.share + 1e-9);
        expect(found.high).toBeGreaterThanOrEqual(found.share - 1e-9);
        expect(found.low).toBeGreaterThanOrEqual(0);
        expect(found.high).toBeLessThanOrEqual(1);
        const twice = nonOverlap([...before, ...before], [...after, ...after], 'less');
        expect((twice?.high ?? 0) - (twice?.low ?? 0)).toBeLessThanOrEqual(
          found.high - found.low + 1e-9,
        );
      }),
    );
  });

  it('does not collapse when nothing overlaps', () => {
    const found = nonOverlap([6, 7, 8, 7, 6], [1, 2, 3, 2, 1], 'less');
    expect(found).toMatchObject({ share: 1, high: 1 });
    expect(found?.low).toBeGreaterThan(0.5);
    expect(found?.low).toBeLessThan(0.95);
  });

  it('has no answer with an empty side', () => {
    expect(nonOverlap([], [1], 'less')).toBeNull();
  });
});

describe('the normal distribution', () => {
  // scipy 1.10.1: 2 · scipy.stats.norm.sf(z).
  it.each([
    [0, 1],
    [0.5, 0.6170750774519738],
    [1, 0.31731050786291415],
    [1.96, 0.04999579029644087],
    [2.5758, 0.01000084747555736],
    [-4, 6.334248366623973e-5],
  ])('two-sided p of %d', (z, p) => expect(twoSidedP(z)).toBeCloseTo(p, 6));
});

describe('day-to-day correlation', () => {
  it('ranks share their mean where values tie', () => {
    expect(ranks([3, 1, 3, 2])).toEqual([3.5, 1, 3.5, 2]);
  });

  it('correlates a series with itself, and an alternating one against itself', () => {
    expect(autocorrelation([1, 5, 2, 4], 0)).toBeCloseTo(1);
    expect(autocorrelation([1, -1, 1, -1, 1, -1], 1)).toBeLessThan(0);
    expect(autocorrelation([2, 2, 2], 1)).toBe(0);
  });

  it('enlarges the variance of readings that hang together, and never shrinks it', () => {
    const together = series(...[0, 4].flatMap((y) => Array.from({ length: 8 }, () => y)), 0, 0, 0);
    expect(varianceInflation(together)).toBeGreaterThan(2);
    expect(varianceInflation(series(4, 4, 4, 4, 4))).toBe(1);
    fc.assert(
      fc.property(fc.array(fc.integer({ min: 0, max: 10 }), { maxLength: 40 }), (values) => {
        expect(varianceInflation(series(...values))).toBeGreaterThanOrEqual(1);
      }),
    );
  });
});

it('the median of an even number is the mean of the two in the middle', () => {
  expect(median([3, 1, 2, 4])).toBe(2.5);
  expect(() => median([])).toThrow(RangeError);
});

describe('the interval of a share', () => {
  // Newcombe 1998, table I, method 3: the score interval without continuity correction; from memory.
  it.each([
    [81, 263, 0.2553, 0.3662],
    [15, 148, 0.0624, 0.1605],
    [0, 20, 0, 0.1611],
    [1, 29, 0.0061, 0.1718],
  ])('%d of %d', (counted, of, low, high) => {
    const found = shareInterval(counted, of);
    expect(found?.low).toBeCloseTo(low, 4);
    expect(found?.high).toBeCloseTo(high, 4);
  });

  it('is none of nothing, and stays within 0 and 1 round its share', () => {
    expect(shareInterval(0, 0)).toBeNull();
    fc.assert(
      fc.property(
        fc.integer({ min: 1, max: 500 }),
        fc.double({ min: 0, max: 1, noNaN: true }),
        (of, part) => {
          const found = shareInterval(Math.round(part * of), of);
          if (!found) throw new Error('a count has a share');
          expect(found.low).toBeGreaterThanOrEqual(0);
          expect(found.high).toBeLessThanOrEqual(1);
          expect(found.share).toBeGreaterThanOrEqual(found.low);
          expect(found.share).toBeLessThanOrEqual(found.high);
        },
      ),
    );
  });
});

describe('time until something happens', () => {
  // Remission in weeks under 6-mercaptopurine (Freireich 1963; memory). Expected: statsmodels 0.13.5,
  // SurvfuncRight; the interval by its standard error on the log-minus-log scale.
  const TOLD = [6, 6, 6, 7, 10, 13, 16, 22, 23];
  const CENSORED = [6, 9, 10, 11, 17, 19, 20, 25, 32, 32, 34, 35];
  const all = [
    ...TOLD.map((time) => ({ time, happened: true })),
    ...CENSORED.map((time) => ({ time, happened: false })),
  ];

  it('agrees with a reference library', () => {
    expect(
      survival(all).map(({ time, atRisk, events, share, low, high }) => [
        time,
        atRisk,
        events,
        ...[share, low, high].map((value) => Number(value.toFixed(6))),
      ]),
    ).toEqual([
      [6, 21, 3, 0.857143, 0.619718, 0.951552],
      [7, 17, 1, 0.806723, 0.563147, 0.922809],
      [10, 15, 1, 0.752941, 0.5032, 0.889362],
      [13, 12, 1, 0.690196, 0.43161, 0.849066],
      [16, 11, 1, 0.627451, 0.367511, 0.804912],
      [22, 7, 1, 0.537815, 0.267779, 0.746791],
      [23, 6, 1, 0.448179, 0.188052, 0.680143],
    ]);
    expect(medianTime(survival(all))).toBe(23);
    expect(survivalAt(survival(all), 12)?.share).toBeCloseTo(0.752941, 6);
    expect(survivalAt(survival(all), 5)).toBeNull();
  });

  it('without anybody lost it is the plain share, and the order does not matter', () => {
    fc.assert(
      fc.property(
        fc.array(fc.integer({ min: 1, max: 20 }), { minLength: 1, maxLength: 40 }),
        (times) => {
          const steps = survival(times.map((time) => ({ time, happened: true })));
          for (const { time, share, low, high } of steps) {
            expect(share).toBeCloseTo(times.filter((one) => one > time).length / times.length, 9);
            expect(low).toBeLessThanOrEqual(share);
            expect(high).toBeGreaterThanOrEqual(share);
          }
          expect(survival([...times].reverse().map((time) => ({ time, happened: true })))).toEqual(
            steps,
          );
        },
      ),
    );
    expect(survival([{ time: 3, happened: false }])).toEqual([]);
    expect(medianTime([])).toBeNull();
  });
});

describe('the interval of a mean', () => {
  // scipy.stats.t.interval of these very values.
  it.each([
    [[0.4, 0.9, 0.55, 0.7, 0.2], 0.215672, 0.884328],
    // Two values are an interval of t for one degree of freedom, 12.706 times half their distance (any table of t).
    [[1, 3], -10.706205, 14.706205],
    [[0.4, 0.9, 0.55, 0.7, 0.2, 0.95, 0.6, 0.8, 0.75, 0.5, 0.33], 0.446906, 0.767639],
  ])('agrees with a reference library', (values, low, high) => {
    const found = meanInterval(values);
    expect(found?.low).toBeCloseTo(low, 4);
    expect(found?.high).toBeCloseTo(high, 4);
  });

  it('is none of one value', () => {
    expect(meanInterval([1])).toBeNull();
    expect(meanInterval([])).toBeNull();
  });
});
