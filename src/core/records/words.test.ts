import { paragraphs, phoneNumber } from './words';

const text = paragraphs('The note', 12);

it('keeps the ends of lines in a text of paragraphs, and no other control characters', () => {
  expect(text.parse(' a\r\nb\rc\nd ')).toBe('a\nb\nc\nd');
  expect(text.parse('a\tb\u0000\u0007c')).toBe('a b c');
  // One normal form, whatever the keyboard made.
  expect(text.parse('e\u0308')).toBe('ë');
});

it('says which text is too long or missing', () => {
  const said = (value: unknown) =>
    text.safeParse(value).error?.issues.map(({ message }) => message);
  expect(said('x'.repeat(12))).toBeUndefined();
  expect(said('x'.repeat(13))).toEqual(['The note can be at most 12 characters long.']);
  // What is counted is what is kept.
  expect(said(` ${'x'.repeat(12)}\r\n`)).toBeUndefined();
  expect(said(undefined)).toEqual(['The note is missing.']);
});

it('takes a telephone number of digits, and none where none has to be there', () => {
  const ok = (text: string, shortest: 0 | 1 = 0) => phoneNumber(shortest).safeParse(text).success;
  expect(['', '112', '+49 (0)40 123-45', '040/12.34'].map((text) => ok(text))).toEqual([
    true,
    true,
    true,
    true,
  ]);
  expect(['12', 'call me', '0401x23', 'o40 123'].map((text) => ok(text))).toEqual([
    false,
    false,
    false,
    false,
  ]);
  expect(ok('', 1)).toBe(false);
});
