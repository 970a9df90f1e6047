import { IntlMessageFormat } from 'intl-messageformat';
import { compileMessage } from '@lingui/message-utils/compileMessage';
import { ENGLISH, type Language, type PatientTexts, type PatientWord } from './patient';

/** A language file as it was read, and what is wrong with it: such texts stay English. */
export type LanguageRead = { readonly language: Language; readonly problems: readonly string[] };

/** Names of the values a text says, in ICU message syntax, those inside plurals and choices too. */
export function valuesIn(text: string): ReadonlySet<string> {
  return new Set(valuesOf(compileMessage(text)));
}

/** Names of the values a compiled message says, those inside plurals and choices too. */
function valuesOf(message: unknown): string[] {
  if (!Array.isArray(message)) return [];
  return message.flatMap((part: unknown): string[] => {
    if (!Array.isArray(part)) return [];
    const [name, , cases] = part as readonly unknown[];
    const inside =
      typeof cases === 'object' && cases !== null ? Object.values(cases).flatMap(valuesOf) : [];
    return [String(name), ...inside];
  });
}

/**
 * Reads a language file: an object of the keys of the English one. A text that is missing, not a
 * text, names a value the English one lacks, or cannot be compiled is said in English and told.
 *
 * @param tag BCP 47
 * @param sayings what the catalogue says of exercises, in English; the file has each by its English text
 * @returns null when it is no table of texts, or the tag is no language
 */
export function readLanguage(
  tag: string,
  file: unknown,
  sayings: readonly string[] = [],
): LanguageRead | null {
  if (typeof file !== 'object' || file === null || Array.isArray(file)) return null;
  try {
    Intl.getCanonicalLocales(tag);
  } catch {
    return null;
  }
  const given = file as Readonly<Record<string, unknown>>;
  const known = new Set(sayings);
  const problems: string[] = Object.keys(given)
    .filter((key) => !(key in ENGLISH.texts) && !known.has(key))
    .map((key) => `${key}: there is no such text`);
  const texts = Object.fromEntries(
    Object.entries(ENGLISH.texts).map(([key, english]) => {
      const wrong = whatIsWrong(given[key], english);
      if (wrong) problems.push(`${key}: ${wrong}`);
      return [key, wrong ? english : given[key]];
    }),
  ) as Record<PatientWord, string>;
  const { said, unsaid } = readSayings(given, sayings);
  if (unsaid > 0) problems.push(`${unsaid} texts of exercises are missing`);
  return { language: { tag, texts: texts satisfies PatientTexts, sayings: said }, problems };
}

/** The catalogue's texts a file has, and how many it has not. */
function readSayings(given: Readonly<Record<string, unknown>>, sayings: readonly string[]) {
  const said = Object.fromEntries(
    sayings.flatMap((english): [string, string][] => {
      const text = Object.hasOwn(given, english) ? given[english] : undefined;
      return typeof text === 'string' && text.trim() !== '' ? [[english, text]] : [];
    }),
  );
  return { said, unsaid: sayings.length - Object.keys(said).length };
}

/** What is wrong with a text that stands for an English one; null where nothing is. */
export function whatIsWrong(text: unknown, english: string): string | null {
  if (text === undefined) return 'missing';
  if (typeof text !== 'string' || text.trim() === '') return 'not a text';
  const known = valuesIn(english);
  try {
    // The compiler only warns of what it cannot read; this one refuses it.
    new IntlMessageFormat(text, undefined, undefined, { ignoreTag: true });
    const strange = [...valuesIn(text)].find((name) => !known.has(name));
    return strange === undefined ? null : `{${strange}} has no value here`;
  } catch {
    return 'its braces do not close';
  }
}
