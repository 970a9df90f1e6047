import { randomLcg, randomNormal } from 'd3';
import fc from 'fast-check';
import { type Truth, diary } from '../../../scripts/verdicts/generator';
import { runs } from '../../../tests/support/runs';
import {
  type At,
  type Shape,
  type ShapeKind,
  averaged,
  averagedOver,
  belowChange,
  changeAt,
  fittedCourse,
  flaresOver,
  isLevel,
  likely,
  lookByLook,
  sureOf,
  shapesOver,
  stepAt,
} from '.';
import { belowT } from './student';

const DAYS = [0, 1, 2, 4, 5, 6, 8, 9, 12, 13, 14, 15, 17, 19, 20, 22, 23, 24, 26, 28, 29, 31];
const PAINS = [6, 7, 6, 5, 7, 6, 6, 4, 5, 5, 4, 6, 4, 4, 3, 5, 4, 3, 3, 4, 2, 3];
const TOLD = DAYS.map((day, at): At => ({ day, value: PAINS[at] ?? 0 }));
const LAST = 31;

const none: Shape = { kind: 'none', at: null, prior: 0.5 };
const shape = (kind: ShapeKind, at: (day: number) => number): Shape => ({ kind, at, prior: 0.5 });

describe('one shape against none', () => {
  // statsmodels 0.13.5: GLS with the covariance 0.45^|gap| and the prior as two readings more gives the
  // middle; scipy 1.10.1: multivariate_t.logpdf of the readings gives how well each shape says them.
  const NONE = -40.33162212069196;
  it.each<[string, Shape, number, number, number]>([
    ['a line', shape('line', (day) => day / LAST), 6.00457283, -2.94913065, -36.49761075099899],
    [
      'levelling off',
      shape('levelling', (day) => (1 - Math.exp(-day / 10)) / (1 - Math.exp(-LAST / 10))),
      6.45334204,
      -2.73538243,
      -37.3828811642372,
    ],
    [
      'a step',
      shape('step', (day) => (day >= 12 ? 1 : 0)),
      5.60342847,
      -1.6529076,
      -38.65955181636595,
    ],
  ])('%s', (_, one, start, change, log) => {
    const { models } = averagedOver(TOLD, 2, [none, one], [], [{ rho: 0.45, prior: 1 }]);
    const [flat, found] = [
      models.find(({ change: of }) => !of),
      models.find(({ change: of }) => of),
    ];
    expect(found?.start).toBeCloseTo(start, 6);
    expect(found?.change?.middle).toBeCloseTo(change, 6);
    expect(Math.log((found?.weight ?? 0) / (flat?.weight ?? 1))).toBeCloseTo(log - NONE, 5);
  });
});

it('knows how sure start and change are together', () => {
  // statsmodels 0.13.5: the covariance of the same GLS, times the scatter of the inverse gamma.
  const line = shape('line', (day) => day / LAST);
  const { models } = averagedOver(TOLD, 2, [none, line], [], [{ rho: 0.45, prior: 1 }]);
  const found = models.find(({ change }) => change);
  expect(found?.startSquare).toBeCloseTo(0.27901248, 5);
  expect(found?.together).toBeCloseTo(-0.3757885, 5);
  expect((found?.change?.scale ?? 0) ** 2).toBeCloseTo(0.75501092, 5);
});

describe('Student’s t', () => {
  // scipy 1.10.1: scipy.stats.t.cdf(t, df).
  it.each([
    [1.3, 10, 0.8886170913965777],
    [-0.7, 15, 0.24732079127505446],
    [2.5, 24, 0.9901729124417107],
    [0.2, 40, 0.5787530366071412],
    [-3.1, 18, 0.003089659514281738],
    [4, 60, 0.999911838806468],
  ])('below %d with %d degrees of freedom', (t, freedom, share) => {
    expect(Math.abs(belowT(t, freedom) - share)).toBeLessThan(0.001);
  });
});

