import fc from 'fast-check';
import {
  ADVICE,
  ARM_CHAIN,
  COMPARED,
  COMPLAINTS,
  NO_BASELINE,
  REPORT_RULES,
  type SymptomBaseline,
  type SymptomReport,
  adviseOn,
  isFurther,
  isStopAdvice,
} from '.';

const report = (change: Partial<SymptomReport>): SymptomReport => ({
  complaint: 'other',
  severity: 2,
  compared: 'as usual',
  furthest: null,
  ...change,
});
const advice = (change: Partial<SymptomReport>, baseline: SymptomBaseline = NO_BASELINE) =>
  adviseOn(report(change), baseline).advice;

const TINGLING: SymptomBaseline = { worst: 5, arm: 4, leg: null, known: ['numb or tingling'] };

describe('what a patient is told who says something is wrong', () => {
  it('carries on easier with the discomfort that is normal (common practice, no source)', () => {
    expect(advice({ complaint: 'ordinary soreness', severity: 2 })).toBe('carry on easier');
    expect(advice({ complaint: 'ordinary soreness', severity: 5 })).toBe('carry on easier');
  });

  it('is safe to 2, acceptable to 5, too much beyond (Thomeé 1997; from memory)', () => {
    expect(advice({ severity: 2 })).toBe('carry on easier');
    expect(advice({ severity: 3 })).toBe('skip this one');
    expect(advice({ severity: 5 })).toBe('skip this one');
    expect(advice({ severity: 6 })).toBe('stop today');
  });

  it('stops for a sight change, weakness or anything severe whatever the baseline', () => {
    for (const baseline of [NO_BASELINE, TINGLING]) {
      expect(advice({ complaint: 'sight', severity: 0 }, baseline)).toBe('emergency');
      expect(advice({ complaint: 'weakness', severity: 1 }, baseline)).toBe('stop and call');
      expect(advice({ complaint: 'fall or blow', severity: 0 }, baseline)).toBe('stop and call');
      expect(isStopAdvice(advice({ severity: 8 }, baseline))).toBe(true);
    }
    expect(advice({ complaint: 'fall or blow', severity: 8, compared: 'new' })).toBe('emergency');
    expect(advice({ complaint: 'headache', severity: 9, compared: 'new' })).toBe('emergency');
  });

  it('holds a tingling arm against its own baseline: as usual goes on, new or worse stops', () => {
    const tingling = { complaint: 'numb or tingling', severity: 3, furthest: 'forearm' } as const;
    expect(advice(tingling, TINGLING)).toBe('skip this one');
    expect(advice({ ...tingling, severity: 2 }, TINGLING)).toBe('carry on easier');
    expect(advice(tingling)).toBe('stop and call');
    expect(advice({ ...tingling, compared: 'worse' }, TINGLING)).toBe('stop and call');
    expect(advice({ ...tingling, compared: 'not settling' }, TINGLING)).toBe('stop and call');
  });

  it('stops when it reaches further than usual, even if the patient calls it usual', () => {
    expect(advice({ complaint: 'numb or tingling', furthest: 'fingers' }, TINGLING)).toBe(
      'stop and call',
    );
    expect(advice({ complaint: 'spreading further', severity: 1 }, TINGLING)).toBe('stop and call');
    expect(isFurther('neck', NO_BASELINE)).toBe(false);
    expect(isFurther('elbow', NO_BASELINE)).toBe(true);
    expect(isFurther('chest', NO_BASELINE)).toBe(false);
  });

  it('counts two points above the usual worst as worse (Farrar 2001)', () => {
    const headache = { complaint: 'headache' } as const;
    const known: SymptomBaseline = { worst: 4, arm: null, leg: null, known: ['headache'] };
    expect(advice({ ...headache, severity: 5 }, known)).toBe('skip this one');
    expect(advice({ ...headache, severity: 6 }, known)).toBe('stop and call');
  });

  const baselines = fc.record({
    worst: fc.option(fc.integer({ min: 0, max: 10 })),
    arm: fc.option(fc.integer({ min: 0, max: 6 })),
    leg: fc.option(fc.integer({ min: 0, max: 6 })),
    known: fc.subarray([...COMPLAINTS]),
  });
  const reports = fc.record({
    complaint: fc.constantFrom(...COMPLAINTS),
    severity: fc.integer({ min: 0, max: 10 }),
    compared: fc.constantFrom(...COMPARED),
    furthest: fc.option(fc.constantFrom(...ARM_CHAIN)),
  });
  const weight = (one: SymptomReport, baseline: SymptomBaseline) =>
    ADVICE.indexOf(adviseOn(one, baseline).advice);

  it('is never milder for more pain, nor for what is worse than usual', () => {
    fc.assert(
      fc.property(reports, baselines, (one, baseline) => {
        const more = { ...one, severity: Math.min(10, one.severity + 1) };
        expect(weight(more, baseline)).toBeGreaterThanOrEqual(weight(one, baseline));
        expect(weight({ ...one, compared: 'worse' }, baseline)).toBeGreaterThanOrEqual(
          weight({ ...one, compared: 'as usual' }, baseline),
        );
      }),
    );
  });

  it('always says why, and names its source', () => {
    for (const { reason, source } of REPORT_RULES) {
      expect(reason).toMatch(/\.$/);
      expect(source).toMatch(/source|memory|Farrar/i);
    }
  });
});
