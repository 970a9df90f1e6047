import { type I18n, setupI18n } from '@lingui/core';
import type { CompiledMessage } from '@lingui/message-utils/compileMessage';
import type { Phrase } from '@/core/dose';
import { dateInWords, intlTag, isolated } from '@/core/units';
import { CHOSEN_BY, writtenWay } from './written-way';

/** Message key → the compiled message, of one language and audience. */
export type CompiledTable = Readonly<Record<string, CompiledMessage>>;

/** The texts of a dose for somebody, and the language they are in. */
export type DoseWords = {
  /** BCP 47. */
  readonly tag: string;
  readonly messages: CompiledTable;
};

const speakers = new WeakMap<DoseWords, I18n>();

function speakerOf(words: DoseWords): I18n {
  const known = speakers.get(words);
  if (known) return known;
  const locale = intlTag(words.tag);
  const made = setupI18n({ locale, messages: { [locale]: { ...words.messages } } });
  speakers.set(words, made);
  return made;
}

/** One phrase in words. Throws RangeError for a key the table lacks: a test holds every key there. */
export function sayIn(words: DoseWords, phrase: Phrase): string {
  if (!Object.hasOwn(words.messages, phrase.key))
    throw new RangeError(`no message for ${phrase.key}`);
  const values = Object.fromEntries(
    Object.entries(phrase.values).map(([name, value]) => [name, sayValue(words, value)]),
  );
  const within =
    writtenWay(words.tag) === 'rtl' && !CHOSEN_BY.has(`dose.${phrase.key}`)
      ? apart(phrase, values)
      : values;
  return speakerOf(words)._(phrase.key, within);
}

/** Words that came as they are, such as a band's name, kept together in their own order. */
function apart({ values }: Phrase, said: Readonly<Record<string, string | number>>) {
  const asTheyAre = Object.fromEntries(
    Object.entries(said).filter(([name]) => typeof values[name] === 'string'),
  );
  return { ...said, ...isolated(asTheyAre) };
}

function sayValue(words: DoseWords, value: Phrase['values'][string]): string | number {
  if (typeof value === 'string' || typeof value === 'number') return value;
  if ('date' in value) return dateInWords(value.date, words.tag);
  if ('key' in value) return sayIn(words, value);
  return listFormat(words.tag).format(value.map((item) => sayIn(words, item)));
}

/** Making one is dear: one for each language. */
const LISTS = new Map<string, Intl.ListFormat>();

function listFormat(tag: string): Intl.ListFormat {
  const format = LISTS.get(tag) ?? new Intl.ListFormat(intlTag(tag), { type: 'conjunction' });
  LISTS.set(tag, format);
  return format;
}
