import fc from 'fast-check';
import { parseDose } from '../dose';
import {
  fraction,
  holdCheck,
  loadContradiction,
  oneRepMaximum,
  powerEndurance,
  predictedEndurance,
  repsAllowed,
  rohmertEndurance,
} from '.';

const check = (line: string) => {
  const dose = parseDose(line);
  if (!dose.ok) throw new Error(dose.say);
  return holdCheck(dose.value);
};

describe('endurance of a steady hold', () => {
  it('Rohmert 1960: 1.10 min at 50 %, 2.54 min at 30 %', () => {
    expect((rohmertEndurance(fraction(0.5)) ?? 0) / 60).toBeCloseTo(1.1, 10);
    expect((rohmertEndurance(fraction(0.3)) ?? 0) / 60).toBeCloseTo(2.54, 2);
    expect(rohmertEndurance(fraction(0.15))).toBeNull();
  });
  it('Frey Law & Avin 2010 (memory): 52 s at 50 %, 130 s at 30 %, joints pooled', () => {
    expect(powerEndurance(fraction(0.5), 'joints')).toBeCloseTo(52, 0);
    expect(powerEndurance(fraction(0.3), 'joints')).toBeCloseTo(130, 0);
    expect(powerEndurance(fraction(1), 'trunk')).toBeCloseTo(22.69, 10);
    expect(powerEndurance(fraction(0), 'joints')).toBeNull();
  });
  it('is given as the spread: about 50–110 s at 50 %, 130–350 s at 30 %', () => {
    const spread = (f: number) => predictedEndurance({ least: fraction(f), most: fraction(f) });
    expect(Math.round(spread(0.5)?.least ?? 0)).toBe(52);
    expect(Math.round(spread(0.5)?.most ?? 0)).toBe(109);
    expect(Math.round(spread(0.3)?.least ?? 0)).toBe(130);
    expect(Math.round(spread(0.3)?.most ?? 0)).toBe(349);
  });
  it('never lasts longer at more effort', () => {
    const effort = fc.double({ min: 0.16, max: 1, noNaN: true });
    fc.assert(
      fc.property(effort, effort, (a, b) => {
        const [low, high] = [fraction(Math.min(a, b)), fraction(Math.max(a, b))];
        expect(powerEndurance(high, 'trunk')).toBeLessThanOrEqual(
          powerEndurance(low, 'trunk') ?? 0,
        );
        expect(predictedEndurance({ least: low, most: high })?.least).toBeLessThanOrEqual(
          predictedEndurance({ least: low, most: low })?.least ?? 0,
        );
      }),
    );
  });
});

describe('the check of a hold', () => {
  it('is within, differs between models, or is beyond', () => {
    expect(check('3x30s 50%')?.verdict).toBe('within');
    expect(check('3x60s 50%')?.verdict).toBe('models differ');
    expect(check('3x5min 50%')?.verdict).toBe('beyond');
  });
  it('is none of a hold without effort, or of one that is short', () => {
    expect([check('3x60s'), check('3x15s 90%'), check('3x15s rpe 10')]).toEqual([null, null, null]);
    expect(check('3x16s 90%')?.asked.most).toBe(16);
  });
  it('reads a perceived effort in tenths, and both ends of a range', () => {
    const both = check('x1 hold 60s rpe 3-5');
    expect([Math.round(both?.predicted.least ?? 0), Math.round(both?.predicted.most ?? 0)]).toEqual(
      [52, 349],
    );
  });
  it('offers at least the same held time in holds that every model lets be held', () => {
    expect(check('3x60s 50%')?.shorter).toEqual({ reps: 8, hold: 25 });
    expect(check('3x30s 50%')?.shorter).toBeNull();
    fc.assert(
      fc.property(
        fc.integer({ min: 1, max: 5 }),
        fc.integer({ min: 20, max: 300 }),
        fc.integer({ min: 20, max: 100 }),
        (reps, span, percent) => {
          const found = check(`${reps}x${span}s ${percent}%`);
          if (!found?.shorter) return;
          expect(found.shorter.reps * found.shorter.hold).toBeGreaterThanOrEqual(reps * span);
          expect(found.shorter.hold).toBeLessThanOrEqual(Math.max(5, found.predicted.least));
        },
      ),
    );
  });
  it('says nothing where no effort or no long hold is written', () => {
    expect(check('3x60s')).toBeNull();
    expect(check('10x10s 50%')).toBeNull();
    expect(check('3x10 50%')).toBeNull();
  });
});

