import { dateInWords, intlTag, localDate } from '.';

describe('the tag that words are formatted by', () => {
  it.each([
    ['en', 'en-GB'],
    ['de', 'de'],
    ['ar', 'ar-u-nu-latn'],
    ['ar-EG', 'ar-EG-u-nu-latn'],
    ['ar-u-nu-arab', 'ar-u-nu-arab'],
  ])('of %s is %s', (tag, formatted) => {
    expect(intlTag(tag)).toBe(formatted);
  });

  it('says a day as people of the language say it, with the digits of the count', () => {
    const day = localDate('2026-11-23');
    expect(dateInWords(day, 'en')).toBe('Monday 23 November');
    expect(dateInWords(day, 'de')).toBe('Montag, 23. November');
    expect(dateInWords(day, 'es')).toBe('lunes, 23 de noviembre');
    expect(dateInWords(day, 'ar-EG')).toMatch(/23/);
  });
});
