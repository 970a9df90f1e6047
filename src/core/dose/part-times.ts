import { WEEKDAYS, type Weekday, parseLocalDate } from '../units';
import { TIED_TIMES } from './model';
import { takeWhole } from './numbers';
import type { Part } from './part';
import type { Scanner } from './scanner';

const EVERY = ['every 2h', 'every 90min', 'every other day', 'every 3 days', 'daily'];

/** After "every": other day, i days, i h, i min. */
export function takeEvery(scanner: Scanner): Part {
  if (scanner.take(/other +day\b/))
    return { slot: 'days', value: { days: { kind: 'every', n: 2 } } };
  if (scanner.sees(/\d{1,5} *days?\b/)) {
    const n = takeWhole(scanner, 'everyDays', 'days', EVERY);
    scanner.take(/ *days?\b/);
    return { slot: 'days', value: { days: n === 1 ? { kind: 'daily' } : { kind: 'every', n } } };
  }
  const from = scanner.position;
  const match = scanner.take(/(\d{1,5}) *(h|min)\b/);
  if (!match) return scanner.fail('Every what? Hours or minutes within the day, or days.', EVERY);
  const minutes = Number(match[1]) * (match[2] === 'h' ? 60 : 1);
  scanner.within({ least: minutes, most: minutes }, 'everyMinutes', 'minutes between', {
    from,
    to: scanner.position,
  });
  return { slot: 'times', value: { times: { kind: 'every', minutes } } };
}

/** Any of the times tied to something else of the day. */
export const TIED = new RegExp(
  String.raw`(?:${TIED_TIMES.map((time) => time.replace(/ /g, ' +')).join('|')})\b`,
);

export function takeTied(scanner: Scanner): Part {
  const words = scanner.take(TIED)?.[0].replace(/ +/g, ' ') ?? '';
  const kind = TIED_TIMES.find((time) => time === words) ?? 'on waking';
  return { slot: 'times', value: { times: { kind } } };
}

/** A list of weekdays; kept in the order of the week. */
export function takeDays(scanner: Scanner): Part {
  const named = new Set<Weekday>();
  for (;;) {
    const from = scanner.position;
    const match = scanner.take(/(mon|tue|wed|thu|fri|sat|sun)\b/);
    if (!match) break;
    const day = match[1] as Weekday;
    if (named.has(day)) {
      scanner.fail(`${day} is in the list twice.`, [], { from, to: scanner.position });
    }
    named.add(day);
    if (!scanner.take(/(?: *, *| +)(?=(?:mon|tue|wed|thu|fri|sat|sun)\b)/)) break;
  }
  const weekdays = WEEKDAYS.filter((day) => named.has(day));
  return { slot: 'days', value: { days: { kind: 'weekdays', weekdays } } };
}

export function takeFrom(scanner: Scanner): Part {
  const expected = ['from day 15'];
  if (!scanner.take(/day\b */)) scanner.fail('From which day? Day 1 is the first day.', expected);
  return { slot: 'fromDay', value: { fromDay: takeWhole(scanner, 'day', 'days', expected) } };
}

export function takeUntil(scanner: Scanner): Part {
  const expected = ['until 14 days', 'until 2027-01-31', 'until review'];
  if (scanner.take(/review\b/)) return { slot: 'until', value: { until: { kind: 'review' } } };
  const from = scanner.position;
  const dated = scanner.take(/\d{4}-\d{2}-\d{2}(?!\d)/);
  if (dated) {
    const date = parseLocalDate(dated[0]);
    if (date === null) {
      return scanner.fail('There is no such date in the calendar.', expected, {
        from,
        to: scanner.position,
      });
    }
    return { slot: 'until', value: { until: { kind: 'date', date } } };
  }
  if (!scanner.sees(/\d/)) scanner.fail('Until when?', expected);
  const day = takeWhole(scanner, 'day', 'days', expected);
  if (!scanner.take(/ *days?\b/)) scanner.fail('Expected the word days.', expected);
  return { slot: 'until', value: { until: { kind: 'day', day } } };
}