describe('shapes and flares', () => {
  it.each([14, 42, 365])(
    'share out all belief over %d days, and begin at 0 and end at 1',
    (days) => {
      const shapes = shapesOver(days);
      expect(shapes.reduce((sum, { prior }) => sum + prior, 0)).toBeCloseTo(1);
      for (const { at } of shapes)
        if (at)
          expect([at(0), at(days - 1)].map((value) => Math.round(value * 1e9) / 1e9)).toEqual([
            0, 1,
          ]);
      for (const { at } of flaresOver(days)) expect([at(0), at(days - 1)]).toEqual([0, 0]);
      // A long course costs no more than a short one.
      expect(shapes.length * (flaresOver(days).length + 1)).toBeLessThan(300);
    },
  );
});

describe('all shapes together', () => {
  it('give a change that is now less the start, and quantiles that are its own', () => {
    const found = averaged(TOLD, 2);
    expect(found.change).toBeCloseTo(found.now - found.start, 9);
    for (const share of [0.025, 0.3, 0.5]) {
      const value = changeAt(found, share);
      expect(belowChange(found, value)).toBeCloseTo(share, 3);
    }
    const fitted = fittedCourse(found, [0, 15, LAST]);
    expect(fitted[0]?.value).toBeCloseTo(found.start, 9);
    expect(fitted[2]?.value).toBeCloseTo(found.now, 9);
    for (const { value, low, high } of fitted) expect(low < value && value < high).toBe(true);
    const { kinds } = likely(found);
    expect(Object.values(kinds).reduce((sum, one) => sum + one, 0)).toBeCloseTo(1);
  });

  it('have as many changes below a quantile as were asked for, whatever was told', () => {
    fc.assert(
      fc.property(
        fc.array(fc.integer({ min: 0, max: 10 }), { minLength: 8, maxLength: 40 }),
        fc.constantFrom(0.025, 0.2, 0.5, 0.8, 0.975),
        (values, share) => {
          const found = averaged(
            values.map((value, day) => ({ day, value })),
            2,
          );
          const at = changeAt(found, share);
          // No change at all is believed in by itself: a leap of belief at 0.
          if (at === 0) {
            expect(belowChange(found, 0)).toBeLessThan(share);
            expect(belowChange(found, 1e-12)).toBeGreaterThanOrEqual(share);
          } else expect(belowChange(found, at)).toBeCloseTo(share, 5);
        },
      ),
      runs(60),
    );
  });

  it('say that nothing changed of readings that are all the same', () => {
    const found = averaged(
      DAYS.map((day) => ({ day, value: 4 })),
      2,
    );
    expect(changeAt(found, 0.5)).toBe(0);
    expect(changeAt(found, 0.025)).toBeLessThan(0);
    expect(changeAt(found, 0.975)).toBeCloseTo(-changeAt(found, 0.025), 4);
    expect(found.change).toBeCloseTo(0, 9);
  });

  it('are surer of a fall, the further it is asked beyond', () => {
    fc.assert(
      fc.property(
        fc.array(fc.integer({ min: 0, max: 10 }), { minLength: 8, maxLength: 40 }),
        (values) => {
          const found = averaged(
            values.map((value, day) => ({ day, value })),
            2,
          );
          const at = [-3, -1, -0.1, 0.1, 1, 3].map((value) => belowChange(found, value));
          at.forEach((share, index) => {
            expect(share).toBeGreaterThanOrEqual((at[index - 1] ?? 0) - 1e-9);
            expect(share).toBeLessThanOrEqual(1 + 1e-9);
          });
        },
      ),
      runs(60),
    );
  });
});

const chanceOf = (seed: number) => {
  const fraction = randomLcg(seed);
  return { fraction, normal: randomNormal.source(fraction)(0, 1) };
};

