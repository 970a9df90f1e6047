import {
  CLINICIAN,
  PROPOSAL,
  type Part,
  at,
  line,
  on,
  said,
} from '../../../tests/support/course-parts';
import { FIRST, exercise, facts, sessions, three } from '../../../tests/support/step-cases';
import type { SessionLog } from '../course';
import { addDays } from '../units';
import { isDanger, isGrowth, nextStep } from '.';

describe('a decision silences no later danger', () => {
  const lately = (logs: readonly SessionLog[], events: readonly string[]) =>
    said(
      facts('lengthen', 'x10 hold 5s gap 3s daily', {
        logs,
        decided: { events: new Set(events), declinedOn: null, askedOn: null },
      }),
    );

  it('a new flare, a new pain and a new stop are new proposals, whatever was decided about the last', () => {
    const bad = sessions({}, { pain: 10 });
    expect(lately(bad, []).move).toBe('step back');
    expect(lately(bad, ['session s2']).move).toBe('stay');
    const again = sessions({}, { pain: 10 }, {}, { pain: 9 });
    expect(lately(again, ['session s2'])).toMatchObject({ move: 'step back' });
    expect(lately(again, ['session s2']).why).toContain('Pain 9 of 10');
    const stopped = sessions({}, { pain: 10 }, { stopped: 'stands', share: 0.2 });
    expect(lately(stopped, ['session s2']).move).toBe('stop');
    const flared = sessions({ nextMorning: 'flare' }, {}, { nextMorning: 'flare' });
    expect(lately(flared, [`morning after ${flared[0]?.date}`]).move).toBe('step back');
  });

  it('what nobody decided on stays open until it was answered or three good days have passed', () => {
    const bad = { pain: 8 };
    expect(lately(sessions(bad, {}), []).move).toBe('step back');
    expect(lately(sessions(bad, {}, {}), []).move).toBe('step back');
    expect(isGrowth({ move: lately(sessions(bad, {}, {}, {}), []).move })).toBe(true);
    const quiet = { pain: null, effort: null, nextMorning: null };
    expect(lately(sessions(bad, quiet, quiet, quiet, quiet), []).move).toBe('step back');
  });

  it('what has passed does not come back with the next trouble', () => {
    const bad = { pain: 8 };
    expect(lately(sessions(bad, {}, {}, {}, { nextMorning: 'some' }), []).move).toBe('stay');
    // Borne but not in full: it has passed, and nothing grows on it.
    const half = { share: 0.7 };
    expect(lately(sessions(bad, half, half, half), []).move).toBe('stay');
    expect(lately(sessions(bad, half, { pain: 6 }, half), []).why).toContain('Pain 6 of 10');
  });

  it('a decline is no evidence: growth comes again only with good days after it', () => {
    const given = (days: number, declined: number | null) =>
      said(
        facts('lengthen', 'x10 hold 5s gap 3s daily', {
          logs: sessions(...Array.from({ length: days }, () => ({}))),
          decided: {
            events: new Set(),
            declinedOn: declined === null ? null : addDays(FIRST, declined),
            askedOn: null,
          },
        }),
      ).move;
    expect(given(3, null)).toBe('advance hold');
    expect([3, 4, 5, 6].map((days) => given(days, 2))).toEqual([
      'stay',
      'stay',
      'stay',
      'advance hold',
    ]);
  });
});