describe('one-repetition maximum (Epley 1985, Brzycki 1993; memory)', () => {
  it('agree at ten: the ten-rep maximum is 75 % of the one-rep maximum', () => {
    expect(oneRepMaximum(75, 10).least).toBeCloseTo(100, 10);
    expect(oneRepMaximum(75, 10).most).toBeCloseTo(100, 10);
    expect(oneRepMaximum(50, 1)).toEqual({ least: 50, most: 50 });
  });
  it('80 % allows 7–8 repetitions, 60 % about 20', () => {
    const { least, most } = repsAllowed(fraction(0.8));
    expect([least, most]).toEqual([expect.closeTo(7.5, 5), expect.closeTo(8.2, 5)]);
    expect(repsAllowed(fraction(0.6)).most).toBeCloseTo(20, 5);
    expect(repsAllowed(fraction(1))).toEqual({ least: 1, most: 1 });
  });
  it('turned round gives back the share', () => {
    fc.assert(
      fc.property(fc.integer({ min: 2, max: 30 }), (reps) => {
        const { least, most } = oneRepMaximum(100, reps);
        expect(repsAllowed(fraction(100 / most)).most).toBeGreaterThanOrEqual(reps - 1e-6);
        expect(repsAllowed(fraction(100 / least)).least).toBeLessThanOrEqual(reps + 1e-6);
      }),
    );
  });
  it('finds 3 × 10 at 80 % inconsistent, and 3 × 10 at 60 % not (common practice)', () => {
    const contradiction = (line: string) => {
      const dose = parseDose(line);
      if (!dose.ok) throw new Error(dose.say);
      return loadContradiction(dose.value);
    };
    expect(contradiction('3x10 80% 1rm')).toMatchObject({ asked: 10, percent: 80 });
    expect(contradiction('3x8 80% 1rm')).toBeNull();
    expect(contradiction('3x9 80% 1rm')).toBeNull();
    expect(contradiction('3x6 80% 1rm')).toBeNull();
    expect(contradiction('3x5 80% 1rm')).toMatchObject({ kind: 'too light', asked: 5 });
    expect(contradiction('3x10 60% 1rm')).toMatchObject({ kind: 'too light', set: 1 });
    expect(contradiction('3x10 110% 10rm')).toMatchObject({ kind: 'too heavy', of: '10rm' });
    expect(contradiction('x1 140% 10rm')).toMatchObject({ kind: 'too heavy', asked: 1 });
    // Set by set: a pyramid is no contradiction, whatever its first set and its last load are.
    expect(contradiction('10-8-6 60/70/80% 1rm')).toBeNull();
    expect(contradiction('6-8-10 60/70/80% 1rm')).toMatchObject({ kind: 'too heavy', set: 3 });
    // DeLorme & Watkins 1948: the first two sets are light on purpose.
    expect(contradiction('3x10 50/75/100% 10rm')).toBeNull();
    expect(contradiction('3x10 100% 10rm')).toBeNull();
    // Until form fails is as many as the load allows (Knight 1979; memory).
    expect(contradiction('10-6-max-max 50/75/100/100% 10rm')).toBeNull();
    expect(contradiction('xmax 150% 1rm')).toMatchObject({ kind: 'too heavy', asked: 1 });
    expect(contradiction('10-max 95/60% 1rm')).toMatchObject({ kind: 'too heavy', set: 1 });
    expect(contradiction('3x10')).toBeNull();
  });
});
