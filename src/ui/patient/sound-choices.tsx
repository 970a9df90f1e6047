'use client';

import { useEffect, useState } from 'react';
import type { Preferences } from './preferences';
import { useLanguage, useSay } from './say';
import { voiceFor, voicesHere } from './voice';

const CHOICES = ['tones', 'voice', 'vibration', 'ownPace', 'far'] as const;

/** How the player plays on this phone: tones, a spoken voice, vibration, and whose pace. */
export function SoundChoices({
  chosen,
  onChoose,
}: {
  chosen: Preferences;
  onChoose: (change: Partial<Preferences>) => void;
}) {
  const say = useSay();
  const lacksVoice = useLacksVoice();
  return (
    <div className="grid grid-cols-2 gap-x-3">
      {lacksVoice && chosen.voice && (
        <p role="status" className="order-last col-span-2 text-small">
          {say('language.noVoice')}
        </p>
      )}
      {CHOICES.map((one) => (
        <label key={one} className="flex min-h-11 items-center gap-2">
          <input
            type="checkbox"
            checked={chosen[one]}
            onChange={() => onChoose({ [one]: !chosen[one] })}
            className="size-5 shrink-0 accent-action"
          />
          {say(one === 'ownPace' ? 'player.own' : `player.${one}`)}
        </label>
      ))}
    </div>
  );
}

/** Whether this phone speaks, but not the language of the screen. Phones tell their voices late. */
function useLacksVoice(): boolean {
  const language = useLanguage();
  const [lacks, setLacks] = useState(false);
  useEffect(() => {
    if (!('speechSynthesis' in window)) return;
    const look = () => {
      const voices = voicesHere();
      setLacks(voices !== null && voiceFor(language, voices) === null);
    };
    look();
    window.speechSynthesis.addEventListener('voiceschanged', look);
    return () => window.speechSynthesis.removeEventListener('voiceschanged', look);
  }, [language]);
  return lacks;
}
