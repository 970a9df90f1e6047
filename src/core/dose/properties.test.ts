import fc from 'fast-check';
import { runs } from '../../../tests/support/runs';
import { localDate, WEEKDAYS } from '../units';
import { formatDose } from './format';
import type { Dose, Head } from './model';
import { PART_WORDS } from './parts';
import { parseDose } from './parse';
import { readDose } from './reading';
import { repsOf } from './volume';

const range = (least: number, most: number) =>
  fc
    .tuple(fc.integer({ min: least, max: most }), fc.integer({ min: least, max: most }))
    .map(([a, b]) => ({ least: Math.min(a, b), most: Math.max(a, b) }));
/** Half seconds, so that decimals are tried too. */
const span = (least: number, most: number) =>
  range(least * 2, most * 2).map(({ least: a, most: b }) => ({ least: a / 2, most: b / 2 }));

const head: fc.Arbitrary<Head> = fc.oneof(
  fc.record({ kind: fc.constant('bouts' as const), bouts: range(1, 30), span: span(1, 600) }),
  fc.record({ kind: fc.constant('sets' as const), sets: range(1, 6), reps: range(1, 30) }),
  fc.record({
    kind: fc.constant('pyramid' as const),
    reps: fc.array(fc.oneof(fc.integer({ min: 1, max: 20 }), fc.constant('max' as const)), {
      minLength: 3,
      maxLength: 5,
    }),
  }),
) as fc.Arbitrary<Head>;

const optional = <T>(value: fc.Arbitrary<T>) => fc.option(value, { nil: undefined });

const parts = fc.record({
  hold: optional(span(1, 300)),
  tempo: optional(
    fc.oneof(
      fc.record({ kind: fc.constant('move' as const), seconds: span(1, 60) }),
      fc.constant({ kind: 'slow' as const }),
    ),
  ),
  breath: optional(fc.constant({ in: 4, hold: 4, out: 4 })),
  directions: optional(fc.integer({ min: 2, max: 8 })),
  stations: optional(
    fc.oneof(
      fc.record({ kind: fc.constant('angles' as const), count: fc.integer({ min: 2, max: 6 }) }),
      fc.record({
        kind: fc.constant('degrees' as const),
        degrees: fc.array(fc.integer({ min: 1, max: 180 }), { minLength: 1, maxLength: 6 }),
      }),
    ),
  ),
  load: optional(
    fc.oneof(
      fc.record({
        kind: fc.constant('weight' as const),
        unit: fc.constantFrom('kg' as const, 'lb' as const),
        perSet: fc.tuple(fc.oneof(fc.constant('adj' as const), fc.constantFrom(2, 2.5, 10))),
      }),
      fc.record({
        kind: fc.constant('percent' as const),
        of: fc.constantFrom('10rm' as const, '1rm' as const),
        perSet: fc.tuple(fc.integer({ min: 1, max: 100 })),
      }),
    ),
  ),
  band: optional(
    fc.oneof(
      fc.record({
        band: fc.record({
          kind: fc.constant('level' as const),
          level: fc.constantFrom('light' as const, 'medium' as const, 'firm' as const),
        }),
      }),
      fc.record({
        band: fc.constant({ kind: 'named' as const, name: 'Clinic Ü 3' }),
        stretchPercent: fc.integer({ min: 1, max: 300 }),
      }),
    ),
  ),
  gap: optional(span(1, 600)),
  side: optional(
    fc.constantFrom('left' as const, 'right' as const, 'each' as const, 'alternating' as const),
  ),
  effort: optional(
    fc.oneof(
      fc.record({ kind: fc.constant('percent' as const), range: range(1, 100) }),
      fc.record({ kind: fc.constant('perceived' as const), range: range(1, 10) }),
    ),
  ),
  tuck: optional(
    fc.record({
      kind: fc.constantFrom('percent' as const, 'mm' as const),
      range: range(1, 80),
    }),
  ),
  times: optional(
    fc.oneof(
      fc.record({ kind: fc.constant('per day' as const), times: range(1, 24) }),
      fc.record({ kind: fc.constant('every' as const), minutes: fc.integer({ min: 5, max: 720 }) }),
      fc.constantFrom(
        { kind: 'as needed' as const },
        { kind: 'on waking' as const },
        { kind: 'after training' as const },
      ),
    ),
  ),
  days: optional(
    fc.oneof(
      fc.constant({ kind: 'daily' as const }),
      fc.record({ kind: fc.constant('every' as const), n: fc.integer({ min: 2, max: 31 }) }),
      fc
        .subarray([...WEEKDAYS], { minLength: 1 })
        .map((weekdays) => ({ kind: 'weekdays' as const, weekdays })),
    ),
  ),
  until: optional(
    fc.oneof(
      fc.record({ kind: fc.constant('day' as const), day: fc.integer({ min: 1, max: 366 }) }),
      fc.constant({ kind: 'review' as const }),
      fc.constant({ kind: 'date' as const, date: localDate('2027-01-31') }),
    ),
  ),
});

