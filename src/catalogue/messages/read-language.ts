import { IntlMessageFormat } from 'intl-messageformat';
import { compileMessage } from '@lingui/message-utils/compileMessage';
import { ENGLISH, type Language, type PatientTexts, type PatientWord } from './patient';

/** A language file as it was read, and what is wrong with it: such texts stay English. */
export type LanguageRead = { readonly language: Language; readonly problems: readonly string[] };

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
 * @returns null when it is no table of texts, or the tag is no language
 */
export function readLanguage(tag: string, file: unknown): LanguageRead | null {
  if (typeof file !== 'object' || file === null || Array.isArray(file)) return null;
  try {
    Intl.getCanonicalLocales(tag);
  } catch {
    return null;
  }
  const given = file as Readonly<Record<string, unknown>>;
  const problems: string[] = Object.keys(given)
    .filter((key) => !(key in ENGLISH.texts))
    .map((key) => `${key}: there is no such text`);
  const texts = Object.fromEntries(
    Object.entries(ENGLISH.texts).map(([key, english]) => {
      const wrong = whatIsWrong(given[key], english);
      if (wrong) problems.push(`${key}: ${wrong}`);
      return [key, wrong ? english : given[key]];
    }),
  ) as Record<PatientWord, string>;
  return { language: { tag, texts: texts satisfies PatientTexts }, problems };
}

function whatIsWrong(text: unknown, english: string): string | null {
  if (text === undefined) return 'missing';
  if (typeof text !== 'string' || text.trim() === '') return 'not a text';
  const known = new Set(valuesOf(compileMessage(english)));
  try {
    // The compiler only warns of what it cannot read; this one refuses it.
    new IntlMessageFormat(text, undefined, undefined, { ignoreTag: true });
    const strange = valuesOf(compileMessage(text)).find((name) => !known.has(name));
    return strange === undefined ? null : `{${strange}} has no value here`;
  } catch {
    return 'its braces do not close';
  }
}
