import { formatDose, doseOf } from '../../dose';
import { stationsFor } from './holds';
import { smallerStep } from './smaller-step';

describe('half way', () => {
  const load = (owned: readonly number[]) => {
    const made = smallerStep(doseOf('3x10 4kg'), doseOf('3x10 8kg'), 'load', owned);
    return made && formatDose(made);
  };

  it('takes a weight there is between both, the lightest, or any where any can be set', () => {
    expect(load([])).toBe('3x10 6kg');
    expect(load([4, 5, 7, 8])).toBe('3x10 5kg');
  });

  it('takes none where none lies between, were there one weight only', () => {
    expect(load([4, 8])).toBeNull();
    expect(load([8])).toBeNull();
    expect(load([5])).toBe('3x10 5kg');
  });

  it('takes none between loads that cannot be compared', () => {
    const between = (from: string, to: string) =>
      smallerStep(doseOf(`3x10 ${from}`), doseOf(`3x10 ${to}`), 'load', []);
    expect(between('4kg', '8lb')).toBeNull();
    expect(between('50% 10rm', '8kg')).toBeNull();
    expect(between('4kg', '75% 10rm')).toBeNull();
  });
});

describe('half way of a hold or a set', () => {
  const between = (from: string, to: string, of: 'hold' | 'volume') => {
    const made = smallerStep(doseOf(from), doseOf(to), of, []);
    return made && formatDose(made);
  };

  it('is none where it would be the whole step again, rounded', () => {
    // Half way is 42.5 s, which is 45 where holds end on fives.
    expect(between('40s', '45s', 'hold')).toBeNull();
    expect(between('40s', '60s', 'hold')).toBe('50s');
  });

  it('is one that is a tenth more at the least, and a second', () => {
    expect(between('x10 hold 2s', 'x10 hold 4s', 'hold')).toBe('x10 hold 3s');
    expect(between('x10 hold 2s', 'x10 hold 3s', 'hold')).toBeNull();
  });

  it('is none of sets beside anything else, or of another number of sets', () => {
    expect(between('2x8', '2x12', 'volume')).toBe('2x10');
    expect(between('2x8', '3x12', 'volume')).toBeNull();
    expect(between('2x8', '3x30s', 'volume')).toBeNull();
    expect(between('3x30s', '2x12', 'volume')).toBeNull();
  });
});

describe('stations of a hold', () => {
  const own = (...holds: number[]) => ({ growth: { holds, timesADay: 1, carriesLoad: false } });
  const stations = (line: string, exercise: Parameters<typeof stationsFor>[1]) =>
    stationsFor(doseOf(line), exercise, []);

  it('are the method’s own from a third of its first one on', () => {
    expect(stations('x10 hold 3s gap 3s', own(10))).toEqual([10]);
    expect(stations('x10 hold 60s gap 3s', own(60, 120, 600))).toEqual([60, 120, 600]);
  });

  it('are the trade’s below it, to the same end and with it', () => {
    expect(stations('x10 hold 2s gap 3s', own(10))).toEqual([3, 5, 10]);
    expect(stations('x10 hold 2s gap 3s', own(7))).toEqual([3, 5]);
    expect(stations('x10 hold 2s gap 3s', {})).toEqual([3, 5, 10]);
  });

  it('go by the repetitions of the first set, which are the most', () => {
    expect(stations('5-4-3 hold 10s rest 20s', {})).toEqual([10]);
    expect(stations('4-3-2 hold 10s rest 20s', {})).toEqual([10, 30, 60]);
  });
});
