import { headers } from 'next/headers';
import {
  type CompiledWords,
  type Language,
  healthWords,
  patientWords,
  todayWords,
  togetherWords,
} from '@/catalogue';
import type { PatientHere } from '../access';
import { languageAccepted, languageFor } from '../languages';

/** The texts a page hands to what is drawn on it, with their language. */
export type PageWords = { readonly words: CompiledWords; readonly language: string };

const WORDS_OF = {
  today: todayWords,
  health: healthWords,
  together: togetherWords,
  all: patientWords,
} as const;

/** The texts of a patient's page, in the language they chose. */
export function wordsFor(
  { patient }: PatientHere,
  which: keyof typeof WORDS_OF = 'all',
): PageWords {
  const language = languageFor(patient);
  return { words: WORDS_OF[which](language), language: language.tag };
}

/** The language of somebody whose link is not open yet: what the browser asks for, where we have it. */
export async function strangersLanguage(): Promise<Language> {
  return languageAccepted((await headers()).get('accept-language'));
}
