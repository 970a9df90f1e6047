import { type I18n, setupI18n } from '@lingui/core';
import { type CompiledMessage, compileMessage } from '@lingui/message-utils/compileMessage';
import { intlTag, isolated } from '@/core/units';
import { CHOSEN_BY, writtenWay } from './written-way';
import ENGLISH_ALONE from '../languages/en.json';
import ENGLISH_SHARED from '../languages/en-shared.json';

/** What the clinic's desk says in the same words stands apart: it needs none of the rest. */
const ENGLISH_WORDS = { ...ENGLISH_ALONE, ...ENGLISH_SHARED };

/** A key of the patient's texts. */
export type PatientWord = keyof typeof ENGLISH_WORDS;

/** Every fixed text a patient meets, in ICU message syntax: screens, doses, health questions, reminders. */
export type PatientTexts = Readonly<Record<PatientWord, string>>;

/** One language of the patient's texts. English ships; others are files of the same keys. */
export type Language = {
  /** BCP 47, such as "pt" or "pt-BR". */
  readonly tag: string;
  readonly texts: PatientTexts;
  /**
   * What the catalogue says of exercises and drawings: its English → the same in this language. What
   * is not here is said in English.
   */
  readonly sayings: Readonly<Record<string, string>>;
};

export const ENGLISH: Language = { tag: 'en', texts: ENGLISH_WORDS, sayings: {} };

/** Compiled messages of one language, as the phone's i18n runtime takes them. */
export type CompiledWords = Readonly<Record<string, CompiledMessage>>;

const compiled = new WeakMap<Language, CompiledWords>();

/** All texts of a language, compiled once. */
export function compiledWords(language: Language): CompiledWords {
  const known = compiled.get(language);
  if (known) return known;
  const made = Object.fromEntries(
    Object.entries(language.texts).map(([key, text]) => [key, compileMessage(text)]),
  );
  compiled.set(language, made);
  return made;
}

function wordsWhose(language: Language, wanted: (key: string) => boolean): CompiledWords {
  return Object.fromEntries(Object.entries(compiledWords(language)).filter(([key]) => wanted(key)));
}

/** Texts the clinic's server says, or one page alone: they need not travel to every phone. */
const NOT_EVERYWHERE =
  /^(app|offline|dose(?!\.direction)|figure|handout|letter|notice|health|question|remind|nextVisit|rest|session|problem|tell|together)\.|^cover$/;

/** The texts of the patient's screens, compiled here so that the phone needs no parser. */
export function patientWords(language: Language): CompiledWords {
  return wordsWhose(language, (key) => !NOT_EVERYWHERE.test(key));
}

/** The texts of the page on which the clinic shows exercises: what the player says, and its own. */
export function togetherWords(language: Language): CompiledWords {
  return wordsWhose(language, (key) => key.startsWith('together.') || !NOT_EVERYWHERE.test(key));
}

/** The texts of the health questions' page. */
export function healthWords(language: Language): CompiledWords {
  return wordsWhose(language, (key) =>
    /^(health|question)\.|^day\.(yes|no)$|^stop\.(emergencyCall|call)$|^saved\.unreachable$/.test(
      key,
    ),
  );
}

/** What the first screen says; the texts of the others come with the pack. */
const TODAY =
  /^(today|saved|paused|stop|morning|asks|settings\.language$|day\.(title|saved|morning\.(settled|still sore|flare)$))/;

/** The texts of the patient's first screen, so that its page carries no others. */
export function todayWords(language: Language): CompiledWords {
  return wordsWhose(language, (key) => TODAY.test(key));
}

const speakers = new WeakMap<Language, I18n>();

function speakerOf(language: Language): I18n {
  const known = speakers.get(language);
  if (known) return known;
  const locale = intlTag(language.tag);
  const made = setupI18n({ locale, messages: { [locale]: { ...compiledWords(language) } } });
  speakers.set(language, made);
  return made;
}

/**
 * Says a text of the patient's at the clinic, in the patient's language.
 *
 * @example sayToPatient(ENGLISH, 'session.at', { time: '10:00' }) // "At 10:00"
 */
export function sayToPatient(
  language: Language,
  key: PatientWord,
  values: Readonly<Record<string, string | number>> = {},
): string {
  const within =
    writtenWay(language.tag) === 'rtl' && !CHOSEN_BY.has(key) ? isolated(values) : values;
  return speakerOf(language)._(key, within);
}

/** Says a language's texts, for where many are said. */
export function sayerOf(language: Language) {
  return (key: PatientWord, values?: Readonly<Record<string, string | number>>) =>
    sayToPatient(language, key, values);
}

/** What every patient is told before the first session and on every handout. */
export function stopSigns(language: Language): readonly string[] {
  const signs = ['sign.symptoms', 'sign.sight', 'sign.weakness', 'sign.severe'] as const;
  return signs.map((key) => sayToPatient(language, key));
}
