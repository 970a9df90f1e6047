import { addDays, localDate } from '../units';
import { type DayReport, NO_REPORT } from '../history';
import { painAfter } from './pain-after';

const ON = localDate('2026-11-01');
const told = (before: readonly number[], after: readonly number[]) =>
  painAfter(
    ON,
    new Map(
      [
        ...before.map((pain, nth) => [addDays(ON, -nth), pain] as const),
        ...after.map((pain, nth) => [addDays(ON, nth + 1), pain] as const),
      ].map(([date, pain]): [typeof date, DayReport] => [date, { ...NO_REPORT, pains: [pain] }]),
    ),
  );
const days = (pain: number) => Array.from({ length: 14 }, () => pain);

it('says in a word how pain went on after a day, only where the interval does', () => {
  expect(told(days(6), days(2))).toBe('lower');
  expect(told(days(2), days(6))).toBe('higher');
  expect(told(days(4), days(4))).toBe('neither');
  expect(told([6], days(2))).toBe('too few days');
  // Four days of either side are enough, three of one are not.
  const [four, three] = [days(6).slice(0, 4), days(6).slice(0, 3)];
  expect(told(four, four)).toBe('neither');
  expect(told(three, four)).toBe('too few days');
  expect(told(four, three)).toBe('too few days');
});
