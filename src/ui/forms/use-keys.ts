'use client';

import { useEffect, useRef } from 'react';
import { isTyping } from './is-typing';
import { type KeyBinding, bindingFor } from './key-bindings';
import { keysAreOn } from './key-switch';

/** A dialog has the keyboard to itself, wherever the focus is. */
const OPEN_DIALOG = '[role=dialog], [role=alertdialog], dialog[open]';

/**
 * The keys that work anywhere on a page, unless a dialog is open or they are switched off.
 *
 * @param bindings none where nothing may be done by keys
 */
export function useKeys(bindings: readonly KeyBinding[]): void {
  const now = useRef(bindings);
  useEffect(() => {
    now.current = bindings;
  });
  useEffect(() => {
    function onKey(event: KeyboardEvent) {
      if (event.repeat || !keysAreOn()) return;
      if (document.querySelector(OPEN_DIALOG)) return;
      const binding = bindingFor(now.current, event, isTyping(event.target));
      if (!binding) return;
      event.preventDefault();
      binding.does();
    }
    window.addEventListener('keydown', onKey);
    return () => window.removeEventListener('keydown', onKey);
  }, []);
}
