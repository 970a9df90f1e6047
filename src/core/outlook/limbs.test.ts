import { type DayReport, NO_REPORT } from '../history';
import { localDate } from '../units';
import { limbSeries } from '.';

const series = (report: Partial<DayReport>) =>
  limbSeries(new Map([[localDate('2026-11-20'), { ...NO_REPORT, ...report }]])).map(
    ({ limb, readings }) => [limb, readings.map(({ value }) => value)],
  );

it('reads a day on which either chain was asked, and none on which neither was', () => {
  const where = ['front right elbow'] as const;
  const both = series({ arm: 3, leg: -1, where });
  expect(both).toHaveLength(1);
  expect(series({ arm: 3, leg: null, where })).toEqual(both);
  expect(series({ arm: null, leg: -1, where })).toEqual(both);
  expect(series({ where })).toEqual([]);
});
