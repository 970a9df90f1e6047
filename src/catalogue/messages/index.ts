import type { Phrase } from '@/core/dose';
import { doseTexts } from './dose';
import { ENGLISH, type Language, compiledWords } from './patient';
import { type DoseWords, sayIn } from './say';

const known = new WeakMap<Language, DoseWords>();

function wordsOf(language: Language): DoseWords {
  const there = known.get(language);
  if (there) return there;
  const made = { tag: language.tag, messages: doseTexts(compiledWords(language)) };
  known.set(language, made);
  return made;
}

/** One phrase of a dose as a patient reads it. Throws RangeError for a key the language lacks. */
export function sayPhrase(phrase: Phrase, language = ENGLISH): string {
  return sayIn(wordsOf(language), phrase);
}

/** Phrases of a dose as sentences for a patient. */
export function sayPhrases(phrases: readonly Phrase[], language = ENGLISH): string {
  return `${phrases.map((phrase) => sayPhrase(phrase, language)).join('. ')}.`;
}
