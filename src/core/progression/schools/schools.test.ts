import { exercise, facts, sessions, three } from '../../../../tests/support/step-cases';
import { formatDose } from '../../dose';
import { type StepFacts, nextStep } from '..';

const proposed = (given: StepFacts) => {
  const { move, dose, exercise: other } = nextStep(given);
  return [move, dose && formatDose(dose), other?.id ?? null];
};

describe('every school, as its rule says (common practice, no source, unless named)', () => {
  it('lengthening goes from 3 to 5 to 10 s, then up the stairs', () => {
    expect(proposed(facts('lengthen', 'x10 hold 3s gap 3s', { logs: three({ hold: 3 }) }))).toEqual(
      ['advance hold', 'x10 hold 5s gap 3s', null],
    );
    expect(proposed(facts('lengthen', '10x5s', { logs: three({ hold: 5 }) }))[1]).toBe('10x10s');
    const top = facts('lengthen', 'x10 hold 10s gap 3s', { logs: three({ hold: 10 }) });
    expect(proposed(top)[0]).toBe('advance rung');
    expect(proposed(top)[2]).toBe('tuck-lighten');
  });

  it('lengthening stays while the holds are let go early', () => {
    const step = nextStep(facts('lengthen', '10x5s', { logs: three({ hold: 4 }) }));
    expect(step).toMatchObject({ move: 'stay', dose: null });
    expect(step.why).toContain('held 4 s of 5 s');
  });

  it('climbing takes the next open step, and stays where there is none', () => {
    expect(proposed(facts('climb', 'x10'))[0]).toBe('advance rung');
    expect(proposed(facts('climb', 'x10', { above: null }))[0]).toBe('stay');
  });

  it('volume then load waits until all three sets reach 15, then a real step back at ten', () => {
    const row = exercise('band-row');
    const at = (sets: number[]) =>
      facts('volume-load', '3x10-15 20kg rest 60s', { exercise: row, logs: three({ sets }) });
    expect(nextStep(at([15, 15, 12])).why).toContain('12 of 15 in the poorest set');
    const step = nextStep(at([15, 15, 15]));
    expect(step.move).toBe('advance load');
    // Fifteen with 20 kg predict 22.5 kg for ten (Epley 1985; memory).
    expect(step.dose && formatDose(step.dose)).toContain('22.5kg');
    expect(step.dose && formatDose(step.dose)).toContain('3x10-15');
  });

  it('performance sets grow when all reach seven', () => {
    const step = (sets: number[]) =>
      nextStep(
        facts('volume-load', '5x5-7 20kg rest 2min warm-up 2', {
          exercise: exercise('band-row'),
          logs: three({ sets }),
        }),
      );
    expect(step([7, 7, 7, 7, 6]).move).toBe('stay');
    // Seven with 20 kg predict 21.33 kg for five (Brzycki 1993; memory): a real step.
    const grown = step([7, 7, 7, 7, 7]).dose?.load;
    expect(grown?.kind === 'weight' ? grown.perSet[0] : 0).toBeCloseTo(21.33, 2);
  });

  it('descending sets go from 10 to 15 s, then up the stairs', () => {
    const logs = three({ sets: [6, 4, 2], hold: 10 });
    expect(proposed(facts('descending-sets', '6-4-2 hold 10s rest 20-30s', { logs }))[1]).toBe(
      '6-4-2 hold 15s rest 20-30s',
    );
    const full = three({ sets: [6, 4, 2], hold: 15 });
    expect(
      proposed(facts('descending-sets', '6-4-2 hold 15s rest 20-30s', { logs: full }))[0],
    ).toBe('advance rung');
  });

  it('pain-relief holds go from one minute towards five, by half as much again', () => {
    const step = (dose: string, hold: number) =>
      proposed(facts('pain-relief', dose, { logs: three({ hold, sets: [1] }) }));
    expect(step('x1 hold 1min 40-50%', 60)[1]).toBe('x1 hold 90s 40-50%');
    expect(step('x1 hold 2min 40-50%', 120)[1]).toBe('x1 hold 3min 40-50%');
    expect(step('x1 hold 5min 40-50%', 300)[0]).toBe('stay');
  });

  it.each([
    ['barriers', '30s at 3 barriers'],
    ['angles', '5x5s at 3 angles rest 60s 50% every other day'],
  ] as const)('%s stays as it is', (school, dose) => {
    expect(proposed(facts(school, dose))[0]).toBe('stay');
  });

  it('repeated movements go on to the next stage only while symptoms draw in', () => {
    const given = (limb: StepFacts['limb']) =>
      facts('repeated', 'x10 8/day', {
        exercise: exercise('press-up'),
        above: exercise('standing-back-bend'),
        limb,
      });
    expect(nextStep(given('drawing in')).move).toBe('advance rung');
    expect(nextStep(given('no clear change')).move).toBe('stay');
    expect(nextStep(given('spreading')).move).toBe('stop');
    expect(nextStep(given('deficit grows')).move).toBe('stop');
  });

  it.each(['spreading', 'deficit grows'] as const)(
    'with %s glides stop and nothing grows',
    (limb) => {
      const glide = facts('lengthen', 'x10 move 4s', { exercise: exercise('median-slider'), limb });
      expect(nextStep({ ...glide, school: null })).toMatchObject({ move: 'stop' });
      const other = facts('lengthen', '10x5s', { limb });
      expect(nextStep({ ...other, limb: null }).move).toBe('advance hold');
      expect(nextStep(other)).toMatchObject({ move: 'stay' });
      expect(nextStep(other).why).toContain('nothing grows before that is examined');
    },
  );

  // After Knight 1979, rows as in later textbooks (memory): fourth set → next working load, pounds.
  it.each([
    [1, 'step back', 52.5],
    [3, 'stay', null],
    [4, 'stay', null],
    [5, 'advance load', 67.5],
    [7, 'advance load', 67.5],
    [8, 'advance load', 70],
    [12, 'advance load', 70],
    [13, 'advance load', 75],
  ])('the adjustable scheme after %d repetitions in the fourth set: %s', (reps, move, load) => {
    const step = nextStep(
      facts('adjustable', '10-6-6-6 30/45/60/adj lb rest 2min every other day', {
        exercise: exercise('band-row'),
        logs: sessions({ sets: [10, 6, 6, reps] }),
      }),
    );
    expect(step.move).toBe(move);
    expect(step.dose?.load?.kind === 'weight' ? step.dose.load.perSet[2] : null).toBe(load);
  });

  it.each([
    ['not counted, though the clock played on', undefined, null],
    ['counted', { set: 4, reps: 8, load: null }, 70],
    [
      'counted, at the weight that was lifted',
      { set: 4, reps: 8, load: { amount: 65, unit: 'lb' } },
      75,
    ],
    ['with its weight noted only', { set: 4, reps: null, load: { amount: 65, unit: 'lb' } }, null],
  ] as const)('the adjustable scheme with a fourth set until form fails %s', (_, fourth, load) => {
    const step = nextStep(
      facts('adjustable', '10-6-max-max 30/45/60/adj lb rest 2min every other day', {
        exercise: exercise('band-row'),
        logs: sessions({ sets: [10, 6, 9, 20], ...(fourth ? { counted: [fourth] } : {}) }),
      }),
    );
    expect(step.dose?.load?.kind === 'weight' ? step.dose.load.perSet[2] : null).toBe(load);
  });

  it('the adjustable scheme rounds to what is owned', () => {
    const step = nextStep(
      facts('adjustable', '10-6-6-6 30/45/60/adj lb rest 2min every other day', {
        exercise: exercise('band-row'),
        logs: sessions({ sets: [10, 6, 6, 8] }),
        owned: [60, 65, 80],
      }),
    );
    expect(step.why).toContain('60 → 65');
  });
});
