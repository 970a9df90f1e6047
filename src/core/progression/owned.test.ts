import { ownedFor } from './owned';

const of = (unit: 'kg' | 'lb') => ({ load: { kind: 'weight', of: 5, unit } }) as never;

describe('the weights there are', () => {
  it('are told in the unit the dose is written in (a pound is 0.45359237 kg by its definition)', () => {
    expect(ownedFor(of('lb'), { owned: [1, 2.5], ownedUnit: 'kg' })).toEqual({
      owned: [2.2, 5.51],
      unit: 'lb',
    });
    expect(ownedFor(of('kg'), { owned: [5, 10], ownedUnit: 'lb' })).toEqual({
      owned: [2.27, 4.54],
      unit: 'kg',
    });
  });

  it('are as they are where the dose has their unit, or none', () => {
    expect(ownedFor(of('kg'), { owned: [1, 2], ownedUnit: 'kg' }).owned).toEqual([1, 2]);
    expect(ownedFor({ load: undefined }, { owned: [3], ownedUnit: 'lb' })).toEqual({
      owned: [3],
      unit: 'lb',
    });
  });
});
