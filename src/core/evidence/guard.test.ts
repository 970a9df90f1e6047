import { FEWEST_PATIENTS } from '../outlook';
import fc from 'fast-check';
import { type Cell, toldGroups, toldParts, toldTable, sizeInWords } from './guard';

/** What may be told of counts: nothing of one to four patients, nor by subtracting. */
const cells = (...counts: number[]): Cell[] => counts.map((count) => ({ count, patients: count }));
const table = fc
  .tuple(fc.integer({ min: 1, max: 5 }), fc.integer({ min: 1, max: 5 }))
  .chain(([rows, columns]) =>
    fc.array(
      fc.array(fc.integer({ min: 0, max: 12 }), { minLength: columns, maxLength: columns }),
      { minLength: rows, maxLength: rows },
    ),
  );

describe('a table', () => {
  it('tells what is large enough, and that there is nobody', () => {
    expect(toldParts(cells(9, 0, 5))).toEqual([9, 0, 5]);
  });

  it('hides what is of one to four, and one beside it that would tell it', () => {
    expect(toldParts(cells(20, 9, 2))).toEqual([20, null, null]);
    expect(toldParts(cells(4, 4, 30))).toEqual([null, null, 30]);
    // One patient often is one patient still.
    expect(
      toldParts([
        { count: 40, patients: 1 },
        { count: 9, patients: 9 },
      ]),
    ).toEqual([null, null]);
  });

  it('hides along columns too, whose sums are known', () => {
    expect(toldTable([cells(9, 2, 6), cells(8, 7, 9), cells(20, 30, 40)])).toEqual([
      [9, null, null],
      [8, null, null],
      [20, 30, 40],
    ]);
  });

  it('whatever it holds, no row and no column gives a hidden cell away', () => {
    fc.assert(
      fc.property(table, (counts) => {
        const told = toldTable(counts.map((row) => cells(...row)));
        const lines = [
          ...counts.map((row, y) => row.map((count, x) => [count, told[y]?.[x] ?? null] as const)),
          ...(counts.length > 1
            ? (counts[0] ?? []).map((_, x) =>
                counts.map((row, y) => [row[x] ?? 0, told[y]?.[x] ?? null] as const),
              )
            : []),
        ];
        for (const line of lines) {
          const hidden = line.filter(([, said]) => said === null);
          for (const [count, said] of line) {
            if (said !== null) expect(said).toBe(count);
            if (count > 0 && count < FEWEST_PATIENTS) expect(said).toBeNull();
          }
          if (hidden.length === 0) continue;
          const sum = hidden.reduce((all, [count]) => all + count, 0);
          // Either two and more that are five together, or nothing of the line is told at all.
          expect(
            (hidden.length > 1 && sum >= FEWEST_PATIENTS) || hidden.length === line.length,
          ).toBe(true);
        }
      }),
      { numRuns: 500 },
    );
  });
});

describe('groups', () => {
  const groups = (...sizes: number[]) =>
    sizes.map((size, at) => ({
      name: `g${at}`,
      members: Array.from({ length: size }, (_, one) => `${at}-${one}`),
    }));
  const names = (...sizes: number[]) =>
    toldGroups(groups(...sizes), 'others', ({ length }) => length).map(
      ({ name, members }) => `${name} ${members.length}`,
    );

  it('stand alone from five patients on, the largest first', () => {
    expect(names(5, 9)).toEqual(['g1 9', 'g0 5']);
  });

  it('are put together where they are smaller, with the smallest of the others where that is too few', () => {
    expect(names(9, 3, 2)).toEqual(['g0 9', 'others 5']);
    expect(names(9, 7, 2)).toEqual(['g0 9', 'others 9']);
    expect(names(4, 3)).toEqual(['all together 7']);
    expect(names(4, 0)).toEqual([]);
  });

  it('nobody is left out, and none is too small', () => {
    fc.assert(
      fc.property(fc.array(fc.integer({ min: 0, max: 9 }), { maxLength: 8 }), (sizes) => {
        const found = toldGroups(groups(...sizes), 'others', ({ length }) => length);
        const all = sizes.reduce((sum, size) => sum + size, 0);
        const told = found.reduce((sum, { members }) => sum + members.length, 0);
        expect(told).toBe(all >= FEWEST_PATIENTS ? all : 0);
        for (const { members } of found)
          expect(members.length).toBeGreaterThanOrEqual(FEWEST_PATIENTS);
      }),
    );
  });

  it('that overlap are told by their size only', () => {
    expect([4, 5, 9, 10, 49, 50, 400].map(sizeInWords)).toEqual([
      'under 5',
      '5 or more',
      '5 or more',
      '10 or more',
      '20 or more',
      '50 or more',
      '100 or more',
    ]);
  });
});
