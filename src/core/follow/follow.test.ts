import fc from 'fast-check';
import { runs } from '../../../tests/support/runs';
import { addDays, localDate } from '../units';
import type { RegionId } from '../symptoms';
import {
  type Course,
  PAIN_MATTERS,
  type Reading,
  compareSeams,
  daysSpreading,
  followedActivities,
  followedHeadaches,
  judgeCourse,
  judgeLimb,
  limbReadings,
  reachOf,
  referVerdict,
  sayTrend,
  sayVerdict,
  tellVerdict,
  verdictTold,
} from '.';

const FIRST = localDate('2026-09-01');
const daily = (values: readonly number[]): Reading[] =>
  values.map((value, day) => ({ date: addDays(FIRST, day), value }));
const pains = fc.array(fc.integer({ min: 0, max: 10 }), {
  minLength: 19,
  maxLength: 60,
});

const fall = (days: number) =>
  Array.from({ length: days }, (_, day) => Math.round(6 - (4 * day) / (days - 1)));
const RELAPSED = [...fall(42), ...Array.from({ length: 28 }, (_, day) => 6 - (day % 2))];
/** From what is no comfort to what is. */
const ORDER: Course[] = [
  'worsening beyond noise',
  'was improving, now level',
  'no clear change',
  'changed, less than matters',
  'improving beyond noise',
];

describe('is it helping', () => {
  it('says how many more days it needs before it says anything', () => {
    const missing = (values: number[]) => judgeCourse(daily(values), PAIN_MATTERS);
    expect(missing([])).toMatchObject({ course: 'not enough to say', moreDays: 19 });
    expect(missing([6, 5, 4, 3, 2])).toMatchObject({ course: 'not enough to say', moreDays: 14 });
  });

  it('calls a steady fall from 6 to 2 improving, and its mirror worsening', () => {
    const found = judgeCourse(daily(fall(42)), PAIN_MATTERS);
    expect(found).toMatchObject({
      course: 'improving beyond noise',
      way: 'better',
      shape: 'steadily',
    });
    expect(found.slope?.slope).toBeLessThan(-0.5);
    expect(judgeCourse(daily(fall(42).reverse()), PAIN_MATTERS)).toMatchObject({
      course: 'worsening beyond noise',
      way: 'worse',
    });
  });

  it('gives a change that is exactly from what it began to what it is, within its interval', () => {
    for (const values of [fall(42), fall(30).reverse(), fall(60).map((one) => Math.max(3, one))]) {
      const { from, to, change, low, high } = judgeCourse(daily(values), PAIN_MATTERS);
      expect(change).toBeCloseTo((to ?? NaN) - (from ?? NaN), 9);
      expect(change).toBeGreaterThanOrEqual(low ?? NaN);
      expect(change).toBeLessThanOrEqual(high ?? NaN);
    }
  });

  it('reads more as better where more is better', () => {
    const held = { better: 'more', by: 10, share: null, source: 'Ours.' } as const;
    const rising = fall(42).map((value) => 60 - 5 * value);
    expect(judgeCourse(daily(rising), held)).toMatchObject({ course: 'improving beyond noise' });
    expect(judgeCourse(daily(rising), held).to).toBeGreaterThan(45);
  });

  it('never confuses what is sure with what matters', () => {
    const slow = Array.from({ length: 70 }, (_, day) => 6 - (1.4 * day) / 69 + (day % 2) / 10);
    const found = judgeCourse(daily(slow), PAIN_MATTERS);
    expect(found.trend?.p).toBeLessThan(0.001);
    expect(found).toMatchObject({ course: 'changed, less than matters', way: 'better' });
  });

  it('knows a flare that passed, and does not call it worse', () => {
    const flared = Array.from(
      { length: 42 },
      (_, day) => (day >= 12 && day < 21 ? 7 : 3) + (day % 2),
    );
    expect(judgeCourse(daily(flared), PAIN_MATTERS)).toMatchObject({
      course: 'no clear change',
      flared: true,
      shape: 'level',
    });
  });

  it('keeps improving said while it stays level, and withdraws it when it got worse since', () => {
    const levelled = [...fall(42), ...Array.from({ length: 28 }, (_, day) => 2 + (day % 2))];
    expect(judgeCourse(daily(levelled), PAIN_MATTERS).course).toBe('improving beyond noise');
    expect(judgeCourse(daily(RELAPSED), PAIN_MATTERS).course).toBe('was improving, now level');
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
      runs(60),
    );
  });

  it('says the same in another unit', () => {
    fc.assert(
      fc.property(
        pains,
        fc.integer({ min: 2, max: 20 }),
        fc.integer({ min: -50, max: 50 }),
        (values, scale, shift) => {
          const matters = { better: 'less', by: 2, share: null, source: '' } as const;
          const one = judgeCourse(daily(values), matters);
          const other = judgeCourse(daily(values.map((value) => value * scale + shift)), {
            ...matters,
            by: 2 * scale,
          });
          expect(other.course).toBe(one.course);
          expect(other.change).toBeCloseTo((one.change ?? NaN) * scale, 4);
        },
      ),
      runs(60),
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
      runs(200),
    );
  });
});

