import { randomLcg, randomNormal } from 'd3';
import fc from 'fast-check';
import { runs } from '../../../tests/support/runs';
import { addDays, localDate } from '../units';
import type { RegionId } from '../symptoms';
import {
  type Chance,
  type Course,
  LEAST_READINGS,
  PAIN_MATTERS,
  type Reading,
  compareSeams,
  daysSpreading,
  judgeCourse,
  judgeLimb,
  limbReadings,
  reachOf,
  simulatedClinic,
  verdictRates,
} from '.';

const FIRST = localDate('2026-09-01');
const daily = (values: readonly number[]): Reading[] =>
  values.map((value, day) => ({ date: addDays(FIRST, day), value }));
const chanceOf = (seed: number): Chance => {
  const source = randomLcg(seed);
  return { fraction: source, normal: randomNormal.source(source)(0, 1) };
};
const pains = fc.array(fc.integer({ min: 0, max: 10 }), {
  minLength: LEAST_READINGS,
  maxLength: 60,
});
const ORDER: Course[] = ['worsening beyond noise', 'no clear change', 'improving beyond noise'];

describe('is it helping', () => {
  it('says how many more days it needs before it says anything', () => {
    expect(judgeCourse([], PAIN_MATTERS)).toMatchObject({
      course: 'not enough to say',
      moreDays: 14,
    });
    expect(judgeCourse(daily([6, 5, 4, 3, 2]), PAIN_MATTERS)).toMatchObject({
      course: 'not enough to say',
      moreDays: 9,
    });
  });

  it('calls a steady fall from 6 to 2 improving, and its mirror worsening', () => {
    const fall = Array.from({ length: 42 }, (_, day) => Math.round(6 - (4 * day) / 41));
    const found = judgeCourse(daily(fall), PAIN_MATTERS);
    expect(found).toMatchObject({ course: 'improving beyond noise', from: 6, to: 2 });
    expect(found.slope?.slope).toBeLessThan(-0.5);
    expect(judgeCourse(daily([...fall].reverse()), PAIN_MATTERS).course).toBe(
      'worsening beyond noise',
    );
  });

  it('does not call a change of half a point improving, however sure it is', () => {
    const slow = Array.from({ length: 60 }, (_, day) => 6 - (0.5 * day) / 59);
    const found = judgeCourse(daily(slow), PAIN_MATTERS);
    expect(found.trend?.p).toBeLessThan(0.001);
    expect(found.course).toBe('no clear change');
  });

  it('does not say improving on a day that is worse than the start', () => {
    const fall = Array.from({ length: 42 }, (_, day) => Math.round(6 - (4 * day) / 41));
    expect(judgeCourse(daily([...fall, 9]), PAIN_MATTERS).course).toBe('no clear change');
  });

  it('does not care for the order of the records', () => {
    fc.assert(
      fc.property(
        pains.chain((values) => fc.shuffledSubarray(daily(values), { minLength: values.length })),
        (shuffled) => {
          const sorted = [...shuffled].sort((a, b) => (a.date < b.date ? -1 : 1));
          expect(judgeCourse(shuffled, PAIN_MATTERS)).toEqual(judgeCourse(sorted, PAIN_MATTERS));
        },
      ),
    );
  });

  it('is never improved by another day that is worse than all before it', () => {
    fc.assert(
      fc.property(
        // Some of them with a trend, so that every verdict occurs.
        fc
          .tuple(pains, fc.integer({ min: -6, max: 6 }))
          .map(([values, change]) =>
            values.map((value, day) => value / 2 + 5 + (change * day) / values.length),
          ),
        (values) => {
          const before = judgeCourse(daily(values), PAIN_MATTERS).course;
          const worse = [...values, Math.max(...values) + 1];
          const after = judgeCourse(daily(worse), PAIN_MATTERS).course;
          expect(ORDER.indexOf(after)).toBeLessThanOrEqual(ORDER.indexOf(before));
        },
      ),
      runs(400),
    );
  });

  it('calls fewer than 5 % improving whose true course is unchanged or worse', () => {
    for (const days of [28, 56, 84]) {
      const chance = chanceOf(0.31);
      const rates = verdictRates(simulatedClinic(200, chance), FIRST, days, chance);
      const sum = (row: Readonly<Record<Course, number>>) =>
        Object.values(row).reduce((total, count) => total + count, 0);
      const { unchanged, 'clearly worse': worse } = rates;
      const wrong = unchanged['improving beyond noise'] + worse['improving beyond noise'];
      expect(wrong / (sum(unchanged) + sum(worse))).toBeLessThan(0.05);
      // And it does see what is there, most of the time, once there are eight weeks.
      if (days >= 56) expect(rates['clearly better']['improving beyond noise']).toBeGreaterThan(25);
    }
  });
});

