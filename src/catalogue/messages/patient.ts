import { type CompiledMessage, compileMessage } from '@lingui/message-utils/compileMessage';
import { setupI18n } from '@lingui/core';
import { PATIENT_EN, type PatientWord } from './patient-en';

/** Compiled messages of one language, as the phone's i18n runtime takes them. */
export type CompiledWords = Readonly<Record<string, CompiledMessage>>;

/** Language → table. Adding a language adds a row here and its table. */
const TABLES: Readonly<Record<string, Readonly<Record<PatientWord, string>>>> = { en: PATIENT_EN };
export const PATIENT_LANGUAGE = 'en';

const compiled = new Map<string, CompiledWords>();

/** The patient's texts, compiled once here so that the phone needs no parser. */
export function patientWords(language = PATIENT_LANGUAGE): CompiledWords {
  const known = compiled.get(language);
  if (known) return known;
  const made = Object.fromEntries(
    Object.entries(TABLES[language] ?? PATIENT_EN).map(([key, text]) => [
      key,
      compileMessage(text),
    ]),
  );
  compiled.set(language, made);
  return made;
}

/** What the first screen says; the texts of the others come with the pack. */
const TODAY = /^(today|saved|paused|stop|day\.(title|saved))/;

/** The texts of the patient's first screen, so that its page carries no others. */
export function todayWords(language = PATIENT_LANGUAGE): CompiledWords {
  return Object.fromEntries(
    Object.entries(patientWords(language)).filter(([key]) => TODAY.test(key)),
  );
}

/** Says a text of the patient's screens at the clinic, in the patient's language. */
export function sayToPatient(
  key: PatientWord,
  values: Readonly<Record<string, string | number>> = {},
  language = PATIENT_LANGUAGE,
): string {
  const i18n = setupI18n({
    locale: language,
    messages: { [language]: { ...patientWords(language) } },
  });
  return i18n._(key, values);
}
