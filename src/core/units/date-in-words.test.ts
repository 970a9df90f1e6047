import { dateInWords, dayOfYearText } from './date-in-words';
import { localDate } from './local-date';

describe('dateInWords', () => {
  it.each([
    ['2026-11-23', 'en', 'Monday 23 November'],
    ['2026-11-01', 'en', 'Sunday 1 November'],
    ['2024-02-29', 'en', 'Thursday 29 February'],
    ['2026-11-23', 'de', 'Montag, 23. November'],
    ['2026-11-23', 'he', 'יום שני, 23 בנובמבר'],
  ])('%s in %s: %s', (date, tag, words) => {
    expect(dateInWords(localDate(date), tag)).toBe(words);
  });
});

it.each([
  ['2026-11-23', 'en', '23 Nov 2026'],
  ['2024-02-29', 'de', '29. Feb. 2024'],
  ['2026-11-23', 'es', '23 nov 2026'],
])('dayOfYearText %s in %s: %s', (date, tag, words) => {
  expect(dayOfYearText(localDate(date), tag)).toBe(words);
});