const dose = fc
  .tuple(head, parts)
  .map(([itsHead, { hold, ...itsParts }]) => {
    const all = { head: itsHead, ...(itsHead.kind === 'bouts' ? {} : { hold }), ...itsParts };
    return Object.fromEntries(
      Object.entries(all).filter(([, value]) => value !== undefined),
    ) as unknown as Dose;
  })
  .filter((candidate) => repsOf(candidate).most <= 2000);

describe('any dose', () => {
  it('is read back from what was printed', () => {
    fc.assert(
      fc.property(dose, (any) => {
        expect(parseDose(formatDose(any))).toEqual({ ok: true, value: any });
      }),
      runs(1000),
    );
  });

  it('is the same whatever the order of its parts', () => {
    fc.assert(
      fc.property(dose, fc.integer({ min: 0, max: 30 }), (any, turn) => {
        // Parts are found in the printed line by their first words; the head stays first.
        const printed = formatDose(any);
        const words = new RegExp(` (?=(?:${PART_WORDS.filter((w) => w !== 'mon').join('|')})\\b)`);
        const [first = '', ...others] = printed.split(words);
        const turned = [
          ...others.slice(turn % (others.length || 1)),
          ...others.slice(0, turn % (others.length || 1)),
        ];
        expect(parseDose([first, ...turned].join(' '))).toEqual({ ok: true, value: any });
      }),
    );
  });

  it('can be read aloud', () => {
    fc.assert(
      fc.property(dose, (any) => {
        expect(readDose(any, 'held').length).toBeGreaterThan(0);
      }),
    );
  });
});

describe('any text', () => {
  const pieces = fc.constantFrom(
    ...PART_WORDS,
    '3x10',
    '10x10s',
    '6-4-2',
    '5',
    '5s',
    '50%',
    '1rm',
    'x',
    '-',
    '/',
    'deg',
    '2/day',
    '"',
    'ß',
    'İ',
    '٣',
    '2 directions',
    '3 angles',
    '1-2min',
    '8kg',
    '15',
    'day',
    'days',
    '\u00a0',
    'max',
    'adj',
  );
  const text = fc.oneof(
    fc.string(),
    fc.string({ unit: 'grapheme' }),
    fc.array(pieces).map((p) => p.join(' ')),
  );

  it('never throws, and an error lies inside the text', () => {
    fc.assert(
      fc.property(text, (typed) => {
        const result = parseDose(typed);
        if (result.ok) return;
        expect(result.at).toBeGreaterThanOrEqual(0);
        expect(result.at).toBeLessThanOrEqual(typed.length);
        expect(result.say).not.toBe('');
      }),
      runs(3000),
    );
  });

  it('is never read with a token dropped: junk anywhere is an error', () => {
    fc.assert(
      fc.property(dose, fc.nat(), (any, where) => {
        const words = formatDose(any).split(' ');
        const at = where % (words.length + 1);
        const junked = [...words.slice(0, at), 'zzz', ...words.slice(at)].join(' ');
        const result = parseDose(junked);
        // Inside a band's quoted name it is part of the name, and must stay there.
        if (result.ok) expect(formatDose(result.value)).toContain('zzz');
      }),
    );
  });

  it('keeps every digit it was given', () => {
    fc.assert(
      fc.property(text, (typed) => {
        const result = parseDose(typed);
        if (!result.ok) return;
        const again = parseDose(formatDose(result.value));
        expect(again).toEqual({ ok: true, value: result.value });
      }),
      runs(2000),
    );
  });
});
