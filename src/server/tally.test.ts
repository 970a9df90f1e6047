import { tallyOf } from './tally';

it('counts each by the period, and what does not fit is not counted', () => {
  const count = tallyOf('tally test', 1000, 3);
  expect([count('a', 2, 0), count('a', 2, 500), count('a', 1, 999), count('a', 1, 999)]).toEqual([
    true,
    false,
    true,
    false,
  ]);
  // Nobody else's, and not the next period's.
  expect([count('b', 3, 999), count('a', 3, 1000)]).toEqual([true, true]);
});

it('is shared by its name: bundled twice it is one count', () => {
  expect(tallyOf('one count', 1000, 1)('a', 1, 0)).toBe(true);
  expect(tallyOf('one count', 1000, 1)('a', 1, 0)).toBe(false);
});
