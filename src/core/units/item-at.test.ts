import { itemAt } from './item-at';

test('What stands at a place, from the start and from the end', () => {
  expect([0, 1, 2, -1, -3].map((index) => itemAt([4, 5, 6], index))).toEqual([4, 5, 6, 6, 4]);
  expect(itemAt(new Float64Array([0.5]), 0)).toBe(0.5);
});

test('What is nothing of itself may stand there', () => {
  expect(itemAt([0, null, false, ''], 0)).toBe(0);
  expect(itemAt([0, null, false, ''], 1)).toBeNull();
});

test('Where nothing stands it is a fault, and no number in its place', () => {
  for (const index of [3, -4, 0.5, NaN])
    expect(() => itemAt([4, 5, 6], index)).toThrow(new RangeError('nothing stands there'));
  expect(() => itemAt([], 0)).toThrow(RangeError);
});
