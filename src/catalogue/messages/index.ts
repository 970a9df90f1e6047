import { IntlMessageFormat } from 'intl-messageformat';
import type { Phrase } from '@/core/dose';
import { DOSE_FOR_CLINICIAN, DOSE_FOR_PATIENT } from './dose-en';

/** Message key → ICU text, of one language and audience. */
export type MessageTable = Readonly<Record<string, string>>;

const TABLES = {
  patient: DOSE_FOR_PATIENT,
  clinician: DOSE_FOR_CLINICIAN,
} as const satisfies Record<string, MessageTable>;
export type Audience = keyof typeof TABLES;

const LANGUAGE = 'en';
const list = new Intl.ListFormat(LANGUAGE, { type: 'conjunction' });
const formats = new Map<string, IntlMessageFormat>();

function formatOf(text: string): IntlMessageFormat {
  const known = formats.get(text);
  if (known) return known;
  const made = new IntlMessageFormat(text, LANGUAGE);
  formats.set(text, made);
  return made;
}

/** One phrase in words. Throws RangeError for a key the table lacks: a test holds every key there. */
export function sayPhrase(phrase: Phrase, audience: Audience): string {
  const text = (TABLES[audience] as MessageTable)[phrase.key];
  if (text === undefined) throw new RangeError(`no message for ${phrase.key}`);
  const values = Object.fromEntries(
    Object.entries(phrase.values).map(([name, value]) => [name, sayValue(value, audience)]),
  );
  return String(formatOf(text).format(values));
}

function sayValue(value: Phrase['values'][string], audience: Audience): string | number {
  if (typeof value === 'string' || typeof value === 'number') return value;
  if ('key' in value) return sayPhrase(value, audience);
  return list.format(value.map((item) => sayPhrase(item, audience)));
}

/** Phrases as running text: sentences for a patient, one sentence of commas for a clinician. */
export function sayPhrases(phrases: readonly Phrase[], audience: Audience): string {
  const said = phrases.map((phrase) => sayPhrase(phrase, audience));
  if (audience === 'patient') return `${said.join('. ')}.`;
  const text = said.join(', ');
  return text.charAt(0).toUpperCase() + text.slice(1);
}
