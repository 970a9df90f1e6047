'use client';

import { setupI18n } from '@lingui/core';
import { type ReactNode, createContext, useContext, useMemo } from 'react';
import type { CompiledWords, PatientWord } from '@/catalogue';

/** Says a fixed text of the patient's screens. */
export type Say = (key: PatientWord, values?: Readonly<Record<string, string | number>>) => string;

const SayContext = createContext<Say | null>(null);

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
    const i18n = setupI18n({ locale: language, messages: { [language]: { ...words } } });
    return (key, values) => i18n._(key, values);
  }, [words, language]);
  return <SayContext value={say}>{children}</SayContext>;
}

export function useSay(): Say {
  const say = useContext(SayContext);
  if (!say) throw new Error('no words around this');
  return say;
}
