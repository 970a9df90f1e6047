import {
  CLINICIAN,
  PROPOSAL,
  type Part,
  at,
  line,
  on,
  said,
} from '../../../tests/support/course-parts';
import { exercise, facts, sessions, three } from '../../../tests/support/step-cases';
import { formatDose } from '../dose';
import { isGrowth, nextStep } from '.';

describe('two sore mornings', () => {
  it('on alternate days ask for less, not for rest once more', () => {
    const sore = { nextMorning: 'still sore' } as const;
    const step = said(
      facts('lengthen', 'x10 hold 5s gap 3s every other day', { logs: sessions({}, sore, sore) }),
    );
    expect(step).toMatchObject({ move: 'step back', to: 'x10 hold 3s gap 3s every other day' });
  });
});

describe('steps are bounded, and back is less', () => {
  it.each([
    // What was found: 20 → 300 s held, 3 → 63 s.
    ['lengthen', 'x10 hold 1s each side', 'x10 hold 2s each side'],
    ['pain-relief', 'x1 hold 3s 40%', 'x1 hold 6s 40%'],
    ['pain-relief', 'x1 hold 1min 40%', 'x1 hold 90s 40%'],
    ['lengthen', '3x30s gap 60s', '3x45s gap 60s'],
    ['lengthen', '3x10-15s gap 15s', '3x15s gap 15s'],
  ] as const)('%s: %s → %s', (school, from, to) => {
    const logs = three({ hold: 60, sets: [10] });
    const step = said(facts(school, from, { logs, exercise: exercise('prone-neck-hold') }));
    expect([step.move, step.to]).toEqual(['advance hold', to]);
  });

  it('a step straight to the next station is offered beside, for the clinician to choose', () => {
    const step = nextStep(
      facts('lengthen', '3x30s gap 60s', {
        logs: three({ hold: 30 }),
        exercise: exercise('prone-neck-hold'),
      }),
    );
    expect(step.choices.map(({ dose }) => formatDose(dose))).toEqual(['3x60s gap 60s']);
  });

  it('a step down the stairs lands on no heavier dose', () => {
    const below = exercise('tuck-lying');
    const step = nextStep(
      facts('climb', 'x1 hold 1s daily', {
        logs: sessions({ pain: 7 }),
        exercise: exercise('tuck-lift'),
        below,
      }),
    );
    expect(step).toMatchObject({ move: 'step back', exercise: { id: 'tuck-lying' } });
    expect(step.dose && formatDose(step.dose)).toBe('1s daily');
  });

  it('a step down the stairs asks for no harder push and no more repetitions either', () => {
    const below = { ...exercise('tuck-lying'), doses: {}, usualDose: 'x10 hold 1s gap 3s 50%' };
    const down = (dose: string) =>
      nextStep(
        facts('descending-sets', dose, {
          logs: sessions({ pain: 7 }),
          exercise: exercise('tuck-lift'),
          below,
        }),
      );
    const step = down('x1 hold 1s 20% daily');
    expect(step).toMatchObject({ move: 'step back', exercise: { id: 'tuck-lying' } });
    expect(step.dose && formatDose(step.dose)).toBe('x1 hold 1s 20% daily');
  });

  it('what grew last is what is taken back', () => {
    const parts: readonly Part[] = [
      ['x10 hold 5s gap 3s daily', 0, CLINICIAN, on([0], [1], [2])],
      ['x10 hold 5s gap 3s 2/day daily', 3, PROPOSAL, on([3, { pain: 6 }])],
    ];
    expect(said(line('lengthen', parts, at(4))).to).toBe('x10 hold 5s gap 3s daily');
  });
});

describe('every reduction has its way back', () => {
  const borne = (day: number) => on([day], [day + 2], [day + 4], [day + 6], [day + 8], [day + 10]);
  it.each([
    ['barriers', '30s at 3 barriers daily', '30s at 2 barriers daily', '30s at 3 barriers daily'],
    ['barriers', '30s at 3 barriers daily', '30s daily', '30s at 3 barriers daily'],
    [
      'angles',
      '5x5s at 3 angles rest 60s 50%',
      '5x5s at 2 angles rest 60s 50%',
      '5x5s at 3 angles rest 60s 50%',
    ],
    [
      'angles',
      '5x5s at 3 angles rest 60s 50%',
      '5x5s at 3 angles rest 60s 40%',
      '5x5s at 3 angles rest 60s 50%',
    ],
    ['climb', 'x10 gap 2s daily', 'x10 gap 2s every other day', 'x10 gap 2s daily'],
    [
      'climb',
      'x10 gap 2s every other day',
      'x10 gap 2s every 3 days',
      'x10 gap 2s every other day',
    ],
    ['climb', 'x10 gap 2s mon wed fri', 'x10 gap 2s mon wed', 'x10 gap 2s mon wed fri'],
    // One day of the week at a time.
    ['climb', 'x10 gap 2s mon wed fri', 'x10 gap 2s mon', 'x10 gap 2s mon wed'],
    ['climb', '3x10 rest 60s daily', '2x10 rest 60s daily', '3x10 rest 60s daily'],
    ['climb', 'x10 gap 2s daily', 'x7 gap 2s daily', 'x8 gap 2s daily'],
    ['climb', 'x10 gap 2s 3/day daily', 'x10 gap 2s 2/day daily', 'x10 gap 2s 3/day daily'],
    [
      'descending-sets',
      '6-4-2 hold 10s rest 20s',
      '5-3-1 hold 10s rest 20s',
      '6-4-2 hold 10s rest 20s',
    ],
    [null, '3x10s gap 5s daily', '3x10s gap 5s every other day', '3x10s gap 5s daily'],
    [null, '3x10s gap 5s daily', '2x10s gap 5s daily', '3x10s gap 5s daily'],
    // One set or bout at a time, were two taken off.
    ['climb', '4x10 rest 60s daily', '2x10 rest 60s daily', '3x10 rest 60s daily'],
    [null, '4x10s gap 5s daily', '2x10s gap 5s daily', '3x10s gap 5s daily'],
    // A range whose longest is there already: its shortest comes back.
    [null, '3x8-10s gap 5s daily', '3x7-10s gap 5s daily', '3x8-10s gap 5s daily'],
  ] as const)('%s: %s, taken down to %s, comes back', (school, was, less, back) => {
    const parts: readonly Part[] = [
      [was, 0, CLINICIAN, on([0], [1, { pain: 4, nextMorning: 'still sore' }])],
      [less, 2, PROPOSAL, borne(2)],
    ];
    const step = said(line(school, parts, { ...at(13), above: null }));
    expect(isGrowth({ move: step.move })).toBe(true);
    expect(step.to).toBe(back);
    expect(step.why).toMatch(/Taken off before|once more|smaller step/);
  });

  it('what a clinician took off stays off', () => {
    const parts: readonly Part[] = [
      ['3x10s gap 5s daily', 0, CLINICIAN, on([0])],
      ['2x10s gap 5s daily', 2, CLINICIAN, borne(2)],
    ];
    expect(said(line(null, parts, at(13))).move).toBe('stay');
  });
});
