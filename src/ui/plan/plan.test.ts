import fc from 'fast-check';
import { EXERCISES } from '@/catalogue';
import type { WallMinute } from '@/core/schedule';
import { localDate, seconds } from '@/core/units';
import { type Desk, type DeskHistory, deskStep, draftOf, startHistory } from './desk-state';
import { SHIPPED } from '@/catalogue';
import { fullestDay } from '@/core/programme';
import { type DeskLine, minutesText, newLine, plannedLines, readLine } from './draft';
import { fillMissing, takeSchool } from './row/row-actions';
import { shorterDose } from './row/hold-note';

const line = (uid: string, dose = '10x10s', exerciseId = 'tuck-lying'): DeskLine =>
  newLine(uid, exerciseId, dose);
const desk: Desk = { lines: [], rounds: 1, effectiveFrom: '2026-11-23', reviewOn: '', reason: '' };
const waking = { wake: 420 as WallMinute, sleep: 1320 as WallMinute };
const uids = (history: DeskHistory) => history.now.lines.map(({ uid }) => uid).join('');
const filled = ['a', 'b', 'c'].reduce(
  (history, uid) => deskStep(history, { type: 'add', lines: [line(uid)] }),
  startHistory(desk),
);

describe('steps on the desk', () => {
  it('adds, moves and removes', () => {
    expect(uids(filled)).toBe('abc');
    expect(uids(deskStep(filled, { type: 'move', uid: 'c', to: 0 }))).toBe('cab');
    expect(uids(deskStep(filled, { type: 'move', uid: 'a', to: 99 }))).toBe('bca');
    expect(uids(deskStep(filled, { type: 'move', uid: 'a', to: -1 }))).toBe('abc');
    expect(uids(deskStep(filled, { type: 'remove', uid: 'b' }))).toBe('ac');
  });

  it('keeps what was typed when a removal is undone', () => {
    const typed = deskStep(filled, { type: 'type', uid: 'b', dose: '3x10 hold 5s' });
    const undone = deskStep(deskStep(typed, { type: 'remove', uid: 'b' }), { type: 'undo' });
    expect(undone.now.lines[1]?.dose).toBe('3x10 hold 5s');
    expect(uids(deskStep(undone, { type: 'redo' }))).toBe('ac');
  });

  it('undoes every step back to the beginning, and redoes to the end, whatever they were', () => {
    const action = fc.oneof(
      fc.record({
        type: fc.constant('add' as const),
        lines: fc.uuid().map((uid) => [line(uid)]),
      }),
      fc.record({ type: fc.constant('remove' as const), uid: fc.constantFrom('a', 'b', 'c') }),
      fc.record({
        type: fc.constant('move' as const),
        uid: fc.constantFrom('a', 'b', 'c'),
        to: fc.integer({ min: -2, max: 9 }),
      }),
    );
    fc.assert(
      fc.property(fc.array(action, { maxLength: 40 }), (actions) => {
        const end = actions.reduce<DeskHistory>(deskStep, filled);
        let history = end;
        actions.forEach(() => {
          history = deskStep(history, { type: 'undo' });
        });
        expect(history.now).toEqual(filled.now);
        actions.forEach(() => {
          history = deskStep(history, { type: 'redo' });
        });
        expect(history.now).toEqual(end.now);
      }),
    );
  });

  it('has nothing to undo at first', () => {
    const start = startHistory(desk);
    expect(deskStep(start, { type: 'undo' })).toBe(start);
    expect(deskStep(start, { type: 'redo' })).toBe(start);
  });

  it('sends an empty review as none', () => {
    expect(draftOf(filled.now, 'p', 3)).toMatchObject({
      basedOn: 3,
      reviewOn: null,
      lines: [{ dose: '10x10s' }, {}, {}],
    });
  });
});

describe('what the desk sends', () => {
  it('leaves out a reason that was never written, so that the flag stays open', () => {
    const override = (reason: string) => ({
      precaution: 'jaw' as const,
      trait: 'chin-held ball' as const,
      reason,
    });
    const noted = deskStep(filled, {
      type: 'note',
      uid: 'b',
      overrides: [override('  '), override('knows it')],
    });
    expect(draftOf(noted.now, 'p', 0).lines.map(({ overrides }) => overrides.length)).toEqual([
      0, 1, 0,
    ]);
  });

  it('has a copy as a line of its own, and others in a line’s place', () => {
    const copied = deskStep(filled, { type: 'duplicate', uid: 'a', newUid: 'x' });
    expect([uids(copied), copied.now.lines[1]?.lineage]).toEqual(['axbc', null]);
    expect(uids(deskStep(filled, { type: 'put', uid: 'b', lines: [line('y'), line('z')] }))).toBe(
      'ayzc',
    );
    expect(uids(deskStep(filled, { type: 'put', uid: 'nobody', lines: [line('y')] }))).toBe('abc');
    expect(uids(deskStep(filled, { type: 'move', uid: 'nobody', to: 0 }))).toBe('abc');
    expect(uids(deskStep(filled, { type: 'order', lines: [line('c')] }))).toBe('c');
  });

  it('takes the desk’s own fields without a step to undo, and begins anew with another desk', () => {
    const set = deskStep(filled, { type: 'set', fields: { rounds: 3, reviewOn: '2026-12-20' } });
    expect(draftOf(set.now, 'p', 0)).toMatchObject({ rounds: 3, reviewOn: '2026-12-20' });
    expect(set.before).toBe(filled.before);
    expect(deskStep(set, { type: 'replace', desk })).toEqual(startHistory(desk));
  });
});

