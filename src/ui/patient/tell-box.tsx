'use client';

import { useState } from 'react';
import { useSay } from './say';

/** Hands on the address of a page about nobody, so that somebody says when the patient has sunk. */
export function TellBox() {
  const say = useSay();
  const [shown, setShown] = useState('');

  async function handOn() {
    const url = `${location.origin}/tell`;
    // Sharing that was broken off, or is not there, leaves the address to be copied.
    if (navigator.share)
      await navigator.share({ url }).catch(() => {
        setShown(url);
      });
    else setShown(url);
  }
  return (
    <section aria-labelledby="tell" className="grid grid-cols-1 gap-2">
      <h2 id="tell" className="text-xl">
        {say('settings.tell')}
      </h2>
      <p className="text-soft">{say('settings.tell.about')}</p>
      <button
        type="button"
        onClick={() => void handOn()}
        className="min-h-12 w-full rounded border border-edge bg-sheet px-4 font-medium text-action"
      >
        {say('settings.tell.link')}
      </button>
      {shown && (
        <p role="status" className="grid gap-1">
          <span>{say('settings.tell.copy')}</span>
          <a href={shown} className="min-h-11 py-2 break-all text-action underline">
            {shown}
          </a>
        </p>
      )}
    </section>
  );
}
