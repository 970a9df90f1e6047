import { exercise, facts, sessions, three } from '../../../../tests/support/step-cases';
import { type CountedSet } from '../../history';
import { doseOf, formatDose } from '../../dose';
import { NO_SETTINGS } from '../../school';
import { type StepFacts, nextStep, repsInAll } from '..';
import { ADJUSTABLE } from './adjustable';

const ROW = exercise('band-row');
const LEG = exercise('straight-leg-raise');
const kg = (set: number, reps: number | null, amount: number | null = null): CountedSet => ({
  set,
  reps,
  load: amount === null ? null : { amount, unit: 'kg' },
});
const said = (given: StepFacts) => {
  const step = nextStep(given);
  return {
    move: step.move,
    to: step.dose && formatDose(step.dose),
    choices: step.choices.map(({ dose }) => formatDose(dose)),
    why: step.why,
    asks: step.asks,
  };
};

describe('volume, then load', () => {
  const at = (dose: string, reps: number, change: Parameters<typeof facts>[2] = {}) =>
    said(
      facts('volume-load', dose, {
        exercise: LEG,
        logs: three({ sets: [reps, reps, reps] }),
        ...change,
      }),
    );

  // 15 repetitions with 2 lb predict 2.25 lb for ten: Epley 1985 (memory), 2·(1 + 15/30)·0.75.
  it('shows what is asked and what is predicted, and takes neither by itself beyond it', () => {
    const step = at('3x10-15 2lb rest 60s', 15, { owned: [2, 4] });
    expect(step).toMatchObject({
      move: 'choose load',
      to: null,
      choices: ['3x10-15 4lb rest 60s'],
    });
    expect(step.why).toContain('Asked: 4 lb');
    expect(step.why).toContain('2.25 lb');
    // Beyond thirty repetitions nobody is sent to bridge to the next weight.
    expect(step.why).toMatch(/Staying needs a 2.25 lb weight\.$/);
  });

  it('says how many repetitions bridge to the next weight', () => {
    expect(at('3x10-15 2lb rest 60s', 15, { owned: [2, 3] }).why).toMatch(
      /Staying needs a 2.25 lb weight, or about 30 repetitions with 2 lb\.$/,
    );
  });

  it.each([
    [[2, 2.2, 4], 'advance load', '3x10-15 2.2lb rest 60s'],
    [[2, 2.25, 3], 'advance load', '3x10-15 2.25lb rest 60s'],
    [[], 'advance load', '3x10-15 2.25lb rest 60s'],
    // Only a token step is owned within it.
    [[2, 2.05], 'stay', null],
    [[2], 'stay', null],
  ] as const)('among %j: %s %s', (owned, move, to) => {
    expect(at('3x10-15 2lb rest 60s', 15, { owned })).toMatchObject({ move, to });
  });

  it('reads weights at home in the unit of the line', () => {
    // 5 lb are 2.27 kg; 15 repetitions with 2 kg predict 2.25 kg, so that it is the clinician's to choose.
    const step = at('3x10-15 2kg rest 60s', 15, { owned: [2, 5], ownedUnit: 'lb' });
    expect(step.choices).toEqual(['3x10-15 2.27kg rest 60s']);
  });

  it('says which weight it needs', () => {
    expect(at('3x10-15 20kg rest 60s', 15, { owned: [10, 20] }).why).toContain(
      'needs a 22.5 kg weight',
    );
  });

  it('reads what was counted before what was played', () => {
    const counted = [kg(1, 15), kg(2, 15), kg(3, 12)];
    expect(
      at('3x10-15 20kg rest 60s', 15, { logs: three({ sets: [15, 15, 15], counted }) }).why,
    ).toContain('12 of 15 in the poorest set');
  });

  it('leaves the warm-up out of what has to be reached', () => {
    const logs = three({ sets: [5, 5, 7, 7, 7] });
    expect(at('5x5-7 20kg rest 2min warm-up 2', 7, { logs }).move).toBe('advance load');
  });

  it('widens fewer repetitions to fifteen before the load grows', () => {
    expect(at('3x10 20kg rest 60s', 10).to).toBe('3x10-15 20kg rest 60s');
    expect(at('3x8 20kg rest 60s', 8).to).toBe('3x8-12 20kg rest 60s');
  });

  it('takes the next band, and a band whose force was measured within the prediction', () => {
    const band = (line: string, bands: StepFacts['bands'] = []) =>
      at(line, 15, { exercise: ROW, bands });
    expect(band('3x10-15 band light rest 60s').to).toBe('3x10-15 band medium rest 60s');
    expect(band('3x10-15 band firm rest 60s').move).toBe('stay');
    const points = (newtons: number) => [
      { stretchPercent: 0, newtons: 0 },
      { stretchPercent: 100, newtons },
      { stretchPercent: 200, newtons: newtons * 1.5 },
    ];
    const ours = { name: 'ours', points: points(40) };
    // 15 repetitions at 40 N predict 45 N for ten: this band pulls more than that at 120 %.
    expect(band('3x10-15 band "ours" stretch 100% rest 60s', [ours]).to).toBe(
      '3x10-15 band "ours" stretch 110% rest 60s',
    );
    const strong = { name: 'strong', points: points(210) };
    const short = { name: 'ours', points: points(40).slice(0, 2) };
    const beyond = band('3x10-15 band "ours" stretch 100% rest 60s', [short, strong]);
    // The other band is within it at a short stretch that was measured.
    expect(beyond.to).toBe('3x10-15 band "strong" stretch 20% rest 60s');
    // One that pulls too much at every stretch is the clinician's to choose.
    const iron = { name: 'iron', points: points(600).slice(1) };
    expect(band('3x10-15 band "ours" stretch 100% rest 60s', [short, iron])).toMatchObject({
      move: 'choose load',
      choices: ['3x10-15 band "iron" stretch 100% rest 60s'],
    });
    expect(band('3x10-15 band "unmeasured" rest 60s', [ours]).move).toBe('stay');
  });

  it('offers a first load where none is lifted, and asks which there are', () => {
    expect(at('3x10-15 rest 60s', 15, { owned: [5, 1, 2, 10] })).toMatchObject({
      move: 'choose load',
      choices: ['3x10-15 1kg rest 60s', '3x10-15 2kg rest 60s', '3x10-15 5kg rest 60s'],
    });
    expect(at('3x10-15 rest 60s', 15, { owned: [3], ownedUnit: 'lb' }).choices).toEqual([
      '3x10-15 3lb rest 60s',
    ]);
    expect(at('3x10-15 rest 60s', 15)).toMatchObject({ move: 'ask', asks: 'weights' });
    expect(at('3x10-15 rest 60s', 15, { exercise: ROW }).choices).toEqual([
      '3x10-15 band light rest 60s',
    ]);
  });
});

