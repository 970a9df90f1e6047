import fc from 'fast-check';
import { z } from 'zod';
import { runs } from '../../../../tests/support/runs';
import { NO_REPORT } from '../../history';
import { REGIONS } from '../../symptoms';
import { StoredDone, isWholeDone, isWholeReport, StoredReport } from '.';
import { unchangedBy } from './unchanged';

const DONE = {
  lines: [{ lineage: 'tuck', shares: [1, 0.5], beyondMost: 0 }],
  sessions: [
    {
      id: 'a',
      key: 'session-1',
      share: 1,
      state: 'ended',
      version: 3,
      minute: 585,
      pain: 2,
      effort: null,
      lines: [
        {
          lineage: 'tuck',
          share: 1,
          reps: 10,
          heldSeconds: 100,
          hold: null,
          sets: [10],
          skipped: null,
          counted: [{ set: 1, reps: 10, load: { amount: 2, unit: 'kg' } }],
        },
      ],
    },
  ],
};

/** Every value that differs from one in a single place: another kind of value, one more, one less. */
function changed(value: unknown): unknown[] {
  const others = [null, 'x', 3.5, true, [], {}, [value], { own: value }];
  if (typeof value !== 'object' || value === null) return others;
  if (Array.isArray(value)) {
    const inside = value.flatMap((one, at) =>
      changed(one).map((other) => value.map((old: unknown, i) => (i === at ? other : old))),
    );
    return [...others, ...inside, [...(value as unknown[]), 'x']];
  }
  const inside = Object.entries(value).flatMap(([key, one]) => [
    ...changed(one).map((other) => ({ ...value, [key]: other })),
    Object.fromEntries(Object.entries(value).filter(([name]) => name !== key)),
  ]);
  return [...others, ...inside, { ...value, more: 1 }];
}

describe('what a schema would give back as it is', () => {
  it('is a day as it is written', () => {
    expect(isWholeDone(DONE)).toBe(true);
    expect(isWholeDone({ lines: [], sessions: [] })).toBe(true);
    expect(isWholeReport(NO_REPORT)).toBe(true);
  });

  it('is nothing that the schema refuses or changes', () => {
    const days = changed(DONE);
    expect(days.length).toBeGreaterThan(200);
    for (const day of days) if (isWholeDone(day)) expect(StoredDone.parse(day)).toEqual(day);
    const report = {
      ...NO_REPORT,
      worstOf: [{ episodeId: 'a', worst: 3 }],
      where: REGIONS.slice(0, 2),
    };
    expect(isWholeReport(report)).toBe(true);
    for (const told of changed(report))
      if (isWholeReport(told)) expect(StoredReport.parse(told)).toEqual(told);
  });

  it.each<[string, z.ZodType, unknown, boolean]>([
    ['a key more', z.object({ a: z.number() }), { a: 1, b: 2 }, false],
    ['a key more without a name', z.object({ a: z.number() }), { a: 1, '': 2 }, false],
    ['nothing', z.object({ a: z.number().optional() }), null, false],
    ['a list', z.object({ a: z.number().optional() }), [], false],
    ['a word', z.object({ a: z.number().optional() }), '', false],
    ['a key less that may be', z.object({ a: z.number().optional() }), {}, true],
    [
      'a key less before another',
      z.object({ a: z.number().optional(), b: z.number() }),
      { b: 1 },
      true,
    ],
    ['a key less that may not', z.object({ a: z.number(), b: z.number() }), { b: 1 }, false],
    ['the last key less', z.object({ a: z.number(), b: z.number() }), { a: 1 }, false],
    [
      'the last two less, one of which may',
      z.object({ a: z.number(), b: z.number().optional(), c: z.number() }),
      { a: 1 },
      false,
    ],
    ['keys in another order', z.object({ a: z.number(), b: z.string() }), { b: 'x', a: 1 }, true],
    [
      'another order and one wrong',
      z.object({ a: z.number(), b: z.string() }),
      { b: 1, a: 1 },
      false,
    ],
    [
      'another order and one more',
      z.object({ a: z.number(), b: z.string() }),
      { b: 'x', a: 1, c: 1 },
      false,
    ],
    [
      'a key that is there and says nothing',
      z.object({ a: z.number() }),
      { a: 1, b: undefined },
      false,
    ],
    ['a number that is none', z.number(), Number.NaN, false],
    ['a list for an object', z.object({}), [], false],
    ['a check that it does not know', z.string().min(1), 'long', false],
    ['a value that is made anew', z.string().transform((s) => s.length), 'x', false],
    ['one of its own words', z.enum(['kg', 'lb']), 'kg', true],
    ['another word', z.enum(['kg', 'lb']), 'st', false],
    ['what a function takes', z.custom((one) => one === 'x'), 'x', true],
    ['what it does not', z.custom((one) => one === 'x'), 'y', false],
    ['an object that takes more', z.looseObject({}), { a: 1 }, false],
  ])('with %s', (_, schema, value, is) => {
    expect(unchangedBy(schema)(value)).toBe(is);
  });

  it('is so of whatever is sent', () => {
    const schema = z.object({ a: z.array(z.number().nullable()), b: z.boolean().optional() });
    const is = unchangedBy(schema);
    fc.assert(
      fc.property(
        fc.record({ a: fc.array(fc.option(fc.double())), b: fc.option(fc.boolean()) }),
        (value) => {
          if (is(value)) expect(schema.parse(value)).toEqual(value);
        },
      ),
      runs(200),
    );
  });
});
