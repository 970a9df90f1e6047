import { setupI18n } from '@lingui/core';
import { IntlMessageFormat } from 'intl-messageformat';
import { QUESTIONS } from '@/core/screen';
import { sayPhrase } from '.';
import { sayToClinician } from './clinician';
import { ENGLISH, healthWords, patientWords, sayToPatient, todayWords } from './patient';
import { readLanguage } from './read-language';

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
  const i18n = setupI18n({ locale: 'en', messages: { en: { ...patientWords(ENGLISH) } } });

  const everywhere = Object.entries(ENGLISH.texts).filter(([key]) => key in patientWords(ENGLISH));
  it.each(everywhere)('%s reads the same in a second ICU library', (key, text) => {
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
    expect(JSON.stringify(patientWords(ENGLISH)).length).toBeLessThan(20_000);
  });

  it('sends each page its own texts only', () => {
    expect(Object.keys(todayWords(ENGLISH))).toContain('today.begin');
    expect(Object.keys(todayWords(ENGLISH))).not.toContain('player.pause');
    expect(Object.keys(patientWords(ENGLISH))).not.toContain('question.fever');
    expect(Object.keys(healthWords(ENGLISH))).toContain('question.fever');
  });

  it('has a health question for everything asked of the patient, and no other', () => {
    const asked = QUESTIONS.filter((q) => 'toPatient' in q).map(({ id }) => `question.${id}`);
    const texts = Object.keys(ENGLISH.texts).filter((key) => key.startsWith('question.'));
    expect(texts.sort()).toEqual(asked.sort());
  });
});

describe('another language', () => {
  const whole = Object.fromEntries(
    Object.entries(ENGLISH.texts).map(([key, text]) => [key, `<${text}>`]),
  );

  it('is a table of the same keys', () => {
    const read = readLanguage('pt-BR', whole);
    expect(read?.problems).toEqual([]);
    if (!read) throw new Error('unread');
    expect(sayToPatient(read.language, 'session.at', { time: '10:00' })).toBe('<At 10:00>');
    const { key, values } = { key: 'times.exact', values: { least: 3 } };
    expect(sayPhrase({ key, values }, read.language)).toBe('<3 times a day>');
    expect(sayToClinician({ key, values })).toBe('3 times a day');
  });

  it('may decline its plurals in its own way', () => {
    const read = readLanguage('pl', {
      ...whole,
      'player.seconds': '{seconds, plural, one {# sekunda} few {# sekundy} other {# sekund}}',
    });
    if (!read) throw new Error('unread');
    expect(sayToPatient(read.language, 'player.seconds', { seconds: 3 })).toBe('3 sekundy');
    expect(sayToPatient(read.language, 'player.seconds', { seconds: 5 })).toBe('5 sekund');
  });

  it.each([
    ['missing', { 'today.begin': undefined }, 'today.begin: missing'],
    ['empty', { 'today.begin': ' ' }, 'today.begin: not a text'],
    ['broken', { 'today.begin': 'Começar {' }, 'today.begin: its braces do not close'],
    [
      'with a value it cannot have',
      { 'today.begin': '{nome}' },
      'today.begin: {nome} has no value here',
    ],
    ['unknown', { 'no.such': 'x' }, 'no.such: there is no such text'],
  ])('says in English, and tells, what is %s', (_, change, told) => {
    const read = readLanguage('pt', { ...whole, ...change });
    expect(read?.problems).toEqual([told]);
    expect(read?.language.texts['today.begin']).toBe(
      told.startsWith('today.begin') ? 'Begin' : '<Begin>',
    );
  });

  it('is refused whole when it is no table or no language', () => {
    expect(readLanguage('pt', null)).toBeNull();
    expect(readLanguage('pt', ['x'])).toBeNull();
    expect(readLanguage('no language', whole)).toBeNull();
  });
});
