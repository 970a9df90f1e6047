'use client';

import type { ReactNode } from 'react';
import { useEffect } from 'react';
import type { CompiledWords, PatientWord } from '@/catalogue';
import { setTextSize, textSize } from './preferences';
import { Words, useSay } from './say';

/** A page of the patient's beside today, with its texts, its size of type and the way back. */
export function Shell({
  words,
  language,
  title,
  children,
}: {
  words: CompiledWords;
  language: string;
  title: PatientWord;
  children: ReactNode;
}) {
  useEffect(() => setTextSize(textSize()), []);
  return (
    <Words words={words} language={language}>
      <main lang={language} className="patient mx-auto grid max-w-lg grid-cols-1 gap-6 px-5 py-5">
        <Heading title={title} />
        {children}
      </main>
    </Words>
  );
}

function Heading({ title }: { title: PatientWord }) {
  const say = useSay();
  return (
    <header className="grid gap-1">
      <a
        href="/today"
        className="inline-block min-h-11 justify-self-start py-2 text-action underline"
      >
        {say('settings.back')}
      </a>
      <h1 className="text-2xl">{say(title)}</h1>
    </header>
  );
}
