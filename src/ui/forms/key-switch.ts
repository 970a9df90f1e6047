'use client';

import { useSyncExternalStore } from 'react';

/** Whether this browser's user wants the keys of the pages; on unless it was switched off. */
const NAME = 'dry-lantern.keys';
const CHANGED = 'dry-lantern-keys';

export function keysAreOn(): boolean {
  return localStorage.getItem(NAME) !== 'off';
}

export function switchKeys(on: boolean): void {
  if (on) localStorage.removeItem(NAME);
  else localStorage.setItem(NAME, 'off');
  window.dispatchEvent(new Event(CHANGED));
}

/** As `keysAreOn`, kept current over tabs. */
export function useKeysAreOn(): boolean {
  return useSyncExternalStore(
    (tell) => {
      window.addEventListener(CHANGED, tell);
      window.addEventListener('storage', tell);
      return () => {
        window.removeEventListener(CHANGED, tell);
        window.removeEventListener('storage', tell);
      };
    },
    keysAreOn,
    () => true,
  );
}
