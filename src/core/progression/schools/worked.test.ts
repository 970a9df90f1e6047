import { NO_SETTINGS } from '../../school';
import fc from 'fast-check';
import { dose as anyDose } from '../../../../tests/support/dose-lines';
import { exercise, FIRST, good } from '../../../../tests/support/step-cases';
import { asLine, digest, drawnCases } from '../../../../tests/support/worked';
import { MEASURES, type SessionLog } from '../../course';
import { type Dose, formatDose, doseOf } from '../../dose';
import type { CountedSet } from '../../history';
import type { BandCurve } from '../../load';
import { takeOff } from '..';
import { fewerInEach } from '../steps/take-off';
import { ADJUSTABLE } from './adjustable';
import { heavier } from './heavier';
import type { Growth, Standing } from './school';

/**
 * Worked examples of the loads: weights and counts drawn from few numbers, so that they often meet the
 * edges. Their rules and sources stand at the code; what comes of them changes on purpose only.
 */
const WEIGHTS = [0.5, 1, 2, 2.5, 3, 4, 5, 7.5, 10, 12.5, 15, 20, 22.5, 25, 30, 40];
const owned = fc.oneof(fc.constant([]), fc.subarray([0, ...WEIGHTS], { maxLength: 7 }));
const weight = fc.constantFrom(...WEIGHTS);
const unit = fc.constantFrom('kg' as const, 'kg' as const, 'lb' as const);

const standing = (change: Partial<Standing> & Pick<Standing, 'dose'>): Standing => ({
  exercise: exercise('band-row'),
  settings: NO_SETTINGS,
  sessions: [],
  owned: [],
  unit: 'kg',
  bands: [],
  past: [change.dose],
  ...change,
});
const said = (growth: Growth) =>
  asLine(
    growth.kind,
    growth.kind === 'dose' ? `${formatDose(growth.dose)} by ${growth.measure}` : '',
    growth.kind === 'choose'
      ? growth.choices.map(({ dose, say }) => [formatDose(dose), digest(say)])
      : '',
    growth.kind === 'ask' ? growth.what : '',
    digest(growth.why),
  );

const scheme = (working: number, of: 'kg' | 'lb', last: number | 'adj' = 'adj') =>
  doseOf(
    `10-6-max-max ${[working / 2, (working * 3) / 4, working, last].join('/')} ${of} rest 2min every other day`,
  );