describe('loads of the ten-rep maximum', () => {
  const at = (
    school: 'ascending' | 'descending-load',
    dose: string,
    change: Parameters<typeof facts>[2] = {},
  ) =>
    said(
      facts(school, dose, {
        exercise: ROW,
        logs: three({ sets: [10, 10, 10], effort: 7 }),
        ...change,
      }),
    );

  it('adds what is in reserve: effort 7 of 10 leaves three (Zourdos 2016; memory)', () => {
    expect([repsInAll(10, 7), repsInAll(10, null), repsInAll(10, 2), repsInAll(12, 10)]).toEqual([
      13, 10, 15, 12,
    ]);
  });

  // 13 repetitions with 10 kg: 10·(1 + 13/30)·0.75 = 10.75 kg (Epley 1985; memory).
  it('keeps 50, 75 and 100 % of the maximum it estimates anew', () => {
    expect(at('ascending', '3x10 5/7.5/10kg rest 2min').to).toBe(
      '3x10 5.38/8.06/10.75kg rest 2min',
    );
    expect(at('descending-load', '3x10 10/7.5/5kg rest 2min').to).toBe(
      '3x10 10.75/8.06/5.38kg rest 2min',
    );
  });

  it('needs ten at the top set', () => {
    const short = three({ sets: [10, 10, 9], effort: 7 });
    expect(at('ascending', '3x10 5/7.5/10kg rest 2min', { logs: short }).why).toContain('9 of 10');
    const counted = three({ sets: [10, 10, 10], counted: [kg(3, 8)], effort: 7 });
    expect(at('ascending', '3x10 5/7.5/10kg rest 2min', { logs: counted }).why).toContain(
      '8 of 10',
    );
  });

  it('uses weights there are, and says what it needs instead of standing still by rounding', () => {
    const owned = [5, 7.5, 10, 10.5, 12.5];
    expect(at('ascending', '3x10 5/7.5/10kg rest 2min', { owned }).to).toBe(
      '3x10 5/7.5/10.5kg rest 2min',
    );
    const none = at('ascending', '3x10 5/7.5/10kg rest 2min', { owned: [5, 7.5, 10] });
    expect(none.move).toBe('stay');
    expect(none.why).toContain('needs a 10.75 kg weight');
    const next = at('ascending', '3x10 5/7.5/10kg rest 2min', { owned: [5, 7.5, 10, 12.5] });
    expect(next).toMatchObject({ move: 'choose load', choices: ['3x10 5/10/12.5kg rest 2min'] });
  });

  it('asks how many more could be done where ten were and nothing in reserve was told', () => {
    const told = three({ sets: [10, 10, 10], effort: null });
    const found = at('ascending', '3x10 5/7.5/10kg rest 2min', { logs: told });
    expect(found).toMatchObject({ move: 'ask', asks: 'ten-rep maximum' });
    expect(found.why).toContain('Ten with 10 kg, and nothing in reserve was told');
  });

  it('asks for it where no load is written at all', () => {
    for (const school of ['ascending', 'descending-load'] as const)
      expect(at(school, '3x10 rest 2min')).toMatchObject({ move: 'ask', asks: 'ten-rep maximum' });
  });

  it('asks for the ten-rep maximum once, and takes it from what the phone was told', () => {
    const percents = '3x10 50/75/100% 10rm rest 2min';
    expect(at('ascending', percents)).toMatchObject({ move: 'ask', asks: 'ten-rep maximum' });
    const decided = {
      events: new Set(['asked for ten-rep maximum']),
      declinedOn: null,
      askedOn: null,
    };
    expect(at('ascending', percents, { decided }).move).toBe('stay');
    const told = three({ sets: [10, 10, 10], counted: [kg(3, 10, 8)], effort: 7 });
    expect(at('ascending', percents, { decided, logs: told }).to).toBe('3x10 4/6/8kg rest 2min');
  });
});

