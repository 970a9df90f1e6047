import { IntlMessageFormat } from 'intl-messageformat';
import { CLINICIAN_COMPILED } from './clinician-compiled';
import { DOSE_FOR_CLINICIAN } from './clinician-texts';
import { sayToClinician } from './clinician';
import { compiledForClinician } from './compile-clinician';
import { valuesIn } from './read-language';

it('is compiled of what is written', () => {
  expect(CLINICIAN_COMPILED).toEqual(compiledForClinician());
});

// Another reader of the same syntax, with numbers on both sides of every plural.
it.each(Object.entries(DOSE_FOR_CLINICIAN))('says %s as another reader of it does', (key, text) => {
  const other = new IntlMessageFormat(text, 'en', undefined, { ignoreTag: true });
  for (const number of [0, 1, 2, 3, 7, 40, 1000, 2.5]) {
    const values = Object.fromEntries([...valuesIn(text)].map((name) => [name, number]));
    expect(sayToClinician({ key, values })).toBe(other.format(values));
  }
});

it('refuses a key that has no text, instead of saying the key', () => {
  expect(() => sayToClinician({ key: 'of-nothing', values: {} })).toThrow(RangeError);
  expect(() => sayToClinician({ key: 'constructor', values: {} })).toThrow(RangeError);
});
