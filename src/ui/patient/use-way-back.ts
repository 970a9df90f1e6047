'use client';

import { useEffect, useRef } from 'react';

/** How many things are open over the page at a step of the way back; the framework keeps what else stands in it. */
const openAt = (): number =>
  (window.history.state as { readonly dlOpen?: number } | null)?.dlOpen ?? 0;

/**
 * Lets the phone's Back close what was opened over this page, instead of leaving the page: opening it adds
 * a step to the way back, and closing it by its own buttons takes that step away again.
 *
 * @param isOpen whether something is open
 * @param close closes it; what was done in it is kept, as when the page is left
 */
export function useWayBack(isOpen: boolean, close: () => void): void {
  const closing = useRef(close);
  useEffect(() => {
    closing.current = close;
  });
  useEffect(() => {
    if (!isOpen) return;
    const depth = openAt() + 1;
    window.history.pushState({ dlOpen: depth }, '');
    let isBack = false;
    const back = () => {
      // A browser tells of an address changed by script when it likes: nobody went back then.
      if (openAt() >= depth) return;
      isBack = true;
      closing.current();
    };
    window.addEventListener('popstate', back);
    return () => {
      window.removeEventListener('popstate', back);
      if (!isBack) window.history.back();
    };
  }, [isOpen]);
}
