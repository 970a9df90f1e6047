'use client';

import { useEffect, useRef } from 'react';
import { isTyping } from './is-typing';
import { type KeyBinding, bindingFor } from './key-bindings';

/**
 * The keys that work anywhere on a page. A dialog has the keyboard to itself, and a field its letters.
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
      const { target } = event;
      if (target instanceof Element && target.closest('[role=dialog]')) return;
      const binding = bindingFor(now.current, event, isTyping(target));
      if (!binding) return;
      event.preventDefault();
      binding.does();
    }
    window.addEventListener('keydown', onKey);
    return () => window.removeEventListener('keydown', onKey);
  }, []);
}