describe('a dose that went wrong', () => {
  const flare = { nextMorning: 'flare' } as const;
  const up: readonly Part[] = [
    ['x10 hold 5s gap 3s daily', 0, CLINICIAN, on([0], [1], [2])],
    ['x10 hold 10s gap 3s daily', 3, PROPOSAL, on([3], [4, { pain: 6 }])],
    ['x10 hold 5s gap 3s daily', 5, PROPOSAL, on([5], [6], [7])],
  ];

  it('is tried again by a smaller step, and the reason says so', () => {
    const step = said(line('lengthen', up, at(8)));
    expect(step).toMatchObject({ move: 'advance hold', to: 'x10 hold 7s gap 3s daily' });
    expect(step.why).toContain('went wrong on');
    expect(step.why).toContain('a smaller step');
  });

  it.each([
    // On days as rare as they are now, or as they were, whichever is rarer.
    ['every other day', 'mon tue wed thu fri', 'every other day'],
    ['daily', 'every other day', 'every other day'],
    ['daily', 'mon tue wed thu fri', 'mon tue wed thu fri'],
  ])('is undone, of %s and then %s', (before, now, after) => {
    const parts: readonly Part[] = [
      [`x10 hold 5s gap 3s ${before}`, 0, CLINICIAN, on([0], [2], [4])],
      [`x10 hold 10s gap 3s ${now}`, 5, PROPOSAL, on([6, { pain: 6 }], [8, { pain: 6 }])],
    ];
    expect(said(line('lengthen', parts, at(9)))).toMatchObject({
      move: 'step back',
      to: `x10 hold 5s gap 3s ${after}`,
    });
  });

  it.each(['until 56 days', 'from day 2 until 56 days', 'from day 2 until review'])(
    'is undone, beginning and ending as it does now: %s',
    (runs) => {
      const parts: readonly Part[] = [
        ['x10 hold 5s gap 3s daily until 14 days', 0, CLINICIAN, on([0], [2], [4])],
        [`x10 hold 10s gap 3s daily ${runs}`, 5, PROPOSAL, on([6, { pain: 6 }], [8, { pain: 6 }])],
      ];
      expect(said(line('lengthen', parts, at(9)))).toMatchObject({
        move: 'step back',
        to: `x10 hold 5s gap 3s daily ${runs}`,
      });
    },
  );

  it('is gone back to once the smaller step was borne', () => {
    const parts: readonly Part[] = [
      ...up,
      ['x10 hold 7s gap 3s daily', 8, PROPOSAL, on([8], [9], [10])],
    ];
    expect(said(line('lengthen', parts, at(11)))).toMatchObject({
      move: 'advance hold',
      to: 'x10 hold 10s gap 3s daily',
    });
  });

  const twice: readonly Part[] = [
    ...up,
    ['x10 hold 9s gap 3s daily', 8, PROPOSAL, on([8], [9], [10])],
    ['x10 hold 10s gap 3s daily', 11, PROPOSAL, on([11, flare], [12, flare])],
    ['x10 hold 9s gap 3s daily', 13, PROPOSAL, on([13], [14], [15], [16], [17], [18])],
  ];

  it('twice is a ceiling until time has passed, a measure improved, or a clinician wrote it', () => {
    const step = said(line('lengthen', twice, at(19)));
    expect(step.move).toBe('stay');
    expect(step.why).toContain('a ceiling until');
    const later = twice.map(([dose, day, by, logs]): Part => [
      dose,
      day,
      by,
      day === 13 ? on([98], [99], [100]) : logs,
    ]);
    // Three times it went wrong: it is remembered for twice six weeks.
    expect(said(line('lengthen', later, at(101))).to).toBe('x10 hold 10s gap 3s daily');
    const stronger = { ...at(19), improvedOn: addDays(FIRST, 14) };
    expect(said(line('lengthen', twice, stronger)).to).toBe('x10 hold 10s gap 3s daily');
    const written: readonly Part[] = [
      ...twice,
      ['x10 hold 10s gap 3s daily', 19, CLINICIAN, on([19], [20], [21], [22])],
      ['x10 hold 9s gap 3s daily', 23, PROPOSAL, on([23], [24], [25])],
    ];
    expect(said(line('lengthen', written, at(26))).to).toBe('x10 hold 10s gap 3s daily');
  });

  it('is remembered through a step of the stairs and back', () => {
    const parts: readonly Part[] = [
      ['x10 hold 10s gap 3s daily', 0, CLINICIAN, on([0], [7], [8], [9])],
      ['3x10s gap 30s daily', 10, PROPOSAL, on([10, { pain: 7 }]), 'tuck-lift'],
      ['3x10s gap 3s daily', 11, PROPOSAL, on([11], [12], [13]), 'tuck-lighten'],
    ];
    const above = exercise('tuck-lift');
    // On the easier step again, what was taken off comes back first: it is not sent up.
    const step = said(line('lengthen', parts, { ...at(14), above }));
    expect(step.other).toBeNull();
    const rested = parts.map(([dose, day, by, logs, id]): Part => [dose, day, by, logs, id]);
    const grown: readonly Part[] = [
      ...rested.slice(0, 2),
      ['x10 hold 10s gap 3s daily', 11, PROPOSAL, on([11], [12], [18]), 'tuck-lighten'],
    ];
    const again = said(line('lengthen', grown, { ...at(19), above }));
    expect(again).toMatchObject({ move: 'advance rung', other: 'tuck-lift' });
    // Half as many as went wrong.
    expect(again.to).toBe('10s daily');
  });
});

