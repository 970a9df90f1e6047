import { type Reached, askedOf } from './reached';

const passing = (ms: number, ...reached: number[]) => ({ ms, reached });
const test = (name: string, ms: number, ...reached: number[]) => ({
  name,
  ...passing(ms, ...reached),
});

describe('what is asked of a change', () => {
  const change = { file: 'src/core/dose/parse.ts' };
  const of = (reached: readonly Reached[]) => askedOf(7, change, reached);

  it('is those tests of a file that pass it', () => {
    const file = {
      path: 'src/core/plan/a.test.ts',
      beside: passing(30, 1),
      tests: [test('one', 5, 7), test('another', 9, 1, 2), test('a third', 2, 2, 7)],
    };
    expect(of([file])).toEqual([{ path: file.path, names: ['one', 'a third'], ms: 37, order: 37 }]);
  });

  it('is a whole file where it is passed beside the tests, as where a table is made', () => {
    const file = {
      path: 'src/core/plan/a.test.ts',
      beside: passing(30, 7),
      tests: [test('one', 5), test('another', 9, 7)],
    };
    expect(of([file])).toEqual([{ path: file.path, names: null, ms: 44, order: 44 }]);
  });

  it('is nothing of a file that does not pass it', () => {
    expect(
      of([{ path: 'src/core/plan/a.test.ts', beside: passing(3, 6), tests: [test('one', 5, 8)] }]),
    ).toEqual([]);
  });

  it('begins with the quickest, and with what stands beside the change although it takes longer', () => {
    const file = (path: string, ms: number): Reached => ({
      path,
      beside: passing(0),
      tests: [test('one', ms, 7)],
    });
    const files = [
      file('src/core/plan/slow.test.ts', 900),
      file('src/core/plan/quick.test.ts', 40),
      file('src/core/dose/dose.test.ts', 240),
    ];
    expect(of(files).map(({ path }) => path)).toEqual([
      'src/core/dose/dose.test.ts',
      'src/core/plan/quick.test.ts',
      'src/core/plan/slow.test.ts',
    ]);
  });
});