describe('in three voices', () => {
  const pain = { id: 'pain', name: 'Worst pain', unit: 'of 10', matters: PAIN_MATTERS };
  const voices = (values: readonly number[]) => {
    const followed = { ...pain, readings: daily(values) };
    const verdict = judgeCourse(followed.readings, PAIN_MATTERS);
    return [sayVerdict, tellVerdict, referVerdict].map((say) => say(followed, verdict));
  };

  it('gives the clinician numbers that add up, the patient no statistics, the referrer one sentence', () => {
    const [clinician = '', patient = '', referrer = ''] = voices(fall(42));
    const [from, to, change] = (/From (\S+) to (\S+) of 10.*?: (\S+) less/.exec(clinician) ?? [])
      .slice(1)
      .map(Number);
    expect(Math.round(((from ?? 0) - (to ?? 0)) * 10)).toBe(Math.round((change ?? 0) * 10));
    expect(patient).toBe(
      'Your worst pain has come down from about 6 to about 2. That is more than day-to-day ups and downs.',
    );
    expect(referrer).toMatch(
      /^Worst pain fell from \S+ to \S+ of 10 in 42 days, a change of -\S+ \(95 % interval/,
    );
  });

  it('says in each that too few days were told', () => {
    expect(voices([4, 3, 4]).every((one) => one !== '')).toBe(true);
    expect(voices([4, 3, 4])[2]).toBe('Worst pain: too few days were told to say how it went.');
  });

  it.each<[number[], string, RegExp]>([
    [fall(42), 'better', /more than day-to-day ups and downs\.$/],
    [fall(42).reverse(), 'worse', /we will look at it together\.$/],
    [fall(7), 'early', /^It is too early/],
    [RELAPSED, 'back', /was getting better and is about 5 now, much as at the start\./],
    [Array<number>(42).fill(4), 'same', /about the same as at the start, about 4/],
  ])('is as facts what the patient is told', (values, said, words) => {
    const followed = { ...pain, readings: daily(values) };
    const verdict = judgeCourse(followed.readings, PAIN_MATTERS);
    expect(verdictTold(verdict).said).toBe(said);
    expect(tellVerdict(followed, verdict)).toMatch(words);
  });

  it('never tells a patient by facts what the words do not say', () => {
    fc.assert(
      fc.property(pains, (values) => {
        const followed = { ...pain, readings: daily(values) };
        const verdict = judgeCourse(followed.readings, PAIN_MATTERS);
        const { said, from, to } = verdictTold(verdict);
        const words = tellVerdict(followed, verdict);
        expect(said === 'early').toBe(/too early/.test(words));
        expect(said === 'back').toBe(/was getting better/.test(words));
        expect(said === 'unclear').toBe(/not clear yet/.test(words));
        expect(said === 'same').toBe(/about the same/.test(words));
        if (said.startsWith('better')) expect(words).toMatch(/come down/);
        if (said.startsWith('worse')) expect(words).toMatch(/gone up/);
        if (to !== null && said !== 'early') expect(words).toContain(`about ${to}`);
        expect(from === null).toBe(said === 'early');
      }),
      runs(200),
    );
  });

  it('says slope and trend beside it, where there are any', () => {
    const followed = { ...pain, readings: daily(fall(42)) };
    const say = sayTrend(followed, judgeCourse(followed.readings, PAIN_MATTERS));
    expect(say).toMatch(
      /^Worst pain: -0\.\d\d a week \(-\d\.\d\d to -\d\.\d\d\); trend -\d\.\d\d, p below 0\.001\.$/,
    );
    expect(sayTrend(followed, judgeCourse([], PAIN_MATTERS))).toBeNull();
  });

  it.each([
    [
      'level',
      Array.from({ length: 42 }, (_, day) => (day % 3 === 0 ? 6 : 5)),
      'about the same as at the start',
    ],
    ['worse', fall(42).reverse(), 'we will look at it together'],
    ['too early', [5, 5], 'It is too early to say'],
  ])('tells a patient of what is %s', (_, values, words) => {
    const [, patient = ''] = voices(values);
    expect(patient).toContain(words);
    expect(patient).not.toMatch(/\d\.\d|%|interval|trend|noise|\d{4}-/i);
  });
});

it('judges what a patient can do of an activity of their own, in a sentence of its own', () => {
  const weeks = [3, 3, 4, 4, 5, 6, 7, 7, 8, 8];
  const reports = new Map(
    weeks.map((score, week) => [
      addDays(FIRST, week * 7),
      { activities: [{ activity: 'Ring the bell', score }] },
    ]),
  );
  const [followed] = followedActivities(reports);
  if (!followed) throw new Error('an activity was told');
  const verdict = judgeCourse(followed.readings, followed.matters);
  expect(verdict).toMatchObject({ course: 'improving beyond noise', way: 'better' });
  expect(tellVerdict(followed, verdict)).toBe(
    'How well you can do “Ring the bell” has gone up from about 3 to about 8. That is more than day-to-day ups and downs.',
  );
});

it('counts days with a headache by the week, and says so', () => {
  const weeks = [6, 6, 5, 6, 4, 3, 2, 1, 1, 0, 1, 0];
  const reports = new Map(
    weeks.flatMap((count, week) =>
      Array.from(
        { length: 7 },
        (_, day) => [addDays(FIRST, week * 7 + day), { headache: day < count }] as const,
      ),
    ),
  );
  const [followed] = followedHeadaches(reports);
  expect(followed?.readings.map(({ value }) => value)).toEqual(weeks);
  if (!followed) throw new Error('a headache was told');
  const verdict = judgeCourse(followed.readings, followed.matters);
  expect(verdict.course).toBe('improving beyond noise');
  expect(tellVerdict(followed, verdict)).toMatch(
    /^Your headache has come down from about \d to about \d days a week\. /,
  );
  // A week of which hardly a day was told is left out, and who never had one is not followed.
  const sparse = new Map([...reports].filter(([date]) => date !== addDays(FIRST, 2)).slice(4));
  expect(followedHeadaches(sparse)[0]?.readings.length).toBeLessThanOrEqual(weeks.length);
  expect(followedHeadaches(new Map([[FIRST, { headache: false }]]))).toEqual([]);
  expect(followedHeadaches(new Map())).toEqual([]);
});

describe('before and after a change of programme', () => {
  const seam = addDays(FIRST, 10);

  it('compares three weeks on either side, never across another change', () => {
    const readings = daily([
      ...Array.from({ length: 10 }, () => 6),
      ...Array.from({ length: 10 }, () => 3),
    ]);
    const [found] = compareSeams(readings, [FIRST, seam], PAIN_MATTERS);
    expect(found).toMatchObject({ date: seam, before: 10, after: 10, say: 'better after' });
    expect(found?.overlap?.share).toBe(1);
    const both = compareSeams(readings, [addDays(FIRST, 13), seam, FIRST], PAIN_MATTERS);
    expect(both.map(({ before, after }) => [before, after])).toEqual([
      [10, 3],
      [3, 7],
    ]);
    expect(both[0]?.say).toBe('not enough to say');
  });

  it('does not take a recovery that went on anyway for the programme’s', () => {
    const steady = daily(Array.from({ length: 42 }, (_, day) => 8 - day / 7 + (day % 3) / 2));
    const [found] = compareSeams(steady, [FIRST, addDays(FIRST, 21)], PAIN_MATTERS);
    expect(found?.overlap?.low).toBeGreaterThan(0.5);
    expect(found?.say).toBe('no clear difference');
  });

  it('says nothing of a first programme', () => {
    expect(compareSeams(daily([5, 5, 5]), [FIRST], PAIN_MATTERS)).toEqual([]);
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
