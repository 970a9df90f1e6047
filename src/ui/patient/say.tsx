'use client';

import { setupI18n } from '@lingui/core';
import { type ReactNode, createContext, useContext, useEffect, useMemo } from 'react';
import type { CompiledWords, PatientWord } from '@/catalogue';
import { CHOSEN_BY, writtenWay } from '@/catalogue/messages/written-way';
import { whenUnreachable } from '../forms/post';
import { type LocalDate, dateInWords, dayAndMonthText, intlTag, isolated } from '@/core/units';

/** Says a fixed text of the patient's screens. */
export type Say = (key: PatientWord, values?: Readonly<Record<string, string | number>>) => string;

const SayContext = createContext<Say | null>(null);
const LanguageContext = createContext('en');

/** Gives the texts of one language to everything inside. */
export function Words({
  words,
  language,
  children,
}: {
  words: CompiledWords;
  language: string;
  children: ReactNode;
}) {
  const say = useMemo<Say>(() => {
    const locale = intlTag(language);
    const i18n = setupI18n({ locale, messages: { [locale]: { ...words } } });
    const apart = writtenWay(language) === 'rtl';
    return (key, values) =>
      i18n._(key, apart && values && !CHOSEN_BY.has(key) ? isolated(values) : values);
  }, [words, language]);
  useEffect(() => whenUnreachable(say('saved.unreachable')), [say]);
  return (
    <LanguageContext value={language}>
      <SayContext value={say}>{children}</SayContext>
    </LanguageContext>
  );
}

export function useSay(): Say {
  const say = useContext(SayContext);
  if (!say) throw new Error('no words around this');
  return say;
}

/** The language of the screen, BCP 47. */
export function useLanguage(): string {
  return useContext(LanguageContext);
}

/** Says a day as a person would, in the language of the screen: nobody reads 2026-11-23. */
export function useDay(): (date: LocalDate) => string {
  const language = useContext(LanguageContext);
  return (date) => dateInWords(date, language);
}

/** The same without the weekday, where many days stand beside each other: "23 Nov". */
export function useShortDay(): (date: LocalDate) => string {
  const language = useContext(LanguageContext);
  return (date) => dayAndMonthText(date, language);
}