describe('silence is no success', () => {
  const told = (change: Partial<SessionLog>) =>
    said(facts('lengthen', 'x10 hold 5s gap 3s', { logs: three(change) })).move;

  it('good needs pain or effort, and the morning after', () => {
    expect(told({ effort: null })).toBe('advance hold');
    expect(told({ pain: null })).toBe('advance hold');
    expect(told({ pain: null, effort: null })).toBe('stay');
    expect(told({ nextMorning: null })).toBe('stay');
    expect(told({ nextMorning: 'some' })).toBe('rest day');
  });

  it('a silent day neither counts nor breaks the row', () => {
    const quiet = { pain: null, effort: null, nextMorning: null } as const;
    const step = said(
      facts('lengthen', 'x10 hold 5s gap 3s', { logs: sessions({}, quiet, {}, quiet, {}) }),
    );
    expect(step.move).toBe('advance hold');
    const two = said(facts('lengthen', 'x10 hold 5s', { logs: sessions({}, quiet, {}) }));
    expect(two.why).toContain('2 of 3 good');
    expect(two.why).toContain('1 more done without a word');
  });

  it('pain that rises within its limits is not good', () => {
    const rising = sessions(
      { pain: 1 },
      { pain: 3, nextMorning: 'settled' },
      { pain: 5, nextMorning: 'settled' },
    );
    const step = said(facts('lengthen', 'x10 hold 5s', { logs: rising }));
    expect([step.move, step.why]).toEqual(['stay', expect.stringContaining('1, 3, 5 of 10')]);
    const level = sessions({ pain: 2 }, { pain: 1 }, { pain: 2 });
    expect(said(facts('lengthen', 'x10 hold 5s', { logs: level })).move).toBe('advance hold');
  });

  it('after two weeks of it the patient is asked, once, and again after two weeks more', () => {
    const quiet = { pain: null, effort: null, nextMorning: null } as const;
    const days = (count: number) => sessions(...Array.from({ length: count }, () => quiet));
    const ask = (count: number, askedOn: number | null = null) =>
      nextStep(
        facts('lengthen', 'x10 hold 5s', {
          logs: days(count),
          today: addDays(FIRST, count),
          decided: {
            events: new Set(askedOn === null ? [] : [`silent since ${FIRST}`]),
            declinedOn: null,
            askedOn: askedOn === null ? null : addDays(FIRST, askedOn),
          },
        }),
      );
    expect(ask(13).move).toBe('stay');
    expect(ask(14)).toMatchObject({ move: 'ask', asks: 'how it goes' });
    expect(ask(20, 14).move).toBe('stay');
    expect(ask(30, 14).move).toBe('ask');
    // Three sessions at least: who does nothing is not silent but absent.
    expect(nextStep(facts('lengthen', 'x10 hold 5s', { logs: days(2), ...at(30) })).move).toBe(
      'stay',
    );
  });

  it('the sessions of one day are one piece of evidence', () => {
    const many = [0, 1, 2].map((n) => ({ ...(three()[0] as SessionLog), id: `same day ${n}` }));
    expect(said(facts('lengthen', 'x10 hold 5s', { logs: many })).why).toContain('1 of 3 good');
  });
});

describe('pace', () => {
  const rung = (day: number, change: Parameters<typeof facts>[2] = {}) =>
    said(facts('climb', 'x10', { logs: three(), ...at(day), ...change })).move;
  it('a step of the stairs lasts a week, or as long as the clinic says; symptoms lead the low back', () => {
    expect([6, 7].map((day) => rung(day))).toEqual(['stay', 'advance rung']);
    expect([13, 14].map((day) => rung(day, { leastRungDays: 14 }))).toEqual([
      'stay',
      'advance rung',
    ]);
    const stage = said(
      facts('repeated', 'x10', {
        logs: three(),
        ...at(4),
        exercise: exercise('press-up'),
        above: exercise('standing-back-bend'),
        limb: 'drawing in',
      }),
    );
    expect(stage.move).toBe('advance rung');
  });
  it('is counted through all the doses of the step', () => {
    const parts: readonly Part[] = [
      ['x8 gap 2s daily', 0, CLINICIAN, on([0])],
      ['x10 gap 2s daily', 5, CLINICIAN, on([5], [6], [7])],
    ];
    expect(said(line('climb', parts, { ...at(8), above: exercise('tuck-lift') })).move).toBe(
      'advance rung',
    );
  });
});

it('eased off three times in a fortnight and still not borne is looked at', () => {
  const parts: readonly Part[] = [
    ['x10 hold 10s gap 3s daily', 0, CLINICIAN, on([0, { pain: 7 }])],
    ['x10 hold 5s gap 3s daily', 1, PROPOSAL, on([1, { pain: 7 }])],
    ['x10 hold 3s gap 3s daily', 2, PROPOSAL, on([2, { pain: 7 }])],
    ['x10 hold 1s gap 3s daily', 3, PROPOSAL, on([3, { pain: 7 }])],
  ];
  const step = nextStep(line('lengthen', parts, at(4)));
  expect(step.move).toBe('stop');
  expect(isDanger(step)).toBe(true);
  expect(step.why).toContain('3 times in 14 days');
});
