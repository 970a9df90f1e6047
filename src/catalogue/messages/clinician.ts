import type { Phrase } from '@/core/dose';
import { CLINICIAN_COMPILED } from './clinician-compiled';
import { type DoseWords, sayIn } from './say';

/** Apart from the patient's texts, so that the desk carries none of them. */
const WORDS: DoseWords = { tag: 'en', messages: CLINICIAN_COMPILED };

/** One phrase of a dose as a clinician reads it. Throws RangeError for a key that has no text. */
export function sayToClinician(phrase: Phrase): string {
  return sayIn(WORDS, phrase);
}

/** Phrases of a dose as one sentence of commas for a clinician. */
export function sayAllToClinician(phrases: readonly Phrase[]): string {
  const text = phrases.map(sayToClinician).join(', ');
  return text.charAt(0).toUpperCase() + text.slice(1);
}
