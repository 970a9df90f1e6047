import { IntlMessageFormat } from 'intl-messageformat';
import type { Phrase } from '@/core/dose';
import { dateInWords, intlTag, isolated } from '@/core/units';
import { CHOSEN_BY, writtenWay } from './written-way';

/** Message key → ICU text, of one language and audience. */
export type MessageTable = Readonly<Record<string, string>>;

/** The texts of a dose for somebody, and the language they are in. */
export type DoseWords = {
  /** BCP 47. */
  readonly tag: string;
  readonly table: MessageTable;
};

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
export function sayIn(words: DoseWords, phrase: Phrase): string {
  const text = words.table[phrase.key];
  if (text === undefined) throw new RangeError(`no message for ${phrase.key}`);
  const values = Object.fromEntries(
    Object.entries(phrase.values).map(([name, value]) => [name, sayValue(words, value)]),
  );
  const within =
    writtenWay(words.tag) === 'rtl' && !CHOSEN_BY.has(`dose.${phrase.key}`)
      ? apart(phrase, values)
      : values;
  return String(formatOf(text, intlTag(words.tag)).format(within));
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