describe('week by week', () => {
  it('says nothing of a fortnight, and does not take better back for a level course', () => {
    const told = Array.from({ length: 84 }, (_, day) => ({
      day,
      value: (day < 35 ? 7 - day / 7 : 2) + (day % 3) / 2,
    }));
    const said = lookByLook(told, 2, 84);
    expect(said[0]).toBe('nothing');
    expect(said.slice(said.indexOf('better'))).toEqual(
      Array.from({ length: said.length - said.indexOf('better') }, () => 'better'),
    );
    expect(lookByLook(told, 2, 10)).toEqual([]);
    // A look is taken up to two days before its week is over.
    const looks = (until: number) => lookByLook(told, 2, until).length;
    expect([11, 12, 18, 19, 25, 26].map(looks)).toEqual([0, 1, 1, 2, 2, 3]);
  });

  it('adds looks and changes none of before, whatever is told later', () => {
    const told = diary('falls by 2', 84, chanceOf(0.4));
    const early = lookByLook(told, 2, 56);
    expect(lookByLook(told, 2, 84).slice(0, early.length)).toEqual(early);
  });

  it('is not sure of eight readings within nine days, and may be of ten', () => {
    const within = (last: number) => {
      const days = [0, 1, 2, 3, 4, 5, 6, last];
      return sureOf(
        days.map((day) => ({ day, value: day < 4 ? 8 : 2 })),
        2,
      );
    };
    expect(within(8)).toEqual({ better: 0, worse: 0 });
    expect(within(9).better).toBeGreaterThan(0.5);
  });

  it('calls nothing better whose newest day is worse than all before it; as bad as one of them is not worse', () => {
    const fallen = Array.from({ length: 41 }, (_, day) => ({
      day,
      value: Math.max(2, 7 - day / 3),
    }));
    const better = (last: number) => sureOf([...fallen, { day: 41, value: last }], 2).better;
    expect(better(7.1)).toBe(0);
    expect(better(7)).toBeGreaterThan(0);
    expect(better(2)).toBeGreaterThan(better(7));
  });

  it('knows a level course by one look, and does not know without readings', () => {
    const level = Array.from({ length: 30 }, (_, day) => ({ day, value: 4 + (day % 2) }));
    expect(isLevel(level, 2)).toBe(true);
    expect(isLevel(level.slice(0, 5), 2)).toBeNull();
    expect(
      isLevel(
        level.map(({ day }) => ({ day, value: 8 - day / 5 })),
        2,
      ),
    ).toBe(false);
  });

  // A sample of docs/verdicts.md, wide enough that chance alone does not fail it.
  it.each<[Truth, 'better' | 'worse', number, number]>([
    ['flat', 'better', 0, 0.06],
    ['flat', 'worse', 0, 0.07],
    ['flat with a flare that passes', 'better', 0, 0.08],
    ['falls by 3', 'better', 0.68, 1],
    ['falls by 2', 'better', 0.4, 1],
    ['rises by 3', 'worse', 0.62, 1],
  ])(
    'of 150 diaries in which it %s, %s is said at six weeks as often as it should be',
    (truth, what, least, most) => {
      const count = 150;
      const said = Array.from({ length: count }, (_, nth) => {
        const told = diary(truth, 42, chanceOf((0.137 + nth * 0.00613) % 1));
        const first = told[0]?.day ?? 0;
        const from = told.map(({ day, value }) => ({ day: day - first, value }));
        return lookByLook(from, 2, 42 - first).at(-1);
      });
      const share = said.filter((one) => one === what).length / count;
      expect(share).toBeGreaterThanOrEqual(least);
      expect(share).toBeLessThanOrEqual(most);
    },
  );
});

describe('a change of programme', () => {
  const told = (value: (day: number) => number): At[] =>
    Array.from({ length: 42 }, (_, day) => ({ day, value: value(day) + ((day * 7) % 5) / 4 }));

  it('is followed by a step, or by what went on anyway', () => {
    expect(
      stepAt(
        told((day) => (day < 21 ? 6 : 3)),
        21,
        2,
      ).say,
    ).toBe('better after');
    expect(
      stepAt(
        told((day) => (day < 21 ? 3 : 6)),
        21,
        2,
      ).say,
    ).toBe('worse after');
    expect(
      stepAt(
        told((day) => 8 - day / 7),
        21,
        2,
      ).say,
    ).toBe('no clear difference');
    expect(
      stepAt(
        told(() => 5),
        21,
        2,
      ).say,
    ).toBe('no clear difference');
  });
});
