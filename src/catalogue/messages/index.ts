import { IntlMessageFormat } from 'intl-messageformat';
import type { Phrase } from '@/core/dose';
import { dateInWords, intlTag, isolated } from '@/core/units';
import { DOSE_FOR_CLINICIAN, type MessageTable, doseTexts } from './dose';
import { ENGLISH, type Language } from './patient';
import { CHOSEN_BY, writtenWay } from './written-way';

export type { MessageTable };

export type Audience = 'patient' | 'clinician';

const tables = new WeakMap<Language, MessageTable>();

function tableOf(audience: Audience, language: Language): MessageTable {
  if (audience === 'clinician') return DOSE_FOR_CLINICIAN;
  const table = tables.get(language) ?? doseTexts(language.texts);
  tables.set(language, table);
  return table;
}

const formats = new Map<string, IntlMessageFormat>();

function formatOf(text: string, tag: string): IntlMessageFormat {
  const key = `${tag} ${text}`;
  const known = formats.get(key);
  if (known) return known;
  const made = new IntlMessageFormat(text, tag, undefined, { ignoreTag: true });
  formats.set(key, made);
  return made;
}

/** One phrase in words. Throws RangeError for a key the table lacks: a test holds every key there. */
export function sayPhrase(phrase: Phrase, audience: Audience, language = ENGLISH): string {
  const text = tableOf(audience, language)[phrase.key];
  if (text === undefined) throw new RangeError(`no message for ${phrase.key}`);
  const values = Object.fromEntries(
    Object.entries(phrase.values).map(([name, value]) => [
      name,
      sayValue(value, audience, language),
    ]),
  );
  const way = audience === 'patient' ? writtenWay(language.tag) : 'ltr';
  const within =
    way === 'rtl' && !CHOSEN_BY.has(`dose.${phrase.key}`) ? apart(phrase, values) : values;
  return String(formatOf(text, intlTag(language.tag)).format(within));
}

/** Words that came as they are, such as a band's name, kept together in their own order. */
function apart({ values }: Phrase, said: Readonly<Record<string, string | number>>) {
  const asTheyAre = Object.fromEntries(
    Object.entries(said).filter(([name]) => typeof values[name] === 'string'),
  );
  return { ...said, ...isolated(asTheyAre) };
}

function sayValue(
  value: Phrase['values'][string],
  audience: Audience,
  language: Language,
): string | number {
  if (typeof value === 'string' || typeof value === 'number') return value;
  if ('date' in value) return dateInWords(value.date, language.tag);
  if ('key' in value) return sayPhrase(value, audience, language);
  return new Intl.ListFormat(intlTag(language.tag), { type: 'conjunction' }).format(
    value.map((item) => sayPhrase(item, audience, language)),
  );
}

/** Phrases as running text: sentences for a patient, one sentence of commas for a clinician. */
export function sayPhrases(
  phrases: readonly Phrase[],
  audience: Audience,
  language = ENGLISH,
): string {
  const said = phrases.map((phrase) => sayPhrase(phrase, audience, language));
  if (audience === 'patient') return `${said.join('. ')}.`;
  const text = said.join(', ');
  return text.charAt(0).toUpperCase() + text.slice(1);
}
