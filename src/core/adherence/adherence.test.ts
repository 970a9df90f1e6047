import fc from 'fast-check';
import { parseDose } from '../dose';
import { localDate } from '../units';
import { type DayFacts, type DoneLine, type DueLine, dayAdherence, summarise } from './day';
import { lineTarget, shareBeyondMost, shareDone } from './line-share';
import { type RepDone, type SessionEventBody, foldSession } from './session-event';

const today = localDate('2026-11-23');
const day = (facts: Partial<DayFacts>) =>
  dayAdherence({
    date: today,
    today,
    start: localDate('2026-11-01'),
    paused: false,
    due: [],
    done: [],
    sessionsDue: 1,
    sessionsDone: 0,
    ...facts,
  });

const press: DueLine = { lineage: 'press', due: 1, allowed: 1, weight: 90 };
const glide: DueLine = { lineage: 'glide', due: 1, allowed: 1, weight: 30 };
const done = (lineage: string, ...shares: number[]): DoneLine => ({
  lineage,
  shares,
  beyondMost: 0,
});

describe('adherence of a day', () => {
  it('weighs lines by their held and moved time', () => {
    expect(day({ due: [press, glide], done: [done('press', 1)] })).toMatchObject({ share: 0.75 });
    expect(day({ due: [press, glide], done: [done('glide', 1)] })).toMatchObject({ share: 0.25 });
  });

  it('does not let over-doing one exercise hide the skipping of another', () => {
    const result = day({ due: [press, glide], done: [done('press', 3, 1)] });
    expect(result).toMatchObject({ share: 0.75, extraSeconds: 90 });
  });

  it('counts two halves as one occurrence', () => {
    expect(day({ due: [press], done: [done('press', 0.5, 0.5)] })).toMatchObject({
      share: 1,
      extraSeconds: 0,
    });
  });

  it('counts the second of 1-8/day as allowed, the ninth as extra', () => {
    const reset: DueLine = { lineage: 'reset', due: 1, allowed: 8, weight: 10 };
    const times = (n: number) =>
      day({ due: [reset], done: [done('reset', ...Array<number>(n).fill(1))] });
    expect(times(2)).toMatchObject({ share: 1, extraSeconds: 0 });
    expect(times(9)).toMatchObject({ share: 1, extraSeconds: 10 });
  });

  it('never counts future, paused, rest and earlier days against anybody', () => {
    const days = [
      day({ date: localDate('2026-11-24'), due: [press] }),
      day({ date: localDate('2026-11-22'), due: [press], paused: true }),
      day({ date: localDate('2026-11-21'), due: [] }),
      day({ date: localDate('2026-10-01'), due: [press] }),
      day({ due: [press] }),
    ];
    expect(days.map(({ kind }) => kind)).toEqual(['future', 'paused', 'rest', 'before', 'due']);
    expect(summarise(days)).toEqual({
      daysDue: 0,
      share: null,
      sessionsDue: 0,
      sessionsDone: 0,
      extraSeconds: 0,
    });
  });

  it('counts a missed day of the past', () => {
    const missed = day({ date: localDate('2026-11-22'), due: [press] });
    const whole = day({
      date: localDate('2026-11-21'),
      due: [press],
      done: [done('press', 1)],
      sessionsDone: 1,
    });
    expect(summarise([missed, whole])).toMatchObject({
      daysDue: 2,
      share: 0.5,
      sessionsDue: 2,
      sessionsDone: 1,
    });
  });

  it('is between 0 and 1 and never falls when more is done', () => {
    const shares = fc.array(fc.double({ min: 0, max: 5, noNaN: true }), { maxLength: 6 });
    fc.assert(
      fc.property(shares, shares, fc.double({ min: 0, max: 3, noNaN: true }), (a, b, more) => {
        const before = day({
          due: [press, glide],
          done: [done('press', ...a), done('glide', ...b)],
        });
        const after = day({
          due: [press, glide],
          done: [done('press', ...a, more), done('glide', ...b)],
        });
        if (before.kind !== 'due' || after.kind !== 'due') throw new Error('a due day');
        expect(before.share).toBeGreaterThanOrEqual(0);
        expect(after.share).toBeLessThanOrEqual(1);
        expect(after.share).toBeGreaterThanOrEqual(before.share - 1e-9);
      }),
    );
  });
});

const rep = (n: number, held: number): RepDone => ({
  round: 1,
  side: null,
  direction: 1,
  station: 1,
  set: 1,
  rep: n,
  held,
  moved: 0,
});

describe('the share of a line', () => {
  const target = (text: string) => {
    const parsed = parseDose(text);
    if (!parsed.ok) throw new Error(parsed.say);
    return lineTarget({ dose: parsed.value, mode: 'held', position: 'sitting' }, 1);
  };

  it('is held time where the dose writes it', () => {
    expect(
      shareDone(
        target('10x10s'),
        [1, 2, 3, 4, 5].map((n) => rep(n, 10)),
      ),
    ).toBe(0.5);
    expect(
      shareDone(
        target('10x10s'),
        [rep(1, 9.9)].concat(Array.from({ length: 9 }, (_, i) => rep(i + 2, 9.98))),
      ),
    ).toBe(1);
  });

  it('is repetitions where it does not', () => {
    expect(shareDone(target('x10'), [rep(1, 0), rep(2, 0)])).toBe(0.2);
  });

  it('of nothing due is nothing, and of a single repetition the whole', () => {
    expect(shareDone(target('x10 as needed'), [])).toBe(0);
    expect(shareDone(target('x1'), [rep(1, 0)])).toBe(1);
    expect(shareDone(target('1x1s'), [rep(1, 1)])).toBe(1);
  });

  it('asks the least; only beyond the most is extra', () => {
    const asked = target('3-5x10-15s');
    const four = [1, 2, 3, 4].map((n) => rep(n, 15));
    expect(shareDone(asked, four)).toBe(2);
    expect(shareBeyondMost(asked, four)).toBe(0);
    expect(shareBeyondMost(asked, [...four, rep(5, 15), rep(6, 15)])).toBeCloseTo(0.5);
  });
});

describe('folding a session', () => {
  const line = (n: number, held: number): SessionEventBody => ({
    type: 'line',
    lineage: 'press',
    reps: [rep(n, held)],
    skipped: null,
  });
  const events: SessionEventBody[] = [
    { type: 'started' },
    line(1, 10),
    line(2, 8),
    { type: 'ended' },
    { type: 'check-in', pain: 3, word: 'easier' },
  ];

  it('is the same in any order and however often an event arrives', () => {
    const once = foldSession('s', today, events);
    expect(once).toMatchObject({ state: 'ended', pain: 3, word: 'easier' });
    fc.assert(
      fc.property(fc.shuffledSubarray(events, { minLength: events.length }), (shuffled) => {
        const twice = foldSession('s', today, [...shuffled, ...events]);
        expect(twice.state).toBe('ended');
        expect(new Set(twice.lines[0]?.reps)).toEqual(new Set(once.lines[0]?.reps));
      }),
    );
  });

  it('keeps a stop for a symptom whatever comes after', () => {
    const stopped = foldSession('s', today, [
      { type: 'stopped', because: 'symptom' },
      { type: 'stopped', because: 'enough' },
      { type: 'ended' },
    ]);
    expect(stopped.state).toBe('stopped for a symptom');
  });

  it('keeps the longer time of a repetition told twice', () => {
    expect(foldSession('s', today, [line(1, 4), line(1, 10), line(1, 6)]).lines[0]?.reps).toEqual([
      rep(1, 10),
    ]);
  });
});
