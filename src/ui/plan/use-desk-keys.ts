'use client';

import { useEffect, useRef } from 'react';

export type DeskKeys = {
  readonly search: () => void;
  readonly save: () => void;
  readonly undo: () => void;
  readonly redo: () => void;
  readonly addAccepted: () => void;
  readonly fillAll: () => void;
  readonly order: () => void;
  readonly help: () => void;
};

const BY_ALT = { KeyA: 'addAccepted', KeyF: 'fillAll', KeyO: 'order' } as const;

/** The keys that work anywhere on the desk; those of a line stand with its dose field. */
export function useDeskKeys(keys: DeskKeys): void {
  const now = useRef(keys);
  useEffect(() => {
    now.current = keys;
  });
  useEffect(() => {
    function onKey(event: KeyboardEvent) {
      const act = now.current;
      const { target, key, altKey, shiftKey } = event;
      // A dialog has the keyboard to itself.
      if (target instanceof Element && target.closest('[role=dialog]')) return;
      const inField =
        target instanceof HTMLInputElement ||
        target instanceof HTMLTextAreaElement ||
        target instanceof HTMLSelectElement;
      const command = event.ctrlKey || event.metaKey;
      const byAlt = altKey ? BY_ALT[event.code as keyof typeof BY_ALT] : undefined;
      if (byAlt) act[byAlt]();
      else if (key === '/' && !inField) act.search();
      else if (key === '?' && !inField) act.help();
      else if (command && (key === 'Enter' || key === 's')) act.save();
      else if (command && key.toLowerCase() === 'z' && !inField) (shiftKey ? act.redo : act.undo)();
      else return;
      event.preventDefault();
    }
    window.addEventListener('keydown', onKey);
    return () => window.removeEventListener('keydown', onKey);
  }, []);
}
