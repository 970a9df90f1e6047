import { asLine } from '../../../tests/support/worked';
import {
  addDays,
  dateRange,
  daysBetween,
  exactly,
  formatClock,
  formatRange,
  formatSeconds,
  isExact,
  localDate,
  parseLocalDate,
  seconds,
  sumRanges,
  weekday,
  wholeMinutes,
} from '.';

it('times in words', () => {
  expect(
    [0, 1, 29, 30, 59, 59.4, 60, 61, 89, 90, 119, 120, 150, 599, 600, 3599, 3600, 3661, 7200].map(
      (value) =>
        asLine(
          value,
          formatSeconds(seconds(value)),
          formatClock(seconds(value)),
          formatRange(exactly(seconds(value))),
          formatRange({ least: seconds(value), most: seconds(value + 70) }),
          wholeMinutes({ least: seconds(value), most: seconds(value * 2) }),
        ),
    ),
  ).toMatchSnapshot();
  expect([
    isExact(exactly(3)),
    isExact({ least: 1, most: 2 }),
    sumRanges([]),
    sumRanges([exactly(2), { least: 1, most: 4 }]),
  ]).toMatchSnapshot();
});

it('dates', () => {
  expect(
    [
      '2026-02-28',
      '2026-02-29',
      '2024-02-29',
      '2026-13-01',
      '2026-00-10',
      '2026-1-1',
      '0999-12-31',
      '1000-01-01',
      '2026-11-27x',
      '',
      '2026-04-31',
    ].map((text) => parseLocalDate(text)),
  ).toMatchSnapshot();
  expect(() => localDate('2026-02-30')).toThrow(RangeError);
  const day = localDate('2026-10-24');
  expect(
    [-400, -1, 0, 1, 2, 70, 400].map((days) =>
      asLine(addDays(day, days), daysBetween(day, addDays(day, days)), weekday(addDays(day, days))),
    ),
  ).toMatchSnapshot();
  expect([
    dateRange(day, addDays(day, 2)),
    dateRange(day, day),
    dateRange(day, addDays(day, -1)),
    weekday(localDate('1969-12-31')),
  ]).toMatchSnapshot();
});
