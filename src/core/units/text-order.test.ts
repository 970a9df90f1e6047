import { textOrder } from './text-order';

describe('textOrder', () => {
  it.each([
    ['2026-01-31', '2026-02-01', -1],
    ['2026-02-01', '2026-01-31', 1],
    ['2026-02-01', '2026-02-01', 0],
    ['', 'a', -1],
    ['Z', 'a', -1],
  ])('%s and %s: %d', (a, b, order) => expect(textOrder(a, b)).toBe(order));

  it('leaves what is the same where it stood', () => {
    const rows = [
      { day: 'b', at: 1 },
      { day: 'a', at: 2 },
      { day: 'b', at: 3 },
    ];
    expect([...rows].sort((a, b) => textOrder(a.day, b.day)).map(({ at }) => at)).toEqual([
      2, 1, 3,
    ]);
  });
});
