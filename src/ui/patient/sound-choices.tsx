'use client';

import type { Preferences } from './preferences';
import { useSay } from './say';

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
  return (
    <div className="grid grid-cols-2 gap-x-3">
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