describe('one step on a line', () => {
  const understood = (dose: string, exerciseId: string) => {
    const read = readLine(line('a', dose, exerciseId));
    if (!read.ok) throw new Error(read.error.say);
    return { row: line('a', dose, exerciseId), ...read };
  };
  it('writes every missing part at once and says which', () => {
    const { row, exercise, dose } = understood('3x10 each side', 'straight-leg-raise');
    expect(fillMissing(row, exercise, dose)).toMatchObject({
      lines: [{ uid: 'a', dose: '3x10 rest 60s each side 1/day daily until review' }],
      say: 'Written: rest 60s, 1/day, daily, until review.',
    });
    const whole = understood(
      '3x10 rest 60s each side 1/day daily until review',
      'straight-leg-raise',
    );
    expect(fillMissing(whole.row, whole.exercise, whole.dose)).toBeNull();
  });
  it('puts a line under a school, its later phases below', () => {
    const { row, exercise, dose } = understood('2x20 left', 'straight-leg-raise');
    const made = takeSchool(row, exercise, dose, {
      id: 'volume-load',
      settings: { holds: [], tenRepMaximum: null, unit: 'kg' },
    });
    expect(made.lines.map(({ uid, school }) => [uid === 'a', school?.id])).toEqual([
      [true, 'volume-load'],
      [false, 'volume-load'],
      [false, 'volume-load'],
    ]);
    const put = deskStep(filled, { type: 'put', uid: 'a', lines: made.lines });
    expect(put.now.lines).toHaveLength(5);
    expect(uids(deskStep(put, { type: 'undo' }))).toBe('abc');
  });
  it('writes the same held time in shorter holds', () => {
    const { dose } = understood('x1 hold 120s rpe 5 daily', 'shrug-hold');
    expect(shorterDose(dose, { reps: 5, hold: 25 })).toBe('5x25s gap 25s rpe 5 daily');
  });
  it('duplicates below, as a line of its own', () => {
    const copied = deskStep(filled, { type: 'duplicate', uid: 'a', newUid: 'x' });
    expect(uids(copied)).toBe('axbc');
    expect(copied.now.lines[1]?.lineage).toBeNull();
  });
});

describe('reading a line', () => {
  it('says what is assumed and what is missing', () => {
    const read = readLine(line('a', '3x10', 'band-pull'));
    expect(read.ok && read.missing).toEqual([
      'how hard? (50 %, rpe 4, a load or a band)',
      'until when? (until 14 days, until review)',
    ]);
    expect(read.ok && read.assumed).toContain('30 s of rest between sets');
  });

  it('times sets until form fails as a range, and refuses an exercise that is gone', () => {
    const read = readLine(line('a', '10-6-max'));
    expect(read).toMatchObject({ ok: true });
    if (read.ok) {
      expect(read.time.most).toBeGreaterThan(read.time.least);
      expect(read.words).toContain('as many as can be done until form fails');
    }
    const counted = readLine({ ...line('a', '10-6-max'), lastMax: 8 });
    expect(counted.ok && read.ok && counted.time.least > read.time.least).toBe(true);
    expect(counted.ok && read.ok && counted.time.most < read.time.most).toBe(true);
    expect(readLine(line('a', '10x10s', 'no-such-exercise'))).toMatchObject({ ok: false });
    expect(readLine(line('a', ''))).toMatchObject({ ok: false, error: { at: 0 } });
  });

  it('reads every usual dose of the catalogue', () => {
    for (const { id, usualDose } of EXERCISES)
      expect(readLine(line('a', usualDose, id)).ok).toBe(true);
  });
});

describe('the time of the day', () => {
  const day = (lines: DeskLine[], rounds = 1) =>
    fullestDay(
      plannedLines(lines, SHIPPED, localDate('2026-11-23')),
      { from: localDate('2026-11-23'), review: null, rounds },
      waking,
    );

  it('says that a routine called four minutes takes a quarter of an hour a day (common practice, no source)', () => {
    const routine = [
      line('a', '2x30s 2/day', 'neck-warm-up'),
      line('b', '3x10-15s 2/day', 'tuck-seated'),
      line('c', '3x10-15s 2/day', 'tuck-seated'),
      line('d', '30s 2/day', 'block-opening'),
    ];
    const total = day(routine, 2)?.total ?? { least: 0, most: 0 };
    expect(total.least).toBeGreaterThan(12 * 60);
    expect(total.most).toBeLessThan(18 * 60);
  });

  it('is that of the fullest day, not the first', () => {
    const found = day([line('a', '10x10s'), line('b', '10x10s from day 4 every 3 days')]);
    expect(found?.date).toBe('2026-11-26');
    expect(found?.sessions).toMatchObject([{ key: 'session-1', lines: [{}, {}] }]);
  });

  it('counts every beat of the waking day', () => {
    expect(day([line('a', 'x5 every 2h')])?.sessions).toHaveLength(8);
  });

  it('is nothing while no line can be read', () => {
    expect(day([line('a', '3x')])).toBeNull();
    expect(day([])).toBeNull();
  });

  it('stays usable with 500 lines', () => {
    const found = day(
      Array.from({ length: 500 }, (_, index) => line(String(index), '3x10 hold 5s rest 60s')),
    );
    expect(found?.sessions[0]?.lines).toHaveLength(500);
  });

  it('reads as minutes', () => {
    const text = (least: number, most = least) =>
      minutesText({ least: seconds(least), most: seconds(most) });
    expect([text(12), text(90), text(200, 290), text(540, 600), text(600)]).toEqual([
      '12 s',
      '1.5 min',
      '3.5–5 min',
      '9–10 min',
      '10 min',
    ]);
  });
});
