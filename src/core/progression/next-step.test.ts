import { cappedBecause } from './caps';
import { NO_SETTINGS, SCHOOLS, beyondBounds, schoolsFor, startDose } from '../school';
import fc from 'fast-check';
import { runs } from '../../../tests/support/runs';
import { FIRST, exercise, facts, sessions, three } from '../../../tests/support/step-cases';
import { EXERCISES } from '@/catalogue';
import { SKIP_REASONS, SORENESS } from '../adherence';
import { type SessionLog, asksLess, presentOf } from '../course';
import { formatDose, doseOf } from '../dose';
import { lineFlags } from '../exercise';
import { PRECAUTIONS, type PrecautionId } from '../screen';
import { addDays } from '../units';
import { isDanger, nextStep } from '.';

describe('before every school', () => {
  const given = (logs: SessionLog[], change: Parameters<typeof facts>[2] = {}) =>
    nextStep(facts('lengthen', 'x10 hold 5s gap 3s daily', { logs, ...change }));

  it('three good sessions in a row by default; the clinic may ask for more', () => {
    expect(given(sessions({}, {})).why).toContain('2 of 3 good sessions');
    expect(given(three({ hold: 5 }), { goodSessions: 5 }).why).toContain('3 of 5');
    expect(given(three({ hold: 5 })).move).toBe('advance hold');
  });

  // Traffic light during exercise (Thomeé 1997; memory).
  it('pain over 5 steps back, up to 5 is acceptable when it settled, up to 2 is safe', () => {
    expect(given(sessions({}, {}, { pain: 6 }))).toMatchObject({ move: 'step back' });
    expect(given(sessions({}, {}, { pain: 4, nextMorning: 'still sore' })).move).toBe('step back');
    expect(given(three({ hold: 5, pain: 4, nextMorning: 'settled' })).move).toBe('advance hold');
    expect(given(three({ hold: 5, pain: 4, nextMorning: null })).move).toBe('stay');
    expect(given(three({ hold: 5, pain: 2, nextMorning: 'none' })).move).toBe('advance hold');
  });

  it('a flare asks for a day in between, a second one steps back', () => {
    const once = given(sessions({}, {}, { nextMorning: 'flare' }));
    expect([once.move, once.dose?.days]).toEqual(['rest day', { kind: 'every', n: 2 }]);
    expect(given(sessions({ nextMorning: 'flare' }, {}, { nextMorning: 'flare' })).move).toBe(
      'step back',
    );
  });

  it('soreness two mornings running asks for a day in between', () => {
    const sore = given(sessions({}, { nextMorning: 'still sore' }, { nextMorning: 'still sore' }));
    expect(sore.move).toBe('rest day');
  });

  it('a session stopped for a symptom is no good session, also once it may go on', () => {
    const again = { stopped: 'let go on' } as const;
    expect(given(sessions({ hold: 5 }, { hold: 5 }, again)).why).toContain('0 of 3 good');
  });

  it('a stop for a symptom stops the line', () => {
    expect(given(sessions({}, {}, { stopped: 'stands', share: 0.3 }))).toMatchObject({
      move: 'stop',
      dose: null,
    });
  });

  it('skipped is not failed, but left out for pain twice is a step back', () => {
    const skipped = { skipped: 'no time', share: 0, sets: [] } as const;
    expect(given(sessions({ hold: 5 }, skipped, { hold: 5 }, skipped, { hold: 5 })).move).toBe(
      'advance hold',
    );
    expect(given(sessions(skipped, skipped)).why).toContain('no failure');
    const hurt = { skipped: 'pain', share: 0, sets: [], pain: 2 } as const;
    expect(given(sessions({}, hurt, hurt)).move).toBe('step back');
  });

  it('half a dose, one that was very hard, or too much of it is not a good session', () => {
    const row = (change: Partial<SessionLog>) => given(sessions({}, {}, { ...change }, {}, {})).why;
    expect(row({ share: 0.6 })).toContain('2 of 3 good');
    expect(row({ effort: 9 })).toContain('2 of 3 good');
    expect(row({ share: 1.5 })).toContain('2 of 3 good');
    expect(row({ share: 1.25, hold: 5 })).not.toContain('2 of 3');
  });

  it('a fault without a fix is taught again before anything grows', () => {
    expect(given(three({ hold: 5 }), { faults: 1 }).why).toContain('teach again');
  });

  it('a line without a school stays', () => {
    expect(nextStep(facts(null, 'x10')).why).toContain('No school');
  });
});

