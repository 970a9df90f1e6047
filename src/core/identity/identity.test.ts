import fc from 'fast-check';
import { localDate, plainText } from '../units';
import { ageOn, dialled, isAlike, reachable, searchText, searchWords } from '.';

/** How a patient is found, and who may be whom. */
const finds = (typed: string, text: string) => {
  const words = searchWords(typed);
  return words.length > 0 && words.every((word) => text.includes(word));
};
const text = searchText({
  name: 'Ólafur Brekkel',
  clinicNumber: 'H-0417',
  phones: ['+000 555 01 42'],
  complaints: ['Ferry hand; low back'],
});

it.each([
  ['olafur', true],
  ['ÓLAF', true],
  ['brekkel olafur', true],
  ['h-0417', true],
  ['555 0142', true],
  ['(000) 555-0142', true],
  ['ferry back', true],
  ['sailmaker', false],
  ['', false],
  ['  ', false],
])('what is typed, %p, finds: %p', (typed, found) => {
  expect(finds(typed, text)).toBe(found);
});

it('reads any script, and never throws', () => {
  expect(plainText('ياسر  الحسن')).toBe('ياسر الحسن');
  fc.assert(
    fc.property(fc.string(), fc.string(), (name, typed) => {
      const found = searchText({ name, clinicNumber: '', phones: [], complaints: [] });
      for (const word of searchWords(name)) expect(found.replaceAll(' ', '')).toContain(word);
      expect(typeof finds(typed, found)).toBe('boolean');
    }),
  );
});

describe('two may be one person', () => {
  const who = (name: string, born: string | null = null) => ({
    name,
    birthDate: born === null ? null : localDate(born),
  });
  it.each([
    [who('Tomas Brekkel'), who('brekkel, Tomás'), true],
    [who('Tomas Brekkel', '1980-01-02'), who('Tomas Brekkel'), true],
    [who('Tomas Brekkel', '1980-01-02'), who('Tomas Brekkel', '1981-01-02'), false],
    [who('Tomas Brekkel', '1980-01-02'), who('Tom Brekkel', '1980-01-02'), true],
    [who('Tomas Brekkel', '1980-01-02'), who('Ylva Sandrune', '1980-01-02'), false],
    [who('Tomas Brekkel'), who('Tom Brekkel'), false],
  ])('%j and %j: %p', (a, b, expected) => {
    expect(isAlike(a, b)).toBe(expected);
    expect(isAlike(b, a)).toBe(expected);
  });
});

it.each([
  ['2000-11-30', '2026-11-29', 25],
  ['2000-11-29', '2026-11-29', 26],
  ['2004-02-29', '2026-02-28', 21],
  ['2004-02-29', '2026-03-01', 22],
  ['2026-11-29', '2026-11-29', 0],
])('born %s, on %s: %p', (born, day, age) => {
  expect(ageOn(localDate(born), localDate(day))).toBe(age);
});
it('nobody is born in the future', () => {
  expect(ageOn(localDate('2027-01-01'), localDate('2026-01-01'))).toBeNull();
});

describe('numbers that dial', () => {
  const details = (...numbers: string[]) => ({
    phones: numbers.map((number) => ({ number, what: 'home' })),
    guardian: { name: 'Aunt', phone: '+000 555 9', what: '' },
  });
  it('are the patient’s, then what was written before there were fields, then the guardian’s; each once', () => {
    expect(reachable(details('+000 1234'), '000-1234').map(({ number }) => number)).toEqual([
      '+000 1234',
      '+000 555 9',
    ]);
    expect(reachable(details(), '000-1234').map(({ number }) => number)).toEqual([
      '000-1234',
      '+000 555 9',
    ]);
    // An address is no number.
    expect(reachable(details(), '3 Quay Street').map(({ number }) => number)).toEqual([
      '+000 555 9',
    ]);
  });
  it('carry nothing but digits and a plus', () => {
    expect(dialled('+000 (555) 01-42')).toBe('tel:+0005550142');
  });
});