describe('the daily adjustable scheme, by its whole table (after Knight 1979; memory)', () => {
  const at = (
    sets: readonly number[],
    change: Parameters<typeof facts>[2] = {},
    dose = '10-6-6-6 30/45/60/adj lb rest 2min every other day',
  ) => said(facts('adjustable', dose, { exercise: ROW, logs: sessions({ sets }), ...change }));

  it.each([
    // Third set 6: the fourth is at 60. Third set 9: at 65–70, so 67.5. Third set 2: at 52.5.
    [[10, 6, 6, 6], '67.5 lb'],
    [[10, 6, 9, 6], '75 lb'],
    [[10, 6, 2, 6], '60 lb stays'],
    [[10, 6, 14, 14], '87.5 lb'],
    [[10, 6, 6, 1], '52.5 lb'],
  ] as const)('sets of %j: %s', (sets, says) => {
    expect(at(sets).why).toContain(says);
  });

  it('rounds half, three quarters and the whole to weights there are, within the range', () => {
    const owned = [20, 30, 40, 50, 60, 65, 70, 80];
    expect(at([10, 6, 6, 8], { owned }).to).toBe(
      '10-6-6-6 30/50/70/adj lb rest 2min every other day',
    );
    // 65–70 lb is asked for and 80 is the next: it says so and stays.
    const stays = at([10, 6, 6, 8], { owned: [30, 40, 60, 80] });
    expect(stays.move).toBe('stay');
    expect(stays.why).toContain('it needs a weight of 65–75 lb');
  });

  it('is never nothing', () => {
    const light = '10-6-6-6 2/3/4/adj lb rest 2min every other day';
    expect(at([10, 6, 0, 0], {}, light).to).toMatch(/\/2\/adj lb/);
    expect(at([10, 6, 0, 0], { owned: [3, 4] }, light).to).toMatch(/3\/3\/3\/adj lb/);
  });

  it('stays where the two rules disagree by less than one weight', () => {
    // 4 at the full load: lighter; 5 at the lighter one: heavier again.
    const step = at([10, 6, 4, 5], { owned: [50, 55, 60, 65, 70] });
    expect(step.move).toBe('stay');
  });

  it('goes by the table where they disagree by a weight, also the only one there is', () => {
    // 4 at the full load: 55 lb; 14 at that: 65–75 lb.
    const only = at([10, 6, 4, 14], { owned: [50, 55, 60, 65] });
    expect(only.why).toContain('working load 60 → 65 lb');
    const several = at([10, 6, 4, 14], { owned: [50, 55, 60, 65, 70] });
    expect(several.why).toContain('working load 60 → 70 lb');
  });

  describe('a weight that was left for a lighter one', () => {
    const line = (working: number) =>
      doseOf(`10-6-6-6 30/45/${working}/adj lb rest 2min every other day`);
    /** What the rule says after eight repetitions of 60 lb: 65–75 lb, so 70. */
    const after = (past: readonly number[], owned: readonly number[]) => {
      const one = facts('adjustable', formatDose(line(60)), {
        exercise: ROW,
        logs: sessions({ sets: [10, 6, 6, 8] }),
      });
      const [{ sessions: logs }] = one.course;
      const found = ADJUSTABLE.next({
        dose: line(60),
        exercise: ROW,
        settings: NO_SETTINGS,
        sessions: logs,
        owned,
        unit: 'lb',
        bands: [],
        past: past.map(line),
      });
      return found.kind === 'dose' ? formatDose(found.dose).split(' ')[1] : found.kind;
    };

    it.each([
      ['was never left', [50, 60], [50, 60, 65, 70], '50/50/70/adj'],
      [
        'was left twice: the middle of what there is',
        [70, 60, 70, 60],
        [60, 64, 66, 70],
        '60/60/64/adj',
      ],
      ['was left twice, and nothing is between', [70, 60, 70, 60], [40, 50, 60, 70, 80], 'stays'],
      ['was left twice, any weight can be set', [70, 60, 70, 60], [], '32.5/48.75/65/adj'],
      ['was left twice, and so was what is between', [70, 60, 65, 60], [60, 65, 70], 'stays'],
    ] as const)('%s', (_, past, owned, load) => expect(after(past, owned)).toBe(load));
  });

  it('grows only where it was told to have been borne, and goes down without a word', () => {
    const logs = (sets: readonly number[]) => sessions({ sets, nextMorning: null });
    expect(at([], { logs: logs([10, 6, 6, 8]) }).move).toBe('stay');
    expect(at([], { logs: logs([10, 6, 6, 1]) }).move).toBe('step back');
  });

  it('asks for the count where the fourth set was not counted', () => {
    const max = '10-6-max-max 30/45/60/adj lb rest 2min every other day';
    expect(at([10, 6, 9, 20], {}, max)).toMatchObject({ move: 'ask', asks: 'repetitions' });
  });

  it('goes by the newest session, in whatever order they came', () => {
    const [first, second] = sessions({ sets: [10, 6, 6, 1] }, { sets: [10, 6, 6, 8] });
    const logs = [second, first].flatMap((one) => one ?? []);
    expect(at([], { logs }).why).toContain('8 repetitions');
  });

  it('reads kilograms noted for pounds written', () => {
    const logs = sessions({ sets: [10, 6, 6, 6], counted: [kg(4, 6, 30)] });
    // 30 kg are 66.1 lb, and six repetitions of them ask for 5–10 lb more.
    expect(at([], { logs }).why).toContain('66.1 lb');
  });
});