describe('a precaution caps it', () => {
  const heart = ['pressure or heart'] as const satisfies PrecautionId[];
  const hold = (dose: string, held: number, change: Parameters<typeof facts>[2] = {}) =>
    nextStep(
      facts('lengthen', dose, {
        exercise: exercise('wall-press'),
        logs: three({ hold: held, sets: [3] }),
        ...change,
      }),
    );

  it('does not lengthen into a long effortful hold', () => {
    expect(hold('3x30s rpe 3-5 gap 60s', 30).move).toBe('advance hold');
    const step = hold('3x30s rpe 3-5 gap 60s', 30, { precautions: heart });
    expect(step.move).toBe('stay');
    expect(step.why).toContain('only a clinician raises it');
  });

  it('nor where the hold is as long already, or its effort is not written', () => {
    expect(hold('3x45s rpe 3-5 gap 60s', 45, { precautions: heart }).move).toBe('stay');
    expect(hold('3x30s gap 60s', 30, { precautions: heart }).move).toBe('stay');
    const relief = nextStep(
      facts('pain-relief', 'x1 hold 1min rpe 3-5', {
        exercise: exercise('shrug-hold'),
        logs: three({ hold: 60, sets: [1] }),
        precautions: heart,
      }),
    );
    expect(relief.move).toBe('stay');
  });

  it('takes a stretch for no effortful hold, however long, nor what is moved', () => {
    const against = (id: string, written: string, dose: string) =>
      cappedBecause(
        facts('lengthen', written, { exercise: exercise(id), precautions: heart }),
        exercise(id),
        doseOf(dose),
      );
    expect(against('wall-press', '3x10s gap 60s', '3x60s gap 60s')).toContain(
      'only a clinician raises it',
    );
    expect(against('chest-stretch', '2x10s gap 15s', '2x60s gap 15s')).toBeNull();
    expect(against('warm-pack', '1min', '5min')).toBeNull();
    expect(against('neck-warm-up', 'x5 hold 1s', 'x5 hold 60s')).toBeNull();
  });

  it('gives back what a clinician wrote in spite of it, and no more', () => {
    const given = facts('lengthen', '3x45s rpe 3-5 gap 60s', {
      exercise: exercise('wall-press'),
      precautions: heart,
      logs: [],
    });
    const [written] = given.course;
    const now = {
      ...written,
      dose: doseOf('3x30s rpe 3-5 gap 60s'),
      by: 'a proposal' as const,
      from: addDays(FIRST, 1),
      sessions: three({ hold: 30 }).map((log) => ({ ...log, date: addDays(log.date, 1) })),
    };
    const step = nextStep({ ...given, course: [written, now] });
    expect([step.move, step.dose && formatDose(step.dose)]).toEqual([
      'advance hold',
      '3x45s gap 60s rpe 3-5',
    ]);
  });

  it('a glide stops with a growing deficit before any session, and once for each examination', () => {
    const glide = facts('climb', 'x10 move 4s each side', {
      exercise: exercise('median-slider'),
      logs: [],
      limb: 'deficit grows',
      limbSince: FIRST,
    });
    const stop = nextStep(glide);
    expect(stop.move).toBe('stop');
    const decided = { ...glide.decided, events: new Set([stop.event]) };
    expect(nextStep({ ...glide, decided }).move).toBe('stay');
    expect(nextStep({ ...glide, decided, limbSince: addDays(FIRST, 7) }).move).toBe('stop');
  });
});

it('nothing proposed ever leaves a school’s limits, or adds what a precaution speaks against', () => {
  const log = fc.record({
    share: fc.constantFrom(0, 0.5, 1, 1.4),
    sets: fc.array(fc.integer({ min: 1, max: 20 }), { minLength: 1, maxLength: 5 }),
    hold: fc.option(fc.integer({ min: 1, max: 400 })),
    effort: fc.option(fc.integer({ min: 0, max: 10 })),
    pain: fc.option(fc.integer({ min: 0, max: 10 })),
    nextMorning: fc.option(fc.constantFrom(...SORENESS)),
    skipped: fc.option(fc.constantFrom(...SKIP_REASONS), { freq: 8 }),
    stopped: fc.constantFrom('no' as const, 'stands' as const, 'let go on' as const),
  });
  const precautionIds = Object.keys(PRECAUTIONS) as PrecautionId[];
  fc.assert(
    fc.property(
      fc.constantFrom(...EXERCISES),
      fc.nat(),
      fc.array(log, { maxLength: 8 }),
      fc.subarray(precautionIds, { maxLength: 3 }),
      (one, pick, logs, precautions) => {
        const ids = schoolsFor(one);
        const id = ids[pick % Math.max(1, ids.length)];
        if (!id) return;
        const dose = startDose(id, one, NO_SETTINGS);
        const given = facts(id, formatDose(dose), {
          exercise: one,
          logs: sessions(...logs),
          precautions,
          above: null,
        });
        const step = nextStep(given);
        expect(step.why).not.toBe('');
        // Whatever order it was told in, the same is proposed.
        const [only] = given.course;
        const shuffled = { ...only, sessions: [...only.sessions].reverse() };
        expect(nextStep({ ...given, course: [shuffled] })).toEqual(step);
        if (step.dose === null || step.move === 'stay') return;
        const beyond = (of: typeof dose) => beyondBounds(SCHOOLS[id], of);
        expect(beyond(step.dose) === null || beyond(dose) !== null).toBe(true);
        if (isDanger(step)) expect(asksLess(step.dose, presentOf(given.course).dose)).toBe(true);
        const flags = (of: typeof dose) =>
          lineFlags(precautions, one, of).map(({ trait }) => trait);
        const before = flags(dose);
        expect(flags(step.dose).filter((trait) => !before.includes(trait))).toEqual([]);
        // What is proposed can be written as a dose line and read back.
        expect(formatDose(doseOf(formatDose(step.dose)))).toBe(formatDose(step.dose));
      },
    ),
    runs(500),
  );
});
