import { supportOf } from './closed-form';

describe('where a column is not zero', () => {
  it.each([
    [[0, 0, 3, 0, 4, 0, 0], { from: 2, to: 6 }],
    [[1, 0, 0], { from: 0, to: 2 }],
    [[0, 2], { from: 1, to: 2 }],
    [[5], { from: 0, to: 1 }],
    [[0, 0], { from: 0, to: 0 }],
    [[], { from: 0, to: 0 }],
  ])('%j: %j, one reading longer where there is one', (column, support) =>
    expect(supportOf(column)).toEqual(support),
  );
});
