import { on } from '../../../tests/support/follow-record';
import type { TaughtLine } from '../records';
import { untaught } from '../teach';
import { deficitSince, improvedOn, limbWord, openFaults } from '.';

describe('what the limbs do, in a word', () => {
  const verdict = (course: 'spreading' | 'no clear change', better = false) =>
    ({ course, better }) as Parameters<typeof limbWord>[0][number];
  it('is the worst of them, a growing deficit before all', () => {
    expect(limbWord([verdict('no clear change', true)], true)).toBe('deficit grows');
    expect(limbWord([verdict('no clear change', true), verdict('spreading')], false)).toBe(
      'spreading',
    );
    expect(limbWord([verdict('no clear change', true)], false)).toBe('drawing in');
    expect(limbWord([verdict('no clear change')], false)).toBe('no clear change');
    expect(limbWord([], false)).toBeNull();
  });
});

describe('a deficit', () => {
  const exam = (strength: number) =>
    ({
      form: 'nerve',
      tension: [],
      levels: [{ level: 'C7', side: 'right', strength, feeling: null, reflex: null }],
    }) as const;
  it('grows only between two examinations, the newest standing first', () => {
    const since = (...bodies: (ReturnType<typeof exam> | null)[]) =>
      deficitSince(bodies.map((body, ago) => ({ on: on(-ago), body })));
    expect(since(exam(4), exam(5))).toBe(on(0));
    expect(since(exam(5), exam(4))).toBeNull();
    expect(since(exam(3))).toBeNull();
    expect(since(exam(4), null, exam(5))).toBe(on(0));
    expect(since()).toBeNull();
  });
});

it('a measured maximum has improved when it grew by more than its error, or by a quarter', () => {
  const values = (...found: number[]) => found.map((value, ago) => ({ on: on(-ago), value }));
  expect(improvedOn('strength-back', values(126, 100))).toBe(on(0));
  expect(improvedOn('strength-back', values(101, 100))).toBeNull();
  expect(improvedOn('strength-back', values(100, 126, 100))).toBe(on(-1));
  expect(improvedOn('strength-back', values(100))).toBeNull();
});

it('counts the faults nobody has put right', () => {
  const taught = (lineage: string, ...fixes: string[]): TaughtLine => ({
    ...untaught(lineage),
    faults: fixes.map((fix) => ({ fault: 'chin pokes', fix })),
  });
  expect([...openFaults([taught('a', '', 'tuck', ''), taught('b')])]).toEqual([
    ['a', 2],
    ['b', 0],
  ]);
});
