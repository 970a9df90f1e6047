import fc from 'fast-check';
import { parseDose } from '../dose';
import {
  ASCENDING_PERCENT,
  DESCENDING_PERCENT,
  bandCurveProblem,
  bandForce,
  forceBand,
  fourthSetLoad,
  loadStep,
  nextWorkingLoad,
  roundLoad,
  schemeLoads,
  tenRepMaximum,
} from '.';

describe('sets at shares of the ten-rep maximum', () => {
  it('DeLorme & Watkins 1948: ten at 50, 75 and 100 %', () => {
    expect(schemeLoads(20, ASCENDING_PERCENT)).toEqual([10, 15, 20]);
  });
  it('the descending mirror, textbook form of Zinovieff 1951 (memory)', () => {
    expect(schemeLoads(20, DESCENDING_PERCENT)).toEqual([20, 15, 10]);
  });
  it('rounds to what the patient owns and says what that did', () => {
    expect(roundLoad(7.5, [5, 8, 10])).toEqual({ wanted: 7.5, load: 8, offPercent: 7 });
    expect(roundLoad(7.5, [10, 5])).toMatchObject({ load: 5, offPercent: -33 });
    expect(roundLoad(7.5, [])).toMatchObject({ load: null });
  });
});

describe('the daily adjustable scheme (after Knight 1979, textbook rows; memory)', () => {
  it.each([
    [0, -10, -5, true],
    [2, -10, -5, true],
    [3, -5, 0, false],
    [4, -5, 0, false],
    [5, 0, 0, false],
    [7, 0, 0, false],
    [8, 5, 10, false],
    [12, 5, 10, false],
    [13, 10, 15, false],
  ])('set 3 of %i: %i to %i lb', (reps, least, most, repeat) => {
    expect(fourthSetLoad(reps, 60, 'lb')).toEqual({ least: 60 + least, most: 60 + most, repeat });
  });
  it.each([
    [1, -10, -5],
    [4, 0, 0],
    [5, 5, 10],
    [8, 5, 15],
    [13, 10, 20],
    [40, 10, 20],
  ])('set 4 of %i: next working load %i to %i lb', (reps, least, most) => {
    expect(nextWorkingLoad(reps, 60, 'lb')).toMatchObject({ least: 60 + least, most: 60 + most });
  });
  it('reckons in kilograms too, and never below nothing', () => {
    expect(fourthSetLoad(13, 20, 'kg')).toEqual({ least: 24.5, most: 26.8, repeat: false });
    expect(fourthSetLoad(0, 2, 'lb').least).toBe(0);
  });
});

describe('the real step in load', () => {
  it('is bounded by the ten-rep maximum that the repetitions predict (Epley 1985; memory)', () => {
    expect(tenRepMaximum(20, 15)).toEqual({ least: 22.5, most: 22.5 });
    expect(loadStep(20, 15, []).to).toBe(22.5);
    expect(loadStep(20, 15, [20, 22, 25]).to).toBe(22);
  });
  it('says so when no weight owned is a real step within the bound', () => {
    expect(loadStep(20, 15, [20, 20.5, 30])).toMatchObject({ to: null });
    expect(loadStep(20, 15, [20, 30]).say).toContain('30');
    expect(loadStep(20, 15, [10, 20]).say).toBe('No heavier weight is owned.');
    expect(loadStep(20, 10, []).say).toContain('do not predict room');
  });
  it('never leaves the bound, and is never a token step', () => {
    const weights = fc.array(fc.double({ min: 1, max: 60, noNaN: true }), { maxLength: 12 });
    fc.assert(
      fc.property(
        fc.double({ min: 1, max: 50, noNaN: true }),
        fc.integer({ min: 11, max: 20 }),
        weights,
        (from, reps, owned) => {
          const step = loadStep(from, reps, owned);
          if (step.to === null) return;
          expect(step.to).toBeLessThanOrEqual(step.bound + 1e-6);
          expect(step.to).toBeGreaterThanOrEqual(from * 1.05 - 1e-6);
        },
      ),
    );
  });
});

describe('a band measured by the clinic', () => {
  const firm = [
    { stretchPercent: 0, newtons: 0 },
    { stretchPercent: 50, newtons: 24 },
    { stretchPercent: 100, newtons: 36 },
  ];
  it('passes its points and warns beyond them', () => {
    expect(bandForce(firm, 50)).toEqual({ newtons: 24, extrapolated: false });
    expect(bandForce(firm, 0)?.newtons).toBe(0);
    expect(bandForce(firm, 100)?.newtons).toBeCloseTo(36, 10);
    expect(bandForce(firm, 150)).toMatchObject({ extrapolated: true });
    expect(bandForce([firm[2] ?? { stretchPercent: 0, newtons: 0 }], 50)).toBeNull();
  });
  it('is a straight line through two points', () => {
    expect(
      bandForce(
        [firm[0], firm[2]].filter((point) => point !== undefined),
        50,
      )?.newtons,
    ).toBeCloseTo(18, 10);
  });
  it('says what is no curve', () => {
    expect(bandCurveProblem([...firm, { stretchPercent: 50, newtons: 25 }])).toContain('twice');
    expect(bandCurveProblem([...firm, { stretchPercent: 120, newtons: 20 }])).toContain(
      'less than',
    );
    expect(bandCurveProblem(firm)).toBeNull();
  });
  it('never falls where the points rise, whatever they are (Fritsch & Carlson 1980)', () => {
    const steps = fc.array(
      fc.record({ by: fc.integer({ min: 1, max: 60 }), more: fc.integer({ min: 0, max: 40 }) }),
      { minLength: 2, maxLength: 9 },
    );
    fc.assert(
      fc.property(steps, (list) => {
        let [stretchPercent, newtons] = [0, 0];
        const points = list.map(({ by, more }) => {
          stretchPercent += by;
          newtons += more;
          return { stretchPercent, newtons };
        });
        const [low, high] = [points[0]?.stretchPercent ?? 0, points.at(-1)?.stretchPercent ?? 0];
        let before = -Infinity;
        for (let at = 0; at <= 60; at += 1) {
          const force = bandForce(points, low + ((high - low) * at) / 60)?.newtons ?? NaN;
          expect(force).toBeGreaterThanOrEqual(before - 1e-9);
          before = force;
        }
      }),
    );
  });
});

it('turns an effort into newtons and kilograms from the measured maximum', () => {
  const dose = parseDose('x1 hold 60s 30-50%');
  if (!dose.ok) throw new Error(dose.say);
  const found = forceBand(dose.value, 120);
  expect(found?.newtons).toEqual({ least: 36, most: 60 });
  // 60 N ÷ 9.80665 m/s², standard gravity.
  expect(found?.kilograms.most).toBeCloseTo(6.118, 3);
});
