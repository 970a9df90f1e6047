import { setupI18n } from '@lingui/core';
import { IntlMessageFormat } from 'intl-messageformat';
import { patientWords } from './patient';
import { PATIENT_EN } from './patient-en';

/** Values for every placeholder of a message. */
function valuesFor(text: string): Record<string, string | number> {
  const names = [...text.matchAll(/\{(\w+)/g)].map((match) => match[1] ?? '');
  const numbers = new Set([
    'seconds',
    'nth',
    'count',
    'done',
    'due',
    'days',
    'from',
    'to',
    'percent',
  ]);
  return Object.fromEntries(names.map((name) => [name, numbers.has(name) ? 2 : `<${name}>`]));
}

describe('the patient’s texts', () => {
  const i18n = setupI18n({ locale: 'en', messages: { en: { ...patientWords() } } });

  it.each(Object.entries(PATIENT_EN))('%s reads the same in a second ICU library', (key, text) => {
    const values = valuesFor(text);
    const said = i18n._(key, values);
    expect(said).toBe(new IntlMessageFormat(text, 'en').format(values));
    expect(said).not.toMatch(/[{}]/);
    expect(said.trim()).not.toBe('');
  });

  it('chooses the plural', () => {
    expect(i18n._('player.seconds', { seconds: 1 })).toBe('1 second');
    expect(i18n._('player.seconds', { seconds: 10 })).toBe('10 seconds');
  });

  it('is small enough to travel with every page', () => {
    expect(JSON.stringify(patientWords()).length).toBeLessThan(20_000);
  });
});