describe('worked examples of loads', () => {
  it('the fourth set and what it asks for', () => {
    const counted = fc.record({
      reps: fc.oneof(fc.constant(null), fc.nat({ max: 12 })),
      noted: fc.oneof(fc.constant(null), fc.constant(null), fc.tuple(weight, unit)),
    });
    const cases = drawnCases(
      fc.record({
        working: weight,
        unit,
        third: counted,
        fourth: fc.oneof(fc.nat({ max: 20 }), fc.nat({ max: 9 })),
        lifted: fc.oneof(fc.constant(null), fc.tuple(weight, unit)),
        owned,
        before: fc.array(weight, { maxLength: 4 }),
        isCounted: fc.boolean(),
      }),
      400,
      47,
    );
    expect(
      cases.map((one) => {
        const dose = scheme(one.working, one.unit);
        const set = (
          nth: number,
          reps: number | null,
          noted: readonly [number, 'kg' | 'lb'] | null,
        ): CountedSet => ({
          set: nth,
          reps,
          load: noted && { amount: noted[0], unit: noted[1] },
        });
        const log: SessionLog = {
          ...good,
          id: 's',
          date: FIRST,
          sets: [10, 6, one.third.reps ?? 0, one.fourth],
          ...(one.isCounted
            ? {
                counted: [set(3, one.third.reps, one.third.noted), set(4, one.fourth, one.lifted)],
              }
            : {}),
        };
        const growth = ADJUSTABLE.next(
          standing({
            dose,
            unit: one.unit,
            owned: one.owned,
            sessions: [log],
            past: [...one.before.map((working) => scheme(working, one.unit)), dose],
          }),
        );
        return asLine(
          `${one.working} ${one.unit}`,
          one.isCounted ? [one.third, one.fourth, one.lifted] : one.fourth,
          one.owned,
          one.before,
          said(growth),
        );
      }),
    ).toMatchSnapshot();
  });

  it('a heavier load or band once the repetitions are reached', () => {
    const points = fc
      .tuple(fc.constantFrom(10, 20, 40, 80), fc.subarray([0, 50, 100, 150, 200], { minLength: 1 }))
      .map(([newtons, at]) =>
        at.map((stretchPercent) => ({ stretchPercent, newtons: (newtons * stretchPercent) / 100 })),
      );
    const bands: fc.Arbitrary<readonly BandCurve[]> = fc
      .array(points, { maxLength: 3 })
      .map((all) =>
        all.map((one, i) => ({ name: ['ours', 'other', 'third'][i] ?? '', points: one })),
      );
    const lines = fc.oneof(
      fc.tuple(weight, unit).map(([one, of]) => `3x10-15 ${one}${of}`),
      fc.tuple(weight, weight, unit).map(([a, b, of]) => `2x10-15 ${a}/${b} ${of}`),
      fc.constantFrom(
        '3x10-15',
        '3x10-15 band light',
        '3x10-15 band firm',
        '3x10-15 band "ours"',
        '3x10-15 50% 10rm',
      ),
      fc.constantFrom(40, 95, 100, 110, 195, 200).map((at) => `3x10-15 band "ours" stretch ${at}%`),
    );
    expect(
      drawnCases(
        fc.record({
          line: lines,
          owned,
          bands,
          reps: fc.integer({ min: 5, max: 16 }),
          backTo: fc.constantFrom(5, 8, 10, 12),
          at: fc.constantFrom('band-row', 'straight-leg-raise', 'tuck-lying'),
        }),
        400,
        48,
      ).map((one) =>
        asLine(
          one.line,
          one.at,
          [one.reps, one.backTo],
          one.owned,
          one.bands.map(({ points: all }) =>
            all.map(({ stretchPercent: p, newtons }) => [p, newtons]),
          ),
          said(
            heavier(
              standing({
                dose: doseOf(one.line),
                owned: one.owned,
                bands: one.bands,
                exercise: exercise(one.at),
              }),
              one.reps,
              one.backTo,
            ),
          ),
        ),
      ),
    ).toMatchSnapshot();
  });

  it('what is taken off, measure by measure', () => {
    const measures = MEASURES.filter((one) => one !== 'work');
    const off = (
      dose: Dose,
      of: (typeof measures)[number],
      there: readonly number[],
      at: readonly number[],
    ) => {
      const less = takeOff(dose, [of], { stations: at, owned: there });
      return less ? formatDose(less.dose) : '–';
    };
    const LINES = [
      '5-3-1 2kg',
      '1-1-1 1kg',
      '3x1 1kg',
      '1x2 0.5kg',
      '2x2 1/2 kg warm-up 1',
      '3x5 1kg warm-up 2',
      '4x6 1/2/2.5/3 kg',
      '10-6-max-max 5/7.5/10/adj kg',
      '3x10 50% 10rm',
      '3x10 1% 10rm',
      '3x10 11% 10rm',
      '2x30s',
      '1x30s',
      '3x10 band medium',
      '3x10 band light',
      '3x10 band "ours" stretch 100%',
    ];
    expect(
      [
        ...LINES.map((line) => [line, doseOf(line)] as const),
        ...drawnCases(anyDose, 120, 49).map((dose) => [formatDose(dose), dose] as const),
      ].map(([line, dose], i) => {
        const there = i % 3 === 0 ? [] : i % 3 === 1 ? [0, 0.5, 1, 2, 3] : [1, 2.5, 5, 10, 20];
        const at = i % 2 === 0 ? [] : [3, 5, 10, 30];
        return asLine(
          line,
          there,
          at,
          measures.map((of) => off(dose, of, there, at)),
        );
      }),
    ).toMatchSnapshot();
    expect(
      [[1, 1, 'max'], [2, 1], [6, 4, 2], ['max']].map((reps) => fewerInEach(reps as number[])),
    ).toEqual([null, [1, 1], [5, 3, 1], null]);
  });
});
