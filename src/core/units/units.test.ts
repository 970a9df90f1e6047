import { plainWords } from './plain-text';
import { clockMinute, clockText } from './clock';
import { addDays, dateRange, daysBetween, localDate, parseLocalDate, weekday } from './local-date';
import { exactly, sumRanges } from './range';
import { formatClock, formatSeconds, seconds } from './seconds';

describe('local dates', () => {
  it('refuses dates that are not in the calendar', () => {
    expect(parseLocalDate('2026-02-29')).toBeNull();
    expect(parseLocalDate('2024-02-29')).toBe('2024-02-29');
    expect(parseLocalDate('2026-13-01')).toBeNull();
    expect(parseLocalDate('26-01-01')).toBeNull();
    expect(() => localDate('tomorrow')).toThrow(RangeError);
  });

  it('adds and counts days across month, year and clock changes', () => {
    expect(addDays(localDate('2026-10-24'), 2)).toBe('2026-10-26');
    expect(addDays(localDate('2026-01-01'), -1)).toBe('2025-12-31');
    expect(daysBetween(localDate('2026-02-27'), localDate('2026-03-02'))).toBe(3);
    expect(dateRange(localDate('2026-03-30'), localDate('2026-04-01'))).toEqual([
      '2026-03-30',
      '2026-03-31',
      '2026-04-01',
    ]);
    expect(dateRange(localDate('2026-04-02'), localDate('2026-04-01'))).toEqual([]);
  });

  it('counts as the language’s own calendar does, leap days of centuries included', () => {
    const first = localDate('1000-01-01');
    const shown = (text: string) => daysBetween(first, localDate(text));
    const known = (text: string) => (Date.parse(text) - Date.parse('1000-01-01')) / 86_400_000;
    for (const year of [1000, 1582, 1899, 1900, 1968, 1970, 2000, 2024, 2026, 2100, 2400, 9999])
      for (const day of ['01-01', '02-28', '03-01', '04-30', '05-31', '08-31', '10-31', '12-31'])
        expect(shown(`${year}-${day}`)).toBe(known(`${year}-${day}`));
    for (let days = -400; days < 900; days += 1)
      expect(daysBetween(localDate('2023-06-15'), addDays(localDate('2023-06-15'), days))).toBe(
        days,
      );
  });

  it('knows the weekday, before 1970 too', () => {
    expect(weekday(localDate('2026-11-23'))).toBe('mon');
    expect(weekday(localDate('1969-12-28'))).toBe('sun');
  });
});

describe('lengths of time', () => {
  it('reads as minutes and seconds', () => {
    expect(formatSeconds(seconds(95))).toBe('1 min 35 s');
    expect(formatSeconds(seconds(120))).toBe('2 min');
    expect(formatClock(seconds(61.2))).toBe('1:02');
    expect(formatClock(seconds(0))).toBe('0:00');
  });

  it('adds ranges end by end', () => {
    expect(sumRanges([exactly(3), { least: 1, most: 5 }])).toEqual({ least: 4, most: 8 });
  });
});

describe('the wall clock', () => {
  it.each([
    ['00:00', 0],
    ['07:30', 450],
    ['7:05', 425],
    ['23:59', 1439],
    [' 10:30 ', 630],
    ['', Number.NaN],
    ['half past', Number.NaN],
    ['10', Number.NaN],
  ])('%p is the minute %p', (text, minute) => {
    expect(clockMinute(text)).toBe(minute);
  });
  it('is written with two digits each, the next day’s from midnight on, and nothing for no number', () => {
    expect([0, 425, 1439, 1440, -5, Number.NaN].map(clockText)).toEqual([
      '00:00',
      '07:05',
      '23:59',
      '00:00',
      '23:55',
      '',
    ]);
  });
});

it.each([
  ['Ólafur  O’Neil-Ås', ['olafur', 'o', 'neil', 'as']],
  ['ياسر  الحسن', ['ياسر', 'الحسن']],
  ['!?', []],
  ['', []],
])('%p is looked for by the words %j', (text, words) => {
  expect(plainWords(text)).toEqual(words);
});
