import type { Metadata } from 'next';
import { headers } from 'next/headers';
import {
  type CompiledWords,
  ENGLISH,
  type Language,
  type PatientWord,
  healthWords,
  patientWords,
  todayWords,
  togetherWords,
} from '@/catalogue';
import type { PatientHere } from '../access';
import { currentPatient } from '../current';
import { languageAccepted, languageFor, languageOf } from '../languages';
import { languageOn } from './on-device';

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

/** What a patient's page is called, in the language of its document; no search engine keeps it. */
export async function titleOf(key: PatientWord): Promise<Metadata> {
  return { title: languageOf(await documentLanguage()).texts[key], robots: 'noindex' };
}

/**
 * The language of the whole document: a patient's on their own pages, the clinic's on all others, also
 * on a browser that has opened a patient's link.
 */
export async function documentLanguage(): Promise<string> {
  const isPatients = (await headers()).get('x-page-of') === 'patient';
  return isPatients ? (await readersLanguage()).tag : ENGLISH.tag;
}

/** The language of the patient on this device; of a stranger what their browser asks for. */
export function readersLanguage(): Promise<Language> {
  return languageOn(currentPatient, accepted);
}

/** The language of somebody whose link is not open yet: what the browser asks for, where we have it. */
export async function strangersLanguage(): Promise<Language> {
  return languageAccepted(await accepted());
}

/** What the browser asks for. */
async function accepted(): Promise<string | null> {
  return (await headers()).get('accept-language');
}
