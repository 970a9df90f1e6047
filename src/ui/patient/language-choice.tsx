'use client';

import { useEffect, useRef, useState } from 'react';
import { Refusal } from '../forms/refusal';
import { useSending } from '../forms/use-sending';
import { earlyTouch, takeEarlyLanguage } from './early-touch';

/** A language by its own name. */
export type OfferedLanguage = { readonly tag: string; readonly name: string };

/**
 * Every language by its own name, to be touched by somebody who cannot read the page yet; nothing where
 * there is only one.
 */
export function LanguageChoice({
  label,
  languages,
  chosen,
}: {
  label: string;
  languages: readonly OfferedLanguage[];
  chosen: string;
}) {
  const { busy, sending } = useSending();
  const [refusal, setRefusal] = useState('');

  async function choose(language: string) {
    setRefusal('');
    const answer = await sending('/api/v1/patient/language', { language });
    if (!answer) return;
    // Every text of the page is another then, and so is the side it begins at.
    if (answer.ok) location.reload();
    else setRefusal(answer.say);
  }
  // Who touched a name before the page was awake is not made to touch it again.
  const chooses = useRef(choose);
  useEffect(() => {
    chooses.current = choose;
  });
  useEffect(() => {
    const touched = takeEarlyLanguage();
    if (touched !== null) void chooses.current(touched);
  }, []);
  if (languages.length < 2) return null;

  return (
    <div className="grid gap-1">
      <ul aria-label={label} className="-mx-1.5 flex flex-wrap gap-x-1">
        {languages.map(({ tag, name }) => (
          <li key={tag}>
            <button
              type="button"
              lang={tag}
              aria-pressed={tag === chosen}
              disabled={busy}
              data-early={tag === chosen ? undefined : earlyTouch('language', tag)}
              className="own-name min-h-11 min-w-11 px-1.5 text-fine text-action underline aria-busy:opacity-60 aria-pressed:font-semibold aria-pressed:text-ink aria-pressed:no-underline"
              onClick={() => void (tag !== chosen && choose(tag))}
            >
              {name}
            </button>
          </li>
        ))}
      </ul>
      <Refusal say={refusal} />
    </div>
  );
}