describe('before and after a change of programme', () => {
  const seam = addDays(FIRST, 10);

  it('compares three weeks on either side, never across another change', () => {
    const readings = daily([
      ...Array.from({ length: 10 }, () => 6),
      ...Array.from({ length: 10 }, () => 3),
    ]);
    const [found] = compareSeams(readings, [FIRST, seam], 'less');
    expect(found).toMatchObject({ date: seam, before: 10, after: 10, say: 'better after' });
    expect(found?.overlap?.share).toBe(1);
    const both = compareSeams(readings, [addDays(FIRST, 13), seam, FIRST], 'less');
    expect(both.map(({ before, after }) => [before, after])).toEqual([
      [10, 3],
      [3, 7],
    ]);
    expect(both[0]?.say).toBe('not enough to say');
  });

  it('says nothing of a first programme', () => {
    expect(compareSeams(daily([5, 5, 5]), [FIRST], 'less')).toEqual([]);
  });
});

describe('drawing in and spreading', () => {
  const arm = { chain: 'arm', side: 'right' } as const;

  it('reads the furthest place of one limb and side', () => {
    const where: RegionId[] = ['front right hand', 'back left elbow', 'front right shoulder'];
    expect(reachOf(arm, where)).toBe(5);
    expect(reachOf({ chain: 'arm', side: 'left' }, where)).toBe(3);
    expect(reachOf({ chain: 'leg', side: 'left' }, where)).toBe(-1);
    expect(limbReadings(arm, [{ date: FIRST, where: null }])).toEqual([]);
  });

  it('draws in from the hand to the shoulder, and is better', () => {
    const found = judgeLimb(arm, daily([5, 5, 5, 4, 4, 3, 3, 2, 1, 1, 1, 1]), false);
    expect(found).toMatchObject({ course: 'drawing in', better: true });
    expect(found.say).toContain('from the ');
  });

  it('is never called better while weakness or numbness grows', () => {
    const found = judgeLimb(arm, daily([5, 5, 5, 4, 4, 3, 3, 2, 1, 1, 1, 1]), true);
    expect(found).toMatchObject({ course: 'drawing in', better: false });
    expect(found.say).toContain('this is not better');
  });

  it('draws in through days without symptoms, and does not spread by coming more often', () => {
    const rarely = [4, -1, -1, 4, -1, 4, -1];
    expect(judgeLimb(arm, daily([...rarely, 3, 2, 2, 2, 2, 2, 2, 2]), false).course).toBe(
      'drawing in',
    );
    expect(judgeLimb(arm, daily([...rarely, 4, 4, 4, 4, 4, 4, 4]), false).course).toBe(
      'no clear change',
    );
    expect(judgeLimb(arm, daily([-1, -1, -1, -1, -1, -1, -1, 3, 3, 3, 3, 3]), false).course).toBe(
      'spreading',
    );
  });

  it('is never better for a day on which it reached further', () => {
    const rank = ['drawing in', 'not enough to say', 'no clear change', 'spreading'];
    const order = fc.integer({ min: -1, max: 6 });
    fc.assert(
      fc.property(
        fc.array(order, { minLength: 14, maxLength: 30 }),
        fc.integer({ min: 1, max: 7 }),
        fc.integer({ min: 1, max: 6 }),
        (orders, ago, further) => {
          const worse = orders.map((value, index) =>
            index === orders.length - ago ? Math.min(6, value + further) : value,
          );
          const course = (given: number[]) =>
            rank.indexOf(judgeLimb(arm, daily(given), false).course);
          expect(course(worse)).toBeGreaterThanOrEqual(course(orders));
        },
      ),
    );
  });

  it('spreads at once with two days running beyond the usual', () => {
    const found = judgeLimb(arm, daily([2, 2, 3, 2, 2, 2, 2, 2, 2, 2, 5, 5]), false);
    expect(found.course).toBe('spreading');
    expect(daysSpreading(daily([2, 2, 3, 2, 2, 2, 2, 2, 2, 2, 5, 5]))).toBe(2);
    expect(daysSpreading(daily([2, 2, 3, 2, 2, 2, 2, 5, 5, 2]))).toBe(0);
  });

  it('does not take pain at the spine for spreading', () => {
    expect(judgeLimb(arm, daily([-1, -1, -1, -1, 0, 1, 1, 1, 1, 1]), false).course).not.toBe(
      'spreading',
    );
  });

  it('says when it has too little to go by', () => {
    expect(judgeLimb(arm, daily([1, 2]), false).course).toBe('not enough to say');
  });
});

it('a date before others sorts first whatever its value', () => {
  const later = addDays(FIRST, 1);
  expect(
    judgeCourse(
      [
        { date: later, value: 1 },
        { date: FIRST, value: 9 },
      ],
      PAIN_MATTERS,
    ).days,
  ).toBe(2);
});
